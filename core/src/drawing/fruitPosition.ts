import { type Point, ellipse, curve } from './geometry';
import { blade, OUTLINES } from './leaf';
import { type Mark, placed, shape, stroke, segment, faint, type Drawings } from './mark';

/** Where fruits sit. */

export const leaf = (at: Point, turn: number, length = 24): Mark[] =>
  placed(blade({ outline: OUTLINES.elliptic, length, venation: 'one' }), { at, turn });

const berry = (x: number, y: number, r = 5): Mark => shape(ellipse(x, y, r), 'shade', 'line');
const axis = stroke(segment(60, 78, 60, 4), 'bold');

export function position(state: string): Mark[] | undefined {
  return POSITIONS[state]?.();
}

const POSITIONS: Drawings = {
  axil: () => [
    axis,
    ...faint([...leaf([60, 60], -54, 34), ...leaf([60, 34], 54, 34)]),
    ...[
      [46, 62],
      [74, 36],
    ].flatMap(([x = 0, y = 0]) => [
      stroke(
        [
          [60, y - 2],
          [x, y + 1],
        ],
        'line',
      ),
      berry(x, y + 6, 6),
    ]),
  ],
  'single-top': () => [
    stroke(segment(60, 78, 60, 26), 'bold'),
    ...faint([-76, -34, 34, 76].flatMap((turn) => leaf([60, 40], turn, 36))),
    berry(60, 18, 9),
  ],
  cluster: () => [
    stroke(curve([60, 2], [60, 18]), 'bold'),
    ...faint([...leaf([60, 12], -84, 30), ...leaf([60, 12], 84, 30)]),
    ...[
      [46, 26],
      [60, 24],
      [74, 26],
      [40, 38],
      [53, 38],
      [67, 38],
      [80, 38],
      [47, 50],
      [60, 50],
      [73, 50],
      [54, 62],
      [67, 62],
      [60, 72],
    ].map(([x = 0, y = 0]) => berry(x, y, 6.4)),
  ],
  'tight-on-twig': () => [
    axis,
    ...faint([...leaf([60, 20], -62, 30), ...leaf([60, 20], 62, 30)]),
    ...[34, 44, 54, 64].flatMap((y, i) => [berry(52, y, 5.4), berry(68, y + (i % 2) * 3, 5.4)]),
  ],
  pair: () => [
    axis,
    ...faint([...leaf([60, 46], -60, 32)]),
    stroke(
      [
        [60, 48],
        [82, 38],
      ],
      'line',
    ),
    berry(78, 48, 8),
    berry(92, 42, 8),
  ],
  'one-sided-row': () => [
    stroke(curve([18, 70], [46, 30], [102, 14]), 'bold'),
    ...[
      [34, 56],
      [48, 46],
      [62, 39],
      [77, 34],
      [92, 31],
    ].flatMap(([x = 0, y = 0]) => [
      stroke(
        [
          [x - 3, y - 8],
          [x, y],
        ],
        'line',
      ),
      berry(x + 1, y + 6, 6),
    ]),
  ],
  'small-cluster': () => [
    axis,
    ...faint([...leaf([60, 58], -54, 36), ...leaf([60, 26], 54, 36)]),
    ...[
      [44, 60],
      [78, 30],
    ].flatMap(([x = 0, y = 0]) =>
      [
        [-5, 2],
        [5, 3],
        [0, -6],
      ].flatMap(([dx = 0, dy = 0]) => [
        stroke(
          [
            [60, y - 2],
            [x + dx, y + dy],
          ],
          'fine',
        ),
        berry(x + dx, y + dy, 5),
      ]),
    ),
  ],
};

export function stalk(state: string): Mark[] | undefined {
  const twig = (y: number): Mark =>
    shape(
      [
        [12, y],
        [108, y - 3],
        [108, y + 3],
        [12, y + 5],
      ],
      'paper',
      'line',
    );
  switch (state) {
    case 'sessile':
      return [twig(46), ...faint(leaf([30, 44], -10, 22)), ...[54, 80].map((x) => berry(x, 34, 10.5))];
    case 'upright':
      return [
        twig(66),
        ...[48, 78].flatMap((x, i) => [
          stroke(curve([x, 65], [x + (i ? 4 : -4), 44], [x + (i ? 6 : -6), 34]), 'bold'),
          berry(x + (i ? 7 : -7), 22, 11),
        ]),
      ];
    case 'hanging':
      return [
        twig(14),
        ...[48, 78].flatMap((x) => [
          stroke(curve([x, 18], [x + 6, 26], [x + 3, 44]), 'bold'),
          berry(x + 3, 55, 11),
        ]),
      ];
    default:
      return undefined;
  }
}
