import type { Condition, Contamination, OpenName, PieceId } from '../case';
import type { CharacterId, HarmGrade, StageId, TaxonId } from '../guide';

/** Why a verdict is what it is: a code and its parameters. The interface words them. */
export type LeaveReason =
  | { readonly code: 'other-kingdom'; readonly target: TaxonId }
  | { readonly code: 'not-wanted'; readonly target: TaxonId }
  | {
      readonly code: 'contradicted';
      readonly character: CharacterId;
      readonly against: number;
      readonly looks: number;
    }
  | {
      readonly code: 'contradicted-and-danger-fits';
      readonly character: CharacterId;
      readonly taxa: readonly TaxonId[];
    }
  | { readonly code: 'part-not-wanted'; readonly part: string }
  | { readonly code: 'part-harmful'; readonly part: string }
  | { readonly code: 'use-not-known'; readonly part: string; readonly use: string }
  | { readonly code: 'part-not-at-stage'; readonly part: string; readonly good: readonly StageId[] }
  | { readonly code: 'condition-rules-out'; readonly condition: Condition }
  | { readonly code: 'place-forbidden' }
  | { readonly code: 'place-contaminated'; readonly contamination: Contamination }
  /** `group`: a keeper of the group confirmed it for where they gather. */
  | { readonly code: 'protected'; readonly by?: 'group' }
  | { readonly code: 'near-double'; readonly taxon: TaxonId; readonly why: string }
  | {
      readonly code: 'not-for-eater';
      readonly eater: string;
      readonly caution: string;
      readonly text: string;
    }
  | { readonly code: 'forgone-taxon'; readonly target: TaxonId }
  | { readonly code: 'forgone-family'; readonly family: string };

export type PauseReason =
  | {
      readonly code: 'bars-short';
      readonly taxon: TaxonId;
      readonly grade: HarmGrade;
      readonly have: number;
      readonly need: number;
    }
  /**
   * Everything else is there, but these deadly taxa are ruled out by too few bars to spare and too few second
   * looks.
   */
  | { readonly code: 'look-again'; readonly character: CharacterId; readonly taxa: readonly TaxonId[] }
  | { readonly code: 'signature-missing'; readonly character: CharacterId }
  | { readonly code: 'groups-short'; readonly have: number; readonly need: number }
  | { readonly code: 'strained'; readonly strains: number; readonly readings: number }
  | {
      readonly code: 'contradicted-open';
      readonly character: CharacterId;
      readonly against: number;
      readonly looks: number;
    }
  | { readonly code: 'other-piece-against'; readonly character: CharacterId; readonly piece: PieceId }
  | { readonly code: 'taken-back'; readonly character: CharacterId; readonly piece: PieceId }
  | { readonly code: 'unanswered'; readonly characters: readonly CharacterId[] }
  | { readonly code: 'stage-disputed'; readonly character: CharacterId }
  | { readonly code: 'not-traced' }
  | {
      readonly code: 'ask-for-eater';
      readonly eater: string;
      readonly caution: string;
      readonly text: string;
    }
  | { readonly code: 'name-open'; readonly name: OpenName }
  | {
      readonly code: 'second-look-missing';
      readonly taxon: TaxonId;
      readonly have: number;
      readonly need: number;
    }
  /** The group asks that whoever decides has earned the pair with these. */
  | { readonly code: 'not-earned'; readonly taxa: readonly TaxonId[] }
  | { readonly code: 'context-missing'; readonly field: ContextField };

export type ContextField =
  'stages' | 'condition' | 'part' | 'use' | 'permission' | 'contamination' | 'protection' | 'tracedToBase';

/** Rules of a group that shape every verdict of it. */
export type GroupRule = 'extra-bars' | 'more-groups' | 'place-ignored';

/** Said with every verdict, whatever it is. */
export type NoteReason =
  | { readonly code: 'disputed'; readonly character: CharacterId }
  | {
      readonly code: 'shopping';
      readonly freshPieces: number;
      readonly changedTargets: number;
      readonly extraBars: number;
    }
  /** One check may stay unanswered: everything deadly needs a bar more then. */
  | { readonly code: 'passed-over'; readonly character: CharacterId }
  | { readonly code: 'place-doubt'; readonly character: CharacterId }
  | { readonly code: 'place-strains'; readonly character: CharacterId }
  /** Not usual in this month, or at this height, at the recorded stages. */
  /** Dangerous ones are known to stand there, whatever was seen of this piece. */
  | { readonly code: 'dangerous-neighbours'; readonly taxa: readonly TaxonId[] }
  | { readonly code: 'season-doubt'; readonly month: number }
  | { readonly code: 'height-doubt'; readonly elevation: number }
  /** Where the group's rules are stricter than the model, or leave something out of it. */
  | { readonly code: 'group-rule'; readonly rule: GroupRule }
  | { readonly code: 'second-look-off'; readonly taxa: readonly TaxonId[] }
  | { readonly code: 'unreviewed'; readonly taxa: readonly TaxonId[] }
  | { readonly code: 'near-relatives'; readonly names: readonly string[] };

export type Reason =
  | (LeaveReason & { readonly weight: 'leave' })
  | (PauseReason & { readonly weight: 'pause' })
  | (NoteReason & { readonly weight: 'note' });
export type ReasonCode = Reason['code'];
