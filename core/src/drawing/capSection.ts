import { GROUND, both, shrunk, strewn, BRAIN, stemOutline } from './fungus';
import { type Line, curve, closedCurve, ellipse, arc } from './geometry';
import { type Fill, type Mark, shape, strokes, segment, stroke, dot, type Drawings } from './mark';

/** A cap cut in half, and how it joins the stem. */

/** The edge of a cap broken off, with what runs out. */
export function latex(fill: Fill): Mark[] {
  const cap: Line = [
    ...curve([14, 46], [20, 28], [44, 18], [66, 20]),
    [62, 27],
    [67, 33],
    [61, 40],
    [65, 46],
    ...curve([62, 48], [40, 50], [14, 46]),
  ];
  const piece: Line = [
    [74, 22],
    ...curve([76, 22], [94, 30], [104, 48]),
    ...curve([104, 48], [88, 50], [72, 48]).slice(1),
    [76, 42],
    [71, 35],
    [76, 28],
  ];
  const drop = (x: number, y: number): Mark =>
    shape(closedCurve([x, y - 7], [x + 4, y + 1], [x, y + 5], [x - 4, y + 1]), fill, 'line');
  return [
    shape(cap),
    shape(piece),
    ...strokes([segment(60, 40, 30, 46), segment(58, 44, 28, 48), segment(78, 43, 96, 48)], 'faint'),
    ...(fill !== 'none' ? [drop(63, 54), drop(74, 57), drop(66, 68)] : []),
  ];
}

const CUT_BALL = closedCurve([60, 8], [84, 18], [92, 40], [80, 60], [60, 68], [40, 60], [28, 40], [36, 18]);

/** Cut from top to bottom. */
export function section(state: string): Mark[] | undefined {
  return SECTIONS[state]?.();
}

const SECTIONS: Drawings = {
  'cap-and-stem': () => [
    shape(
      [
        ...curve([22, 38], [34, 16], [60, 9], [86, 16], [98, 38]),
        [69, 34],
        [69, GROUND],
        [51, GROUND],
        [51, 34],
      ],
      'shade',
      'bold',
    ),
    ...both(
      strokes([
        [
          [51, 35],
          [26, 40],
        ],
      ]),
    ),
    ...both([
      shape(
        [
          [51, 34],
          [24, 38],
          [32, 42],
          [51, 46],
        ],
        'paper',
        'line',
      ),
    ]),
  ],
  'cap-inside': () => [
    shape(CUT_BALL, 'paper', 'bold'),
    shape(
      [...curve([42, 40], [46, 24], [60, 18], [74, 24], [78, 40]), [65, 38], [66, 60], [54, 60], [55, 38]],
      'shade',
      'line',
    ),
    ...both(
      strokes([
        [
          [55, 40],
          [43, 42],
        ],
        [
          [55, 43],
          [46, 45],
        ],
      ]),
    ),
  ],
  'even-white': () => [
    shape(CUT_BALL, 'paper', 'bold'),
    stroke(curve([38, 44], [36, 34], [42, 22]), 'faint'),
  ],
  'dark-marbled': () => [
    shape(CUT_BALL, 'paper', 'bold'),
    shape(shrunk(CUT_BALL, 0.8), 'ink', 'line'),
    ...strewn(shrunk(CUT_BALL, 0.7), 9, 5).map(([x, y], i) =>
      shape(closedCurve([x - 3, y], [x, y - 1], [x + 3, y + (i % 2)], [x, y + 0.8]), 'paper', 'none'),
    ),
  ],
  powder: () => [
    shape(CUT_BALL, 'paper', 'bold'),
    ...strewn(shrunk(CUT_BALL, 0.84), 3, 6, 170).map(([x, y]) => dot(x, y, 0.9)),
  ],
  'one-hollow': () => [
    shape(
      [
        ...curve([44, 40], [42, 20], [60, 6], [78, 20], [76, 40]),
        ...curve([76, 40], [70, 48], [72, GROUND]).slice(1),
        ...curve([48, GROUND], [50, 48], [44, 40]).slice(0, -1),
      ],
      'shade',
      'bold',
    ),
    shape(
      [
        ...curve([49, 38], [48, 22], [60, 11], [72, 22], [71, 38]),
        ...curve([71, 38], [65, 48], [67, GROUND]).slice(1),
        ...curve([53, GROUND], [55, 48], [49, 38]).slice(0, -1),
      ],
      'paper',
      'line',
    ),
  ],
  chambers: () => [
    shape(BRAIN, 'shade', 'bold'),
    shape(stemOutline(40, 10, 13), 'shade', 'bold'),
    ...[
      [40, 30, 5, 6],
      [54, 24, 5, 7],
      [68, 26, 6, 6],
      [81, 30, 5, 6],
      [56, 52, 4, 7],
      [65, 54, 4, 8],
      [60, 68, 5, 4],
    ].map(([x = 0, y = 0, a = 0, b = 0]) => shape(ellipse(x, y, a, b), 'paper', 'line')),
  ],
  cotton: () => [
    shape(
      [
        [44, 14],
        [76, 14],
        [76, GROUND],
        [44, GROUND],
      ],
      'shade',
      'bold',
    ),
    shape(
      [
        [50, 14],
        [70, 14],
        [70, GROUND],
        [50, GROUND],
      ],
      'paper',
      'line',
    ),
    ...strewn(
      [
        [51, 18],
        [69, 18],
        [69, 72],
        [51, 72],
      ],
      4.4,
      5,
    ).map(([x, y], i) => stroke(curve([x - 1.8, y], [x, y - 1.8 + (i % 2) * 3], [x + 1.8, y]), 'fine')),
    shape(
      [...curve([40, 20], [44, 6], [60, 2], [76, 6], [80, 20]), [76, 20], [76, 14], [44, 14], [44, 20]],
      'shade',
      'faint',
    ),
  ],
};

/** A thimble or a morel's head cut from top to bottom. */
export function capJoin(state: string): Mark[] | undefined {
  const stemHalf = shape(
    [
      ...curve([52, 16], [53, 44], [50, GROUND]),
      ...curve([70, GROUND], [67, 44], [68, 16]),
      ...arc(60, 16, 8, 6, 0, -180).slice(1, -1),
    ],
    'paper',
    'line',
  );
  const hood = (rim: number, inner: number): Mark[] =>
    both([stroke(curve([60, 6], [46, 12], [40, 28], [44, rim], [inner, rim + 2]), 'bold')]);
  switch (state) {
    case 'fused':
      return [stemHalf, ...hood(46, 53)];
    case 'thimble':
      return [stemHalf, ...both([stroke(curve([60, 8], [50, 12], [43, 26], [42, 46]), 'bold')])];
    case 'patchy':
      return [
        stemHalf,
        ...both([stroke(curve([60, 6], [44, 10], [32, 26], [36, 46], [44, 42]), 'bold')]),
        stroke(
          [
            [44, 42],
            [53, 40],
          ],
          'bold',
        ),
        stroke(
          [
            [68, 30],
            [86, 30],
          ],
          'bold',
        ),
      ];
    case 'open':
      return [
        shape(stemOutline(30, 6, 6), 'paper', 'line'),
        stroke(curve([22, 40], [34, 18], [60, 11], [86, 18], [98, 40]), 'bold'),
        ...both([stroke(curve([22, 40], [38, 34], [54, 32]), 'line')]),
      ];
    default:
      return undefined;
  }
}
