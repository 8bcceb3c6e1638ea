import type { Permission } from '../../case';
import { fromGrams, toGrams, type Amount, type AmountUnit, type Weights } from './amount';
import { gramsForHands, gramsNeeded, type Hands, type Need } from './need';
import { patchCeiling, type PatchCeiling, type PatchQuestion } from './patch';

/**
 * The four ceilings: what is taken is the least of what is needed, what the patch bears, what is allowed, and
 * what basket and hands are good for.
 */

export type CeilingName = 'need' | 'patch' | 'permission' | 'hands';
export interface Ceiling {
  readonly name: CeilingName;
  /** Grams as they are picked; nothing where it is not known yet. */
  readonly grams: number | undefined;
  /** What would have to be recorded, so that it is known. */
  readonly missing: readonly Missing[];
}
export type Missing = 'need' | 'count' | 'life' | 'permission' | 'hands';

export interface TakeQuestion {
  readonly need?: Need | undefined;
  readonly patch: PatchQuestion;
  /** Of the place and the law, for this part of this taxon. */
  readonly permission: Permission;
  /** The most that one person may take in a day. */
  readonly perDay?: Amount | undefined;
  readonly persons: number;
  /** What was taken of it today already, by all of them. */
  readonly takenToday?: readonly Amount[] | undefined;
  readonly hands?: Hands | undefined;
  readonly weights: Weights;
}
export interface Take {
  readonly ceilings: readonly Ceiling[];
  readonly patch: PatchCeiling;
  /**
   * The least of those that are known, in grams; nothing where none is, or where nobody knows whether it is
   * allowed.
   */
  readonly grams: number | undefined;
  /** Which of them is the least. */
  readonly binds: CeilingName | undefined;
  /** Which is the next one, once that is lifted, and by how much that would be more: what would change it. */
  readonly next: { readonly name: CeilingName; readonly grams: number } | undefined;
  /** Whether basket or hours is what hands are short of. */
  readonly short?: 'basket' | 'hours';
}

/** @throws RangeError naming the field that is no such number */
export function take(question: TakeQuestion): Take {
  const { need, permission, perDay, persons, takenToday = [], hands = {}, weights } = question;
  if (!(Number.isInteger(persons) && persons >= 1)) throw new RangeError('persons: one or more');
  const patch = patchCeiling(question.patch);
  const worked = gramsForHands(hands, weights.litre);
  const allowed = permissionGrams(
    permission,
    perDay && toGrams(perDay, weights) * persons,
    takenToday.reduce((sum, one) => sum + toGrams(one, weights), 0),
  );
  const missing = (known: boolean, ...what: Missing[]) => (known ? [] : what);
  const ceilings: Ceiling[] = [
    { name: 'need', grams: need && gramsNeeded(need), missing: missing(need !== undefined, 'need') },
    {
      name: 'patch',
      grams: patch.pieces === undefined ? undefined : patch.pieces * weights.piece,
      missing: missing(patch.pieces !== undefined, patch.share === undefined ? 'life' : 'count'),
    },
    { name: 'permission', grams: allowed, missing: missing(permission !== 'unknown', 'permission') },
    { name: 'hands', grams: worked?.grams, missing: missing(worked !== undefined, 'hands') },
  ];
  const known = ceilings
    .filter(
      (one): one is Ceiling & { grams: number } => one.grams !== undefined && Number.isFinite(one.grams),
    )
    .sort((a, b) => a.grams - b.grams);
  const [least, second] = known;
  const open = permission !== 'unknown' && least !== undefined;
  return {
    ceilings,
    patch,
    grams: open ? least.grams : undefined,
    binds: open ? least.name : undefined,
    next:
      open && second && second.grams > least.grams ? { name: second.name, grams: second.grams } : undefined,
    ...(worked ? { short: worked.short } : {}),
  };
}

/** Infinite where it is allowed without a most. */
function permissionGrams(
  permission: Permission,
  most: number | undefined,
  taken: number,
): number | undefined {
  if (permission === 'unknown') return undefined;
  if (permission === 'forbidden') return 0;
  return most === undefined ? Infinity : Math.max(0, most - taken);
}

/** The same amount in a unit that one can see: pieces and handfuls whole, never more than it is. */
export function seenAmount(grams: number, unit: AmountUnit, weights: Weights): number {
  const amount = fromGrams(grams, unit, weights);
  if (unit === 'piece' || unit === 'handful') return Math.floor(amount + 1e-9);
  return unit === 'g' ? Math.floor(amount + 1e-9) : Math.floor(amount * 10 + 1e-9) / 10;
}
