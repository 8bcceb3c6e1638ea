/** A place on a plate: x to the right, y downwards, in units of the plate. */
export type Point = readonly [x: number, y: number];
/** Points one after the other; dense enough to be drawn straight from one to the next. */
export type Line = readonly Point[];

const RADIANS = Math.PI / 180;

export function moved(line: Line, dx: number, dy: number): Line {
  return line.map(([x, y]) => [x + dx, y + dy]);
}

/** Turned clockwise, as seen, round a point. */
export function turned(line: Line, degrees: number, [ax, ay]: Point = [0, 0]): Line {
  const [cos, sin] = [Math.cos(degrees * RADIANS), Math.sin(degrees * RADIANS)];
  return line.map(([x, y]) => [ax + (x - ax) * cos - (y - ay) * sin, ay + (x - ax) * sin + (y - ay) * cos]);
}

export function scaled(line: Line, sx: number, sy = sx): Line {
  return line.map(([x, y]) => [x * sx, y * sy]);
}

/** Mirrored left to right at an upright through x. */
export function mirrored(line: Line, x = 0): Line {
  return line.map(([px, y]) => [2 * x - px, y]);
}

/** A closed outline from its right half, a smooth line through points from top to bottom, mirrored at x. */
export function symmetric(x: number, ...right: Line): Line {
  const line = curve(...right);
  return [...line, ...[...mirrored(line, x)].reverse()];
}

/** Part of an ellipse, degrees clockwise from the right. */
export function arc(
  cx: number,
  cy: number,
  rx: number,
  ry: number,
  from: number,
  to: number,
  steps = 28,
): Line {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const a = (from + ((to - from) * i) / steps) * RADIANS;
    return [cx + rx * Math.cos(a), cy + ry * Math.sin(a)];
  });
}

export function ellipse(cx: number, cy: number, rx: number, ry = rx): Line {
  return arc(cx, cy, rx, ry, 0, 360 - 360 / 40, 39);
}

/** A smooth line through these points (centripetal Catmull-Rom; ends run out straight). */
export function curve(...through: Line): Line {
  return smooth(through, false);
}

/** A smooth closed outline through these points. */
export function closedCurve(...through: Line): Line {
  return smooth(through, true);
}

function smooth(through: Line, closed: boolean): Line {
  const n = through.length;
  if (n < 3) return through;
  const at = (i: number): Point => {
    if (closed) return through[((i % n) + n) % n] as Point;
    if (i < 0) return beyond(through[0] as Point, through[1] as Point);
    if (i >= n) return beyond(through[n - 1] as Point, through[n - 2] as Point);
    return through[i] as Point;
  };
  const line: Point[] = [];
  for (let i = 0; i < (closed ? n : n - 1); i += 1) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    for (let step = 0; step < STEPS; step += 1) line.push(catmullRom(p0, p1, p2, p3, step / STEPS));
  }
  if (!closed) line.push(through[n - 1] as Point);
  return line;
}

const STEPS = 8;
const beyond = ([ax, ay]: Point, [bx, by]: Point): Point => [2 * ax - bx, 2 * ay - by];

/** Between p1 and p2, by Barry and Goldman's pyramid with knots at the square roots of the distances. */
function catmullRom(p0: Point, p1: Point, p2: Point, p3: Point, share: number): Point {
  const knot = (t: number, a: Point, b: Point) =>
    t + Math.max(1e-6, Math.hypot(b[0] - a[0], b[1] - a[1]) ** 0.5);
  const t1 = knot(0, p0, p1);
  const t2 = knot(t1, p1, p2);
  const t3 = knot(t2, p2, p3);
  const t = t1 + (t2 - t1) * share;
  const mix = (a: Point, b: Point, ta: number, tb: number): Point => {
    const w = (t - ta) / (tb - ta);
    return [a[0] + (b[0] - a[0]) * w, a[1] + (b[1] - a[1]) * w];
  };
  const [a1, a2, a3] = [mix(p0, p1, 0, t1), mix(p1, p2, t1, t2), mix(p2, p3, t2, t3)];
  return mix(mix(a1, a2, 0, t2), mix(a2, a3, t1, t3), t1, t2);
}

/** Where a line is after this share of its length, and which way it runs there (degrees). */
export function along(line: Line, share: number): { readonly at: Point; readonly heading: number } {
  const lengths = line
    .slice(1)
    .map(([x, y], i) => Math.hypot(x - (line[i] as Point)[0], y - (line[i] as Point)[1]));
  let left = Math.min(1, Math.max(0, share)) * lengths.reduce((a, b) => a + b, 0);
  for (const [i, length] of lengths.entries()) {
    const [a, b] = [line[i] as Point, line[i + 1] as Point];
    if (left > length && i < lengths.length - 1) {
      left -= length;
      continue;
    }
    const w = length === 0 ? 0 : left / length;
    return {
      at: [a[0] + (b[0] - a[0]) * w, a[1] + (b[1] - a[1]) * w],
      heading: Math.atan2(b[1] - a[1], b[0] - a[0]) / RADIANS,
    };
  }
  return { at: line[0] ?? [0, 0], heading: 0 };
}

/** A point so far from another, degrees clockwise from the right. */
export function from([x, y]: Point, degrees: number, distance: number): Point {
  return [x + distance * Math.cos(degrees * RADIANS), y + distance * Math.sin(degrees * RADIANS)];
}

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** The smallest box round these lines. */
export function boxOf(lines: readonly Line[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const line of lines) {
    for (const [x, y] of line) {
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
  }
  return { left, top, right, bottom };
}

/** Whether a point lies inside a closed outline (even-odd rule). */
export function inside([x, y]: Point, outline: Line): boolean {
  let within = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i, i += 1) {
    const [a, b] = [outline[i] as Point, outline[j] as Point];
    if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) within = !within;
  }
  return within;
}

export { seeded } from '../lib/seeded';
