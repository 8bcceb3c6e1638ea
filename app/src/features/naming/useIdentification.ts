import { useMemo } from 'react';
import type { FindSummary, Unnamed } from '@pause/core';
import type { Identification } from '@pause/core/identify';
import { guide } from '../../evaluate/guide';
import { late } from '../../evaluate/late';
import { useOwnRates } from '../practice/ownRates';

const { useNeeded: useIdentify } = late<typeof import('@pause/core/identify')>(
  () => import('@pause/core/identify'),
);

/**
 * Candidates for what was seen. What orders them is fetched when it is first wanted; what was found before
 * counts for them.
 */
export function useIdentification(
  find: Unnamed | undefined,
  earlier: readonly FindSummary[],
): Identification | undefined {
  const program = useIdentify();
  const misread = useOwnRates();
  return useMemo(() => {
    if (!program || !find) return undefined;
    const earlierFinds: Record<string, number> = {};
    for (const { target, choice } of earlier)
      if (target && choice === 'collect') earlierFinds[target] = (earlierFinds[target] ?? 0) + 1;
    return program.identify(guide, find, { earlierFinds, misread });
  }, [program, find, earlier, misread]);
}
