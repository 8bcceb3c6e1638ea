/**
 * Marks pushed apart until none is nearer to another than a finger needs, as little as that takes, and kept
 * within the sheet.
 *
 * @param least pixels between two marks
 */
export function spread(
  marks: readonly (readonly [number, number])[],
  least: number,
  [width, height]: readonly [number, number],
): [number, number][] {
  const inside = (value: number, most: number) =>
    Math.min(Math.max(value, least / 2), Math.max(least / 2, most - least / 2));
  const moved = marks.map(([x, y]): [number, number] => [inside(x, width), inside(y, height)]);
  for (let round = 0; round < 200; round += 1) {
    let still = true;
    for (const [index, a] of moved.entries()) {
      for (const [other, b] of moved.entries()) {
        if (other <= index) continue;
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
        // A target is a square: it is enough to be apart one way.
        const [apartX, apartY] = [least - Math.abs(dx), least - Math.abs(dy)];
        if (apartX <= 0.5 || apartY <= 0.5) continue;
        still = false;
        const way = apartX < apartY ? 0 : 1;
        const push = ((way === 0 ? apartX : apartY) / 2 + 0.5) * ((way === 0 ? dx : dy) >= 0 ? 1 : -1);
        a[way] -= push;
        b[way] += push;
      }
    }
    for (const mark of moved) {
      mark[0] = inside(mark[0], width);
      mark[1] = inside(mark[1], height);
    }
    if (still) break;
  }
  return moved;
}
