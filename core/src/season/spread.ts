import type { Day } from '../lib/day';
import { type Packed, NEVER, packed, beginsOf, endsOf } from './window';

/** A spread of days. */

/**
 * A day that nobody knows exactly: in one of ten cases it is before `low`, in one of ten after `high`, and as
 * often before `mid` as after it.
 */
export interface Spread {
  readonly low: Day;
  readonly mid: Day;
  readonly high: Day;
}

/** A short list from least to most; that it is short is why it is put in order by insertion. */
export function inOrder(list: readonly number[]): Float64Array {
  const sorted = Float64Array.from(list);
  for (let i = 1; i < sorted.length; i += 1) {
    const value = sorted[i] ?? 0;
    let at = i - 1;
    for (; at >= 0 && (sorted[at] ?? 0) > value; at -= 1) sorted[at + 1] = sorted[at] ?? 0;
    sorted[at + 1] = value;
  }
  return sorted;
}

/**
 * Between the two nearest of a sorted list (type 5 of Hyndman and Fan, "Sample quantiles in statistical
 * packages", 1996: each value is the middle of its share).
 */
export function quantile(sorted: Float64Array, share: number): number {
  const place = Math.min(Math.max(share * sorted.length - 0.5, 0), sorted.length - 1);
  const [below, above] = [sorted[Math.floor(place)] ?? 0, sorted[Math.ceil(place)] ?? 0];
  return below + (above - below) * (place - Math.floor(place));
}

export function union(a: Packed, b: Packed): Packed {
  if (a === NEVER || b === NEVER) return Math.max(a, b);
  return packed(Math.min(beginsOf(a), beginsOf(b)), Math.max(endsOf(a), endsOf(b)));
}
