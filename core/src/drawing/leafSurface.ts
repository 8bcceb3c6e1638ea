import { strewn } from './fungus';
import { closedCurve, type Line, curve, moved } from './geometry';
import { blade, OUTLINES, bladeOutline } from './leaf';
import { type Mark, placed, shape, strokes, segment, stroke, dot, type Drawings } from './mark';

/** The surface of a leaf. */

export function leafSheen(state: string): Mark[] | undefined {
  const marks = placed(blade({ outline: OUTLINES.elliptic, length: 66, venation: 'arching' }), {
    at: [60, 74],
  });
  if (state === 'matt') return marks.map((mark, i) => (i === 0 ? { ...mark, fill: 'shade' as const } : mark));
  if (state === 'glossy')
    return [
      ...marks,
      shape(closedCurve([50, 58], [48, 42], [53, 24], [56, 30], [54, 46]), 'ink', 'none'),
      ...strokes(
        [
          segment(92, 16, 92, 26),
          segment(87, 21, 97, 21),
          segment(100, 34, 100, 40),
          segment(97, 37, 103, 37),
        ],
        'line',
      ),
    ];
  return undefined;
}
const profile = (through: Line, thick: number): Mark =>
  shape([...curve(...through), ...moved([...curve(...through)].reverse(), 0, thick)], 'paper', 'bold');

export function leafTexture(state: string): Mark[] | undefined {
  return LEAF_TEXTURES[state]?.();
}

const LEAF_TEXTURES: Drawings = {
  soft: () => [
    profile(
      [
        [24, 34],
        [44, 26],
        [62, 30],
        [78, 48],
        [84, 70],
      ],
      2.4,
    ),
  ],
  firm: () => [
    profile(
      [
        [18, 50],
        [40, 42],
        [60, 36],
        [82, 32],
        [102, 30],
      ],
      3,
    ),
    ...strokes(
      [
        curve([92, 50], [100, 44], [100, 36]),
        [
          [96.5, 39],
          [100, 35],
          [103.4, 39],
        ],
      ],
      'line',
    ),
  ],
  leathery: () => [
    profile(
      [
        [16, 40],
        [40, 38],
        [60, 37],
        [80, 38],
        [104, 40],
      ],
      6,
    ),
    ...strokes([segment(22, 43, 98, 43)], 'faint'),
  ],
  fleshy: () => [
    shape(
      closedCurve([16, 40], [30, 29], [60, 25], [90, 29], [104, 40], [90, 52], [60, 57], [30, 52]),
      'shade',
      'bold',
    ),
    shape(closedCurve([104, 48], [107, 55], [104, 59], [101, 55]), 'paper', 'line'),
  ],
  prickly: () => [
    profile(
      [
        [16, 44],
        [40, 42],
        [60, 41],
        [80, 42],
        [104, 44],
      ],
      3.4,
    ),
    ...[22, 36, 50, 64, 78, 92].map((x) =>
      stroke(
        [
          [x - 3, 42],
          [x, 28],
          [x + 3, 42],
        ],
        'line',
      ),
    ),
  ],
};

export function leafDots(state: string): Mark[] | undefined {
  const marks = placed(blade({ outline: { base: 0.7, tip: 0.7, ratio: 1.6 }, length: 68, venation: 'one' }), {
    at: [60, 75],
  });
  if (state === 'none') return marks;
  return state === 'clear'
    ? [
        ...marks.map((mark, i) => (i === 0 ? { ...mark, fill: 'shade' as const } : mark)),
        ...strewn(moved(bladeOutline({ base: 0.7, tip: 0.7, ratio: 1.6 }, 60), 60, 71), 5.4, 4).map(
          ([x, y]) => dot(x, y, 1.3, 'paper'),
        ),
      ]
    : undefined;
}
