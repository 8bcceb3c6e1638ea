/**
 * When it is dry: a thin layer loses what water it can still lose at a steady rate (Lewis, "The rate of
 * drying of solid materials", Industrial and Engineering Chemistry 13, 1921), so its weight runs to a last
 * one along an exponential. A few weighings, and what is usual for such a part, say when it gets there and
 * how sure that is.
 */

export interface Weighing {
  /** Hours since the first one. */
  readonly hours: number;
  readonly grams: number;
}
export interface DryingQuestion {
  readonly weighings: readonly Weighing[];
  /** What is usually left of its weight when it is dry, 0 to 1. */
  readonly usualLeft: number;
}
export interface Spread {
  /** In eight of ten cases it lies between the two. */
  readonly low: number;
  readonly mid: number;
  readonly high: number;
}
export interface Drying {
  /** Hours from the first weighing until it is dry. */
  readonly dryAt: Spread;
  /** At which weight it is. */
  readonly dryGrams: Spread;
  /** The middle curve: what it weighs at an hour. */
  readonly at: (hours: number) => number;
  /** How likely it is dry by the last weighing. */
  readonly dry: number;
}

/** It is called dry when no more than so much of its last weight is still to go. */
const CLOSE = 0.05;
/** Kitchen scales show whole grams; and no layer dries just as evenly as the next. */
const SCALE_SD = 0.5;
const LAYER_SD = 0.01;
/** How far from the usual what is left may be (standard deviation of its logarithm). */
const LEFT_SD = 0.3;
/** Rates from a day in a warm kiln to weeks in a damp room, per hour. */
const [SLOWEST, FASTEST] = [1 / 240, 1];
const RATES = 160;
const LEFTS = 60;

/**
 * @throws RangeError naming the field: fewer than two weighings, not in order, a weight of nothing, one that
 * grows by more than damp air explains
 */
export function dryingOf({ weighings, usualLeft }: DryingQuestion): Drying {
  if (!(usualLeft > 0 && usualLeft < 1)) throw new RangeError('usual rest: between 0 and 1');
  if (weighings.length < 2) throw new RangeError('weighings: two or more');
  const first = weighings[0]?.grams ?? 0;
  weighings.forEach(({ hours, grams }, at) => {
    if (!(Number.isFinite(grams) && grams > 0)) throw new RangeError(`weighings[${at}].grams: above nothing`);
    if (at > 0 && !(hours > (weighings[at - 1]?.hours ?? 0)))
      throw new RangeError(`weighings[${at}].hours: later than the one before; was the clock set back?`);
    if (grams > first * 1.1 + 5)
      throw new RangeError(`weighings[${at}].grams: no more than it weighed at first`);
  });
  const deviation = Math.hypot(SCALE_SD, LAYER_SD * first);
  interface Guess {
    readonly rate: number;
    readonly left: number;
    readonly start: number;
    readonly log: number;
  }
  const guesses: Guess[] = [];
  for (let r = 0; r < RATES; r += 1) {
    const rate = SLOWEST * (FASTEST / SLOWEST) ** (r / (RATES - 1));
    const falls = weighings.map(({ hours }) => Math.exp(-rate * hours));
    for (let l = 0; l < LEFTS; l += 1) {
      const z = -3 + (6 * (l + 0.5)) / LEFTS;
      const left = usualLeft * Math.exp(LEFT_SD * z);
      if (left >= 0.97) continue;
      // Only the weight at the start is left to fit, and that is a straight line through nothing.
      const shape = falls.map((fall) => left + (1 - left) * fall);
      const start =
        shape.reduce((sum, s, at) => sum + s * (weighings[at]?.grams ?? 0), 0) /
        shape.reduce((sum, s) => sum + s * s, 0);
      const misfit = shape.reduce((sum, s, at) => sum + ((weighings[at]?.grams ?? 0) - start * s) ** 2, 0);
      guesses.push({ rate, left, start, log: -misfit / (2 * deviation ** 2) - (z * z) / 2 });
    }
  }
  const best = guesses.reduce((a, b) => (b.log > a.log ? b : a));
  const weight = guesses.map(({ log }) => Math.exp(log - best.log));
  const hoursOf = ({ rate, left }: Guess) => Math.max(0, Math.log((1 - left) / (CLOSE * left)) / rate);
  const last = weighings.at(-1)?.hours ?? 0;
  const sum = weight.reduce((a, b) => a + b, 0);
  return {
    dryAt: spreadOf(guesses.map(hoursOf), weight),
    dryGrams: spreadOf(
      guesses.map(({ start, left }) => start * left * (1 + CLOSE)),
      weight,
    ),
    at: (hours) => best.start * (best.left + (1 - best.left) * Math.exp(-best.rate * hours)),
    dry:
      guesses.reduce((chance, guess, at) => chance + (hoursOf(guess) <= last ? (weight[at] ?? 0) : 0), 0) /
      sum,
  };
}

function spreadOf(values: readonly number[], weights: readonly number[]): Spread {
  const order = values
    .map((value, at) => ({ value, weight: weights[at] ?? 0 }))
    .sort((a, b) => a.value - b.value);
  const sum = order.reduce((all, { weight }) => all + weight, 0);
  const at = (share: number) => {
    let reached = 0;
    for (const { value, weight } of order) {
      reached += weight;
      if (reached >= share * sum) return value;
    }
    return order.at(-1)?.value ?? 0;
  };
  return { low: at(0.1), mid: at(0.5), high: at(0.9) };
}

/** Days in a jar that is opened and shaken each day, until no damp has come back. */
export const CONDITIONING_DAYS = 7;
/**
 * How far conditioning is: damp that is seen sends it back to drying, and the days are counted anew.
 *
 * @param looks oldest first, one a day
 */
export function conditioned(looks: readonly { readonly damp: boolean }[]): 'dry-again' | 'go-on' | 'done' {
  if (looks.at(-1)?.damp === true) return 'dry-again';
  const since = looks.length - 1 - looks.map(({ damp }) => damp).lastIndexOf(true);
  return since >= CONDITIONING_DAYS ? 'done' : 'go-on';
}
