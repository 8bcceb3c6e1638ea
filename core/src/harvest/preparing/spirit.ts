import { above, noLess, within } from './check';

/**
 * Alcohol and water. Volumes of the two do not add up (a litre of each is less than two litres), weights do:
 * so everything is reckoned by weight, and turned into volumes by the density of the mixture at 20 degrees
 * (International Critical Tables; ethanol, per cent by weight, in steps of five).
 */
const DENSITY = [
  0.99823, 0.98938, 0.98187, 0.97514, 0.96864, 0.96168, 0.95382, 0.94494, 0.93518, 0.92472, 0.91384, 0.90258,
  0.89113, 0.87948, 0.86766, 0.85564, 0.84344, 0.83095, 0.81797, 0.80424, 0.78934,
] as const;
const STEP = 0.05;
/** Grams of a millilitre of water, and of alcohol, at 20 degrees. */
export const WATER_DENSITY = DENSITY[0];
const ALCOHOL_DENSITY = DENSITY[20];

/** @param share of alcohol by weight, 0 to 1 @returns grams of a millilitre */
export function densityOf(share: number): number {
  within('share', share, 1);
  const at = Math.min(DENSITY.length - 2, Math.floor(share / STEP));
  const [low, high] = [DENSITY[at] ?? 1, DENSITY[at + 1] ?? 1];
  return low + (high - low) * (share / STEP - at);
}

/** Strength as bottles tell it: per cent of the volume, from a share of the weight. */
export const strengthOf = (share: number): number => (share * densityOf(share) * 100) / ALCOHOL_DENSITY;

/**
 * The share of the weight, from per cent of the volume.
 *
 * @throws RangeError for a strength below 0 or above 100
 */
export function shareOfStrength(strength: number): number {
  within('strength', strength, 100);
  let [low, high] = [0, 1];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (strengthOf(middle) < strength) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * What comes of a spirit and water put together.
 *
 * @returns per cent of the volume, and how many millilitres it makes
 */
export function mixed(
  spiritMl: number,
  strength: number,
  waterGrams: number,
): { readonly strength: number; readonly millilitres: number } {
  noLess('spirit', spiritMl);
  noLess('water', waterGrams);
  const share = shareOfStrength(strength);
  const grams = spiritMl * densityOf(share);
  const all = grams + waterGrams;
  if (all === 0) return { strength: 0, millilitres: 0 };
  const of = (grams * share) / all;
  return { strength: strengthOf(of), millilitres: all / densityOf(of) };
}

export interface TinctureQuestion {
  readonly plantGrams: number;
  /** How much of the plant is water, 0 to 1: dried about 0.1, fresh leaves about 0.8. */
  readonly waterShare: number;
  /** Millilitres of finished liquid to each gram of plant: the 5 of 1:5. */
  readonly ratio: number;
  /** Per cent of the volume, of the finished liquid. */
  readonly strength: number;
  /** Per cent of the volume, of the spirit at hand. */
  readonly spirit: number;
}
export type Tincture =
  | {
      readonly possible: true;
      readonly millilitres: number;
      readonly spiritMl: number;
      readonly spiritGrams: number;
      readonly waterMl: number;
      readonly plantWaterGrams: number;
    }
  /** The spirit is too weak, or the plant brings too much water: as strong as it gets at this ratio. */
  | { readonly possible: false; readonly strongest: number; readonly plantWaterGrams: number };

/**
 * How much spirit and water make a tincture of a ratio and a strength, the water that the plant brings in
 * counted.
 *
 * @throws RangeError naming the field
 */
export function tincture({ plantGrams, waterShare, ratio, strength, spirit }: TinctureQuestion): Tincture {
  above('plant', plantGrams);
  within('water of the plant', waterShare, 1);
  above('ratio', ratio);
  within('strength', strength, 100);
  within('spirit', spirit, 100);
  const millilitres = plantGrams * ratio;
  const plantWaterGrams = plantGrams * waterShare;
  const [wanted, have] = [shareOfStrength(strength), shareOfStrength(spirit)];
  const all = millilitres * densityOf(wanted);
  const spiritGrams = have === 0 ? Infinity : (all * wanted) / have;
  const water = all - spiritGrams - plantWaterGrams;
  if (water < -1e-6 * all)
    return { possible: false, strongest: strongestOf(millilitres, plantWaterGrams, have), plantWaterGrams };
  return {
    possible: true,
    millilitres,
    spiritMl: spiritGrams / densityOf(have),
    spiritGrams,
    waterMl: Math.max(0, water) / WATER_DENSITY,
    plantWaterGrams,
  };
}

/** The strength where all that is not the plant's own water is the spirit. */
function strongestOf(millilitres: number, plantWater: number, have: number): number {
  let [low, high] = [0, have];
  for (let step = 0; step < 60; step += 1) {
    const share = (low + high) / 2;
    const all = millilitres * densityOf(share);
    if (have > 0 && (all * share) / have + plantWater <= all) low = share;
    else high = share;
  }
  return strengthOf(low);
}

/** Below so much by volume, alcohol alone does not keep a plant. */
export const KEEPS_FROM_STRENGTH = 25;
