import type { HarmGrade } from '../../guide';

/**
 * Pieces of a basket that is gone through again and again. Each piece is a stray with some chance that nobody
 * knows; each pass over the basket finds each stray with some chance, which is not known exactly either. What
 * was found in each pass says something of both.
 *
 * Method: beta-binomial over the share of strays, in closed form, and summed over the chance that a pass
 * finds one; the same model as removal sampling with a beta prior (Carle and Strub, "A new method for
 * estimating population size from removal data", Biometrics 34, 1978).
 */

/**
 * A chance that is not known exactly: as if it had been seen to come true `yes` times and not to `no` times
 * (a beta distribution).
 */
export interface Belief {
  readonly yes: number;
  readonly no: number;
}

/**
 * How strays come into a basket of which every piece was checked when it was picked: about one in a thousand,
 * and nobody knows it well.
 */
export const USUAL_STRAYS: Belief = { yes: 0.5, no: 500 };
/** Gathered without looking at every piece. */
export const UNCHECKED_STRAYS: Belief = { yes: 0.5, no: 50 };
/**
 * How a pass with the piece checks on big cards, in good light, finds a stray; until a person's own
 * misreadings are known.
 */
export const USUAL_DETECTION: Belief = { yes: 9, no: 1 };
/**
 * How a pass of whoever lets this share of strays slip through finds one: never better than is usual, since
 * practice on drawings is no basket.
 */
export function detectionWith(slip: number): Belief {
  if (!(slip >= 0 && slip <= 1)) throw new RangeError('slip: from 0 to 1');
  const { yes, no } = USUAL_DETECTION;
  const seen = yes + no;
  const finds = Math.min(yes / seen, 1 - slip);
  // Not even whoever finds hardly any finds none for certain.
  return { yes: Math.max(0.05, finds) * seen, no: (1 - Math.max(0.05, finds)) * seen };
}

export interface Sorting {
  readonly pieces: number;
  /** Strays that each pass over all pieces found, in order. */
  readonly found: readonly number[];
  readonly strays?: Belief;
  readonly detection?: Belief;
}
export interface LeftOver {
  /** How likely at least one is left. */
  readonly chance: number;
  /** How many are left, on average. */
  readonly mean: number;
}

/** The least chance that a stray of a kind is left which anybody should put up with. */
export const DEMANDED: Readonly<Record<Exclude<HarmGrade, 'none'>, number>> = {
  deadly: 0.001,
  serious: 0.01,
  unpleasant: 0.05,
};

/** Chances at which the belief in a pass is summed up, spread evenly. */
const GRID = 200;
const NEGLIGIBLE = 1e-16;

/** @throws RangeError naming what is wrong: no pieces, more strays than pieces, a belief of nothing */
export function leftOver(sorting: Sorting): LeftOver {
  const { pieces, found, strays = USUAL_STRAYS, detection = USUAL_DETECTION } = sorting;
  const total = found.reduce((a, b) => a + b, 0);
  if (!(Number.isInteger(pieces) && pieces > 0)) throw new RangeError('pieces: one or more');
  if (found.some((one) => !(Number.isInteger(one) && one >= 0)))
    throw new RangeError('found: nothing or more in each pass');
  if (total > pieces) throw new RangeError('found: more strays than there were pieces');
  for (const [field, { yes, no }] of Object.entries({ strays, detection }))
    if (!(yes > 0 && no > 0)) throw new RangeError(`${field}: both above 0`);
  const most = pieces - total;
  const chances = Float64Array.from({ length: GRID }, (_, at) => (at + 0.5) / GRID);
  // A pass looks only at what the passes before it left.
  const weights = chances.map((d) =>
    found.reduce(
      (logs, one, pass) => logs + one * (Math.log(d) + pass * Math.log(1 - d)),
      (detection.yes - 1) * Math.log(d) + (detection.no - 1) * Math.log(1 - d),
    ),
  );
  const heaviest = weights.reduce((a, b) => Math.max(a, b), -Infinity);
  let [whole, none, sum] = [0, 0, 0];
  for (const [at, d] of chances.entries()) {
    // For each number left: ways to choose them, each missed by every pass, and how likely so many strays are
    // at all. What is the same for all is left out.
    const missed = (1 - d) ** found.length;
    let chance = Math.exp((weights[at] ?? 0) - heaviest);
    for (let left = 0; left <= most; left += 1) {
      whole += chance;
      if (left === 0) none += chance;
      sum += left * chance;
      if (left > 2 && chance < whole * NEGLIGIBLE) break;
      chance *=
        ((most - left) / (left + 1)) * missed * ((strays.yes + total + left) / (strays.no + most - left - 1));
    }
  }
  return { chance: 1 - none / whole, mean: sum / whole };
}

const MOST_PASSES = 20;

/**
 * How many more passes, each finding nothing, bring the chance that one is left under what is demanded;
 * nothing where not even many would: then the basket is not to be eaten of.
 */
export function passesNeeded(sorting: Sorting, demanded: number): number | undefined {
  if (!(demanded > 0 && demanded < 1)) throw new RangeError('demanded: between 0 and 1');
  for (let more = 0; more <= MOST_PASSES; more += 1) {
    const found = [...sorting.found, ...Array.from({ length: more }, () => 0)];
    if (found.length > 0 && leftOver({ ...sorting, found }).chance <= demanded) return more;
  }
  return undefined;
}

export type BasketState =
  /** Nobody has gone through it yet, or not often enough. */
  | { readonly state: 'look-again'; readonly passes: number | undefined; readonly left: LeftOver | undefined }
  | { readonly state: 'gone-through'; readonly left: LeftOver }
  /** A deadly one lay in it: all of it, and what it touched, is put aside, whatever the chance. */
  | { readonly state: 'hold'; readonly left: LeftOver | undefined };

/**
 * @param worst of the lookalikes that could be among the pieces
 * @param strayGrades of those that were found
 */
export function basketState(
  sorting: Sorting,
  worst: HarmGrade,
  strayGrades: readonly HarmGrade[],
): BasketState {
  const left = sorting.found.length > 0 ? leftOver(sorting) : undefined;
  if (strayGrades.includes('deadly')) return { state: 'hold', left };
  // What does no harm is no matter of chance: one look is enough.
  const passes = worst === 'none' ? (left ? 0 : 1) : passesNeeded(sorting, DEMANDED[worst]);
  return passes === 0 && left ? { state: 'gone-through', left } : { state: 'look-again', passes, left };
}
