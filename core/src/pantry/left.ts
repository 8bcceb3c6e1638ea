import type { BatchFields, KeptAmount, PortionFields, Source } from '../notebook/page';

/** How much of a batch is left, and amounts on record that cannot be. */

type Unit = KeptAmount['unit'];
export interface Left {
  readonly amount: number;
  readonly unit: Unit;
}

/** Amounts of a batch that went into others, or were eaten, given and thrown out. */
export function takenOf(
  id: string,
  others: readonly { readonly sources: readonly Source[] }[],
): readonly (KeptAmount | undefined)[] {
  return others.flatMap(({ sources }) => sources.flatMap((one) => (one.id === id ? [one.amount] : [])));
}

/**
 * What is left of what was made. Something taken without an amount was all of it; in another unit than it was
 * made in, nobody knows.
 *
 * @returns undefined where nobody recorded how much it came to
 */
export function leftOf(
  made: KeptAmount | undefined,
  taken: readonly (KeptAmount | undefined)[],
  ended = false,
): Left | undefined {
  if (!made) return undefined;
  if (ended || taken.some((one) => one === undefined)) return { amount: 0, unit: made.unit };
  const same = taken.flatMap((one) => (one?.unit === made.unit ? [one.amount] : []));
  return {
    amount: Math.max(0, Math.round((made.amount - same.reduce((a, b) => a + b, 0)) * 100) / 100),
    unit: made.unit,
  };
}

export interface Problem {
  readonly field: string;
  readonly reason: string;
}

/** What cannot be of an amount that is to be taken from something of which so much is left. */
export function takingProblem(
  field: string,
  wanted: KeptAmount,
  left: Left | undefined,
): Problem | undefined {
  if (!left) return undefined;
  if (left.unit !== wanted.unit) return { field, reason: `in ${UNIT[left.unit]}, as it was put down` };
  return wanted.amount > left.amount + 1e-9
    ? { field, reason: `no more than the ${left.amount} ${UNIT[left.unit]} that are left` }
    : undefined;
}
const UNIT: Readonly<Record<Unit, string>> = { g: 'grams', ml: 'millilitres', piece: 'pieces' };

/** What only loses weight cannot come to more than went in. */
const LOSES: readonly BatchFields['method'][] = ['dry', 'roast', 'fresh', 'freeze'];
export function madeProblem(
  method: BatchFields['method'],
  grams: number | undefined,
  made: KeptAmount,
): Problem | undefined {
  if (made.unit === 'g' && grams !== undefined && LOSES.includes(method) && made.amount > grams * 1.02)
    return { field: 'made', reason: `no more than the ${Math.round(grams)} grams that went in` };
  if (made.unit === 'ml' && LOSES.includes(method))
    return { field: 'made', reason: 'by weight or in pieces: it is no liquid' };
  return undefined;
}

/** More than this of a batch is more than a household makes at once. */
const MOST_MADE: Readonly<Record<Unit, number>> = { g: 50_000, ml: 50_000, piece: 500 };
/** What is cooked or bottled with water, sugar or oil comes to no more than this times what went in. */
const MOST_GAINED = 10;

/**
 * Whether what a batch came to is so much that it was probably typed wrongly, and is asked back.
 *
 * @param grams that went in, if anybody knows
 */
export const isImprobablyMade = ({ amount, unit }: KeptAmount, grams: number | undefined): boolean =>
  amount > MOST_MADE[unit] || (unit !== 'piece' && grams !== undefined && amount > grams * MOST_GAINED);

/** @returns what is wrong with what was eaten on the spot: fungi never */
export function onTheSpotProblem(
  kingdom: string,
  what: PortionFields['what'],
  sources: readonly Source[],
): Problem | undefined {
  return kingdom === 'Fungi' && what === 'meal' && sources.some(({ of }) => of === 'find')
    ? {
        field: 'of',
        reason:
          'no fungus is eaten where it is picked: none raw, and none that was not looked at again at home',
      }
    : undefined;
}
