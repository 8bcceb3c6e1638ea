import { isColour, isDrawn } from '@pause/core';
import type { Pictures } from '@pause/core/practice';
import type { Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';

/** What a practice can show. */

/** What can be shown: states drawn or as their colour, and wholes. Each is asked of the drawings once. */
export function picturesBy(plates: Plates): Pictures {
  const known = new Map<string, boolean>();
  const wholes = new Map<string, string>();
  return {
    state: (character, state) => {
      const asked = guide.character(character)?.character;
      if (asked && isColour(asked)) return true;
      if (!asked || !isDrawn(asked)) return false;
      const name = `${character} ${state}`;
      const have = known.get(name);
      if (have !== undefined) return have;
      const can = plates.answerPlate(character, state) !== undefined;
      known.set(name, can);
      return can;
    },
    whole: (taxon, stage) => {
      const name = `${taxon.id} ${stage}`;
      const have = wholes.get(name);
      if (have !== undefined) return have;
      const drawn = plates.taxonPlate(guide, taxon, stage, 0, 'small').marks.map(plates.pathData).join(' ');
      wholes.set(name, drawn);
      return drawn;
    },
  };
}
