import { metresBetween, middleOf } from '../notebook/page/shape';
import type { Stop } from './walk';

/** Patches so near that one walk joins them, in a straight line. */
export const NEAR_METRES = 1500;

/**
 * Places that one walk joins: each of them near to another one of the same walk. Those that nobody drew stand
 * alone.
 *
 * @returns the ids of each walk's places, in the order in which they were given
 */
export function joinedByWalks(stops: readonly Stop[], metres = NEAR_METRES): readonly (readonly string[])[] {
  const points = stops.map(({ shape }) => (shape ? middleOf(shape) : undefined));
  const walkOf = stops.map((_, index) => index);
  for (const [a, p] of points.entries()) {
    for (const [b, q] of points.entries()) {
      if (b <= a || !p || !q || walkOf[a] === walkOf[b] || metresBetween(p, q) > metres) continue;
      const [into, from] = [
        Math.min(walkOf[a] ?? a, walkOf[b] ?? b),
        Math.max(walkOf[a] ?? a, walkOf[b] ?? b),
      ];
      for (const [index, walk] of walkOf.entries()) if (walk === from) walkOf[index] = into;
    }
  }
  return [...new Set(walkOf)]
    .sort((a, b) => a - b)
    .map((walk) => stops.filter((_, index) => walkOf[index] === walk).map(({ id }) => id));
}
