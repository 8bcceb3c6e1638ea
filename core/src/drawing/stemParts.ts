import { type Point, curve } from './geometry';
import type { Outline } from './leaf';
import { type Mark, placed, stroke, segment, shape } from './mark';
import { small } from './stemMarks';

/** Pieces of which stems are drawn. */

/** A leaf on a short stalk, at a place on a stem, leaning so many degrees from upright. */
export const leafAt = (at: Point, turn: number, length: number, outline?: Outline): Mark[] =>
  placed([stroke(segment(0, 0, 0, -5)), ...placed(small(length, outline), { at: [0, -4] })], { at, turn });

export const upright = (x = 60, top = 6, bottom = 76): Mark[] => [stroke(segment(x, bottom, x, top), 'bold')];
export const earth = (y = 74): Mark => stroke(curve([12, y], [40, y - 1], [70, y + 1], [108, y]), 'faint');

/** A leaf answer stands upright in the middle of its card. */
export const standing = (marks: readonly Mark[], foot = 76): Mark[] => placed(marks, { at: [60, foot] });

export const twig = (): Mark =>
  shape([...curve([14, 52], [50, 46], [106, 40]), ...curve([106, 46], [50, 54], [14, 62])], 'paper', 'line');
