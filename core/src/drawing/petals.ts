import { type Point, ellipse } from './geometry';
import { type Outline, blade, OUTLINES } from './leaf';
import { type Mark, placed, shape } from './mark';

/** Petals and leaves of which flowers are made. */

export const PETAL: Outline = { base: 0.9, tip: 0.5, ratio: 1.2 };

export const leaf = (at: Point, turn: number, length = 20): Mark[] =>
  placed(blade({ outline: OUTLINES.lanceolate, length, venation: 'one' }), { at, turn });

export const petal = (length: number, outline: Outline = PETAL): Mark[] =>
  blade({ outline, length, venation: 'one' }).slice(0, 1);

/** So many petals round a middle, seen from above. */
export function rosette(
  at: Point,
  count: number,
  length: number,
  outline: Outline = PETAL,
  turn = 0,
): Mark[] {
  return [
    ...Array.from({ length: count }, (_, i) =>
      placed(petal(length, outline), { at, turn: turn + (360 * i) / count }),
    ).flat(),
    shape(ellipse(at[0], at[1], Math.max(1.6, length * 0.16)), 'shade', 'fine'),
  ];
}
