import { useFocusEffect } from 'expo-router';
import { useCallback } from 'react';
import { loadList } from '../../store/actions';
import { useAct, useApp } from '../../store/store';

/** The log, fetched anew whenever its screen comes into view and whenever something was sent. */
export function useFinds() {
  const act = useAct();
  const ready = useApp((state) => state.me.status === 'ready');
  const waiting = useApp((state) => state.outbox.waiting.length);
  useFocusEffect(useCallback(() => {
    if (ready && waiting === 0) void act(loadList());
  }, [act, ready, waiting]));
  return useApp((state) => state.list);
}

/** Today by the notebook's clock. */
export function useToday(): Date {
  const offset = useApp((state) => state.me.person?.offsetMs ?? 0);
  return new Date(Date.now() + offset);
}
