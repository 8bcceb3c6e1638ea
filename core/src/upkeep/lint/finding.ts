import type { CharacterId, StageId, StateId, TaxonId } from '../../guide';

/**
 * How well a target can be told from a taxon, how well it should be, and which statements about the taxon would
 * help.
 */
interface Parted {
  readonly target: TaxonId;
  readonly taxon: TaxonId;
  readonly most: number;
  readonly need: number;
  /**
   * Characters that the target states and the taxon leaves unsaid at some stage. Where none is left: declare
   * a near-double.
   */
  readonly unstated: readonly CharacterId[];
}

/**
 * What a guide would have to mend before it can be trusted, beyond being well-formed. `weak` findings are to
 * be mended; `note` findings are to be known.
 */
export type LintFinding = { readonly level: 'weak' | 'note' } & (
  | ({ readonly code: 'few-bars'; readonly stage: StageId } & Parted)
  | {
      readonly code: 'cannot-collect';
      readonly taxon: TaxonId;
      readonly part: string;
      readonly stages: readonly StageId[];
    }
  | { readonly code: 'few-statements'; readonly taxon: TaxonId; readonly have: number; readonly need: number }
  | { readonly code: 'core-unstated'; readonly taxon: TaxonId; readonly character: CharacterId }
  | {
      readonly code: 'contradicts-plan';
      readonly taxon: TaxonId;
      readonly character: CharacterId;
      readonly states: readonly StateId[];
    }
  /**
   * Another taxon can show every mark of the signature at this stage: the signature is not the target's own.
   */
  | {
      readonly code: 'signature-shared';
      readonly target: TaxonId;
      readonly taxon: TaxonId;
      readonly stage: StageId;
      readonly parted: readonly CharacterId[];
    }
  /** What the guide says of a dangerous taxon and fewer than two readings support: it gives no bar. */
  | { readonly code: 'unconfirmed'; readonly taxon: TaxonId; readonly characters: readonly CharacterId[] }
  | { readonly code: 'range-wide'; readonly taxon: TaxonId; readonly character: CharacterId }
  | { readonly code: 'unused-character'; readonly character: CharacterId }
  | { readonly code: 'unused-state'; readonly character: CharacterId; readonly state: string }
  | { readonly code: 'name-means-two'; readonly name: string; readonly taxa: readonly TaxonId[] }
  | { readonly code: 'unreviewed'; readonly taxa: number }
);
