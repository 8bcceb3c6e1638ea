import type { CompiledGuide, Kingdom } from '../../../guide';
import { answerPlate, ANSWER } from '../../answer';
import type { Individual } from '../../build';
import type { Point } from '../../geometry';
import { faint, placed, type Mark } from '../../mark';
import { drawnWhole } from '../drawn';
import { onSheet, unitsFor, type TaxonPlate } from '../sheet';
import { anchorOf } from './anchor';
import { around, sheetFor, tie, WIDE_SHEET } from './around';

/** A part of a specimen that can be touched, and the characters that are looked at there. */
export interface Touchable {
  readonly id: string;
  readonly characters: readonly string[];
}
/** Where the name of a part is written, in the middle of its column. */
export interface Callout {
  readonly id: string;
  readonly at: Point;
}
export interface SpecimenPlate extends TaxonPlate {
  readonly callouts: readonly Callout[];
  /** The width of the columns in which names are written, in units. */
  readonly column: number;
}

const COLUMN = 70;

/** One individual as it is met: where it grows, not cut through, with room at both sides for names of its parts. */
export function specimenPlate(
  guide: CompiledGuide,
  one: Individual,
  kingdom: Kingdom,
  parts: readonly Touchable[],
): SpecimenPlate {
  const whole = drawnWhole(guide, { one, kingdom, cut: false });
  const sheet = sheetFor(parts.length, COLUMN);
  const plate = onSheet(whole, unitsFor(whole, sheet), 0, 'full', sheet);
  const charactersOf = new Map(parts.map(({ id, characters }) => [id, characters]));
  const callouts = around(
    parts.map(({ id }) => id),
    COLUMN / 2,
    (id, aside) => {
      for (const character of charactersOf.get(id) ?? []) {
        const found = anchorOf(plate, character, aside);
        if (found) return found;
      }
      return undefined;
    },
  );
  const ties = callouts.flatMap(({ at: [x, y], to }) =>
    tie([x < WIDE_SHEET.width / 2 ? COLUMN : WIDE_SHEET.width - COLUMN, y], 0, to),
  );
  return {
    ...plate,
    column: COLUMN,
    callouts,
    marks: [...behind(one), ...plate.marks, ...ties],
  };
}

/** Where it grows, faint, over the whole width. */
function behind(one: Individual): Mark[] {
  const habitat = ['fungus.habitat', 'plant.habitat'].find((id) => one.state(id) !== undefined);
  const drawn = habitat && answerPlate(habitat, one.state(habitat) ?? '');
  if (!drawn) return [];
  const scale = WIDE_SHEET.width / ANSWER.width;
  return faint(placed(drawn.marks, { scale, at: [0, WIDE_SHEET.height - 74 * scale] })).map((mark) => ({
    ...mark,
    ink: mark.ink === 'none' ? 'none' : 'faint',
    fill: 'none',
  }));
}
