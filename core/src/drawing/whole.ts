import type { Point } from './geometry';
import { placed, type Mark } from './mark';

/** Marks and what they show. */
export interface Part {
  /** Characters that these marks were drawn from. */
  readonly of: readonly string[];
  readonly marks: readonly Mark[];
}

/** A whole taxon, standing at the origin, in millimetres. */
export interface Whole {
  readonly parts: readonly Part[];
  /** Whether it was drawn to millimetres that are stated. */
  readonly sized: boolean;
}

/** A card without its surroundings. */
export const solid = (marks: readonly Mark[] | undefined): Mark[] =>
  (marks ?? []).filter((mark) => mark.ink !== 'faint');
/** From a card of 120 by 80 about (60, foot): so large that a unit is `by`, its foot at the given point. */
export const fromCard = (
  marks: readonly Mark[] | undefined,
  by: number,
  at: Point,
  foot = 74,
  middle = 60,
): Mark[] => placed(placed(marks ?? [], { at: [-middle, -foot] }), { scale: by, at });
