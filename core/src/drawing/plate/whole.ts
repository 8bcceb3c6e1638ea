import type { Sketch } from './sketch';

/** Parts of a plant of which nothing may be stated. */
export type UnknownOrgan = 'leaf' | 'fruit';

/** Sketches, and the characters that they are drawn from. */
export interface Part {
  readonly of: readonly string[];
  readonly sketches: readonly Sketch[];
}

/** A whole taxon, standing at the origin, in millimetres. */
export interface Whole {
  readonly parts: readonly Part[];
  /** Whether it is drawn to sizes that are stated. */
  readonly sized: boolean;
  /** Organs of which nothing is stated: they are a faint outline. */
  readonly unknown: readonly UnknownOrgan[];
}
