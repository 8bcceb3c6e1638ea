import { closedCurve, curve, ellipse, from } from './geometry';
import { dot, placed, segment, shape, stroke, strokes, type Mark } from './mark';
import { rosette } from './petals';
import { GROWING, leaf } from './smellGrowing';

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
  ...GROWING,
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
  antiseptic: () =>
    bottle([stroke(segment(60, 48, 60, 68), 'bold'), stroke(segment(50, 58, 70, 58), 'bold')]),
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
