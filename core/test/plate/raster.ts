import { linesOf, type Mark, type Plate, type Point } from '../../src/drawing';

/** A plate as cells: which fill is seen in each, the last that was drawn over it. */

const [ACROSS, DOWN] = [200, 240];

/** Cells of a plate, row by row. Strokes without an outline of their own are left out. */
export function raster(plate: Plate): readonly string[] {
  const cells = Array.from({ length: ACROSS * DOWN }, () => '');
  const [wide, high] = [plate.width / ACROSS, plate.height / DOWN];
  for (const mark of plate.marks) if (mark.closed && mark.fill !== 'none') fill(mark, cells, wide, high);
  return cells;
}

/** By the nonzero rule, as a browser fills a path. */
function fill(mark: Mark, cells: string[], wide: number, high: number): void {
  const edges = linesOf(mark).flatMap((line) =>
    line.map((to, i): readonly [Point, Point] => [line[(i + line.length - 1) % line.length] as Point, to]),
  );
  for (let row = 0; row < DOWN; row += 1) {
    const y = (row + 0.5) * high;
    const crossed = edges
      .filter(([a, b]) => a[1] > y !== b[1] > y)
      .map(([a, b]) => ({
        x: a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]),
        way: b[1] > a[1] ? 1 : -1,
      }))
      .sort((a, b) => a.x - b.x);
    let winding = 0;
    for (const [i, { x, way }] of crossed.entries()) {
      winding += way;
      if (winding === 0) continue;
      const to = crossed[i + 1]?.x ?? x;
      for (let column = Math.max(0, Math.ceil(x / wide - 0.5)); (column + 0.5) * wide < to; column += 1)
        if (column < ACROSS) cells[row * ACROSS + column] = mark.fill;
    }
  }
}

/** In how many cells two plates differ. */
export const apart = (one: readonly string[], other: readonly string[]): number =>
  one.filter((cell, i) => cell !== other[i]).length;
