import { strewn, shrunk, MIDDLE } from './fungus';
import { curve, type Point, closedCurve, ellipse } from './geometry';
import { type Mark, shape, strokes, stroke, type Fill, type Drawings } from './mark';

/** The surface of a cap. */

const DOME = [
  ...curve([16, 56], [20, 34], [36, 18], [60, 13], [84, 18], [100, 34], [104, 56]),
  ...curve([104, 56], [84, 62], [60, 64], [36, 62], [16, 56]).slice(1, -1),
];
const dome = shape(DOME);
const over = (apart: number, seed: number, most?: number) => strewn(shrunk(DOME, 0.9), apart, seed, most);
const outwards = ([x]: Point) => (x - MIDDLE) / 44;

export function capSurface(state: string): Mark[] | undefined {
  return CAP_SURFACES[state]?.();
}

const CAP_SURFACES: Drawings = {
  'smooth-dry': () => [dome, ...strokes([curve([34, 30], [46, 23], [58, 21])], 'faint')],
  greasy: () => [
    dome,
    shape(closedCurve([32, 34], [44, 24], [58, 21], [56, 25], [44, 30], [36, 38]), 'shade', 'none'),
    stroke(curve([74, 24], [84, 30], [90, 38]), 'fine'),
  ],
  felty: () => [
    dome,
    ...over(4.2, 3).map(([x, y]) =>
      stroke(
        [
          [x, y],
          [x + 0.5, y - 1.9],
        ],
        'fine',
      ),
    ),
  ],
  fibrillose: () => [
    dome,
    ...over(6, 4).map((p) =>
      stroke([p, [p[0] + outwards(p) * 7, p[1] + 6 - Math.abs(outwards(p)) * 2]], 'fine'),
    ),
  ],
  slimy: () => [
    dome,
    shape(closedCurve([32, 34], [44, 24], [58, 21], [56, 25], [44, 30], [36, 38]), 'shade', 'none'),
    ...[30, 52, 76, 94].map((x, i) =>
      shape(
        closedCurve(
          [x, 57 + (i % 2) * 3],
          [x + 2.4, 66 + (i % 2) * 4],
          [x, 70 + (i % 2) * 4],
          [x - 2.4, 66 + (i % 2) * 4],
        ),
        'paper',
        'line',
      ),
    ),
  ],
  scaly: () => [
    dome,
    ...over(8, 6).map(([x, y]) =>
      stroke(
        [
          [x - 2.4, y],
          [x, y + 2.6],
          [x + 2.4, y],
        ],
        'line',
      ),
    ),
  ],
  warts: () => [
    dome,
    ...over(12, 8).map(([x, y], i) =>
      shape(
        closedCurve(
          [x - 3.4, y],
          [x - 1, y - 2.6 - (i % 2)],
          [x + 3, y - 1],
          [x + 2.4, y + 2.4],
          [x - 2, y + 2.6],
        ),
        'shade',
        'line',
      ),
    ),
  ],
  'soft-spines': () => [
    dome,
    ...over(7, 9).map(([x, y]) =>
      shape(
        [
          [x - 1.8, y + 1.6],
          [x, y - 3.4],
          [x + 1.8, y + 1.6],
        ],
        'paper',
        'fine',
      ),
    ),
  ],
  cracked: () => [
    dome,
    ...strokes(
      [
        curve([24, 44], [36, 40], [42, 30], [56, 32]),
        curve([42, 30], [40, 20]),
        curve([56, 32], [66, 24], [64, 14]),
        curve([66, 24], [82, 30], [86, 20]),
        curve([82, 30], [86, 42], [102, 44]),
        curve([36, 40], [44, 50], [38, 61]),
        curve([44, 50], [58, 46], [56, 32]),
        curve([58, 46], [70, 52], [86, 42]),
        curve([70, 52], [68, 63]),
        curve([24, 44], [22, 56]),
        curve([86, 42], [92, 52], [88, 60]),
      ],
      'line',
    ),
  ],
  plates: () => [
    dome,
    shape(ellipse(60, 19, 11, 5), 'shade', 'line'),
    ...[
      [40, 30],
      [60, 32],
      [80, 30],
      [28, 44],
      [50, 46],
      [72, 46],
      [93, 44],
      [38, 57],
      [62, 58],
      [84, 57],
    ].map(([x = 0, y = 0]) =>
      shape(
        closedCurve(
          [x - 6.5, y - 2],
          [x, y - 4],
          [x + 6.5, y - 2],
          [x + 4, y + 3],
          [x, y + 4.4],
          [x - 4, y + 3],
        ),
        'shade',
        'line',
      ),
    ),
  ],
};

/** The rim rubbed with a thumb. */
export function rubbed(fill: Fill): Mark[] {
  const patch = closedCurve([72, 50], [76, 42], [88, 40], [98, 48], [92, 57], [80, 59]);
  return [
    shape(DOME, 'paper', 'fine'),
    shape(patch, fill, fill === 'none' ? 'fine' : 'line'),
    ...strokes([curve([102, 66], [98, 60], [94, 58]), curve([110, 60], [104, 56], [98, 54])], 'faint'),
  ];
}
