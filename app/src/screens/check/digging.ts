import { nextChecks, type Case } from '@pause/core';
import { guide } from '../../deciding/guide';

/**
 * Whether a look at the root would bring a find on, where nobody has said yet whether one may be dug up, and neither
 * owner nor law is against it.
 */
export function wouldDigHelp(find: Case): boolean {
  const { mayDig, permission, protection } = find.context;
  if (find.kingdom !== 'Plantae' || mayDig !== undefined) return false;
  if (permission === 'forbidden' || protection === 'protected') return false;
  const allowed = { mayDig: true, permission: 'allowed', protection: 'allowed' } as const;
  return nextChecks(guide, { ...find, context: { ...find.context, ...allowed } }).length > 0;
}
