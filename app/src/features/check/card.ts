import { lazy } from 'react';

/** The card is a program of its own, for the screens that ask; it is fetched as soon as one of them is. */
const loading = import('./AnswerCard');
export const AnswerCard = lazy(() => loading.then((m) => ({ default: m.AnswerCard })));
export type { Answer } from './AnswerCard';

/** The card is made anew for each check, so that sureness and torn never carry over. */
export function cardKey(check: { readonly character: string }, change: number): string {
  return `${check.character}:${change}`;
}
