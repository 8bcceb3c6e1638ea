import { useCallback, useEffect, useRef, useState } from 'react';
import { isoOf } from '@pause/core/lib/day';
import type { PracticeFields } from '@pause/core/practice';
import { inTurn, changeFields } from '../../notebook/changeFields';
import { begin } from '../../notebook/pantry';
import { useAct } from '../../notebook/store';
import { useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/practice';

type Kept = Pick<PracticeFields, 'answers' | 'finds'>;
interface Sitting {
  readonly kept: Kept;
  /** Adds to what was done; it is put down after a handful of answers, and when somebody leaves. */
  readonly keep: (more: Partial<Kept>) => void;
  /** Puts down what was not yet. */
  readonly flush: () => void;
}

/** All of a sitting is recorded anew each time, so not after every answer. */
const A_HANDFUL = 6;
const filled = ({ answers, finds }: Kept): Partial<Kept> => ({
  ...(answers.length > 0 ? { answers } : {}),
  ...(finds.length > 0 ? { finds } : {}),
});

/** A sitting, put down as it goes on: whoever stops in the middle has what they did. */
export function useSitting(what: PracticeFields['what'], lesson?: string): Sitting {
  const act = useAct();
  const on = isoOf(useDay());
  const [turn] = useState(() => t.sitting(Math.random()));
  const all = useRef<Kept>({ answers: [], finds: [] });
  const page = useRef<string | undefined>(undefined);
  const open = useRef(0);
  const [kept, setKept] = useState<Kept>({ answers: [], finds: [] });
  const flush = useCallback(() => {
    if (open.current === 0) return;
    open.current = 0;
    // One after the other, so that the page is begun once.
    void inTurn(turn, async () => {
      const fields = filled(all.current);
      if (page.current !== undefined) await act(changeFields(page.current, 'practice', () => fields));
      else
        page.current = await act(
          begin('practice', { on, what, ...(lesson === undefined ? {} : { lesson }), ...fields }, undefined),
        );
    });
  }, [act, on, turn, what, lesson]);
  const keep = useCallback(
    (more: Partial<Kept>) => {
      all.current = {
        answers: [...all.current.answers, ...(more.answers ?? [])],
        finds: [...all.current.finds, ...(more.finds ?? [])],
      };
      setKept(all.current);
      open.current += 1;
      // A find of the practice wood takes minutes, an answer seconds.
      if (more.finds !== undefined || open.current >= A_HANDFUL) flush();
    },
    [flush],
  );
  useEffect(() => {
    const hidden = () => {
      if (document.visibilityState === 'hidden') flush();
    };
    document.addEventListener('visibilitychange', hidden);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      flush();
    };
  }, [flush]);
  return { kept, keep, flush };
}
