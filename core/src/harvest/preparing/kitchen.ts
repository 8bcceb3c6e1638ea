/**
 * Units as kitchens keep them; grams and millilitres inside. A cup is the 240 ml of nutrition labels, spoons
 * are 5 and 15 ml.
 */

export const MASS_UNITS = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const;
export const VOLUME_UNITS = {
  ml: 1,
  cl: 10,
  dl: 100,
  l: 1000,
  tsp: 5,
  tbsp: 15,
  cup: 240,
  'fl-oz': 29.5735295625,
  pint: 473.176473,
} as const;
export type MassUnit = keyof typeof MASS_UNITS;
export type VolumeUnit = keyof typeof VOLUME_UNITS;
export type KitchenUnit = MassUnit | VolumeUnit;

/** How much, by weight or by volume: never one for the other. */
export type Quantity =
  { readonly of: 'mass'; readonly grams: number } | { readonly of: 'volume'; readonly millilitres: number };

export function quantity(amount: number, unit: KitchenUnit): Quantity {
  if (!(Number.isFinite(amount) && amount >= 0)) throw new RangeError('amount: nothing or more');
  return unit in MASS_UNITS
    ? { of: 'mass', grams: amount * MASS_UNITS[unit as MassUnit] }
    : { of: 'volume', millilitres: amount * VOLUME_UNITS[unit as VolumeUnit] };
}

/** @throws RangeError where a weight is asked for as a volume, or the other way about */
export function inUnit(of: Quantity, unit: KitchenUnit): number {
  if (of.of === 'mass' && unit in MASS_UNITS) return of.grams / MASS_UNITS[unit as MassUnit];
  if (of.of === 'volume' && unit in VOLUME_UNITS) return of.millilitres / VOLUME_UNITS[unit as VolumeUnit];
  throw new RangeError(`unit: "${unit}" is not a unit of ${of.of}`);
}

const NAMES: Readonly<Record<string, KitchenUnit>> = {
  g: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  ml: 'ml',
  millilitre: 'ml',
  millilitres: 'ml',
  cl: 'cl',
  dl: 'dl',
  l: 'l',
  litre: 'l',
  litres: 'l',
  liter: 'l',
  liters: 'l',
  tsp: 'tsp',
  teaspoon: 'tsp',
  teaspoons: 'tsp',
  tbsp: 'tbsp',
  tablespoon: 'tbsp',
  tablespoons: 'tbsp',
  cup: 'cup',
  cups: 'cup',
  'fl oz': 'fl-oz',
  pint: 'pint',
  pints: 'pint',
};
const FRACTIONS: Readonly<Record<string, number>> = {
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
};

/**
 * An amount as people write it: `250 g`, `1 1/2 cups`, `2½ dl`, `0,5 l`.
 *
 * @param wanted what has to be given: a weight or a volume
 * @returns or what is wrong with it, in one phrase
 */
export function readQuantity(
  text: string,
  wanted?: Quantity['of'],
): { readonly quantity: Quantity } | { readonly problem: string } {
  const given =
    /^\s*(?:(\d+(?:[.,]\d+)?)?\s*([½¼¾⅓⅔])?|(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+))\s*([a-z ]+?)\s*$/i.exec(text);
  if (!given) return { problem: 'a number and a unit, like 250 g or 1 1/2 cups' };
  const [, whole, half, before, over, under, name = ''] = given;
  const amount =
    under === undefined
      ? Number((whole ?? '0').replace(',', '.')) + (half === undefined ? 0 : (FRACTIONS[half] ?? 0))
      : Number(before ?? 0) + Number(over) / Number(under);
  const unit = NAMES[name.toLowerCase()];
  if (unit === undefined) return { problem: `"${name.trim()}" is no unit that Pause knows` };
  if (
    !Number.isFinite(amount) ||
    amount <= 0 ||
    (whole === undefined && half === undefined && under === undefined)
  )
    return { problem: 'an amount above nothing' };
  const read = quantity(amount, unit);
  if (wanted !== undefined && read.of !== wanted)
    return {
      problem: wanted === 'mass' ? `a weight, not ${name.trim()}: weigh it` : `a volume, not ${name.trim()}`,
    };
  return { quantity: read };
}
