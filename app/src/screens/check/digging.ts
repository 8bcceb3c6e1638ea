import { nextChecks, type Case } from '@pause/core';
import { guide } from '../../deciding/guide';

/** Asking whether a plant may be dug up. */

export const MAY_DIG = 'May one be dug up for looking?';
export const MAY_DIG_HINT = 'Only where owner and law allow it, and ten or more stand there.';

/** Whether a look at the root would bring a find on, where nobody has said yet whether one may be dug up. */
export function wouldDigHelp(find: Case): boolean {
  return (
    find.kingdom === 'Plantae' &&
    find.context.mayDig === undefined &&
    nextChecks(guide, { ...find, context: { ...find.context, mayDig: true } }).length > 0
  );
}
