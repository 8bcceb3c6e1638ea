import { type Look, type Case, toLook, type ReadingValue, type Reading } from '../../case';
import {
  canBeOdd,
  isNumber,
  usualValues,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
} from '../../guide';

/** What a check will most likely show, if the find is what it is taken for. */

/**
 * Parts of its usual range at which a number is foreseen; and, where nothing else is left to bring a bar,
 * what it may be as well.
 */
const MIDDLE = [0.5];

const SPREAD = [0.1, 0.3, 0.5, 0.7, 0.9];

/** What the target usually shows of a character at the recorded stages, as looks that were not made. */
interface Foreseen {
  readonly looks: readonly Look[];
  /** The same with numbers over their whole usual range. */
  readonly spread: readonly Look[];
  /** It is never seen otherwise, not even now and then. */
  readonly certain: boolean;
}

const foreseenOf = new WeakMap<CompiledGuide, Map<string, Map<number, Foreseen>>>();

export function stagesOf(find: Case, target: CompiledTaxon): readonly StageId[] {
  return find.context.stages ?? target.taxon.stages;
}

/** What the target shows never changes with the find: worked out once for each target at its stages. */
export function foreseen(
  guide: CompiledGuide,
  find: Case,
  target: CompiledTaxon,
): (character: CompiledCharacter) => Foreseen {
  const stages = stagesOf(find, target);
  const name = `${target.id} ${stages.join(' ')}`;
  const ofGuide = foreseenOf.get(guide) ?? new Map<string, Map<number, Foreseen>>();
  foreseenOf.set(guide, ofGuide);
  const known = ofGuide.get(name) ?? new Map<number, Foreseen>();
  ofGuide.set(name, known);
  return (character) => {
    const before = known.get(character.index);
    if (before) return before;
    const looksAt = (parts: readonly number[]) =>
      valuesAt(stages, target, character, parts).flatMap(
        (value) => toLook(guide, supposed(character, value)) ?? [],
      );
    const stated = target.atStage.get(character.index);
    const certain = stages.every((stage) => {
      const at = stated?.get(stage);
      return at === undefined || !(isNumber(character.character) || canBeOdd(at));
    });
    const now = { looks: looksAt(MIDDLE), spread: looksAt(SPREAD), certain };
    known.set(character.index, now);
    return now;
  };
}

/** A reading that is not made, only thought of; later than all that are. */
export function supposed(
  character: CompiledCharacter,
  value: ReadingValue,
  piece = 'supposed' as Reading['piece'],
): Reading {
  return {
    id: 'supposed' as Reading['id'],
    piece,
    character: character.id,
    value,
    sureness: 'sure',
    by: 'nobody',
    at: '9999-12-31T23:59:59.999Z',
  };
}

/** @param parts of its usual range at which a number is thought of */
function valuesAt(
  stages: readonly StageId[],
  target: CompiledTaxon,
  character: CompiledCharacter,
  parts: readonly number[],
): ReadingValue[] {
  const stated = target.atStage.get(character.index);
  const values = new Map<string, ReadingValue>();
  for (const stage of stages) {
    const known = character.stages.has(stage) ? stated?.get(stage) : undefined;
    if (!known) continue;
    for (const [key, value] of usualValues(known, character, parts)) values.set(key, value);
  }
  return [...values.values()];
}
