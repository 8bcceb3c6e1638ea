/**
 * The reasoning of Pause: pure functions over a guide and a case.
 * No interface, no network, no clock and no randomness that is not passed in.
 * Every name is told by itself, so that a program which reads modules when they are needed reads no others.
 */
export { canonicalJson, sameValue, contentHash, bytesHash } from './canonical';
export { colourDistance, oklab, NEAR, type Oklab } from './colour';
export {
  isSmelled, harms, slug, text, TaxonId, CharacterId, StateId, StageId, Kingdom, HarmGrade, SharedCause, ObservationMethod, Damage, Route, CautionFor, LengthUnit,
  State, StateCharacter, MeasureCharacter, CountCharacter, Character, Statement, Harm, Part, Caution, Phenology, Need, Regrowth, Benefit, Taxon, BodyPlan, Guide,
} from './guide/schema';
export { parseGuide, GuideError, fieldPath, type GuideProblem } from './guide/parse';
export {
  compileGuide, causesIn, statesIn, CAUSE_BIT, SHARED_CAUSES,
  type CompiledCharacter, type CompiledGuide, type CompiledTaxon, type GuideTables, type Known, type StateMask,
} from './guide/compile';
export { millimetres } from './guide/units';
export {
  PieceId, ReadingId, Instant, Sureness, ReadingValue, Reading, Piece, Withdrawal, Skip, Condition, Permission, Contamination, Protection, Eater, OpenName, Context,
  Case, Unnamed,
} from './case/schema';
export { caseProblems, parseCase, parseUnnamed, checkValue, CaseError, type CaseProblem } from './case/parse';
export { viewCase, toLook, type CaseView, type Look } from './case/view';
export { relationOverall, couldFit, relationAtStages, disputesStage, type Relation } from './relation';
export { expectedHere, type Expected } from './season/expected';
export { disputedCharacters, settle, LOOKS_THAT_COUNT, LOOKS_TO_LEAVE, type Settled } from './settle';
export {
  largestIndependent, groundsAgainst, filled, short, rowAgain, barRows, BARS_NEEDED, dangersOf, gradeBy, needOf, routeOf, tally,
  type Tally, type Dangers, type Bar, type BarRow, type Ground,
} from './bars';
export { holds, GROUPS_NEEDED, STRAIN_SHARE, type SignatureMark, type TargetHolds } from './target';
export { Policy, GROUP_POLICY, taxonContent } from './policy';
export { asksForTracing, cautionsFor } from './context';
export { barsShort, decide, staysMissing, verdictFrom, weigh, type Outcome, type Verdict, type Weighed } from './verdict/decide';
export type { ContextField, GroupRule, LeaveReason, NoteReason, PauseReason, Reason, ReasonCode } from './verdict/reason';
export { shopping, type Shopping } from './verdict/shopping';
export { unanswered } from './verdict/unanswered';
export { nextChecks, evaluate, weighAndAsk, answerEffects, HANDLING_SECONDS, type CheckWhy, type Check, type AnswerEffect } from './next';
export {
  plan, fallbacks, buildProblem, DAMAGE_SECONDS, canBeMade, solve, countBars, mostBars,
  type Hands, type Option, type PlanProblem, type Row, type Solution, type Obstacle, type Plan, type PlannedCheck,
} from './plan';
export { partings, type Parting } from './part';
export { applyEntry, blindAsk, caseOf, contextOf, countOf, entriesOf, findsOf, mayBeBlind, edited, summaryOf, unnamedOf } from './find';
export type { Ask, Choice, Decision, Edit, FindRecord, FindSummary, Position } from './find';
export { heard, nextStamp, Stamp } from './notebook/stamp';
export type { Entry, FindEntry, PageEntry } from './notebook/entry';
export { fieldHistory, standing } from './page/standing';
export type { FieldsOf, PageKind, PageRecord, Sighting } from './page';
