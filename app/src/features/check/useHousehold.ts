import { useEffect, useMemo } from 'react';
import { standing, type Context } from '@pause/core';
import { useAct, useApp } from '../../store/store';

type Eaters = NonNullable<Context['eaters']>;

/** Those who eat along at home, with what each has to mind, as told in one's own notebook. */
export function useHousehold(): Eaters {
  const act = useAct();
  const ready = useApp((state) => state.me.status === 'ready');
  const opened = useApp((state) => state.pages.status === 'ready');
  const all = useApp((state) => state.pages.all);
  useEffect(() => { if (ready && !opened) void import('../../store/outside').then(({ layPages }) => act(layPages())); }, [act, opened, ready]);
  return useMemo(() => Object.values(all).filter(({ kind }) => kind === 'eater').map((page) => standing(page, 'eater')).filter(({ eatsAlong }) => eatsAlong !== false)
    .map(({ name = 'Somebody', cautions = [] }) => ({ name: name.slice(0, 80), cautions: cautions.slice(0, MOST) })).sort((a, b) => a.name.localeCompare(b.name)), [all]);
}
/** As many as a find can carry of one person. */
const MOST = 30;
