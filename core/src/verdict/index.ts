export { barsShort, decide, verdictFrom, weigh, type Verdict, type Weighed } from './decide';
export { staysMissing } from './leansOn';
export { type Outcome } from './judge';
export { type ContextField, type Reason, type ReasonCode } from './rules';
export { alikeTo, type Alike } from './identified';
export { looksAreDone } from './looksDone';
export { lacksOnlySecondLooks, mayFallShort, moreWanted, SPARE_COUNTS } from './lookAgain';
export { extraBars, shopping, type Shopping } from './shopping';
export { passedOver, rootPassedOver, unanswered } from './unanswered';
export {
  BARS_NEEDED,
  barRows,
  countBars,
  dangersOf,
  filled,
  gradeBy,
  groundsAgainst,
  largestIndependent,
  needOf,
  routeOf,
  rowAgain,
  short,
  tally,
  type Bar,
  type BarRow,
  type Dangers,
  type Ground,
  type Tally,
} from './bars';
export { asksForTracing, cautionsFor, isLookedAt, meets } from './context';
export { expectedHere, type Expected } from './expected';
export { asksOfRows, taxonContent, type GroupRule } from './policy';
export { couldFit, disputesStage, fitsAll, relationAtStages, relationOverall } from './relation';
export { disputedCharacters, settle, LOOKS_THAT_COUNT, LOOKS_TO_LEAVE, type Settled } from './settle';
export {
  GROUPS_NEEDED,
  holds,
  ODD_MARK_GROUPS,
  STRAIN_SHARE,
  type SignatureMark,
  type TargetHolds,
} from './target';
