import { MIDDLE, GROUND } from './fungus';
import { type Line, moved, mirrored, curve, closedCurve } from './geometry';
import { type Mark, shape, stroke, strokes, segment, type Drawings } from './mark';

const half = (side: 1 | -1, gap: number, edge: Line): Mark =>
  shape(
    [
      [MIDDLE + side * (gap + 15), 6],
      [MIDDLE + side * (gap + 15), GROUND],
      ...(side === 1 ? moved(mirrored(edge, MIDDLE), gap, 0) : moved(edge, -gap, 0)),
    ],
    'paper',
    'line',
  );

/** The texture of a cap. */

export function texture(state: string): Mark[] | undefined {
  return TEXTURES[state]?.();
}

const TEXTURES: Drawings = {
  stringy: () => [
    half(-1, 10, [
      [60, 74],
      [60, 6],
    ]),
    half(1, 10, [
      [60, 74],
      [60, 6],
    ]),
    ...[16, 26, 36, 46, 56, 66].map((y, i) =>
      stroke(curve([50, y], [60, y + (i % 2 ? 4 : 2)], [70, y + (i % 2 ? -3 : 4)]), 'fine'),
    ),
    ...strokes(
      [segment(42, 8, 42, 72), segment(46, 8, 46, 72), segment(74, 8, 74, 72), segment(78, 8, 78, 72)],
      'faint',
    ),
  ],
  brittle: () => {
    const jagged: Line = [
      [60, 74],
      [56, 66],
      [61, 60],
      [55, 52],
      [60, 44],
      [56, 36],
      [62, 30],
      [56, 20],
      [60, 6],
    ];
    return [
      half(-1, 9, jagged),
      half(1, 9, jagged),
      ...(
        [
          [60, 70],
          [57, 58],
          [64, 62],
          [61, 48],
          [58, 36],
          [63, 26],
        ] as const
      ).map(([x, y]) =>
        shape(closedCurve([x - 2.4, y], [x, y - 2], [x + 2.4, y + 0.6], [x, y + 2]), 'paper', 'fine'),
      ),
    ];
  },
  firm: () => [
    shape([
      [38, 12],
      [56, 12],
      [56, 66],
      [38, 66],
    ]),
    shape([
      [66, 12],
      [84, 12],
      [84, 66],
      [66, 66],
    ]),
    shape(
      [
        [54, 12],
        [56, 12],
        [56, 66],
        [54, 66],
      ],
      'shade',
      'fine',
    ),
    shape(
      [
        [66, 12],
        [68, 12],
        [68, 66],
        [66, 66],
      ],
      'shade',
      'fine',
    ),
  ],
  soft: () => [
    shape([
      ...curve([34, GROUND], [36, 44], [52, 26], [74, 30], [84, 50], [86, 62]),
      ...curve([96, 60], [94, 44], [80, 20], [50, 14], [26, 40], [22, GROUND]),
    ]),
  ],
  tough: () => [
    shape(
      [
        ...curve([22, 62], [40, 40], [60, 34], [80, 40], [98, 62]),
        ...curve([104, 52], [86, 26], [60, 20], [34, 26], [16, 52]),
      ],
      'paper',
      'bold',
    ),
    ...strokes([curve([24, 54], [42, 34], [60, 28], [78, 34], [96, 54])], 'faint'),
    ...strokes([curve([12, 66], [16, 58]), curve([108, 66], [104, 58])], 'fine'),
  ],
};
