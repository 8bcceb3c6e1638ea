import { useState, useRef, useEffect, useCallback } from 'react';
import type { CharacterId, Verdict, Check, AnswerEffect, Case } from '@pause/core';
import { askEffects } from '../../notebook/reconsider';
import { useAct } from '../../notebook/store';
import type { CheckNow } from './CheckParts';

/** What the check waits for, and what each answer would do. */

/** What was answered last, and what the find came to before it. */
interface Saving {
  readonly character: CharacterId;
  readonly before: Verdict;
}

/** What is judged sooner is not shown as busy first: that would be one more drawing to wait for. */
const SOON_MS = 80;

/**
 * What was answered a moment ago and is still being judged. Held beside the drawing: a tap draws nothing anew
 * until what it came to does, or until that takes long.
 */
export function useSaving() {
  const [held] = useState(() => {
    let saving: Saving | undefined;
    const listeners = new Set<() => void>();
    const say = () => {
      for (const hear of listeners) hear();
    };
    return {
      get: () => saving,
      set: (next: Saving | undefined) => {
        saving = next;
        if (next) setTimeout(say, SOON_MS);
        else say();
      },
      subscribe: (hear: () => void) => {
        listeners.add(hear);
        return () => {
          listeners.delete(hear);
        };
      },
    };
  });
  return held;
}

/**
 * Whether this very question was answered a moment ago: a second tap would answer it twice. An answer to any
 * other one counts.
 */
export const isJudging = (
  saving: Saving | undefined,
  check: Check | undefined,
  { current, evaluation }: CheckNow,
) =>
  saving !== undefined &&
  saving.character === check?.character &&
  (!current || saving.before === evaluation.verdict);

/**
 * The same function for as long as the screen is there, doing what the newest one does: what is handed on need
 * not be drawn anew.
 */
export function useLatest<Args extends unknown[]>(work: (...args: Args) => void): (...args: Args) => void {
  const latest = useRef(work);
  useEffect(() => {
    latest.current = work;
  });
  return useCallback((...args: Args) => latest.current(...args), []);
}

/** How many different values there have been. */
export function useCount(value: unknown): number {
  const [seen, setSeen] = useState({ value, count: 0 });
  if (seen.value !== value) setSeen({ value, count: seen.count + 1 });
  return seen.value === value ? seen.count : seen.count + 1;
}

const NO_EFFECTS: readonly AnswerEffect[] = [];

/** What each answer would do, worked out for the check on show. */
export function useEffects(find: Case, check: Check | undefined, wanted: boolean): readonly AnswerEffect[] {
  const [known, setKnown] = useState<{
    readonly character: CharacterId;
    readonly effects: readonly AnswerEffect[];
  }>();
  const act = useAct();
  const character = check?.character;
  useEffect(() => {
    if (!wanted || !character) return undefined;
    let current = true;
    void act(askEffects(find, character)).then((effects) => {
      if (current) setKnown({ character, effects });
    });
    return () => {
      current = false;
    };
  }, [act, find, character, wanted]);
  return known && known.character === character ? known.effects : NO_EFFECTS;
}
