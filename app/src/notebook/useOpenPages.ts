import { useEffect } from 'react';
import { useAct, useApp } from './store';

/** Opens the pages of the notebook where that was not done yet. @returns whether they are there */
export function useOpenPages(): boolean {
  const act = useAct();
  const ready = useApp((state) => state.me.status === 'ready');
  const opened = useApp((state) => state.pages.status === 'ready');
  useEffect(() => {
    if (ready && !opened) void import('./outside').then(({ loadPages }) => act(loadPages()));
  }, [act, opened, ready]);
  return opened;
}
