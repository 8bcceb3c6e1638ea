import { nextChecks, type Case } from '@pause/core';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/digging';

/** Asking whether a plant may be dug up. */

export const MAY_DIG = t.mayOneBeDugUp;
export const MAY_DIG_HINT = t.onlyWhereOwnerAndLaw;

/** Whether a look at the root would bring a find on, where nobody has said yet whether one may be dug up. */
export function wouldDigHelp(find: Case): boolean {
  return (
    find.kingdom === 'Plantae' &&
    find.context.mayDig === undefined &&
    nextChecks(guide, { ...find, context: { ...find.context, mayDig: true } }).length > 0
  );
}
