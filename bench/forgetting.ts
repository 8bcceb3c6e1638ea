import { type HarmGrade } from '@pause/core';
import { answerPlate } from '@pause/core/drawing';
import {
  cardsOf,
  isEarned,
  met,
  sitting,
  unseen,
  type CardId,
  type Memory,
  type Pictures,
} from '@pause/core/practice';
import { seeded } from '@pause/core/season/weather';
import { collectable, guide } from '../core/test/finds';

/**
 * Whether practice teaches: simulated learners who forget and confuse in a way that is known. `npm run
 * bench:learning` writes docs/learning.md.
 */

export const percent = (share: number) => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;
const known = new Map<string, boolean>();
const pictures: Pictures = {
  state: (character, state) => {
    const name = `${character} ${state}`;
    const have =
      known.get(name) ??
      (guide.character(character)?.character.kind === 'colour' ||
        answerPlate(character, state) !== undefined);
    known.set(name, have);
    return have;
  },
  whole: () => '',
};

// ---- when to repeat ----

/**
 * How somebody forgets, which is not how the schedule thinks they do: strength in days, with a gain that is
 * larger the more had faded, as the spacing of practice has been found to act.
 */
interface Trace {
  strength: number;
  last: number;
}

export class Forgetful {
  private readonly traces = new Map<string, Trace>();
  private readonly hard = new Map<string, number>();
  constructor(private readonly draw: () => number) {}
  /** How likely this pair is told apart on this day; whoever does not remember guesses. */
  knows(card: string, day: number): number {
    const trace = this.traces.get(card);
    return trace ? Math.exp(-Math.max(0, day - trace.last) / trace.strength) : 0;
  }
  /** @returns whether it was right */
  drill(card: string, day: number): boolean {
    const remembered = this.knows(card, day);
    const right = this.draw() < remembered + (1 - remembered) * GUESS;
    const hard = this.hard.get(card) ?? 0.6 + 0.8 * this.draw();
    this.hard.set(card, hard);
    const trace = this.traces.get(card) ?? { strength: 1.2 / hard, last: day };
    const strength = right
      ? trace.strength * (1 + (2.2 / hard) * (0.25 + (1 - remembered)))
      : Math.max(1, trace.strength * 0.45);
    this.traces.set(card, { strength: Math.min(400, strength), last: day });
    return right;
  }
}

/** Two to choose from. */
const GUESS = 0.5;
const DAYS = 56;
export const WEEKDAYS = 5;
const WEIGHT: Readonly<Record<HarmGrade, number>> = { deadly: 1, serious: 1, unpleasant: 0, none: 0 };

export const pairs = cardsOf(guide, collectable, pictures, []).filter(({ id }) => id.startsWith('pair:'));
type Choose = (day: number, most: number, memories: ReadonlyMap<string, Memory>) => readonly CardId[];
export const at = (day: number) => new Date(Date.UTC(2026, 3, 1) + day * 86_400_000);

const scheduled: Choose = (day, most, memories) =>
  sitting({ cards: pairs, memories, soon: () => 0, now: at(day), most, fresh: Math.ceil(most / 2) });
function equally(): Choose {
  let next = 0;
  return (_, most) =>
    Array.from({ length: most }, () => {
      next += 1;
      return (pairs[(next - 1) % pairs.length] as (typeof pairs)[number]).id;
    });
}

/**
 * Of dangerous lookalikes met on the last day, how many are taken for what is looked for; and how many pairs
 * are earned then.
 */
export function eightWeeks(
  choose: Choose,
  minutes: number,
  seed: number,
): { readonly errors: number; readonly earned: number; readonly drills: number } {
  const learner = new Forgetful(seeded(seed));
  const memories = new Map<string, Memory>();
  let drills = 0;
  for (let day = 0; day < DAYS; day += 1) {
    if (day % 7 >= WEEKDAYS) continue;
    for (const card of choose(day, minutes * 3, memories)) {
      const right = learner.drill(card, day);
      drills += 1;
      memories.set(
        card,
        met(memories.get(card) ?? unseen(at(day)), { kind: 'drill', right, sure: true }, at(day)),
      );
    }
  }
  const dangerous = pairs.filter(({ grade }) => WEIGHT[grade] > 0);
  const errors =
    dangerous.reduce((sum, { id }) => sum + (1 - learner.knows(id, DAYS)) * GUESS, 0) / dangerous.length;
  return {
    errors,
    earned: [...memories.values()].filter((memory) => isEarned(memory, undefined, at(DAYS))).length,
    drills,
  };
}

export function weeksRow(minutes: number): string {
  const mean = (choose: () => Choose) => {
    const runs = Array.from({ length: 20 }, (_, seed) => eightWeeks(choose(), minutes, seed + 1));
    return {
      errors: runs.reduce((sum, { errors }) => sum + errors, 0) / runs.length,
      earned: runs.reduce((sum, { earned }) => sum + earned, 0) / runs.length,
      drills: runs.reduce((sum, { drills }) => sum + drills, 0) / runs.length,
    };
  };
  const [ours, same] = [mean(() => scheduled), mean(equally)];
  return (
    `| ${minutes} | ${Math.round(ours.drills)} | ${percent(ours.errors)} | ${percent(same.errors)} | ` +
    `${Math.round(ours.earned)} | ${Math.round(same.earned)} |`
  );
}
