import type { CompiledTaxon } from '@pause/core';
import { cardOf, type CardHistory, type CardId, type Scored, type WalkDecision } from '@pause/core/practice';
import { t } from './en/practice';
import { stateLabel, characterName, CommonName, commonName, lowerFirst, numberWord } from './names';

/** Plain words for practice. */

export const DECIDED: Readonly<Record<WalkDecision, string>> = {
  collect: t.collect,
  leave: t.leave,
  'not-yet': t.notYet,
};

/** The way out of what goes on for a while. */
export const TO_PRACTICE = [{ href: '/practice', label: t.practice }] as const;

/** What a card is about, as a heading. */
export function cardName(id: CardId): string {
  const card = cardOf(id);
  switch (card?.kind) {
    case 'pair':
      return t.and(CommonName(card.target), commonName(card.other));
    case 'feature':
      return characterName(card.character);
    case 'term':
      return `${characterName(card.character)}: ${lowerFirst(stateLabel(card.character, card.state))}`;
    case 'stages':
      return t.throughTheYear(CommonName(card.taxon));
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
        line: t.itWas(name),
        why: risked === 'none' ? t.itDoesNoHarmAnd(hope) : t.isItWouldHaveBeen(CommonName(is.id), risked),
        tone: 'bad',
      };
    if (open !== undefined)
      return {
        line: t.itWasThisTime(hope),
        why: t.wasNotRuledOutWhat(CommonName(open)),
        tone: 'bad',
      };
    return {
      line: t.itWasAndYouKnew(hope),
      why: t.everythingDangerousThatLooksLike,
      tone: 'good',
    };
  }
  if (!was) {
    if (decided === 'leave')
      return {
        line: t.itWas(name),
        why: is.grade === 'none' ? t.itDoesNoHarmIt(hope) : t.youLeftWhatWouldHave,
        tone: 'good',
      };
    return { line: t.itWas(name), why: t.nothingWasTakenAndNothing, tone: 'even' };
  }
  if (!could)
    return {
      line: t.itWasHoped(hope),
      why: t.soNobodyCouldKnowBy,
      tone: 'good',
    };
  return {
    line: t.itWasHoped(hope),
    why: decided === 'leave' ? t.itCouldHaveBeenKnown : t.aFewMoreLooksWould,
    tone: 'even',
  };
}

/** How long ago something was, as people say it. */
export function agoWords(at: string, now: Date): string {
  const days = Math.max(0, Math.floor((now.getTime() - Date.parse(at)) / 86_400_000));
  if (days === 0) return t.today;
  if (days === 1) return t.yesterday;
  if (days < 14) return t.daysAgo(numberWord(days));
  if (days < 60) return t.weeksAgo(numberWord(Math.round(days / 7)));
  if (days < 700) return t.monthsAgo(numberWord(Math.round(days / 30.4)));
  return t.yearsAgo(numberWord(Math.round(days / 365)));
}

/** How well somebody knows a pair by now, for the field. */
export function practisedWords(history: CardHistory | undefined, earned: boolean, now: Date): string {
  if (!history) return t.youHaveNeverPractisedThis;
  const ago = agoWords(history.last, now);
  return earned ? t.youHaveEarnedThisPair(ago) : t.youLastPractisedThisPair(ago);
}

export const percent = (share: number): string => `${Math.round(share * 100)} %`;
export const pointsWords = (points: number): string =>
  `${points > 0 ? '+' : points < 0 ? '−' : ''}${Math.abs(Math.round(points * 10) / 10)}`;
