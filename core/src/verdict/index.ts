export {
  barsShort,
  decide,
  staysMissing,
  verdictFrom,
  weigh,
  type Outcome,
  type Verdict,
  type Weighed,
} from './decide';
export type {
  ContextField,
  GroupRule,
  LeaveReason,
  NoteReason,
  PauseReason,
  Reason,
  ReasonCode,
} from './reason';
export { lacksOnlySecondLooks, mayFallShort, moreWanted, SPARE_COUNTS } from './lookAgain';
export { extraBars, shopping, type Shopping } from './shopping';
export { passedOver, rootPassedOver, unanswered } from './unanswered';
