import { useMemo } from 'react';
import { standing, type Context } from '@pause/core';
import { useApp } from '../../store/store';
import { useOpenPages } from '../../store/useOpenPages';

type Eaters = NonNullable<Context['eaters']>;

/** Those who eat along at home, with what each has to mind, as told in one's own notebook. */
export function useHousehold(): Eaters {
  useOpenPages();
  const all = useApp((state) => state.pages.all);
  return useMemo(() => Object.values(all).filter(({ kind }) => kind === 'eater').map((page) => standing(page, 'eater')).filter(({ eatsAlong }) => eatsAlong !== false)
    .map(({ name = 'Somebody', cautions = [] }) => ({ name: name.slice(0, 80), cautions: cautions.slice(0, MOST) })).sort((a, b) => a.name.localeCompare(b.name)), [all]);
}
/** As many as a find can carry of one person. */
const MOST = 30;
