import { z } from 'zod';
import { PatchSize } from '../../case';

/** How many stand there: counted, estimated from squares or strips, or by their order of magnitude. */

export interface Estimate {
  /** In one of ten cases there are fewer. */
  readonly low: number;
  readonly mid: number;
  /** In one of ten cases there are more. */
  readonly high: number;
}
const number = z.number().int('a whole number').nonnegative('nothing or more').max(1e6);
export const Count = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('counted'), number }),
  /**
   * Numbers in squares or strips of the same size, marked out before looking, and how large the patch is in
   * such squares.
   */
  z.strictObject({
    how: z.literal('squares'),
    counts: z.array(number).min(2, 'two squares or more').max(200),
    squares: number,
  }),
  /** Counted by stage, each plant once. */
  z.strictObject({ how: z.literal('stages'), young: number, grown: number, bearing: number }),
  z.strictObject({ how: z.literal('about'), order: PatchSize }),
]);
export type Count = z.infer<typeof Count>;

/** From and to, as people use these words. */
const ORDERS = { few: [2, 9], tens: [10, 99], hundreds: [100, 999], thousands: [1000, 9999] } as const;
/** A quick count overlooks some and counts some twice. */
const COUNT_ERROR = 0.1;

/**
 * Student's t for one of ten in each tail, by degrees of freedom from 1; beyond the list the normal
 * distribution's.
 */
const T = [
  3.078, 1.886, 1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372, 1.363, 1.356, 1.35, 1.345, 1.341,
  1.337, 1.333, 1.33, 1.328, 1.325,
];
const T_LIMIT = 1.282;

/**
 * From which stage on there is something of a plant to take: leaves, shoots and roots of the grown, flowers
 * and fruit of those that bear.
 */
export const isTaken = (part: string, stage: number, stages: number): boolean =>
  stage === stages - 1 || (stage > 0 && ['root', 'bulb', 'leaf', 'shoot'].includes(part));

/** How many of each stage, where they were counted so. */
export const stagesOf = (count: Count): readonly number[] | undefined =>
  count.how === 'stages' ? [count.young, count.grown, count.bearing] : undefined;

/**
 * How many there are of which this part can be taken.
 *
 * @throws RangeError naming what is wrong: a number below nothing, fewer than two squares, or more squares
 * looked at than there are
 *
 * Source of the interval from squares: simple random sampling without replacement (Cochran, "Sampling
 * Techniques", chapter 2).
 */
export function estimateOf(count: Count, part: string): Estimate {
  switch (count.how) {
    case 'counted':
      return quickly(count.number, 'number');
    case 'stages': {
      const stages = [
        ['young', count.young],
        ['grown', count.grown],
        ['bearing', count.bearing],
      ] as const;
      for (const [field, number] of stages) quickly(number, field);
      return quickly(
        stages.reduce((sum, [, number], at) => sum + (isTaken(part, at, stages.length) ? number : 0), 0),
        'number',
      );
    }
    case 'squares':
      return fromSquares(count.counts, count.squares);
    case 'about': {
      const [from, to] = ORDERS[count.order];
      // Within an order of magnitude each doubling is as likely as the next.
      const at = (share: number) => Math.round(from * (to / from) ** share);
      return { low: at(0.1), mid: at(0.5), high: at(0.9) };
    }
  }
}

function quickly(number: number, field: string): Estimate {
  if (!(number >= 0)) throw new RangeError(`${field}: nothing or more`);
  const off = number < 20 ? 0 : Math.round(number * COUNT_ERROR);
  return { low: number - off, mid: number, high: number + off };
}

function fromSquares(counts: readonly number[], squares: number): Estimate {
  if (counts.some((one) => !(one >= 0))) throw new RangeError('counts: nothing or more in each square');
  if (counts.length < 2)
    throw new RangeError('counts: two squares or more, else nobody knows how they differ');
  if (!(squares >= counts.length)) throw new RangeError('squares: no fewer than were looked at');
  const n = counts.length;
  const counted = counts.reduce((a, b) => a + b, 0);
  const mean = counted / n;
  const variance = counts.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (n - 1);
  const error = squares * Math.sqrt((variance / n) * (1 - n / squares));
  const t = T[n - 2] ?? T_LIMIT;
  const mid = mean * squares;
  // What was counted is there.
  return {
    low: Math.round(Math.max(counted, mid - t * error)),
    mid: Math.round(mid),
    high: Math.round(Math.max(counted, mid + t * error)),
  };
}
