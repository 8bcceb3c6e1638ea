import { barsShort, lookAgain, shopping } from './bars';
import { askForEater, notForEater } from './eaters';
import { groupRule, notEarned, secondLookMissing, secondLookOff } from './group';
import { contextMissing, tracingMissing } from './missing';
import {
  forgoneFamily,
  forgoneTaxon,
  identified,
  nameOpen,
  nearDouble,
  nearRelatives,
  notWanted,
  otherKingdom,
  unreviewed,
} from './name';
import { conditionRulesOut, partHarmful, partNotAtStage, partNotWanted, useNotKnown } from './part';
import {
  dangerousNeighbours,
  heightDoubt,
  notTraced,
  placeContaminated,
  placeDoubt,
  placeForbidden,
  placeStrains,
  protectedHere,
  seasonDoubt,
} from './place';
import {
  contradicted,
  contradictedAndDangerFits,
  contradictedOpen,
  disputed,
  otherPieceAgainst,
  passedOver,
  stageDisputed,
  takenBack,
  unanswered,
} from './readings';
import type { ReasonBy } from './rule';
import { groupsShort, signatureMissing, strained } from './target';

/**
 * The rules of the verdict, in the order in which their reasons are given. A new rule is one object in the
 * file of its matter, one line here, and one sentence for its code in the words of the interface.
 */

/** Any of these rules a find out. */
export const LEAVE_RULES = [
  otherKingdom,
  contradicted,
  contradictedAndDangerFits,
  conditionRulesOut,
  notWanted,
  partHarmful,
  partNotWanted,
  useNotKnown,
  partNotAtStage,
  placeForbidden,
  placeContaminated,
  nearDouble,
  notForEater,
  protectedHere,
  forgoneTaxon,
  forgoneFamily,
] as const;

/** What may be missing or open before the bars are counted. */
export const PAUSE_RULES = [
  contradictedOpen,
  takenBack,
  stageDisputed,
  otherPieceAgainst,
  unanswered,
  signatureMissing,
  groupsShort,
  strained,
  contextMissing,
  askForEater,
  nameOpen,
  notTraced,
  tracingMissing,
] as const;

/** What a group asks of each row. */
export const ROW_RULES = [secondLookMissing, notEarned] as const;

/** What may be missing of the bars themselves. */
const BAR_RULES = [barsShort, lookAgain] as const;

/** What is given with a verdict, whatever it is. */
const NOTE_RULES = [
  identified,
  disputed,
  shopping,
  passedOver,
  dangerousNeighbours,
  placeDoubt,
  placeStrains,
  seasonDoubt,
  heightDoubt,
  groupRule,
  secondLookOff,
  unreviewed,
  nearRelatives,
] as const;

/** What follows once the bars are counted. */
export const RULES_AFTER_BARS = [...ROW_RULES, ...BAR_RULES, ...NOTE_RULES] as const;

/** All rules. */
export const RULES = [...LEAVE_RULES, ...PAUSE_RULES, ...RULES_AFTER_BARS] as const;

/** Why a verdict is what it is: a code and its parameters. The interface words them. */
export type Reason = ReasonBy<(typeof RULES)[number]>;
export type ReasonCode = Reason['code'];

export { barsShort } from './bars';
export { type ContextField } from './missing';
export { reasonsBy, type BarsBasis, type Basis, type ReasonBy } from './rule';
export { count, haveAndNeed, word } from './shapes';
