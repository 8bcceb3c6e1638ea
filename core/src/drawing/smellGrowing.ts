import { strewn, mushroom } from './fungus';
import { closedCurve, curve, ellipse, symmetric, type Point } from './geometry';
import { blade, OUTLINES } from './leaf';
import { dot, placed, segment, shape, stroke, strokes, type Mark } from './mark';

/** Smells of what grows, each as a drawing of it. */

export const leaf = (at: Point, turn: number, length: number): Mark[] =>
  placed(blade({ outline: OUTLINES.elliptic, length, venation: 'one' }), { at, turn });

/** By what grows. */
export const GROWING: Readonly<Record<string, () => Mark[]>> = {
  apricot: () => [
    stroke(curve([60, 4], [58, 10], [60, 18]), 'bold'),
    ...leaf([60, 14], 74, 26),
    shape(
      closedCurve([60, 18], [80, 20], [90, 42], [78, 66], [60, 73], [42, 66], [30, 42], [40, 20]),
      'shade',
      'bold',
    ),
    stroke(curve([60, 18], [52, 40], [58, 72]), 'line'),
  ],
  mushroom: () => mushroom('convex', 'bold', 8),
  radish: () => [
    ...[-34, 0, 34].flatMap((turn) => leaf([60, 28], turn, 26)),
    shape(
      closedCurve([60, 28], [76, 34], [78, 50], [66, 62], [60, 66], [54, 62], [42, 50], [44, 34]),
      'shade',
      'bold',
    ),
    stroke(curve([60, 66], [60, 73], [64, 78]), 'bold'),
  ],
  pear: () => [
    stroke(curve([60, 2], [62, 8], [60, 14]), 'bold'),
    ...leaf([60, 12], 70, 22),
    shape(symmetric(60, [60, 14], [70, 20], [72, 36], [86, 54], [78, 72], [60, 76]), 'shade', 'bold'),
  ],
  carrot: () => [
    ...[-34, 0, 34].flatMap((turn) =>
      placed(
        [
          stroke(
            [
              [0, 0],
              [0, -26],
            ],
            'line',
          ),
          ...[-8, -14, -20].flatMap((y) =>
            [-6, 6].map((x) =>
              stroke(
                [
                  [0, y],
                  [x, y - 5],
                ],
                'fine',
              ),
            ),
          ),
        ],
        { at: [60, 31], turn },
      ),
    ),
    shape(symmetric(60, [60, 30], [74, 33], [70, 52], [60, 79]), 'shade', 'bold'),
    ...strokes([curve([52, 42], [58, 44], [62, 43]), curve([58, 54], [63, 55], [66, 53])], 'line'),
  ],
  garlic: () => [
    shape(symmetric(60, [60, 4], [63, 20], [82, 40], [84, 62], [60, 74]), 'paper', 'bold'),
    ...strokes([curve([60, 22], [50, 42], [52, 72]), curve([60, 22], [70, 42], [68, 72])], 'line'),
    ...strokes([-6, 0, 6].map((dx) => curve([60 + dx * 0.6, 74], [60 + dx, 78]))),
  ],
  cress: () => [
    stroke(curve([60, 78], [58, 50], [60, 36]), 'bold'),
    ...[-58, 58].flatMap((turn) =>
      placed(
        [
          stroke(segment(0, 0, 0, -10)),
          ...placed(blade({ outline: OUTLINES.round, length: 22, venation: 'one' }), { at: [0, -9] }),
        ],
        { at: [59, 56], turn },
      ),
    ),
    ...placed(blade({ outline: OUTLINES.round, length: 30, venation: 'one' }), { at: [60, 37] }),
  ],
  chamomile: () => [
    stroke(curve([60, 78], [62, 58], [60, 38]), 'bold'),
    ...Array.from({ length: 14 }, (_, i) =>
      placed(
        blade({ outline: { base: 0.6, tip: 0.3, ratio: 3.4 }, length: 24, venation: 'one' }).slice(0, 1),
        { at: [60, 30], turn: i * (360 / 14) },
      ),
    ).flat(),
    shape(ellipse(60, 30, 9), 'shade', 'bold'),
  ],
  hay: () => [
    shape(
      closedCurve([18, 70], [26, 44], [44, 24], [60, 17], [76, 24], [94, 44], [102, 70], [60, 73]),
      'paper',
      'bold',
    ),
    ...strewn(closedCurve([24, 66], [32, 46], [60, 24], [88, 46], [96, 66]), 8, 6).map(([x, y]) =>
      stroke(curve([x - 4, y - 4], [x, y], [x + 2, y + 6]), 'fine'),
    ),
    stroke(segment(60, 17, 60, 5), 'bold'),
  ],
  resin: () => [
    stroke(curve([22, 70], [50, 46], [72, 18]), 'bold'),
    ...Array.from({ length: 9 }, (_, i) => {
      const at: Point = [28 + i * 5.4, 65 - i * 5.6];
      return [stroke([at, [at[0] - 15, at[1] - 7]], 'line'), stroke([at, [at[0] + 8, at[1] + 14]], 'line')];
    }).flat(),
    shape(closedCurve([94, 34], [102, 50], [94, 59], [86, 50]), 'shade', 'bold'),
  ],
  caraway: () =>
    (
      [
        [34, 30, -30],
        [62, 22, 20],
        [88, 34, 60],
        [44, 56, 40],
        [72, 58, -24],
      ] as const
    ).flatMap(([x, y, turn]) =>
      placed(
        [
          shape(closedCurve([-14, 4], [-6, -3], [6, -4], [14, 2], [5, 5], [-6, 7]), 'shade', 'bold'),
          stroke(curve([-11, 3], [0, 0], [11, 1.6]), 'fine'),
        ],
        { at: [x, y], turn },
      ),
    ),
  cucumber: () => [
    shape(
      closedCurve([14, 56], [20, 42], [52, 32], [86, 22], [102, 26], [104, 36], [84, 50], [48, 62], [22, 66]),
      'shade',
      'bold',
    ),
    ...strewn(closedCurve([24, 52], [54, 40], [92, 30], [96, 36], [50, 56], [26, 60]), 9, 4).map(([x, y]) =>
      dot(x, y, 1.1),
    ),
  ],
  celery: () => [
    ...[-12, 0, 12].flatMap((dx, i) => [
      shape(
        [
          ...curve([56 + dx * 0.5, 78], [56 + dx * 0.8, 50], [57 + dx * 1.3, 30]),
          ...curve([61 + dx * 1.3, 30], [63 + dx * 0.8, 50], [64 + dx * 0.5, 78]),
        ],
        'shade',
        'line',
      ),
      ...placed(blade({ outline: OUTLINES.ovate, length: 26, margin: 'coarsely-serrate', venation: 'one' }), {
        at: [59 + dx * 1.3, 32],
        turn: (i - 1) * 36,
      }),
    ]),
  ],
  gin: () => [
    shape(
      [
        [38, 10],
        [82, 10],
        [62, 44],
        [58, 44],
      ],
      'paper',
      'bold',
    ),
    stroke(segment(60, 44, 60, 72), 'bold'),
    stroke(segment(44, 74, 76, 74), 'bold'),
    stroke(segment(45, 20, 75, 20), 'line'),
    shape(ellipse(60, 27, 4.4), 'ink', 'line'),
    ...strokes([segment(76, 4, 64, 24)], 'line'),
  ],
  pepper: () => [
    shape(
      [...curve([40, 76], [36, 52], [46, 34]), [74, 34], ...curve([74, 34], [84, 52], [80, 76]).slice(1)],
      'paper',
      'bold',
    ),
    shape(closedCurve([46, 34], [48, 20], [60, 14], [72, 20], [74, 34]), 'shade', 'bold'),
    ...[
      [54, 24],
      [60, 20],
      [66, 24],
      [60, 28],
    ].map(([x = 0, y = 0]) => dot(x, y, 1.4)),
    ...[
      [92, 50],
      [98, 58],
      [90, 62],
      [100, 70],
      [92, 74],
    ].map(([x = 0, y = 0]) => dot(x, y, 1.6)),
  ],
  thyme: () => [
    stroke(curve([60, 78], [58, 48], [64, 8]), 'bold'),
    ...[66, 54, 42, 30, 20].flatMap((y, i) =>
      [-1, 1].map((s) => shape(ellipse(60 + s * (10 - i) + (i > 2 ? 2 : 0), y, 8 - i, 3.4), 'shade', 'line')),
    ),
  ],
};
