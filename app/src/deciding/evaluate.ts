import {
  answerEffects,
  evaluate as evaluateFind,
  planAsAsked,
  type AnswerEffect,
  type AskedPlan,
  type Case,
  type Check,
  type CharacterId,
  type Verdict,
} from '@pause/core';
import { guide } from './guide';

/** All that a screen needs to know about a find, from one pass of the core. */
export interface Evaluation {
  readonly verdict: Verdict;
  readonly checks: readonly Check[];
  /** The checks that will be asked from here on, or what is in the way. */
  readonly plan: AskedPlan;
}

/** What bars and strip show; it is there some ten times sooner than the plan. */
export type Judgement = Omit<Evaluation, 'plan'>;

export function judge(find: Case): Judgement {
  return evaluateFind(guide, find);
}

export function planOf(find: Case): AskedPlan {
  return planAsAsked(guide, find);
}

export function evaluate(find: Case): Evaluation {
  return { ...judge(find), plan: planOf(find) };
}

export function effects(find: Case, character: CharacterId): AnswerEffect[] {
  return answerEffects(guide, find, character);
}
