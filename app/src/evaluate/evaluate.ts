import { answerEffects, compileGuide, decide, nextChecks, type AnswerEffect, type Case, type Check, type CharacterId, type Verdict } from '@pause/core';
import { shippedGuide } from '@pause/guide';

/** The guide that ships, ready for deciding. */
export const guide = compileGuide(shippedGuide());

/** All that a screen needs to know about a find, from one pass of the core. */
export interface Evaluation {
  readonly verdict: Verdict;
  readonly checks: readonly Check[];
}

export function evaluate(find: Case): Evaluation {
  return { verdict: decide(guide, find), checks: nextChecks(guide, find) };
}

export function effects(find: Case, character: CharacterId): AnswerEffect[] {
  return answerEffects(guide, find, character);
}
