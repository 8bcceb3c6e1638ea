import {
  both,
  BRAIN,
  brainFolds,
  capOutline,
  CAPS,
  GROUND,
  ground,
  HEAD,
  honeycomb,
  MIDDLE,
  shrunk,
  stemOutline,
  strewn,
  whole,
} from './fungus';
import { along, arc, closedCurve, curve, ellipse, mirrored, moved, type Line, type Point } from './geometry';
import { dot, segment, shape, stroke, strokes, type Fill, type Mark } from './mark';

export function capShape(state: string): Mark[] | undefined {
  const foot = (top: number, half = 6): Mark => shape(stemOutline(top, half, half), 'paper', 'faint');
  switch (state) {
    case 'globe':
      return [shape(capOutline('globe').outline, 'paper', 'bold'), ...ground()];
    case 'honeycomb':
      return [foot(44, 7), shape(HEAD, 'paper', 'bold'), ...honeycomb(HEAD, 11)];
    case 'brain':
      return [foot(38, 8), shape(BRAIN, 'paper', 'bold'), ...brainFolds()];
    case 'thimble':
      return [
        foot(26),
        shape(
          [
            ...curve([46, 44], [44, 26], [50, 14], [60, 11]),
            ...mirrored([...curve([46, 44], [44, 26], [50, 14], [60, 11])].reverse(), MIDDLE).slice(1),
            ...curve([74, 44], [60, 47], [46, 44]).slice(1, -1),
          ],
          'paper',
          'bold',
        ),
        ...strokes([
          curve([52, 42], [51, 30], [54, 20]),
          curve([58, 44], [60, 32], [58, 18]),
          curve([66, 43], [68, 30], [65, 20]),
        ]),
      ];
    case 'fan':
      return [
        stroke(
          [
            [14, 8],
            [14, 74],
          ],
          'faint',
        ),
        shape(
          closedCurve([16, 40], [34, 26], [66, 18], [98, 28], [106, 42], [92, 52], [58, 52], [30, 50]),
          'paper',
          'bold',
        ),
        ...strokes([curve([26, 46], [60, 48], [96, 46]), curve([24, 44], [60, 44], [102, 42])], 'faint'),
      ];
    case 'trumpet':
      return [
        shape(
          [
            ...whole(curve([24, 14], [40, 10], [60, 12])),
            ...curve([96, 14], [78, 26], [68, 48], [64, GROUND]).slice(1),
            ...curve([56, GROUND], [52, 48], [42, 26], [24, 14]).slice(0, -1),
          ],
          'paper',
          'bold',
        ),
        shape(ellipse(MIDDLE, 15, 28, 4.5), 'ink', 'fine'),
      ];
    case 'funnel':
      return [
        shape(stemOutline(50, 6, 6), 'paper', 'faint'),
        shape(capOutline('funnel').outline, 'paper', 'bold'),
      ];
    default: {
      if (!(state in CAPS)) return undefined;
      const { outline } = capOutline(state);
      return [foot(36), shape(outline, 'paper', 'bold')];
    }
  }
}

/** The rim seen a little from below, with the dome above it. */
export function capMargin(state: string): Mark[] | undefined {
  const dome = (rim: Line): Mark =>
    shape(
      [...curve([20, 50], [26, 26], [60, 12], [94, 26], [100, 50]), ...[...rim].reverse()],
      'paper',
      'line',
    );
  const even = curve([20, 50], [40, 58], [60, 60], [80, 58], [100, 50]);
  const foot = shape([...curve([53, 50], [53, GROUND]), ...curve([67, GROUND], [67, 50])], 'paper', 'faint');
  switch (state) {
    case 'inrolled':
      return [
        shape(
          [
            [53, 34],
            [67, 34],
            [67, GROUND],
            [53, GROUND],
          ],
          'paper',
          'faint',
        ),
        ...both([
          stroke(
            curve([34, 50], [38, 55], [34, 61], [25, 60], [19, 50], [24, 34], [40, 20], [60, 15]),
            'bold',
          ),
          stroke(curve([31, 49], [35, 44], [44, 38], [53, 36]), 'fine'),
        ]),
      ];
    case 'wavy':
      return [
        foot,
        {
          ...dome(
            curve([20, 50], [28, 60], [38, 52], [48, 63], [60, 54], [72, 63], [82, 52], [92, 60], [100, 50]),
          ),
          ink: 'bold',
        },
      ];
    case 'even':
      return [foot, dome(even), stroke(even, 'bold')];
    case 'fringed':
      return [
        foot,
        dome(even),
        ...Array.from({ length: 11 }, (_, i) => {
          const {
            at: [x, y],
          } = along(even, (i + 0.5) / 11);
          return shape(
            [
              [x - 3.4, y - 1],
              [x - 2, y + 6 + (i % 3) * 2],
              [x + 1, y + 4],
              [x + 3.2, y - 1],
            ],
            'paper',
            'line',
          );
        }),
      ];
    case 'lined':
      return [
        foot,
        dome(even),
        ...Array.from({ length: 21 }, (_, i) => {
          const {
            at: [x, y],
          } = along(even, (i + 0.5) / 21);
          return stroke(
            [
              [x, y - 1],
              [x - (x - MIDDLE) * 0.09, y - 12],
            ],
            'line',
          );
        }),
      ];
    case 'splitting':
      return [
        foot,
        dome(even),
        ...[0.14, 0.38, 0.6, 0.84].map((share) => {
          const {
            at: [x, y],
          } = along(even, share);
          return shape(
            [
              [x - 2.6, y + 0.6],
              [x - (x - MIDDLE) * 0.12, y - 18],
              [x + 2.6, y + 0.6],
            ],
            'ink',
            'fine',
          );
        }),
      ];
    default:
      return undefined;
  }
}

