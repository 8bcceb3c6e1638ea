/**
 * Degree-days of one day over a base: the area between base and a sine through the least and the greatest
 * temperature.
 *
 * Source: Baskerville and Emin, "Rapid estimation of heat accumulation from maximum and minimum
 * temperatures", Ecology 50, 1969.
 *
 * @param least of the day, in degrees Celsius
 * @param most of the day
 * @param base below which nothing develops
 */
export function degreeDays(least: number, most: number, base: number): number {
  const mean = (least + most) / 2;
  if (least >= base) return mean - base;
  if (most <= base) return 0;
  const half = (most - least) / 2;
  const crosses = Math.asin((base - mean) / half);
  return ((mean - base) * (Math.PI / 2 - crosses) + half * Math.cos(crosses)) / Math.PI;
}

/** The first index at which a list that never falls reaches a value; its length where it never does. */
export function firstReaching(rising: ArrayLike<number>, value: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((rising[middle] ?? Infinity) >= value) high = middle;
    else low = middle + 1;
  }
  return low;
}
