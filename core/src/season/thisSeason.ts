import type { Day } from '../lib/day';
import { type Packed, NEVER, beginsOf, packed, endsOf } from './window';

/** What this season has shown so far corrects a forecast. */

/**
 * What was seen this season at a place of one stage: not yet on `after`, there by `by` and still on `still`,
 * and over on `over`.
 */
export interface ThisSeason {
  readonly after?: Day | undefined;
  readonly by?: Day | undefined;
  readonly still?: Day | undefined;
  readonly over?: Day | undefined;
}

const A_WEEK = 7;

/**
 * Only what agrees with what was seen, as often as it takes to stand for all; where nothing does, what is
 * nearest to it.
 */
export function corrected(
  all: readonly Packed[],
  { after = -Infinity, by = Infinity }: Pick<ThisSeason, 'after' | 'by'>,
): Packed[] {
  const agree = all.filter((span) =>
    span === NEVER ? by === Infinity : beginsOf(span) > after && beginsOf(span) <= by,
  );
  if (agree.some((span) => span !== NEVER))
    return all.map((span, index) => (agree.includes(span) ? span : (agree[index % agree.length] ?? NEVER)));
  return all.map((span) => {
    if (span === NEVER) return by === Infinity ? NEVER : packed(by, by + A_WEEK);
    const begins = Math.min(Math.max(beginsOf(span), after + 1), by);
    return packed(begins, Math.max(endsOf(span) + begins - beginsOf(span), begins));
  });
}

/**
 * What was still there on a day lasts beyond it, by a week or a fifth of the time foreseen for all of it;
 * what was over by then lasts no longer.
 */
export function lasting(
  all: readonly Packed[],
  { still = -Infinity, over = Infinity }: Pick<ThisSeason, 'still' | 'over'>,
): Packed[] {
  if (still === -Infinity && over === Infinity) return [...all];
  return all.map((span) => {
    if (span === NEVER) return NEVER;
    const [begins, ends] = [beginsOf(span), endsOf(span)];
    const lasts = ends > still ? ends : still + Math.max(A_WEEK, Math.round((ends - begins) / STILL_LEFT));
    return over <= begins ? NEVER : packed(begins, Math.max(begins, Math.min(lasts, over - 1)));
  });
}

const STILL_LEFT = 5;
