import type { CompiledTaxon } from '../guide';
import type { Specimen, LookedAt } from './specimen';

/** What somebody met in the practice wood, and what they decided. */

export type WalkDecision = 'collect' | 'leave' | 'not-yet';

/** A find as it is met: what it is, and what somebody hopes it is. */
export interface Encounter {
  readonly specimen: Specimen;
  readonly target: CompiledTaxon;
}

export interface Met extends Encounter {
  readonly looks: readonly LookedAt[];
  readonly decided: WalkDecision;
}
