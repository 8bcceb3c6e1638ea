import { curve, closedCurve, from, type Point } from './geometry';
import { type Mark, stroke, placed, shape, segment, strokes } from './mark';

/** Trees, bushes and ground, small. */

export const ground = (y = 70): Mark => stroke(curve([8, y], [36, y - 1], [70, y + 1], [112, y]), 'line');

export const broadleaf = (x: number, foot: number, size: number): Mark[] =>
  placed(
    [
      shape([
        [-2.4, 0],
        [-1.8, -18],
        [1.8, -18],
        [2.4, 0],
      ]),
      shape(
        closedCurve(...Array.from({ length: 18 }, (_, i) => from([0, -31], i * 20, i % 2 ? 17 : 14.6))),
        'paper',
        'line',
      ),
    ],
    { at: [x, foot], scale: size },
  );

export const conifer = (x: number, foot: number, size: number): Mark[] =>
  placed(
    [
      stroke(segment(0, 0, 0, -8)),
      shape(
        [
          [0, -50],
          [6, -36],
          [4, -36],
          [10, -22],
          [7, -22],
          [13, -7],
          [-13, -7],
          [-7, -22],
          [-10, -22],
          [-4, -36],
          [-6, -36],
        ],
        'paper',
        'line',
      ),
    ],
    { at: [x, foot], scale: size },
  );

export const tuft = (x: number, foot: number, size = 1): Mark[] =>
  strokes(
    [
      [-5, -9],
      [-2, -13],
      [1, -14],
      [4, -10],
    ].map(([dx = 0, dy = 0]) =>
      curve([x, foot], [x + dx * 0.4 * size, foot + dy * 0.6 * size], [x + dx * size, foot + dy * size]),
    ),
    'line',
  );

export const bush = (x: number, foot: number, size: number): Mark[] =>
  placed(
    [
      shape(
        closedCurve([-14, 0], [-16, -8], [-8, -15], [0, -13], [8, -16], [16, -8], [14, 0]),
        'paper',
        'line',
      ),
      ...strokes([curve([-6, -2], [-5, -8]), curve([2, -1], [3, -9]), curve([8, -2], [8, -7])]),
    ],
    { at: [x, foot], scale: size },
  );

export const needles = (at: Point, count: number, spread: number, long: number): Mark[] =>
  Array.from({ length: count }, (_, i) =>
    stroke([at, from(at, -90 - spread / 2 + (spread * i) / Math.max(1, count - 1), long)], 'line'),
  );

export const leaf = (marks: readonly Mark[]): Mark[] => [
  stroke(segment(60, 78, 60, 70)),
  ...placed(marks, { at: [60, 71] }),
];
