import { type Line, curve, mirrored, closedCurve } from './geometry';
import { dividedLeaf } from './leafDivided';
import { type Mark, stroke, segment, shape, faint, placed, strokes, type Drawings } from './mark';

const stalk = stroke(segment(60, 78, 60, 58), 'line');
const half = (points: Line): Line => curve(...points);
const sheet = (left: Line, right: Line): Mark => shape([...left, ...[...right].reverse()], 'paper', 'bold');
const pair = (right: Line): Mark[] => [
  stalk,
  sheet(half(mirrored(right, 60)), half(right)),
  stroke(segment(60, 58, 60, 6), 'fine'),
];

/** The foot and the sheath of a leaf. */

export function leafFoot(state: string): Mark[] | undefined {
  return LEAF_FOOTS[state]?.();
}

const LEAF_FOOTS: Drawings = {
  wedge: () =>
    pair([
      [60, 66],
      [68, 48],
      [84, 26],
      [90, 6],
    ]),
  rounded: () =>
    pair([
      [60, 58],
      [78, 54],
      [90, 36],
      [92, 6],
    ]),
  heart: () =>
    pair([
      [60, 56],
      [68, 66],
      [84, 66],
      [94, 46],
      [94, 6],
    ]),
  'arrow-lobes': () =>
    pair([
      [60, 52],
      [72, 64],
      [96, 74],
      [86, 44],
      [80, 6],
    ]),
  uneven: () => [
    stalk,
    sheet(
      half([
        [60, 50],
        [44, 44],
        [34, 26],
        [32, 6],
      ]),
      half([
        [60, 64],
        [80, 62],
        [92, 40],
        [92, 6],
      ]),
    ),
    stroke(segment(60, 66, 60, 6), 'fine'),
  ],
};

export function leafSheath(state: string): Mark[] | undefined {
  const stemLine = shape(
    [
      [55, 4],
      [65, 4],
      [65, 78],
      [55, 78],
    ],
    'paper',
    'fine',
  );
  const spray = faint(placed(dividedLeaf('multipinnate'), { scale: 0.45, at: [80, 24], turn: 48 }));
  switch (state) {
    case 'inflated':
      return [
        stemLine,
        ...spray,
        shape(
          closedCurve([54, 72], [48, 56], [52, 38], [66, 26], [82, 24], [80, 40], [74, 58], [64, 72]),
          'shade',
          'bold',
        ),
        ...strokes([curve([60, 68], [62, 48], [74, 30])]),
      ];
    case 'narrow':
      return [
        stemLine,
        ...spray,
        shape(
          closedCurve([53, 72], [53, 52], [58, 36], [80, 24], [68, 40], [67, 56], [66, 72]),
          'shade',
          'bold',
        ),
      ];
    case 'none':
      return [stemLine, ...spray, stroke(curve([65, 44], [74, 34], [80, 24]), 'bold')];
    default:
      return undefined;
  }
}
