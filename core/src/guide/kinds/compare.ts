import type { Answers, Known, Seen } from './kind';

/** How what was seen goes with what is known. */

/**
 * `fits`: usual. `strains`: only occasional, or the outer range, or torn with a state that is.
 * `against`: everything seen lies outside all that is known. `silent`: nothing is known.
 */
export type Relation = 'fits' | 'strains' | 'against' | 'silent';

export function compare(seen: Seen, known: Known): Relation {
  if (seen.kind === 'states' && known.kind === 'states') {
    if ((seen.mask & known.possible) === 0) return 'against';
    return (seen.mask & ~known.usual) === 0 ? 'fits' : 'strains';
  }
  if (seen.kind === 'number' && known.kind === 'number') {
    if (seen.high < known.possible[0] || seen.low > known.possible[1]) return 'against';
    const meetsUsual = seen.high >= known.usual[0] && seen.low <= known.usual[1];
    // A measure so vague that it reaches beyond all that is known is no fit.
    const within = seen.low >= known.possible[0] && seen.high <= known.possible[1];
    return meetsUsual && (within || seen.high - seen.low <= (known.usual[1] - known.usual[0]) / 2)
      ? 'fits'
      : 'strains';
  }
  return 'silent';
}

/** Whether some of what was seen is usual. */
export function isUsual(seen: Seen, known: Known): boolean {
  if (seen.kind === 'states' && known.kind === 'states') return (seen.mask & known.usual) !== 0;
  return (
    seen.kind === 'number' &&
    known.kind === 'number' &&
    seen.high >= known.usual[0] &&
    seen.low <= known.usual[1]
  );
}

/** Whether something was seen both times: a state, or a number within both errors. */
export function overlap(a: Seen, b: Seen): boolean {
  if (a.kind === 'states' && b.kind === 'states') return (a.mask & b.mask) !== 0;
  return a.kind === 'number' && b.kind === 'number' && a.low <= b.high && b.low <= a.high;
}

/** Whether more is possible than is usual. */
export const canBeOdd = (known: Known): boolean =>
  known.kind === 'states'
    ? (known.possible & ~known.usual) !== 0
    : known.possible[0] < known.usual[0] || known.possible[1] > known.usual[1];

/** Whether some of what was seen is possible. */
export function isPossible(seen: Seen, known: Known): boolean {
  if (seen.kind === 'states' && known.kind === 'states') return (seen.mask & known.possible) !== 0;
  return (
    seen.kind === 'number' &&
    known.kind === 'number' &&
    seen.high >= known.possible[0] &&
    seen.low <= known.possible[1]
  );
}

/** What is seen of a typical specimen; of a number the whole usual span. */
export const typicallySeen = (known: Known): Seen =>
  known.kind === 'states'
    ? { kind: 'states', mask: known.typical }
    : { kind: 'number', low: known.usual[0], high: known.usual[1] };

/** The same, with the error of the usual instrument. */
export const withError = (seen: Seen, { error }: Answers): Seen =>
  seen.kind === 'states' ? seen : { ...seen, low: seen.low - error, high: seen.high + error };