const DOME = [
  ...curve([16, 56], [20, 34], [36, 18], [60, 13], [84, 18], [100, 34], [104, 56]),
  ...curve([104, 56], [84, 62], [60, 64], [36, 62], [16, 56]).slice(1, -1),
];

export function capSurface(state: string): Mark[] | undefined {
  const dome = shape(DOME);
  const over = (apart: number, seed: number, most?: number) => strewn(shrunk(DOME, 0.9), apart, seed, most);
  const outwards = ([x]: Point) => (x - MIDDLE) / 44;
  switch (state) {
    case 'smooth-dry':
      return [dome, ...strokes([curve([34, 30], [46, 23], [58, 21])], 'faint')];
    case 'greasy':
      return [
        dome,
        shape(closedCurve([32, 34], [44, 24], [58, 21], [56, 25], [44, 30], [36, 38]), 'shade', 'none'),
        stroke(curve([74, 24], [84, 30], [90, 38]), 'fine'),
      ];
    case 'felty':
      return [
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
      ];
    case 'fibrillose':
      return [
        dome,
        ...over(6, 4).map((p) =>
          stroke([p, [p[0] + outwards(p) * 7, p[1] + 6 - Math.abs(outwards(p)) * 2]], 'fine'),
        ),
      ];
    case 'slimy':
      return [
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
      ];
    case 'scaly':
      return [
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
      ];
    case 'warts':
      return [
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
      ];
    case 'soft-spines':
      return [
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
      ];
    case 'cracked':
      return [
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
      ];
    case 'plates':
      return [
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
      ];
    default:
      return undefined;
  }
}

export function texture(state: string): Mark[] | undefined {
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
  switch (state) {
    case 'stringy':
      return [
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
      ];
    case 'brittle': {
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
    }
    case 'firm':
      return [
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
      ];
    case 'soft':
      return [
        shape([
          ...curve([34, GROUND], [36, 44], [52, 26], [74, 30], [84, 50], [86, 62]),
          ...curve([96, 60], [94, 44], [80, 20], [50, 14], [26, 40], [22, GROUND]),
        ]),
      ];
    case 'tough':
      return [
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
      ];
    default:
      return undefined;
  }
}

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
  switch (state) {
    case 'cap-and-stem':
      return [
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
      ];
    case 'cap-inside':
      return [
        shape(CUT_BALL, 'paper', 'bold'),
        shape(
          [
            ...curve([42, 40], [46, 24], [60, 18], [74, 24], [78, 40]),
            [65, 38],
            [66, 60],
            [54, 60],
            [55, 38],
          ],
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
      ];
    case 'even-white':
      return [shape(CUT_BALL, 'paper', 'bold'), stroke(curve([38, 44], [36, 34], [42, 22]), 'faint')];
    case 'dark-marbled':
      return [
        shape(CUT_BALL, 'paper', 'bold'),
        shape(shrunk(CUT_BALL, 0.8), 'ink', 'line'),
        ...strewn(shrunk(CUT_BALL, 0.7), 9, 5).map(([x, y], i) =>
          shape(closedCurve([x - 3, y], [x, y - 1], [x + 3, y + (i % 2)], [x, y + 0.8]), 'paper', 'none'),
        ),
      ];
    case 'powder':
      return [
        shape(CUT_BALL, 'paper', 'bold'),
        ...strewn(shrunk(CUT_BALL, 0.84), 3, 6, 170).map(([x, y]) => dot(x, y, 0.9)),
      ];
    case 'one-hollow':
      return [
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
      ];
    case 'chambers':
      return [
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
      ];
    case 'cotton':
      return [
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
      ];
    default:
      return undefined;
  }
}

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

/** The rim rubbed with a thumb. */
export function rubbed(fill: Fill): Mark[] {
  const patch = closedCurve([72, 50], [76, 42], [88, 40], [98, 48], [92, 57], [80, 59]);
  return [
    shape(DOME, 'paper', 'fine'),
    shape(patch, fill, fill === 'none' ? 'fine' : 'line'),
    ...strokes([curve([102, 66], [98, 60], [94, 58]), curve([110, 60], [104, 56], [98, 54])], 'faint'),
  ];
}
