import { answerEffects, compileGuide, evaluate as evaluateFind, plan, type AnswerEffect, type Case, type Check, type CharacterId, type Plan, type Verdict } from '@pause/core';
import { shippedGuide } from '@pause/guide';

/** The guide that ships, ready for deciding. */
export const guide = compileGuide(shippedGuide());

/** All that a screen needs to know about a find, from one pass of the core. */
export interface Evaluation {
  readonly verdict: Verdict;
  readonly checks: readonly Check[];
  /** The cheapest way to fill everything from here, or what stands in the way. */
  readonly plan: Plan;
}

export function evaluate(find: Case): Evaluation {
  return { ...evaluateFind(guide, find), plan: plan(guide, find) };
}

export function effects(find: Case, character: CharacterId): AnswerEffect[] {
  return answerEffects(guide, find, character);
}
