import { useMemo } from 'react';
import { late } from '../lib/late';
import { useApp } from './store';
import { useOpenPages } from './useOpenPages';

const { useIt } = late(() => import('../screens/later').then(({ misreadRates }) => ({ misreadRates })));

/**
 * How often this person misreads what, by their practice; nothing until that is known. It orders, and clears
 * nothing.
 */
export function useOwnRates(): ReadonlyMap<string, number> | undefined {
  useOpenPages();
  const pages = useApp((state) => state.pages.all);
  const me = useApp((state) => state.me.person?.id ?? '');
  const any = useMemo(() => Object.values(pages).some(({ kind }) => kind === 'practice'), [pages]);
  const program = useIt();
  return useMemo(
    () => (any && program ? program.misreadRates(pages, me) : undefined),
    [any, program, pages, me],
  );
}
