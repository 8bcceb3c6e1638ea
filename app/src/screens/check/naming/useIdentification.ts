import { useMemo } from 'react';
import type { FindSummary, Unnamed } from '@pause/core';
import type { Identification } from '@pause/core/advice/identify';
import { guide } from '../../../deciding/guide';
import { late } from '../../../lib/late';
import { useOwnRates } from '../../../notebook/ownRates';

const { useNeeded: useIdentify } = late<typeof import('@pause/core/advice/identify')>(
  () => import('@pause/core/advice/identify'),
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
