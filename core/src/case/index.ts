export {
  PieceId,
  ReadingId,
  Instant,
  Sureness,
  differInStates,
  numberRead,
  type ReadingValue,
  Reading,
  statesRead,
  Piece,
  Withdrawal,
  Skip,
  Condition,
  type Permission,
  Contamination,
  type Protection,
  type Eater,
  OpenName,
  PatchSize,
  Context,
  Case,
  Unnamed,
} from './schema';
export { type CaseProblem } from './parse';
export { MAY_DIG, bearsDigging, isDug, mayBeDug, needsDigging } from './digging';
export { viewCase, toLook, type CaseView, type Look } from './view';
export { GROUP_POLICY, Policy } from './policy';
