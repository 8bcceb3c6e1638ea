import {
  compileGuide,
  isCollectable,
  largestIndependent,
  relationAtStages,
  relationOverall,
  toLook,
  wantedStages,
  type CompiledCharacter,
  type CompiledTaxon,
  type Look,
  type Reading as Read,
  type ReadingValue,
  type StateId,
} from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { answersOnFile } from '@pause/guide/answers';
import { entryOf, shippedReadings } from '@pause/guide/readings';

/** A listed pair of which the guide takes something that is true of the danger for a ground against it. */
export interface Worst {
  readonly target: string;
  readonly danger: string;
  /** The largest number of such grounds that share no cause. */
  readonly bars: number;
  readonly characters: readonly string[];
  /** What was answered to the readings that say so. */
  readonly why: readonly string[];
}

function lookAt(
  guide: ReturnType<typeof compileGuide>,
  character: CompiledCharacter,
  value: ReadingValue,
): Look | undefined {
  return toLook(guide, {
    id: 'r' as Read['id'],
    piece: 'p' as Read['piece'],
    character: character.id,
    value,
    sureness: 'sure',
    by: 'observer',
    at: '2026-09-14T08:00:00.000Z',
  });
}

/**
 * For each listed pair of a collectable target and a deadly or serious lookalike: the bars that readings can
 * give which are true of the lookalike by one of the accounts of it, and which do not speak against the
 * target.
 */
export function worstOfPairs(): { readonly pairs: number; readonly worst: readonly Worst[] } {
  const guide = compileGuide(shippedGuide());
  const answers = answersOnFile();
  const worst: Worst[] = [];
  let pairs = 0;
  const grounds = (target: CompiledTaxon, danger: CompiledTaxon) =>
    guide.characters.flatMap((character) =>
      shippedReadings().flatMap((reading) => {
        const entry = entryOf(reading, danger.id, character.id);
        if (!entry || character.place) return [];
        const unit = character.character.kind === 'measure' ? character.character.unit : 'mm';
        const asState = (state: string): ReadingValue => ({ kind: 'states', states: [state as StateId] });
        const asNumber = (number: number): ReadingValue =>
          character.character.kind === 'count'
            ? { kind: 'count', number: Math.round(number) }
            : { kind: 'measure', number, unit };
        const values = [
          ...(entry.can ?? []).filter((state) => character.stateBit.has(state)).map(asState),
          ...(entry.outer ?? []).map(asNumber),
        ];
        return values.flatMap((value) => {
          const look = lookAt(guide, character, value);
          if (
            !look ||
            relationOverall(look, danger) !== 'against' ||
            relationAtStages(look, target, wantedStages(target)) === 'against'
          )
            return [];
          return [{ group: character.group, causes: look.causes, character: character.id }];
        });
      }),
    );
  for (const target of guide.taxa.filter(isCollectable)) {
    for (const id of target.taxon.lookalikes) {
      const danger = guide.taxon(id);
      if (!danger || (danger.grade !== 'deadly' && danger.grade !== 'serious')) continue;
      pairs += 1;
      const found = largestIndependent(grounds(target, danger));
      if (found.length === 0) continue;
      const characters: string[] = found.map(({ character }) => character);
      const why = answers
        .filter(
          (a) =>
            !a.taken &&
            a.taxon === danger.id &&
            a.character !== undefined &&
            characters.includes(a.character),
        )
        .map((a) => a.why);
      worst.push({
        target: target.taxon.scientificName,
        danger: danger.taxon.scientificName,
        bars: found.length,
        characters,
        why: [...new Set(why)],
      });
    }
  }
  return { pairs, worst: worst.sort((a, b) => b.bars - a.bars) };
}
