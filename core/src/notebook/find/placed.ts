/** Lists in the order of time. */

/** Texts that begin with an instant sort as instants do, stamped or not. */
const laterOf = (item: { readonly at: string; readonly stamp?: string | undefined }) => item.stamp ?? item.at;

/**
 * The list with one more, where it belongs by time, and by id where two fell together; the same one again
 * changes nothing.
 */
function placed<T extends { readonly at: string; readonly stamp?: string | undefined }>(
  list: readonly T[],
  item: T,
  id: (item: T) => string,
): T[] {
  const mine = id(item);
  const rest = list.filter((other) => id(other) !== mine);
  const key = laterOf(item);
  let at = rest.length;
  for (
    let before = rest[at - 1];
    before && (laterOf(before) > key || (laterOf(before) === key && id(before) > mine));
    before = rest[at - 1]
  )
    at -= 1;
  return [...rest.slice(0, at), item, ...rest.slice(at)];
}

/**
 * The list with many more at once, each where it belongs: the same as one after the other, for the price of
 * sorting. Of two with the same id the later one of `items` counts.
 */
export function placedAll<T extends { readonly at: string; readonly stamp?: string | undefined }>(
  list: T[],
  items: readonly T[],
  id: (item: T) => string,
): T[] {
  const [only, ...more] = items;
  if (only === undefined) return list;
  if (more.length === 0) return placed(list, only, id);
  const byId = new Map(list.map((item) => [id(item), item] as const));
  for (const item of items) byId.set(id(item), item);
  const before = ([mine, a]: readonly [string, T], [theirs, b]: readonly [string, T]) =>
    compare(laterOf(a), laterOf(b)) || compare(mine, theirs);
  return [...byId].sort(before).map(([, item]) => item);
}
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
