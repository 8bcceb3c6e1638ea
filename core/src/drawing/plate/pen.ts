import { seeded, type Line, type Point } from '../geometry';

/** A pen: lines that swell and thin, and hatching. All lengths in units of the sheet. */

/** A smooth field of small numbers over the sheet, -1 to 1: what is near moves together. */
export function field(seed: number, across: number): (x: number, y: number) => number {
  const next = seeded(seed);
  const values = Array.from({ length: 1024 }, () => next() * 2 - 1);
  const at = (i: number, j: number) => values[((i * 73) ^ (j * 151)) & 1023] as number;
  const ease = (t: number) => t * t * (3 - 2 * t);
  return (x, y) => {
    const [u, v] = [x / across, y / across];
    const [i, j] = [Math.floor(u), Math.floor(v)];
    const [a, b] = [ease(u - i), ease(v - j)];
    const top = at(i, j) + (at(i + 1, j) - at(i, j)) * a;
    const low = at(i, j + 1) + (at(i + 1, j + 1) - at(i, j + 1)) * a;
    return top + (low - top) * b;
  };
}

/** With points between those that are far apart, so that a long straight line can tremble. */
export function denser(line: Line, step: number): Line {
  const dense: Point[] = [];
  for (let i = 0; i < line.length; i += 1) {
    const here = line[i] as Point;
    const next = line[i + 1];
    dense.push(here);
    if (!next) continue;
    const parts = Math.floor(Math.hypot(next[0] - here[0], next[1] - here[1]) / step);
    for (let k = 1; k < parts; k += 1)
      dense.push([here[0] + ((next[0] - here[0]) * k) / parts, here[1] + ((next[1] - here[1]) * k) / parts]);
  }
  return dense;
}

/** Without points that are that near to the one before; the first and the last stay. */
export function thinned(line: Line, least: number): Line {
  let [x, y] = line[0] as Point;
  const kept = line.filter((point, i) => {
    if (i > 0 && i < line.length - 1 && Math.abs(point[0] - x) + Math.abs(point[1] - y) < least) return false;
    [x, y] = point;
    return true;
  });
  return kept.length > 2 || line.length < 3
    ? kept
    : line.filter((_, i) => i % Math.ceil(line.length / 4) === 0);
}

const LIGHT: Point = [-0.6, -0.8];

/**
 * The outline of a stroke along a line. An open one begins and ends thin; round an outline it is heavier on
 * the side that is turned away from the light, which comes from the upper left.
 *
 * @param half half its greatest width
 * @param waver how the pressure wavers along it, -1 to 1, by place
 */
export function stroked(
  line: Line,
  closed: boolean,
  half: number,
  waver: (x: number, y: number) => number,
): Line {
  const points = closed ? [...line, line[0] as Point] : line;
  const n = points.length;
  const [left, right]: [Point[], Point[]] = [[], []];
  // Which way an outline runs decides which side of it is outside.
  const way = closed && area(line) < 0 ? -1 : 1;
  for (let i = 0; i < n; i += 1) {
    const [x, y] = points[i] as Point;
    const before = points[closed && i === 0 ? n - 2 : Math.max(0, i - 1)] as Point;
    const after = points[closed && i === n - 1 ? 1 : Math.min(n - 1, i + 1)] as Point;
    const long = Math.hypot(after[0] - before[0], after[1] - before[1]) || 1;
    const [nx, ny] = [((after[1] - before[1]) / long) * way, (-(after[0] - before[0]) / long) * way];
    const share = i / (n - 1);
    const pressure = closed
      ? 0.72 - 0.38 * (nx * LIGHT[0] + ny * LIGHT[1])
      : 0.25 + 0.75 * Math.min(1, share * 7, (1 - share) * 3.2);
    const w = half * Math.max(0.22, pressure * (1 + 0.28 * waver(x, y)));
    left.push([x + nx * w, y + ny * w]);
    right.push([x - nx * w, y - ny * w]);
  }
  return [...left, ...right.reverse()];
}

/** Twice the signed area: above 0 where the outline runs clockwise as seen. */
function area(line: Line): number {
  let sum = 0;
  for (let i = 0, j = line.length - 1; i < line.length; j = i, i += 1) {
    const [a, b] = [line[j] as Point, line[i] as Point];
    sum += a[0] * b[1] - b[0] * a[1];
  }
  return sum;
}

/** Where an upright through x enters and leaves an outline, from top to bottom. */
function crossings(outline: Line, x: number): number[] {
  const ys: number[] = [];
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i, i += 1) {
    const [a, b] = [outline[j] as Point, outline[i] as Point];
    if (a[0] > x !== b[0] > x) ys.push(a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1]));
  }
  return ys.sort((a, b) => a - b);
}

/** Spans of one that are in none of the other. Both from top to bottom, in pairs. */
function without(spans: readonly number[], others: readonly number[]): (readonly [number, number])[] {
  const left: (readonly [number, number])[] = [];
  for (let i = 0; i + 1 < spans.length; i += 2) {
    let from = spans[i] as number;
    const to = spans[i + 1] as number;
    for (let k = 0; k + 1 < others.length; k += 2) {
      const [a, b] = [others[k] as number, others[k + 1] as number];
      if (b <= from || a >= to) continue;
      if (a > from) left.push([from, a]);
      from = Math.max(from, b);
    }
    if (from < to) left.push([from, to]);
  }
  return left;
}

interface Hatching {
  /** From one line to the next. */
  readonly gap: number;
  /** Degrees from upright. */
  readonly slant: number;
  /** How far the lit part reaches: what is in the outline moved by this has no hatching; all where absent. */
  readonly away?: Point;
}

/** Parallel lines over the part of an outline that lies in shadow. */
export function hatching(outline: Line, { gap, slant, away }: Hatching, next: () => number): Line[] {
  const a = (slant * Math.PI) / 180;
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  const turn = ([x, y]: Point): Point => [x * cos + y * sin, -x * sin + y * cos];
  const back = (x: number, y: number): Point => [x * cos - y * sin, x * sin + y * cos];
  const upright = outline.map(turn);
  const lightPart = away && outline.map(([x, y]) => turn([x + away[0], y + away[1]]));
  const xs = upright.map(([x]) => x);
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  const lines: Line[] = [];
  for (let x = from + gap * 0.5; x < to; x += gap * (0.75 + 0.5 * next()))
    for (const [top, low] of without(crossings(upright, x), lightPart ? crossings(lightPart, x) : [])) {
      const long = low - top;
      if (long < gap * 0.6) continue;
      lines.push([back(x, top + long * 0.08 * next()), back(x, low - long * (0.05 + 0.22 * next()))]);
    }
  return lines;
}
