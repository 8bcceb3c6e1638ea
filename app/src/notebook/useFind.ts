import { useEffect } from 'react';
import { loadFind } from './open';
import type { OpenFind } from './slices';
import { useAct, useApp } from './store';

/** A find by its id, fetched when it is first looked at. */
export function useFind(id: string): OpenFind | undefined {
  const act = useAct();
  const open = useApp((state) => state.finds[id]);
  const ready = useApp((state) => state.me.status === 'ready');
  const known = open !== undefined;
  useEffect(() => {
    if (ready && !known) void act(loadFind(id));
  }, [act, id, ready, known]);
  return open;
}
