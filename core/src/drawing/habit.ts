import { curve, closedCurve, from, type Line } from './geometry';
import { OUTLINES, blade } from './leaf';
import { type Mark, stroke, segment, strokes, faint, shape, placed, type Drawings } from './mark';
import { small } from './stemMarks';
import { earth, leafAt, upright } from './stemParts';

const pole = stroke(segment(60, 4, 60, 76), 'faint');

/** How a plant grows. */

/** How a stem holds itself up; what it holds on to is faint. */
export function climbing(state: string): Mark[] | undefined {
  return CLIMBINGS[state]?.();
}

const CLIMBINGS: Drawings = {
  'by-itself': () => [
    earth(76),
    stroke(segment(60, 76, 60, 8), 'bold'),
    ...leafAt([60, 50], -58, 24),
    ...leafAt([60, 34], 58, 24),
    ...leafAt([60, 18], -58, 20),
  ],
  twining: () => [
    earth(76),
    pole,
    stroke(curve([54, 76], [70, 64], [50, 52], [70, 40], [50, 28], [68, 16], [58, 6]), 'bold'),
    ...leafAt([70, 64], 62, 22),
    ...leafAt([50, 52], -62, 22),
    ...leafAt([70, 40], 62, 22),
  ],
  tendrils: () => [
    earth(76),
    pole,
    stroke(curve([40, 76], [42, 50], [38, 28], [42, 8]), 'bold'),
    ...[54, 32].map((y) =>
      stroke(
        curve([41, y], [50, y - 8], [58, y - 6], [64, y - 2], [60, y + 2], [57, y - 2], [62, y - 5]),
        'line',
      ),
    ),
    ...leafAt([41, 60], -64, 24),
    ...leafAt([39, 38], -64, 24),
  ],
  sprawling: () => [
    earth(76),
    stroke(segment(78, 20, 78, 76), 'faint'),
    stroke(segment(94, 28, 94, 76), 'faint'),
    stroke(curve([14, 74], [44, 44], [76, 26], [108, 24]), 'bold'),
    ...leafAt([36, 52], -20, 22),
    ...leafAt([58, 35], 140, 22),
    ...leafAt([88, 25], -10, 18),
  ],
  creeping: () => [
    earth(76),
    stroke(curve([10, 72], [40, 68], [78, 71], [110, 68]), 'bold'),
    ...leafAt([30, 69], -10, 24),
    ...leafAt([58, 69], 10, 24),
    ...leafAt([86, 70], -6, 24),
    ...[30, 58, 86].flatMap((x) => strokes([segment(x, 70, x - 2, 78), segment(x, 70, x + 3, 78)])),
  ],
};

export function branching(state: string): Mark[] | undefined {
  const leaves = (points: readonly (readonly [number, number, number])[]) =>
    faint(points.flatMap(([x, y, turn]) => leafAt([x, y], turn, 10)));
  if (state === 'unbranched')
    return [
      ...upright(),
      ...leaves([
        [60, 60, -60],
        [60, 46, 60],
        [60, 32, -60],
        [60, 18, 60],
      ]),
    ];
  if (state === 'branched')
    return [
      ...upright(),
      ...strokes(
        [
          curve([60, 58], [44, 46], [36, 26]),
          curve([60, 46], [76, 34], [84, 16]),
          curve([60, 32], [50, 22], [46, 10]),
        ],
        'bold',
      ),
      ...leaves([
        [44, 45, -70],
        [76, 33, 70],
        [60, 22, 60],
      ]),
    ];
  return undefined;
}
const leavesAt = (points: readonly (readonly [number, number, number])[], length: number) =>
  points.flatMap(([x, y, turn]) => leafAt([x, y], turn, length));
const crownAt = (cx: number, cy: number, r: number): Mark =>
  shape(
    closedCurve(...Array.from({ length: 18 }, (_, i) => from([cx, cy], i * 20, r * (i % 2 ? 1 : 0.87)))),
    'paper',
    'line',
  );

/** The whole plant from a step away. */
export function habit(state: string): Mark[] | undefined {
  return HABITS[state]?.();
}

const HABITS: Drawings = {
  'dwarf-shrub': () => [
    earth(),
    ...strokes(
      [
        curve([60, 74], [56, 60], [42, 46]),
        curve([60, 74], [64, 58], [76, 42]),
        curve([57, 64], [60, 50], [58, 36]),
        curve([48, 53], [36, 52], [28, 54]),
        curve([71, 50], [84, 50], [92, 54]),
      ],
      'bold',
    ),
    ...leavesAt(
      [
        [42, 46, -40],
        [45, 50, 20],
        [76, 42, 30],
        [72, 48, -30],
        [58, 36, -10],
        [59, 44, 60],
        [30, 54, -60],
        [36, 52, 0],
        [90, 53, 60],
        [84, 50, 0],
      ],
      9,
    ),
  ],
  'upright-herb': () => [
    earth(),
    ...upright(60, 8, 74),
    ...leavesAt(
      [
        [60, 62, -64],
        [60, 50, 64],
        [60, 38, -64],
        [60, 26, 64],
        [60, 14, -50],
      ],
      17,
    ),
  ],
  rosette: () => [
    earth(66),
    ...[-86, -58, -28, 28, 58, 86].flatMap((turn) =>
      placed(small(40, OUTLINES.obovate), { at: [60, 64], turn }),
    ),
    ...placed(small(24, OUTLINES.obovate), { at: [60, 64] }),
  ],
  'leafy-patch': () => [
    earth(58),
    stroke(curve([14, 66], [60, 69], [106, 66]), 'fine'),
    ...[22, 48, 74, 98].flatMap((x, i) => [
      stroke([
        [x, 66],
        [x, 36 - (i % 2) * 6],
      ]),
      ...[-68, 0, 68].flatMap((turn) => placed(small(15), { at: [x, 37 - (i % 2) * 6], turn })),
    ]),
  ],
  shrub: () => [
    earth(),
    ...strokes(
      [
        curve([60, 74], [54, 56], [40, 44]),
        curve([60, 74], [62, 54], [64, 40]),
        curve([60, 74], [70, 58], [84, 46]),
      ],
      'bold',
    ),
    crownAt(40, 34, 20),
    crownAt(82, 36, 19),
    crownAt(61, 24, 21),
  ],
  tree: () => [
    earth(),
    shape([...curve([54, 74], [57, 60], [56, 44]), ...curve([64, 44], [63, 60], [67, 74])]),
    crownAt(60, 27, 25),
  ],
  'ground-leaves': () => [
    earth(),
    ...[-30, 0, 30].flatMap((turn) =>
      placed(blade({ outline: { base: 0.7, tip: 0.8, ratio: 3.4 }, length: 60, venation: 'one' }), {
        at: [60 + turn / 4, 74],
        turn,
      }),
    ),
  ],
  creeping: () => [
    earth(64),
    stroke(curve([12, 62], [40, 60], [70, 62], [92, 54], [104, 40]), 'bold'),
    ...strokes(
      [30, 54, 76].flatMap((x): Line[] => [
        curve([x, 61], [x - 2, 68], [x - 4, 74]),
        curve([x, 61], [x + 1, 69], [x + 3, 75]),
      ]),
    ),
    ...leavesAt(
      [
        [24, 60, -24],
        [40, 60, 18],
        [58, 61, -20],
        [74, 60, 16],
        [90, 54, -24],
        [102, 42, 24],
      ],
      15,
    ),
  ],
};
