export {
  PieceId,
  ReadingId,
  Instant,
  Sureness,
  differInStates,
  numberRead,
  ReadingValue,
  Reading,
  statesRead,
  Piece,
  Withdrawal,
  Skip,
  Condition,
  Permission,
  Contamination,
  Protection,
  Eater,
  OpenName,
  Context,
  Case,
  Unnamed,
} from './schema';
export { caseProblems, parseCase, parseUnnamed, checkValue, CaseError, type CaseProblem } from './parse';
export { isDug, mayBeDug, needsDigging } from './digging';
export { viewCase, toLook, type CaseView, type Look } from './view';
export { GROUP_POLICY, Policy } from './policy';
