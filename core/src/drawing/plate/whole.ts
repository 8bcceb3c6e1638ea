import type { Sketch } from './sketch';

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
}
