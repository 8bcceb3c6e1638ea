import { strewn, mushroom } from './fungus';
import { closedCurve, curve, ellipse, from, symmetric, type Point } from './geometry';
import { blade, OUTLINES } from './leaf';
import { dot, placed, segment, shape, stroke, strokes, type Mark } from './mark';
import { rosette } from './petals';

const leaf = (at: Point, turn: number, length: number): Mark[] =>
  placed(blade({ outline: OUTLINES.elliptic, length, venation: 'one' }), { at, turn });
/** What rises from something that smells badly. */
const fumes = (xs: readonly number[], top = 8, bottom = 34): Mark[] =>
  xs.map((x) =>
    stroke(curve([x, bottom], [x - 5, bottom - 7], [x + 4, (top + bottom) / 2 - 2], [x - 2, top]), 'line'),
  );
const bottle = (label: readonly Mark[], neck = 7): Mark[] => [
  shape(
    [
      ...curve([60 - neck, 10], [60 - neck, 24]),
      ...curve([60 - neck, 24], [40, 36], [38, 46]).slice(1),
      [38, 76],
      [82, 76],
      ...curve([82, 46], [80, 36], [60 + neck, 24]),
      [60 + neck, 10],
    ],
    'paper',
    'bold',
  ),
  shape(
    [
      [60 - neck - 2, 4],
      [60 + neck + 2, 4],
      [60 + neck + 2, 11],
      [60 - neck - 2, 11],
    ],
    'ink',
    'line',
  ),
  ...label,
];

