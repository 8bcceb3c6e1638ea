import { CAPS, CONVEX } from './fungusCaps';
import {
  type Line,
  mirrored,
  curve,
  arc,
  ellipse,
  type Point,
  seeded,
  inside,
  closedCurve,
} from './geometry';
import { type Mark, type Ink, shape, strokes, stroke } from './mark';

/** All fungi are drawn about an upright at x = 60, the ground at y = 74. */
export const MIDDLE = 60;

export const GROUND = 74;

/** Mirrors the left half of a line that ends on the middle, so that the whole runs from left to right. */
export function whole(left: Line): Line {
  return [...left, ...[...mirrored(left, MIDDLE)].reverse().slice(1)];
}

export const both = (marks: readonly Mark[]): Mark[] => [
  ...marks,
  ...marks.map((mark) => ({ ...mark, line: mirrored(mark.line, MIDDLE) })),
];

export function capOutline(name: string): {
  readonly outline: Line;
  readonly over: Line;
  readonly under: Line;
} {
  const { over, under } = CAPS[name] ?? CONVEX;
  const top = whole(curve(...over));
  const below = whole(curve(...under));
  return { outline: [...top, ...[...below].reverse().slice(1, -1)], over: top, under: below };
}

/** A stem in side view from this height down, of half these widths at the top and at the foot. */
export function stemOutline(top: number, half: number, foot = half, ground = GROUND): Line {
  const left = curve(
    [MIDDLE - half, top],
    [MIDDLE - (half + foot) / 2, (top + ground) / 2],
    [MIDDLE - foot, ground],
  );
  return [...left, ...[...mirrored(left, MIDDLE)].reverse()];
}

export function stem(top: number, half = 6, foot = half, ink: Ink = 'line'): Mark {
  return shape(stemOutline(top, half, foot), 'paper', ink);
}

/** A cap over a stem, as most fungi are built; the cap is drawn over the stem. */
export function mushroom(cap = 'convex', ink: Ink = 'line', half = 6): Mark[] {
  const { outline } = capOutline(cap);
  return [stem(36, half, half * 1.15, ink), shape(outline, 'paper', ink)];
}

export const RIM = { cx: MIDDLE, cy: 36, rx: 42, ry: 15 };

/** Seen a little from below: dome, face and stem; what is on the face comes between. */
export function fromBelow(onFace: readonly Mark[], ink: Ink = 'faint'): Mark[] {
  const dome: Line = [
    ...arc(RIM.cx, RIM.cy, RIM.rx, 27, 180, 360),
    ...arc(RIM.cx, RIM.cy, RIM.rx, RIM.ry, 0, 180),
  ];
  return [
    shape(dome, 'paper', ink),
    shape(ellipse(RIM.cx, RIM.cy, RIM.rx, RIM.ry), 'paper', ink === 'faint' ? 'fine' : ink),
    ...onFace,
    shape(
      [...curve([54, 38], [54, 58], [53, GROUND]), ...[...curve([66, 38], [66, 58], [67, GROUND])].reverse()],
      'paper',
      ink === 'faint' ? 'fine' : ink,
    ),
  ];
}

/** Points strewn over an outline, never two too close, the same for the same seed. */
export function strewn(outline: Line, apart: number, seed: number, most = 200): Point[] {
  const next = seeded(seed);
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const points: Point[] = [];
  for (let tries = 0; tries < 1500 && points.length < most; tries += 1) {
    const p: Point = [left + (right - left) * next(), top + (bottom - top) * next()];
    if (inside(p, outline) && points.every(([x, y]) => Math.hypot(x - p[0], y - p[1]) >= apart))
      points.push(p);
  }
  return points;
}

export const shrunk = (outline: Line, share: number): Line => {
  const cx = outline.reduce((sum, [x]) => sum + x, 0) / outline.length;
  const cy = outline.reduce((sum, [, y]) => sum + y, 0) / outline.length;
  return outline.map(([x, y]) => [cx + (x - cx) * share, cy + (y - cy) * share]);
};

/** A chanterelle's build: cap and stem in one, like a vase. */
const VASE_LEFT = curve([20, 24], [34, 36], [46, 50], [52, 62], [53, GROUND]);

export const vase = (): Mark =>
  shape(
    [
      ...whole(curve([20, 24], [30, 16], [44, 22], [60, 20])),
      ...[...mirrored(VASE_LEFT, MIDDLE)].slice(1),
      ...[...VASE_LEFT].reverse().slice(0, -1),
    ],
    'paper',
  );

export function honeycomb(head: Line, seed: number): Mark[] {
  return strewn(shrunk(head, 0.86), 8.5, seed, 30).map(([x, y], i) =>
    shape(
      closedCurve(
        [x - 3.2, y - 1],
        [x - 0.5, y - 4 + (i % 2)],
        [x + 3, y - 1.5],
        [x + 2.5, y + 3],
        [x - 2, y + 3.4],
      ),
      'shade',
      'fine',
    ),
  );
}

export const HEAD = closedCurve(
  [60, 6],
  [74, 14],
  [80, 30],
  [74, 44],
  [60, 48],
  [46, 44],
  [40, 30],
  [46, 14],
);

export const BRAIN = closedCurve(
  [36, 40],
  [30, 28],
  [38, 16],
  [50, 18],
  [60, 10],
  [72, 16],
  [84, 18],
  [90, 30],
  [82, 42],
  [70, 40],
  [60, 46],
  [48, 42],
);

export const brainFolds = (): Mark[] =>
  strokes(
    [
      curve([40, 34], [38, 26], [46, 22], [50, 28], [46, 34]),
      curve([52, 38], [56, 30], [54, 22], [62, 18]),
      curve([60, 40], [66, 34], [62, 26], [70, 22], [74, 28]),
      curve([72, 38], [78, 34], [76, 26], [82, 24]),
      curve([84, 34], [86, 30], [84, 26]),
      curve([42, 40], [48, 37]),
    ],
    'line',
  );

/** The earth that it stands on. */
export function ground(y = GROUND): Mark[] {
  return [stroke(curve([16, y], [38, y - 1], [60, y], [84, y + 1], [104, y]), 'faint')];
}
