/**
 * The reasoning of Pause: pure functions over a guide and a case.
 * No interface, no network, no clock and no randomness that is not passed in.
 * Every name is exported by itself, here or in the index of guide and case, so that a program which reads modules
 * when they are needed reads no others.
 */
export { canonicalJson, sameValue, contentHash, bytesHash } from './lib/canonical';
export { colourDistance, oklab, NEAR, type Oklab } from './lib/colour';
export * from './guide';
export * from './case';
export { relationOverall, couldFit, relationAtStages, disputesStage } from './verdict';
export { expectedHere, type Expected } from './verdict';
export { disputedCharacters, settle, LOOKS_THAT_COUNT, LOOKS_TO_LEAVE, type Settled } from './verdict';
export {
  largestIndependent,
  groundsAgainst,
  filled,
  short,
  rowAgain,
  barRows,
  BARS_NEEDED,
  countBars,
  dangersOf,
  gradeBy,
  needOf,
  routeOf,
  tally,
  type Tally,
  type Dangers,
  type Bar,
  type BarRow,
  type Ground,
} from './verdict';
export {
  holds,
  GROUPS_NEEDED,
  ODD_MARK_GROUPS,
  STRAIN_SHARE,
  type SignatureMark,
  type TargetHolds,
} from './verdict';
export { taxonContent } from './verdict';
export { asksForTracing, cautionsFor, isLookedAt, meets } from './verdict';
export { barsShort, decide, verdictFrom, weigh, type Verdict, type Weighed } from './verdict';
export { staysMissing } from './verdict';
export { type Outcome } from './verdict';
export type { ContextField, GroupRule, Reason, ReasonCode } from './verdict';
export { lacksOnlySecondLooks, looksAreDone } from './verdict';
export { shopping, type Shopping } from './verdict';
export { unanswered } from './verdict';
export { nextChecks, evaluate, weighAndAsk } from './advice/next';
export { answerEffects, type AnswerEffect } from './advice/next/effects';
export { type CheckWhy, type Check } from './advice/next/check';
export { planAsAsked, type AskedCheck, type AskedPlan } from './advice/next/way';
export {
  plan,
  fallbacks,
  buildProblem,
  canBeMade,
  solve,
  mostBars,
  type Hands,
  type Option,
  type PlanProblem,
  type Row,
  type Solution,
  type Obstacle,
  type Plan,
  type PlannedCheck,
} from './advice/plan';
export { partings, type Parting } from './guide/partings';
export {
  applyEntries,
  applyEntry,
  blindAsk,
  caseOf,
  contextOf,
  countOf,
  entriesOf,
  findsOf,
  mayBeBlind,
  neededBy,
  edited,
  FIND_KIND_NAMES,
  FIND_KINDS,
  summaryOf,
  unnamedOf,
  verbatimIdentificationOf,
} from './notebook/find';
export type { Ask, Choice, Decision, Edit, FindRecord, FindSummary, Position } from './notebook/find';
export { latest, nextStamp, Stamp, isTime } from './notebook/stamp';
export type { Entry, FindEntry, PageEntry } from './notebook/entry';
export { fieldHistory, currentFields } from './notebook/page/currentFields';
export type { FieldsOf, PageKind, PageRecord, Sighting } from './notebook/page';