/** The thing that a smell is likened to, by that thing. */
const LIKENESS: Readonly<Record<string, () => Mark[]>> = {
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
  fly: () => [
    ...[-1, 1].flatMap((s) => [
      shape(
        closedCurve(
          [60 + s * 4, 38],
          [60 + s * 26, 26],
          [60 + s * 42, 34],
          [60 + s * 34, 50],
          [60 + s * 12, 48],
        ),
        'paper',
        'line',
      ),
      ...strokes(
        [
          curve([60 + s * 6, 54], [60 + s * 20, 62], [60 + s * 24, 74]),
          curve([60 + s * 6, 34], [60 + s * 16, 24], [60 + s * 14, 14]),
        ],
        'line',
      ),
    ]),
    shape(ellipse(60, 50, 8, 18), 'ink', 'line'),
    shape(ellipse(60, 27, 7, 6), 'shade', 'bold'),
  ],
  nothing: () => [shape(ellipse(60, 40, 26), 'none', 'fine'), stroke(segment(42, 58, 78, 22), 'bold')],
  flour: () => [
    shape(
      [
        ...curve([36, 76], [32, 56], [40, 36], [50, 24]),
        ...curve([50, 24], [60, 20], [70, 24]).slice(1),
        ...curve([70, 24], [80, 36], [88, 56], [84, 76]).slice(1),
      ],
      'paper',
      'bold',
    ),
    stroke(curve([47, 26], [60, 30], [73, 26]), 'bold'),
    ...strokes([curve([50, 24], [44, 12], [60, 14], [76, 10], [70, 24])], 'line'),
    stroke(segment(60, 70, 60, 44), 'line'),
    ...[46, 52, 58].flatMap((y) =>
      [-1, 1].map((s) =>
        shape(closedCurve([60, y + 6], [60 + s * 5, y + 2], [60 + s * 5, y - 4], [60, y]), 'shade', 'fine'),
      ),
    ),
  ],
  ink: () => [
    shape(
      [
        [36, 44],
        [84, 44],
        [90, 76],
        [30, 76],
      ],
      'ink',
      'bold',
    ),
    shape(
      [
        [50, 34],
        [70, 34],
        [70, 44],
        [50, 44],
      ],
      'paper',
      'bold',
    ),
    shape([...curve([62, 40], [72, 20], [94, 4]), ...curve([98, 8], [82, 24], [66, 42])], 'paper', 'line'),
  ],
  honey: () => [
    shape(
      [...curve([38, 28], [28, 48], [36, 70]), [60, 76], ...curve([84, 70], [92, 48], [82, 28])],
      'shade',
      'bold',
    ),
    shape(
      [
        [34, 20],
        [86, 20],
        [86, 28],
        [34, 28],
      ],
      'paper',
      'bold',
    ),
    stroke(curve([44, 28], [42, 40], [46, 46], [50, 40], [50, 28]), 'line'),
    stroke(segment(70, 20, 84, 2), 'bold'),
  ],
  perfume: () => [
    shape(
      [
        [36, 38],
        [84, 38],
        [84, 76],
        [36, 76],
      ],
      'paper',
      'bold',
    ),
    shape(
      [
        [36, 54],
        [84, 54],
        [84, 76],
        [36, 76],
      ],
      'shade',
      'line',
    ),
    shape([
      [52, 28],
      [68, 28],
      [68, 38],
      [52, 38],
    ]),
    shape(ellipse(60, 20, 9, 8), 'ink', 'line'),
    ...[
      [86, 16],
      [94, 10],
      [94, 22],
      [102, 16],
    ].map(([x = 0, y = 0]) => dot(x, y, 1.7)),
  ],
  pear: () => [
    stroke(curve([60, 2], [62, 8], [60, 14]), 'bold'),
    ...leaf([60, 12], 70, 22),
    shape(symmetric(60, [60, 14], [70, 20], [72, 36], [86, 54], [78, 72], [60, 76]), 'shade', 'bold'),
  ],
  tyre: () => [
    shape(ellipse(60, 40, 34), 'ink', 'line'),
    shape(ellipse(60, 40, 20), 'paper', 'line'),
    shape(ellipse(60, 40, 7), 'shade', 'line'),
    ...Array.from({ length: 6 }, (_, i) =>
      stroke([from([60, 40], i * 60, 7), from([60, 40], i * 60, 20)], 'line'),
    ),
  ],
  fish: () => [
    shape(closedCurve([14, 42], [32, 30], [54, 30], [30, 54]), 'shade', 'none'),
    shape([...curve([12, 44], [22, 32], [38, 30]), ...curve([38, 54], [22, 54], [12, 44])], 'paper', 'bold'),
    dot(22, 41, 2.2),
    stroke(segment(38, 42, 92, 42), 'bold'),
    ...[46, 56, 66, 76, 86].map((x) =>
      stroke(
        [
          [x + 3, 30 + (x - 46) * 0.1],
          [x, 42],
          [x + 3, 54 - (x - 46) * 0.1],
        ],
        'line',
      ),
    ),
    shape(
      [
        [92, 42],
        [108, 28],
        [104, 42],
        [108, 56],
      ],
      'paper',
      'bold',
    ),
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
  mouse: () => [
    shape(
      closedCurve([24, 66], [22, 54], [36, 42], [60, 38], [80, 46], [94, 60], [86, 68], [56, 70]),
      'shade',
      'bold',
    ),
    shape(ellipse(70, 39, 9), 'paper', 'bold'),
    dot(82, 54, 2),
    ...strokes([curve([94, 61], [102, 58], [108, 59]), curve([93, 63], [102, 64], [108, 67])]),
    stroke(curve([24, 62], [10, 58], [10, 42], [24, 32], [34, 22]), 'bold'),
  ],
  rank: () => [
    stroke(curve([60, 78], [58, 58], [66, 44], [82, 46]), 'bold'),
    ...placed(rosette([0, 0], 5, 12), { at: [88, 54] }),
    ...leaf([59, 66], -110, 26),
    ...fumes([34, 48, 62], 6, 36),
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
  antiseptic: () =>
    bottle([stroke(segment(60, 48, 60, 68), 'bold'), stroke(segment(50, 58, 70, 58), 'bold')]),
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
  sweet: () => [
    shape(ellipse(60, 40, 20), 'shade', 'bold'),
    ...[-1, 1].map((s) =>
      shape(
        [
          [60 + s * 19, 34],
          [60 + s * 44, 22],
          [60 + s * 38, 40],
          [60 + s * 44, 58],
          [60 + s * 19, 46],
        ],
        'paper',
        'bold',
      ),
    ),
    stroke(curve([48, 30], [62, 40], [56, 54]), 'line'),
  ],
  thyme: () => [
    stroke(curve([60, 78], [58, 48], [64, 8]), 'bold'),
    ...[66, 54, 42, 30, 20].flatMap((y, i) =>
      [-1, 1].map((s) => shape(ellipse(60 + s * (10 - i) + (i > 2 ? 2 : 0), y, 8 - i, 3.4), 'shade', 'line')),
    ),
  ],
  cloud: () => [
    shape(
      closedCurve(
        [24, 62],
        [16, 52],
        [26, 44],
        [38, 46],
        [46, 36],
        [64, 36],
        [72, 46],
        [88, 42],
        [102, 52],
        [94, 64],
        [60, 68],
      ),
      'shade',
      'bold',
    ),
    ...fumes([40, 60, 80], 6, 30),
  ],
};

const BY_STATE: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  smell: {
    fruity: 'apricot',
    mushroomy: 'mushroom',
    radish: 'radish',
    carrion: 'fly',
    none: 'nothing',
    mealy: 'flour',
    ink: 'ink',
    honey: 'honey',
    perfume: 'perfume',
    pear: 'pear',
    rubber: 'tyre',
    foul: 'fish',
    spice: 'pepper',
    sweetish: 'sweet',
  },
  'leaf.smell': {
    herby: 'carrot',
    mousy: 'mouse',
    rank: 'rank',
    none: 'nothing',
    garlic: 'garlic',
    cress: 'cress',
    chamomile: 'chamomile',
    hay: 'hay',
    resin: 'resin',
    antiseptic: 'antiseptic',
    caraway: 'caraway',
    cucumber: 'cucumber',
    thyme: 'thyme',
  },
  'root.smell': {
    none: 'nothing',
    aromatic: 'carrot',
    unpleasant: 'cloud',
    garlic: 'garlic',
    radish: 'radish',
  },
  'fruit.smell': { caraway: 'caraway', spicy: 'celery', gin: 'gin', unpleasant: 'cloud', none: 'nothing' },
};

export function likeness(character: string, state: string): Mark[] | undefined {
  return LIKENESS[BY_STATE[character]?.[state] ?? '']?.();
}
