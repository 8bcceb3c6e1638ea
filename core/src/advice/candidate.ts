import type { TaxonId, HarmGrade } from '../guide';
import type { Hands } from './plan';
import type { TellingCheck } from './telling';

/** What naming a find takes and gives. */

export interface Candidate {
  readonly taxon: TaxonId;
  readonly grade: HarmGrade;
  readonly probability: number;
  /** Nothing read is against it, over all its stages. */
  readonly fitsEverything: boolean;
}

export interface Identification {
  /** Most probable first; the probabilities and `none` add up to 1. */
  readonly candidates: readonly Candidate[];
  /** A kind that the guide does not name: of what grows, it names a part. */
  readonly none: number;
  /**
   * The families that the candidates come from, likeliest first, as a hint; empty where a group does without.
   */
  readonly families: readonly { readonly family: string; readonly probability: number }[];
  readonly checks: readonly TellingCheck[];
}

export interface IdentifyOptions {
  readonly hands?: Hands;
  /** How often this person, or group, found each taxon before. */
  readonly earlierFinds?: Readonly<Record<string, number>>;
  /**
   * How often this person misreads a character, where that was measured; else the guide's own estimate. It
   * orders, and clears nothing.
   */
  readonly misread?: ReadonlyMap<string, number> | undefined;
}
