import { createEmptyCard, fsrs, Rating, type Card as FsrsCard, type Grade, type State } from 'ts-fsrs';
import type { HarmGrade } from '../guide';

/**
 * When to look at what again: each pair, character and term is a card, by a model of how people forget (FSRS,
 * of ts-fsrs).
 */

/** What is remembered of one card, as plain data. */
export interface Memory {
  readonly stability: number;
  readonly difficulty: number;
  readonly due: string;
  readonly lastReview?: string | undefined;
  readonly times: number;
  readonly lapses: number;
  readonly state: State;
  readonly steps: number;
}

/** What happened with it. In earnest it weighs more than in a drill: that is what it was learned for. */
export type MetAgain =
  | { readonly kind: 'drill'; readonly right: boolean; readonly sure: boolean }
  /** In the field a reading of it was superseded, or a second look disagreed. */
  | { readonly kind: 'field-wrong' }
  /** A stray of the pair was let through. */
  | { readonly kind: 'stray-through' };

const scheduler = fsrs({ enable_fuzz: false, request_retention: 0.9 });
const EARNEST_TIMES = { 'field-wrong': 2, 'stray-through': 3 } as const;

function cardOf(memory: Memory): FsrsCard {
  const empty = createEmptyCard(new Date(memory.due));
  return {
    ...empty,
    due: new Date(memory.due),
    stability: memory.stability,
    difficulty: memory.difficulty,
    reps: memory.times,
    lapses: memory.lapses,
    state: memory.state,
    learning_steps: memory.steps,
    ...(memory.lastReview === undefined ? {} : { last_review: new Date(memory.lastReview) }),
  };
}
function memoryOf(card: FsrsCard): Memory {
  return {
    stability: card.stability,
    difficulty: card.difficulty,
    due: card.due.toISOString(),
    times: card.reps,
    lapses: card.lapses,
    state: card.state,
    steps: card.learning_steps,
    ...(card.last_review ? { lastReview: card.last_review.toISOString() } : {}),
  };
}

/** A card that was never looked at: due at once. */
export const unseen = (now: Date): Memory => memoryOf(createEmptyCard(now));

/** What is remembered after it was met once more. A clock that was set back counts as no time gone by. */
export function met(memory: Memory, what: MetAgain, now: Date): Memory {
  const at =
    memory.lastReview !== undefined && now.getTime() < Date.parse(memory.lastReview)
      ? new Date(memory.lastReview)
      : now;
  const once = (card: FsrsCard, rating: Grade) => scheduler.next(card, at, rating).card;
  if (what.kind === 'drill')
    return memoryOf(once(cardOf(memory), !what.right ? Rating.Again : what.sure ? Rating.Good : Rating.Hard));
  return memoryOf(
    Array.from({ length: EARNEST_TIMES[what.kind] }).reduce<FsrsCard>(
      (card) => once(card, Rating.Again),
      cardOf(memory),
    ),
  );
}

/** How likely it is remembered now, 0 to 1. */
export function remembered(memory: Memory, now: Date): number {
  if (memory.lastReview === undefined) return 0;
  return scheduler.get_retrievability(
    cardOf(memory),
    new Date(Math.max(now.getTime(), Date.parse(memory.lastReview))),
    false,
  );
}

/** How soon one may meet it outdoors: not by what is known, in season, or planned for a walk to come. */
export type Soon = 0 | 1 | 2;

export interface Due {
  readonly id: string;
  readonly memory: Memory;
  /** 2: planned for a walk to come; 1: it can be found now. */
  readonly soon: Soon;
  readonly grade: HarmGrade;
}
const WEIGHT: Readonly<Record<HarmGrade, number>> = { deadly: 4, serious: 3, unpleasant: 2, none: 1 };

/**
 * What to look at in a few minutes: what is due, what the next walk is for first, then what can be found now
 * just now, then what is worst to forget.
 */
export function dueNow(cards: readonly Due[], now: Date, most: number): Due[] {
  const due = cards.filter(({ memory }) => Date.parse(memory.due) <= now.getTime());
  const key = ({ memory, soon, grade }: Due) => 10 * soon + WEIGHT[grade] * (1.2 - remembered(memory, now));
  return [...due].sort((a, b) => key(b) - key(a) || (a.id < b.id ? -1 : 1)).slice(0, most);
}

/**
 * A pair counts as earned while it is remembered well, for a month at least, and was not mistaken dangerously
 * of late.
 */
export const EARNED = { stabilityDays: 30, remembered: 0.9, times: 5, withoutDangerousDays: 60 } as const;
export function isEarned(memory: Memory, lastDangerous: string | undefined, now: Date): boolean {
  const long =
    lastDangerous === undefined ||
    now.getTime() - Date.parse(lastDangerous) >= EARNED.withoutDangerousDays * 86_400_000;
  return (
    long &&
    memory.times >= EARNED.times &&
    memory.stability >= EARNED.stabilityDays &&
    remembered(memory, now) >= EARNED.remembered
  );
}
