type Mark = readonly [number, number];

/** Rounds after which marks that are still too near block each other, as in a corner. */
const ROUNDS = 200;
/** Pixels that two marks may be nearer than wanted. */
const SLACK = 0.5;

/**
 * Marks pushed apart until none is nearer to another than a finger needs, as little as that takes, and kept
 * within the sheet.
 *
 * @param least pixels between two marks
 */
export function spread(
  marks: readonly Mark[],
  least: number,
  [width, height]: readonly [number, number],
): [number, number][] {
  const inside = (value: number, most: number) =>
    Math.min(Math.max(value, least / 2), Math.max(least / 2, most - least / 2));
  const within = ([x, y]: Mark): [number, number] => [inside(x, width), inside(y, height)];
  let moved = marks.map(within);
  for (let round = 0; round < ROUNDS; round += 1) {
    if (!pushApart(moved, least)) return moved;
    moved = moved.map(within);
  }
  return oneByOne(marks.map(within), least, within);
}

/** Pushes every two marks that are too near away from each other. @returns whether there were any */
function pushApart(marks: readonly [number, number][], least: number): boolean {
  let pushed = false;
  for (const [index, a] of marks.entries()) {
    for (const b of marks.slice(index + 1)) {
      const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
      // A target is a square: it is enough to be apart one way.
      const [nearX, nearY] = [least - Math.abs(dx), least - Math.abs(dy)];
      if (nearX <= SLACK || nearY <= SLACK) continue;
      pushed = true;
      const way = nearX < nearY ? 0 : 1;
      const push = ((way === 0 ? nearX : nearY) / 2 + SLACK) * ((way === 0 ? dx : dy) >= 0 ? 1 : -1);
      a[way] -= push;
      b[way] += push;
    }
  }
  return pushed;
}

/**
 * Places one mark after the other, each as near to where it belongs as those before it allow. The nearest free
 * spot touches another mark or lies straight beside it, so only such spots are tried.
 */
function oneByOne(
  marks: readonly Mark[],
  least: number,
  within: (mark: Mark) => [number, number],
): [number, number][] {
  const placed: [number, number][] = [];
  for (const [x, y] of marks) {
    const along = (own: number, axis: 0 | 1) => [
      own,
      ...placed.flatMap((one) => [one[axis] - least, one[axis] + least]),
    ];
    const spots = along(x, 0).flatMap((a) => along(y, 1).map((b) => within([a, b])));
    const free = spots.filter(([a, b]) =>
      placed.every((one) => Math.max(Math.abs(one[0] - a), Math.abs(one[1] - b)) >= least - SLACK),
    );
    const nearest = free.sort((a, b) => Math.hypot(a[0] - x, a[1] - y) - Math.hypot(b[0] - x, b[1] - y))[0];
    placed.push(nearest ?? [x, y]);
  }
  return placed;
}
