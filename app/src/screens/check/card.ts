import { latePart } from '../../components/latePart';

/** The card is a program of its own, for the screens that ask; it is fetched as soon as one of them is. */
const fetchCard = () => import('./AnswerCard').then((m) => m.AnswerCard);
export const AnswerCard = latePart(fetchCard);
AnswerCard.fetchAhead();
export type { Answer } from './AnswerCard';

/** The card is made anew for each check, so that nothing chosen for one question is carried over to another. */
export function cardKey(check: { readonly character: string } | undefined, change: number): string {
  return `${check?.character ?? ''}:${change}`;
}
