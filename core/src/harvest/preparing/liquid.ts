import { above, noLess, within } from './check';

/** Water, sugar, acid and salt: what is put to what, so that it keeps. */

/** Two levels of a pot that boils down, by the same measure: a ruler's, or a jug's. */
export interface Boiling {
  /** Minutes by one clock. */
  readonly first: { readonly level: number; readonly minute: number };
  readonly second: { readonly level: number; readonly minute: number };
  /** The level to which it is to boil down. */
  readonly target: number;
}
/**
 * When a decoction is boiled down: over one flame, in a pot with straight walls, as much goes in each minute
 * as in the one before.
 *
 * @returns the minute, by the same clock; and by how much the level falls in a minute @throws RangeError
 * naming the field
 */
export function boiledDownAt({ first, second, target }: Boiling): {
  readonly minute: number;
  readonly perMinute: number;
} {
  above('first level', first.level);
  above('second level', second.level);
  above('target', target);
  if (second.minute <= first.minute)
    throw new RangeError('second time: after the first; was the clock set back?');
  if (second.level >= first.level) throw new RangeError('second level: below the first');
  if (target >= first.level) throw new RangeError('target: below the first level');
  const perMinute = (first.level - second.level) / (second.minute - first.minute);
  return { minute: first.minute + (first.level - target) / perMinute, perMinute };
}

/** Of a sugar solution, the share by weight from which it keeps closed and cool without anything else. */
export const SUGAR_KEEPS = 0.65;
/**
 * Grams of sugar that bring a liquid to a share of sugar by weight; what sweetness it has of its own is not
 * counted.
 */
export function sugarFor(liquidGrams: number, share = SUGAR_KEEPS): number {
  noLess('liquid', liquidGrams);
  if (!(share >= 0 && share < 1)) throw new RangeError('share: from 0 to less than 1');
  return (liquidGrams * share) / (1 - share);
}
export function sugarShare(sugarGrams: number, liquidGrams: number): number {
  noLess('sugar', sugarGrams);
  above('liquid', liquidGrams);
  return sugarGrams / (sugarGrams + liquidGrams);
}

/**
 * Of vinegar and water together, in per cent: from so much acid on what is sour too little by itself is
 * pickled. It is household vinegar (5 %) with no more than its own amount of water.
 */
export const PICKLE_ACID = 2.5;
/** Per cent of acid in the liquid of a pickle. @param strength of the vinegar, in per cent */
export function acidOf(vinegarMl: number, strength: number, waterMl: number): number {
  above('vinegar', vinegarMl);
  within('strength', strength, 100);
  noLess('water', waterMl);
  return (vinegarMl * strength) / (vinegarMl + waterMl);
}
/**
 * The most water to so much vinegar, so that it is sour enough; nothing where the vinegar itself is too weak.
 */
export function mostWaterFor(vinegarMl: number, strength: number): number | undefined {
  above('vinegar', vinegarMl);
  within('strength', strength, 100);
  return strength < PICKLE_ACID ? undefined : vinegarMl * (strength / PICKLE_ACID - 1);
}

/** Of all that is in the crock, by weight: below it the wrong ones grow, above it nothing ferments. */
export const FERMENT_SALT = { least: 0.02, most: 0.05 } as const;
/** Salt by weight of plant and water together, in grams. */
export function saltFor(plantGrams: number, waterGrams: number, share = 0.025): number {
  above('plant', plantGrams);
  noLess('water', waterGrams);
  within('share', share, 0.3);
  return (plantGrams + waterGrams) * share;
}
export function saltShare(saltGrams: number, plantGrams: number, waterGrams: number): number {
  noLess('salt', saltGrams);
  above('plant', plantGrams);
  noLess('water', waterGrams);
  return saltGrams / (plantGrams + waterGrams);
}

/** Grams of herb for a liquid at so many grams a litre. A kitchen's measure, and no dose. */
export function herbFor(millilitres: number, gramsPerLitre: number): number {
  above('liquid', millilitres);
  above('grams a litre', gramsPerLitre);
  return (millilitres / 1000) * gramsPerLitre;
}
