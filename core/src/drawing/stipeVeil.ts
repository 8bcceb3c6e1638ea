import { stemOutline, both, strewn } from './fungus';
import { curve, closedCurve, ellipse, type Line } from './geometry';
import { type Mark, type Ink, shape, strokes, segment, stroke, dot, type Drawings } from './mark';

const cap = [
  ...curve([16, 26], [32, 9], [60, 4], [88, 9], [104, 26]),
  ...curve([104, 26], [60, 32], [16, 26]).slice(1, -1),
];
const base = (ink: Ink): Mark[] => [shape(stemOutline(28, 10, 11), 'paper', ink), shape(cap, 'paper', ink)];
const surroundings = base('faint');
const skirt = (half: number, y: number, drop: number, ink: Ink = 'bold'): Mark =>
  shape(
    [
      ...curve([50, y], [50 - half * 0.5, y + drop * 0.5], [48 - half, y + drop]),
      ...curve([48 - half, y + drop], [60, y + drop + 4], [72 + half, y + drop]).slice(1),
      ...curve([72 + half, y + drop], [70 + half * 0.5, y + drop * 0.5], [70, y]).slice(1),
    ],
    'paper',
    ink,
  );

/** Ring and volva. */

/** Drawn large: a stout stem under the rim of a cap, and what a veil has left between them. */
export function veil(state: string): Mark[] | undefined {
  return VEILS[state]?.();
}

const VEILS: Drawings = {
  none: () => base('line'),
  cobweb: () => [
    ...surroundings,
    ...both(
      strokes(
        [
          [20, 27],
          [26, 28],
          [32, 29],
          [38, 30],
          [44, 30.5],
        ].map(([x = 0, y = 0]) => curve([x, y], [(x + 50) / 2 - 2, y + 9], [50, 52 + (20 - x) * 0.3])),
        'line',
      ),
    ),
    ...strokes([curve([50, 58], [60, 61], [70, 58]), curve([50, 62], [60, 65], [70, 62])], 'line'),
  ],
  thin: () => [
    ...surroundings,
    shape(closedCurve([48, 46], [60, 49], [72, 46], [72, 50], [60, 53], [48, 50]), 'paper', 'bold'),
  ],
  hanging: () => [
    ...surroundings,
    skirt(8, 38, 18),
    ...strokes([segment(52, 43, 46, 55), segment(60, 43, 60, 58), segment(68, 43, 74, 55)]),
  ],
  movable: () => [
    ...surroundings,
    shape(ellipse(60, 50, 22, 6.5), 'shade', 'bold'),
    shape(ellipse(60, 46, 12, 3.4), 'paper', 'line'),
    stroke(
      [
        [96, 38],
        [96, 62],
      ],
      'line',
    ),
    stroke(
      [
        [92, 43],
        [96, 37],
        [100, 43],
      ],
      'line',
    ),
    stroke(
      [
        [92, 57],
        [96, 63],
        [100, 57],
      ],
      'line',
    ),
  ],
  cottony: () => [
    ...surroundings,
    shape(
      closedCurve(
        [43, 46],
        [49, 40],
        [60, 43],
        [71, 40],
        [77, 46],
        [78, 54],
        [70, 60],
        [60, 57],
        [50, 60],
        [42, 54],
      ),
      'paper',
      'bold',
    ),
    ...strewn(closedCurve([46, 46], [60, 46], [74, 46], [74, 54], [60, 54], [46, 54]), 5, 3).map(([x, y]) =>
      stroke(curve([x - 1.6, y], [x, y - 1.4], [x + 1.6, y]), 'fine'),
    ),
  ],
};
const body: Line = [
  ...curve([52, 4], [52, 30], [50, 50]),
  ...curve([50, 50], [46, 60], [52, 70], [60, 72], [68, 70], [74, 60], [70, 50]).slice(1),
  ...curve([70, 50], [68, 30], [68, 4]).slice(1),
];
const soil = [
  stroke(curve([8, 40], [30, 39], [46, 41]), 'faint'),
  stroke(curve([74, 41], [90, 39], [112, 40]), 'faint'),
];

export function volva(state: string): Mark[] | undefined {
  return VOLVAS[state]?.();
}

const VOLVAS: Drawings = {
  none: () => [
    ...soil,
    shape([
      ...curve([53, 4], [52, 40], [50, 66]),
      ...curve([50, 66], [60, 71], [70, 66]).slice(1),
      ...curve([70, 66], [68, 40], [67, 4]).slice(1),
    ]),
    ...strokes([curve([54, 69], [51, 75]), curve([60, 70], [60, 77]), curve([66, 69], [69, 75])], 'faint'),
  ],
  sac: () => [
    ...soil,
    shape(body),
    shape(
      [
        ...curve([36, 34], [40, 44], [37, 60], [46, 74], [60, 77], [74, 74], [83, 60], [80, 44], [84, 32]),
        ...curve([84, 32], [74, 40], [66, 36], [58, 42], [48, 36], [36, 34]).slice(1, -1),
      ],
      'shade',
      'bold',
    ),
  ],
  rim: () => [
    ...soil,
    shape(body),
    stroke(curve([46, 56], [60, 60], [74, 56]), 'bold'),
    stroke(curve([47, 51], [60, 55], [73, 51]), 'bold'),
    ...[50, 57, 64, 71].map((x, i) => dot(x, 48 + (i % 2), 1.8)),
  ],
};
