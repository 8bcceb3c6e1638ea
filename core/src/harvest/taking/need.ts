/** How much is needed: by whom, how often, and what the preparation leaves of it. */

export interface Need {
  /** Who eats or uses it. */
  readonly eaters: number;
  /** Times that each of them has it: once for now, more for the store. */
  readonly servings: number;
  /** Grams of it, ready, each time. */
  readonly servingGrams: number;
  /**
   * What the preparation leaves of a gram as it was picked: dried leaves about a fifth. Above 0, up to 1;
   * what takes up water is reckoned without it.
   */
  readonly yield: number;
  /** Grams that are in the store already, ready. */
  readonly inStore?: number | undefined;
}

/** @returns grams as they are picked @throws RangeError naming the field that is no such number */
export function gramsNeeded({ eaters, servings, servingGrams, yield: left, inStore = 0 }: Need): number {
  for (const [field, value] of Object.entries({ eaters, servings, servingGrams, inStore }))
    if (!(value >= 0 && Number.isFinite(value))) throw new RangeError(`${field}: nothing or more`);
  if (!(left > 0 && left <= 1)) throw new RangeError('yield: above 0 and no more than 1');
  return Math.max(0, eaters * servings * servingGrams - inStore) / left;
}

/** What can be carried, and made ready before it spoils. */
export interface Hands {
  /** Litres that still fit into basket and bags. */
  readonly basketLitres?: number | undefined;
  /** Hours that somebody has for it before it spoils. */
  readonly hours?: number | undefined;
  /** Grams that one gets through in an hour. */
  readonly gramsPerHour?: number | undefined;
}

/**
 * @param gramsPerLitre as it lies in the basket
 * @returns grams, and which of the two is short; undefined where neither is known
 */
export function gramsForHands(
  { basketLitres, hours, gramsPerHour }: Hands,
  gramsPerLitre: number,
): { readonly grams: number; readonly short: 'basket' | 'hours' } | undefined {
  for (const [field, value] of Object.entries({ basketLitres, hours, gramsPerHour }))
    if (value !== undefined && !(value >= 0 && Number.isFinite(value)))
      throw new RangeError(`${field}: nothing or more`);
  const basket = basketLitres === undefined ? undefined : basketLitres * gramsPerLitre;
  const work = hours === undefined || gramsPerHour === undefined ? undefined : hours * gramsPerHour;
  if (basket === undefined && work === undefined) return undefined;
  return (basket ?? Infinity) <= (work ?? Infinity)
    ? { grams: basket ?? 0, short: 'basket' }
    : { grams: work ?? 0, short: 'hours' };
}
