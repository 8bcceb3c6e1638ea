import { MAY_DIG, nextChecks, type Case } from '@pause/core';
import { guide } from '../../deciding/guide';

/**
 * Whether a look at the root would bring a find on, where nobody has said yet whether one may be dug up, and neither
 * owner, law nor patch is against it.
 */
export function wouldDigHelp(find: Case): boolean {
  const { mayDig, permission, protection, patchSize, patchThrives } = find.context;
  if (find.kingdom !== 'Plantae' || mayDig !== undefined) return false;
  if (permission === 'forbidden' || protection === 'protected') return false;
  if (patchSize === 'few' || patchThrives === false) return false;
  return nextChecks(guide, { ...find, context: { ...find.context, ...MAY_DIG } }).length > 0;
}
