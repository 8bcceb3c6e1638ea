import type { Made, Method } from './method';

/** What is left of a gram as it was picked. */

const DRY: Readonly<Record<string, number>> = {
  leaf: 0.2,
  shoot: 0.2,
  flower: 0.2,
  fruit: 0.15,
  cone: 0.5,
  root: 0.3,
  cap: 0.1,
  'fruiting-body': 0.1,
};
const COOKED: Readonly<Record<string, number>> = {
  leaf: 0.8,
  shoot: 0.85,
  fruit: 0.9,
  cap: 0.65,
  'fruiting-body': 0.65,
};
/** Nuts and seeds, which are nearly dry as they fall. */
const DRY_FRUIT = 0.7;

/** Rough, from kitchen scales: one's own batches stand before it. */
export function usualYield({ part }: Made, method: Method): number {
  switch (method) {
    case 'dry':
      return part.part === 'fruit' && part.acid !== true ? DRY_FRUIT : (DRY[part.part] ?? 0.2);
    case 'cook':
    case 'roast':
      return COOKED[part.part] ?? 0.8;
    default:
      return 1;
  }
}

export interface OwnYield {
  readonly in: number;
  readonly out: number;
}
/** As if so many batches had come out as is usual. */
const USUAL_COUNTS = 1;
const MOST = 1;

/**
 * What is left, of one's own batches and what is usual: the middle on a scale of ratios. What took up water
 * or sugar says nothing and is left out.
 */
export function learnedYield(
  usual: number,
  own: readonly OwnYield[],
): { readonly yield: number; readonly batches: number } {
  const sound = own.filter((one) => one.in > 0 && one.out > 0 && one.out <= one.in);
  const logs = sound.reduce((sum, one) => sum + Math.log(one.out / one.in), USUAL_COUNTS * Math.log(usual));
  return { yield: Math.min(MOST, Math.exp(logs / (sound.length + USUAL_COUNTS))), batches: sound.length };
}
