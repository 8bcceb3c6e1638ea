import type { Line, Point } from '../../geometry';
import { linesOf, type Mark } from '../../mark';

/** What of a drawing is seen through a round hole. */

/** A circle, in units of the sheet. */
export interface Circle {
  readonly at: Point;
  readonly radius: number;
}

const SIDES = 48;

/** Marks cut off at the edge of a circle; what lies outside is gone. */
export function clipped(marks: readonly Mark[], { at, radius }: Circle): Mark[] {
  const edge = Array.from({ length: SIDES }, (_, i): Point => {
    const a = (i * 2 * Math.PI) / SIDES;
    return [at[0] + radius * Math.cos(a), at[1] + radius * Math.sin(a)];
  });
  return marks.flatMap((mark): Mark[] => {
    const lines = linesOf(mark).flatMap((line) =>
      mark.closed ? outlineWithin(line, edge, { at, radius }) : runsWithin(line, at, radius),
    );
    const [first, ...more] = lines;
    if (!first) return [];
    return [
      {
        ink: mark.ink,
        fill: mark.fill,
        closed: mark.closed,
        line: first,
        ...(more.length > 0 ? { more } : {}),
      },
    ];
  });
}

/** An outline within a convex one that runs clockwise as seen (Sutherland and Hodgman, 1974). */
function outlineWithin(outline: Line, edge: Line, { at: [cx, cy], radius }: Circle): Line[] {
  const inner = radius * Math.cos(Math.PI / SIDES);
  if (outline.every(([x, y]) => Math.hypot(x - cx, y - cy) < inner)) return [outline];
  let left = outline;
  for (let i = 0; i < edge.length && left.length > 0; i += 1) {
    const [a, b] = [edge[i] as Point, edge[(i + 1) % edge.length] as Point];
    const depth = ([x, y]: Point) => (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0]);
    const kept: Point[] = [];
    for (let j = 0; j < left.length; j += 1) {
      const [from, to] = [left[j] as Point, left[(j + 1) % left.length] as Point];
      const [d, e] = [depth(from), depth(to)];
      if (d >= 0) kept.push(from);
      if (d >= 0 !== e >= 0) kept.push(between(from, to, d / (d - e)));
    }
    left = kept;
  }
  return left.length > 2 ? [left] : [];
}

const between = (a: Point, b: Point, share: number): Point => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
];

/** The parts of a line that lie within a circle. */
function runsWithin(line: Line, [cx, cy]: Point, radius: number): Line[] {
  const runs: Point[][] = [];
  let run: Point[] = [];
  const end = () => {
    if (run.length > 1) runs.push(run);
    run = [];
  };
  const isIn = ([x, y]: Point) => Math.hypot(x - cx, y - cy) <= radius;
  for (const [i, point] of line.entries()) {
    const before = line[i - 1];
    if (before)
      for (const share of crossings(before, point, [cx, cy], radius)) {
        run.push(between(before, point, share));
        if (run.length > 1) end();
      }
    if (isIn(point)) run.push(point);
    else end();
  }
  end();
  return runs;
}

/** Where a straight line crosses a circle, as shares of its length, in order. */
function crossings(a: Point, b: Point, [cx, cy]: Point, radius: number): number[] {
  const [dx, dy, fx, fy] = [b[0] - a[0], b[1] - a[1], a[0] - cx, a[1] - cy];
  const [p, q, r] = [dx * dx + dy * dy, 2 * (fx * dx + fy * dy), fx * fx + fy * fy - radius * radius];
  const root = q * q - 4 * p * r;
  if (p === 0 || root <= 0) return [];
  return [(-q - Math.sqrt(root)) / (2 * p), (-q + Math.sqrt(root)) / (2 * p)].filter((s) => s > 0 && s < 1);
}
