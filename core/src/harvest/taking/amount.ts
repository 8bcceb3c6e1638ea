import { z } from 'zod';

/** How much of something: in the units that people carry it home in, and in grams inside. */

export const AmountUnit = z.enum(['g', 'litre', 'piece', 'handful']);
export type AmountUnit = z.infer<typeof AmountUnit>;
export const Amount = z.strictObject({
  amount: z.number('a number').nonnegative('an amount of nothing or more').max(1e6),
  unit: AmountUnit,
});
export type Amount = z.infer<typeof Amount>;

/** Grams of one piece, one handful and one litre, as it is picked. */
export type Weights = Readonly<Record<Exclude<AmountUnit, 'g'>, number>>;

/**
 * Rough weights by part, to begin with: rounded from kitchen scales, so one's own weighing comes before them
 * at once. A fruiting body may weigh a tenth or the tenfold.
 */
const BY_PART: Readonly<Record<string, Weights>> = {
  leaf: { piece: 1, handful: 20, litre: 90 },
  shoot: { piece: 3, handful: 30, litre: 110 },
  flower: { piece: 0.5, handful: 10, litre: 60 },
  fruit: { piece: 1, handful: 60, litre: 600 },
  cone: { piece: 0.3, handful: 40, litre: 450 },
  root: { piece: 60, handful: 150, litre: 550 },
  cap: { piece: 25, handful: 60, litre: 220 },
  'fruiting-body': { piece: 25, handful: 70, litre: 260 },
};
const ANY: Weights = { piece: 5, handful: 40, litre: 250 };

export const usualWeights = (part: string): Weights => BY_PART[part] ?? ANY;

/**
 * What a person found on their own scales: so much of a unit weighed so many grams. The last weighing of each
 * unit stands.
 */
export interface Weighing {
  readonly amount: Amount;
  readonly grams: number;
}
export function weighed(weights: Weights, weighings: readonly Weighing[]): Weights {
  return weighings.reduce<Weights>(
    (now, { amount: { amount, unit }, grams }) =>
      unit === 'g' || amount <= 0 || !(grams > 0) ? now : { ...now, [unit]: grams / amount },
    weights,
  );
}

export const toGrams = ({ amount, unit }: Amount, weights: Weights): number =>
  unit === 'g' ? amount : amount * weights[unit];
export const fromGrams = (grams: number, unit: AmountUnit, weights: Weights): number =>
  unit === 'g' ? grams : grams / weights[unit];

/** Grams that one person carries home at most. */
const MOST_CARRIED = 30_000;
/**
 * One's own weighing differs from what is usual by no more than this factor; a fruiting body of the same kind
 * may weigh a tenth or the tenfold.
 */
const MOST_UNUSUAL = 10;

/**
 * Whether an amount is so large that it was probably typed wrongly, and is asked back.
 *
 * @param persons who carried it
 */
export const isImprobable = (grams: number, persons = 1): boolean => grams > MOST_CARRIED * persons;

/** Whether a weighing differs so much from what is usual that it is asked back. */
export function isUnusualWeighing({ amount: { amount, unit }, grams }: Weighing, usual: Weights): boolean {
  if (unit === 'g' || amount <= 0) return false;
  const factor = grams / amount / usual[unit];
  return factor > MOST_UNUSUAL || factor < 1 / MOST_UNUSUAL;
}
