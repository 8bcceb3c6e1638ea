import type { CompiledTaxon } from '@pause/core';
import { cardOf, type CardHistory, type CardId, type Scored, type WalkDecision } from '@pause/core/practice';
import { characterName, characterOf, CommonName, commonName, lowerFirst, numberWord } from './names';

/** Plain words for practice. */

export const DECIDED: Readonly<Record<WalkDecision, string>> = {
  collect: 'Collect',
  leave: 'Leave',
  'not-yet': 'Not yet',
};

/** The way out of what goes on for a while. */
export const TO_PRACTICE = [{ href: '/practice', label: '‹ Practice' }] as const;

export function stateLabel(character: string, state: string): string {
  const known = characterOf(character);
  return (
    (known && 'states' in known ? known.states.find(({ id }) => id === state)?.label : undefined) ?? state
  );
}

/** What a card is about, as a heading. */
export function cardName(id: CardId): string {
  const card = cardOf(id);
  switch (card?.kind) {
    case 'pair':
      return `${CommonName(card.target)} and ${commonName(card.other)}`;
    case 'feature':
      return characterName(card.character);
    case 'term':
      return `${characterName(card.character)}: ${lowerFirst(stateLabel(card.character, card.state))}`;
    case 'stages':
      return `${CommonName(card.taxon)} through the year`;
    case undefined:
      return id;
  }
}

/** What a walk's decision came to, in one line, and why. */
export function resultWords(
  { was, could, risked, open }: Pick<Scored, 'was' | 'could' | 'risked' | 'open'>,
  decided: WalkDecision,
  { is, hoped }: { readonly is: CompiledTaxon; readonly hoped: CompiledTaxon },
): { readonly line: string; readonly why: string; readonly tone: 'good' | 'bad' | 'even' } {
  const [name, hope] = [commonName(is.id), commonName(hoped.id)];
  if (decided === 'collect') {
    if (!was)
      return {
        line: `It was ${name}`,
        why:
          risked === 'none'
            ? `It does no harm, and it is not ${hope}.`
            : `${CommonName(is.id)} is ${risked}. It would have been in the basket.`,
        tone: 'bad',
      };
    if (open !== undefined)
      return {
        line: `It was ${hope}, this time`,
        why: `${CommonName(open)} was not ruled out. What came right by luck comes wrong by luck.`,
        tone: 'bad',
      };
    return {
      line: `It was ${hope}, and you knew`,
      why: 'Everything dangerous that looks like it was ruled out.',
      tone: 'good',
    };
  }
  if (!was) {
    if (decided === 'leave')
      return {
        line: `It was ${name}`,
        why:
          is.grade === 'none'
            ? `It does no harm; it was not ${hope}.`
            : 'You left what would have done harm.',
        tone: 'good',
      };
    return { line: `It was ${name}`, why: 'Nothing was taken, and nothing was settled.', tone: 'even' };
  }
  if (!could)
    return {
      line: `It was ${hope}`,
      why: 'So nobody could know by looks alone. To take nothing was right.',
      tone: 'good',
    };
  return {
    line: `It was ${hope}`,
    why:
      decided === 'leave'
        ? 'It could have been known: a few more looks.'
        : 'A few more looks would have settled it.',
    tone: 'even',
  };
}

/** How long ago something was, as people say it. */
export function agoWords(at: string, now: Date): string {
  const days = Math.max(0, Math.floor((now.getTime() - Date.parse(at)) / 86_400_000));
  if (days === 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 14) return `${numberWord(days)} days ago`;
  if (days < 60) return `${numberWord(Math.round(days / 7))} weeks ago`;
  if (days < 700) return `${numberWord(Math.round(days / 30.4))} months ago`;
  return `${numberWord(Math.round(days / 365))} years ago`;
}

/** How well somebody knows a pair by now, for the field. */
export function practisedWords(history: CardHistory | undefined, earned: boolean, now: Date): string {
  if (!history) return 'You have never practised this pair.';
  return `You last practised this pair ${agoWords(history.last, now)}${earned ? ', and have earned it' : ''}.`;
}

export const percent = (share: number): string => `${Math.round(share * 100)} %`;
export const pointsWords = (points: number): string =>
  `${points > 0 ? '+' : points < 0 ? '−' : ''}${Math.abs(Math.round(points * 10) / 10)}`;
