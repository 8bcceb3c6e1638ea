import { useFocusEffect } from 'expo-router';
import { useCallback } from 'react';
import { loadList } from './repository/finds';
import { useAct, useApp } from './store';

/** The log, fetched anew whenever its screen comes into view and whenever something was sent. */
export function useFinds() {
  const act = useAct();
  const ready = useApp((state) => state.me.status === 'ready');
  const waits = useApp((state) => state.outbox.waiting.length > 0);
  useFocusEffect(
    useCallback(() => {
      if (ready) void act(loadList());
      // Once more when everything has been sent.
      // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [act, ready, waits]),
  );
  return useApp((state) => state.list);
}

/** Today by the notebook's clock. */
export function useToday(): Date {
  const offset = useApp((state) => state.me.person?.offsetMs ?? 0);
  return new Date(Date.now() + offset);
}
