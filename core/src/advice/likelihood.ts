import type { CaseView, Unnamed, Look } from '../case';
import {
  isPossible,
  isUsual,
  type CompiledCharacter,
  type CompiledTaxon,
  type Known,
  type Relation,
  type StageId,
} from '../guide';
import { expectedHere } from '../verdict';
import type { IdentifyOptions } from './candidate';
import { misreadOf } from './misread';

/** How likely a reading is if the find is of a taxon. */

/** Share of the usual states among what a taxon shows, where occasional ones are stated besides. */
const USUAL_SHARE = 0.9;

/** A place that does not suit lowers a candidate by this at most: it orders, and never rules out. */
const PLACE_FLOOR = 0.15;

/** What month and height speak for a taxon of which the guide does not say when it is about. */
export const HERE_UNKNOWN = 0.6;

/** Expectation of a number nobody knows the range of. */
const NUMBER_UNKNOWN = 0.5;

const SURE_FACTOR = { sure: 1, fairly: 2, guess: 4 } as const;

interface Reckoning {
  readonly placeCounts: boolean;
  readonly misread: IdentifyOptions['misread'];
}

/** Of all that was read, one value a group. */
export function logLikelihood(
  view: CaseView<Unnamed>,
  taxon: CompiledTaxon,
  stages: readonly StageId[] | undefined,
  how: Reckoning,
): number {
  return sumOf(view, how, (look) => likelihood(look, taxon, stages, how.misread));
}

/** How often a kind that the guide does not name shows what none of its like in the guide shows. */
const STRANGE = 0.2;

/**
 * The same for a kind that the guide does not name: it shows of each character what its like in the guide show,
 * each character by itself, and now and then anything.
 */
export function logLikelihoodOfOther(
  view: CaseView<Unnamed>,
  like: readonly CompiledTaxon[],
  stages: readonly StageId[] | undefined,
  how: Reckoning,
): number {
  return sumOf(view, how, (look) => {
    const chances = like.map((taxon) => likelihood(look, taxon, stages, how.misread));
    const mean = chances.reduce((sum, chance) => sum + chance, 0) / Math.max(1, like.length);
    return (1 - STRANGE) * mean + STRANGE * likelihood(look, undefined, stages, how.misread);
  });
}

function sumOf(
  view: CaseView<Unnamed>,
  { placeCounts }: Reckoning,
  chanceOf: (look: Look) => number,
): number {
  const groups = new Map<number, number[]>();
  for (const look of view.looks) {
    if (look.character.place && !placeCounts) continue;
    const chance = chanceOf(look);
    const kept = look.character.place ? Math.max(PLACE_FLOOR, chance) : chance;
    groups.set(look.character.group, [...(groups.get(look.character.group) ?? []), Math.log(kept)]);
  }
  return [...groups]
    .sort(([a], [b]) => a - b)
    .reduce((sum, [, logs]) => sum + logs.reduce((a, b) => a + b, 0) / logs.length, 0);
}

const HERE: Readonly<Record<Relation, number>> = {
  fits: 1,
  strains: 0.6,
  silent: HERE_UNKNOWN,
  against: PLACE_FLOOR,
};

/** How much month and height speak for it; both together no lower than the place alone may. */
export function hereNow(taxon: CompiledTaxon, stages: readonly StageId[] | undefined, find: Unnamed): number {
  const { season, height } = expectedHere(taxon, stages, find.context);
  if (season === 'silent' && height === 'silent') return HERE_UNKNOWN;
  return Math.max(
    PLACE_FLOOR,
    (season === 'silent' ? 1 : HERE[season]) * (height === 'silent' ? 1 : HERE[height]),
  );
}

/** What a taxon shows at the recorded stages it has; over all its stages where none of them is stated. */
export function knownOf(
  character: CompiledCharacter,
  taxon: CompiledTaxon,
  stages: readonly StageId[] | undefined,
): Known | undefined {
  const stated = taxon.atStage.get(character.index);
  const [only, ...more] = (stages ?? []).filter(
    (stage) => taxon.taxon.stages.includes(stage) && character.stages.has(stage),
  );
  return only !== undefined && more.length === 0
    ? (stated?.get(only) ?? taxon.overall.get(character.index))
    : taxon.overall.get(character.index);
}

export function bits(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest = (rest & (rest - 1)) >>> 0) count += 1;
  return count;
}

/** Chance of each state of a character, by bit position, misreading allowed for. */
export function stateChances(
  character: CompiledCharacter,
  known: Known | undefined,
  misread: number,
): number[] {
  const size = character.stateBit.size;
  if (known?.kind !== 'states') return new Array<number>(size).fill(1 / size);
  const occasional = (known.possible & ~known.usual) >>> 0;
  const usualShare = occasional === 0 ? 1 : USUAL_SHARE;
  return Array.from({ length: size }, (_, position) => {
    const bit = (1 << position) >>> 0;
    const shown =
      (known.usual & bit) !== 0
        ? usualShare / bits(known.usual)
        : (occasional & bit) !== 0
          ? (1 - usualShare) / bits(occasional)
          : 0;
    // A misreading may turn what is shown into any other state.
    return shown * (1 - misread) + (1 - shown) * (misread / Math.max(1, size - 1));
  });
}

function likelihood(
  look: Look,
  taxon: CompiledTaxon | undefined,
  stages: readonly StageId[] | undefined,
  own: ReadonlyMap<string, number> | undefined,
): number {
  const { character, reading } = look;
  const misread = Math.min(0.5, misreadOf(character, own) * SURE_FACTOR[reading.sureness]);
  const known = taxon && knownOf(character, taxon, stages);
  if (look.kind === 'states') {
    return stateChances(character, known, misread).reduce(
      (sum, chance, position) => ((look.mask & (1 << position)) !== 0 ? sum + chance : sum),
      0,
    );
  }
  if (!known) return NUMBER_UNKNOWN;
  if (!isPossible(look, known)) return misread;
  return isUsual(look, known) ? 1 - misread : 0.3;
}
