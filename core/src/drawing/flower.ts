import { strewn } from './fungus';
import { along, closedCurve, curve, ellipse, from, mirrored, type Line, type Point } from './geometry';
import { blade, OUTLINES, type Outline } from './leaf';
import { dot, faint, placed, segment, shape, stroke, strokes, type Mark } from './mark';

const PETAL: Outline = { base: 0.9, tip: 0.5, ratio: 1.2 };
const leaf = (at: Point, turn: number, length = 20): Mark[] =>
  placed(blade({ outline: OUTLINES.lanceolate, length, venation: 'one' }), { at, turn });
const petal = (length: number, outline: Outline = PETAL): Mark[] =>
  blade({ outline, length, venation: 'one' }).slice(0, 1);

/** So many petals round a middle, seen from above. */
export function rosette(
  at: Point,
  count: number,
  length: number,
  outline: Outline = PETAL,
  turn = 0,
): Mark[] {
  return [
    ...Array.from({ length: count }, (_, i) =>
      placed(petal(length, outline), { at, turn: turn + (360 * i) / count }),
    ).flat(),
    shape(ellipse(at[0], at[1], Math.max(1.6, length * 0.16)), 'shade', 'fine'),
  ];
}

const stalk = (...through: Line): Mark => stroke(curve(...through), 'line');
const hanging = (points: Line, tips: number): Mark[] => {
  const right = curve(...points);
  const [, low] = points[points.length - 1] as Point;
  const half = (points[points.length - 1] as Point)[0] - 60;
  const rim: Line = Array.from({ length: tips * 2 + 1 }, (_, i) => [
    60 + half - (half * 2 * i) / (tips * 2),
    low + (i % 2 ? 7 : 0),
  ]);
  return [
    shape([...right, ...rim.slice(1), ...[...mirrored(right, 60)].reverse().slice(1)], 'paper', 'line'),
  ];
};

export function form(state: string): Mark[] | undefined {
  const middle: Point = [60, 40];
  switch (state) {
    case 'urn':
      return [
        stalk([60, 4], [60, 14]),
        shape([
          ...curve([60, 14], [80, 24], [84, 42], [70, 58], [66, 62]),
          [70, 67],
          ...curve([70, 67], [60, 69], [50, 67]).slice(1),
          [54, 62],
          ...[...mirrored(curve([60, 14], [80, 24], [84, 42], [70, 58], [66, 62]), 60)]
            .reverse()
            .slice(0, -1),
        ]),
      ];
    case 'bell':
      return [
        stalk([40, 8], [54, 5], [60, 14]),
        ...hanging(
          [
            [60, 14],
            [74, 20],
            [78, 40],
            [88, 62],
          ],
          4,
        ),
        ...faint([...leaf([60, 15], -118, 14), ...leaf([60, 15], 118, 14)]),
      ];
    case 'star':
      return rosette(middle, 5, 32, { base: 0.8, tip: 1, ratio: 2.4 });
    case 'small-five':
      return (
        [
          [36, 30],
          [60, 22],
          [84, 30],
          [48, 50],
          [74, 50],
          [60, 66],
          [30, 56],
          [92, 56],
        ] as const
      ).flatMap(([x, y], i) => rosette([x, y], 5, 8.5, PETAL, i * 20));
    case 'spider':
      return [
        ...Array.from({ length: 4 }, (_, i) =>
          placed(
            blade({ outline: { base: 0.65, tip: 1.1, ratio: 6 }, length: 36, venation: 'one' }).slice(0, 1),
            { at: middle, turn: i * 90 + 45 },
          ),
        ).flat(),
        ...Array.from({ length: 8 }, (_, i) => stroke([middle, from(middle, i * 45, 27)], 'fine')),
        shape(ellipse(60, 40, 7), 'ink', 'line'),
      ];
    case 'daisy':
      return [
        ...Array.from({ length: 18 }, (_, i) =>
          placed(petal(30, { base: 0.6, tip: 0.3, ratio: 4 }), { at: middle, turn: i * 20 }),
        ).flat(),
        shape(ellipse(60, 40, 11), 'shade', 'line'),
        ...strewn(ellipse(60, 40, 9), 3.2, 2).map(([x, y]) => dot(x, y, 0.8)),
      ];
    case 'cross':
      return [
        ...rosette(middle, 4, 30, PETAL, 45),
        ...Array.from({ length: 4 }, (_, i) => dot(...from(middle, i * 90, 7), 1.6)),
      ];
    case 'five-petals':
      return [
        ...rosette(middle, 5, 31),
        ...Array.from({ length: 15 }, (_, i) => {
          const tip = from(middle, i * 24, 13);
          return [stroke([middle, tip], 'fine'), dot(tip[0], tip[1], 1.2)];
        }).flat(),
      ];
    case 'six-star':
      return rosette(middle, 6, 33, { base: 0.7, tip: 0.8, ratio: 2.2 });
    case 'six-bell':
      return [
        stalk([38, 6], [54, 4], [60, 16]),
        shape([
          ...curve([60, 16], [80, 22], [86, 40], [80, 52]),
          [88, 58],
          [76, 60],
          [70, 66],
          [60, 60],
          [50, 66],
          [44, 60],
          [32, 58],
          ...[...mirrored(curve([60, 16], [80, 22], [86, 40], [80, 52]), 60)].reverse().slice(0, -1),
        ]),
      ];
    case 'goblet':
      return [
        stroke(segment(16, 74, 104, 74), 'faint'),
        shape([
          ...curve([56, 74], [57, 54], [46, 36], [40, 12]),
          [50, 22],
          [60, 8],
          [70, 22],
          ...[...mirrored(curve([56, 74], [57, 54], [46, 36], [40, 12]), 60)].reverse(),
        ]),
        ...strokes([curve([50, 22], [54, 40], [58, 52]), curve([70, 22], [66, 40], [62, 52])]),
      ];
    case 'thimble':
      return [
        stalk([22, 14], [30, 12], [36, 18]),
        shape([
          ...curve([34, 16], [52, 16], [76, 26], [94, 40]),
          ...curve([94, 40], [102, 48], [98, 60], [86, 66]).slice(1),
          ...curve([86, 66], [66, 62], [44, 40], [30, 24]).slice(1),
        ]),
        stroke(curve([94, 40], [84, 48], [86, 66]), 'line'),
        ...[
          [80, 46],
          [74, 52],
          [70, 44],
          [82, 56],
        ].map(([x = 0, y = 0]) => dot(x, y, 1.7)),
      ];
    case 'hood':
      return [
        shape([
          ...curve([56, 78], [56, 58], [44, 42], [46, 20], [62, 4]),
          ...curve([62, 4], [76, 20], [76, 42], [66, 58], [64, 78]).slice(1),
        ]),
        shape([...curve([58, 58], [55, 40], [60, 24], [65, 40], [62, 58])], 'ink', 'line'),
        stroke(curve([46, 24], [60, 46], [62, 60]), 'fine'),
      ];
    case 'helmet':
      return [
        stalk([60, 78], [60, 62]),
        shape([
          ...curve([34, 46], [32, 22], [52, 6], [78, 10]),
          ...curve([78, 10], [94, 20], [98, 40]).slice(1),
          ...curve([98, 40], [84, 34], [74, 40]).slice(1),
          ...curve([74, 40], [56, 42], [34, 46]).slice(1),
        ]),
        ...[-1, 1].map((s) =>
          shape(
            closedCurve([60 + s * 2, 44], [60 + s * 20, 40], [60 + s * 24, 54], [60 + s * 10, 64], [60, 62]),
          ),
        ),
        stroke(curve([40, 40], [56, 34], [88, 36]), 'fine'),
      ];
    case 'trumpet':
      return [
        stalk([60, 79], [60, 70]),
        shape([
          ...curve([56, 72], [54, 52], [46, 34], [26, 16]),
          ...curve([26, 16], [42, 8], [60, 6], [78, 8], [94, 16]).slice(1),
          ...curve([94, 16], [74, 34], [66, 52], [64, 72]).slice(1),
        ]),
        stroke(curve([26, 16], [44, 24], [60, 26], [76, 24], [94, 16]), 'line'),
        ...strokes([curve([44, 23], [54, 42], [58, 64]), curve([76, 23], [66, 42], [62, 64])]),
      ];
    case 'tube':
      return [
        shape([
          [57, 76],
          [63, 76],
          [66, 34],
          [54, 34],
        ]),
        ...Array.from({ length: 4 }, (_, i) =>
          placed(petal(24, { base: 0.7, tip: 0.8, ratio: 2 }), { at: [60, 32], turn: i * 90 + 45 }),
        ).flat(),
        shape(ellipse(60, 32, 4), 'ink', 'line'),
      ];
    case 'brush':
      return [
        ...rosette(middle, 5, 32, { base: 0.8, tip: 0.7, ratio: 1.8 }),
        ...Array.from({ length: 36 }, (_, i) => {
          const tip = from(middle, i * 10, i % 2 ? 22 : 17);
          return [stroke([middle, tip], 'fine'), dot(tip[0], tip[1], 1.1)];
        }).flat(),
      ];
    case 'catkin':
      return [
        stalk([60, 2], [60, 10]),
        shape(closedCurve([60, 8], [70, 16], [72, 44], [66, 70], [60, 76], [54, 70], [48, 44], [50, 16])),
        ...Array.from({ length: 8 }, (_, i) =>
          strokes(
            [curve([50, 16 + i * 7], [56, 20 + i * 7], [60, 16 + i * 7], [64, 20 + i * 7], [70, 16 + i * 7])],
            'fine',
          ),
        ).flat(),
      ];
    case 'lipped':
      return [
        stalk([60, 78], [60, 66]),
        ...[-1, 1].flatMap((s) => [
          shape([
            ...curve([60, 66], [60 + s * 10, 54], [60 + s * 16, 42]),
            ...curve([60 + s * 16, 42], [60 + s * 18, 24], [60 + s * 34, 10]).slice(1),
            ...curve([60 + s * 34, 10], [60 + s * 34, 26], [60 + s * 26, 40]).slice(1),
            ...curve([60 + s * 26, 40], [60 + s * 42, 42], [60 + s * 48, 56]).slice(1),
            ...curve([60 + s * 48, 56], [60 + s * 36, 52], [60 + s * 24, 50]).slice(1),
            ...curve([60 + s * 24, 50], [60 + s * 14, 60], [60 + s * 4, 69]).slice(1),
          ]),
          ...[
            [44, 28],
            [46, 34],
          ].flatMap(([x = 0, y = 0]) => [
            stroke(curve([60 + s * 24, 44], [60 + s * 34, 36], [60 + s * x, y]), 'fine'),
            dot(60 + s * x, y, 1.5),
          ]),
        ]),
      ];
    case 'tiny-green':
      return [
        stalk([60, 78], [60, 14]),
        ...[16, 26, 36, 46, 56].flatMap((y, i) =>
          [-1, 1].map((s) => shape(ellipse(60 + s * (4 + (i % 2) * 2), y, 3.4, 3), 'shade', 'fine')),
        ),
      ];
    default:
      return undefined;
  }
}

const bud = (x: number, y: number, r = 3.4): Mark => shape(ellipse(x, y, r), 'shade', 'line');
/** An umbel in side view: rays from one point, each with what ends it. */
export function umbel(
  at: Point,
  rays: number,
  long: number,
  end: (tip: Point) => readonly Mark[],
  spread = 62,
): Mark[] {
  return Array.from({ length: rays }, (_, i) => {
    const turn = rays === 1 ? 0 : -spread + (2 * spread * i) / (rays - 1);
    const tip = from(at, turn - 90, long * (1 - 0.12 * Math.abs(turn / spread)));
    return [stroke([at, tip], 'line'), ...end(tip)];
  }).flat();
}
const umbellet = (tip: Point): Mark[] => umbel(tip, 5, 8, ([x, y]) => [dot(x, y, 1.6)], 70);

export function inflorescence(state: string): Mark[] | undefined {
  const axis = stroke(segment(60, 78, 60, 10), 'bold');
  switch (state) {
    case 'axil':
      return [
        axis,
        ...faint([...leaf([60, 58], -52, 30), ...leaf([60, 36], 52, 30), ...leaf([60, 18], -44, 22)]),
        ...(
          [
            [48, 58],
            [72, 36],
            [50, 18],
          ] as const
        ).flatMap(([x, y]) => [
          stroke(
            [
              [60, y + 2],
              [x, y + 4],
            ],
            'line',
          ),
          bud(x, y + 6, 4.4),
        ]),
      ];
    case 'single-top':
      return [
        stroke(segment(60, 78, 60, 26), 'bold'),
        ...faint([...leaf([60, 62], -50, 26), ...leaf([60, 50], 50, 26)]),
        ...rosette([60, 18], 5, 13),
      ];
    case 'umbel':
      return [stroke(segment(60, 78, 60, 50), 'bold'), ...umbel([60, 50], 7, 34, umbellet)];
    case 'whorls':
      return [
        axis,
        ...[62, 42, 22].flatMap((y) => [
          ...faint([...leaf([60, y + 4], -74, 28), ...leaf([60, y + 4], 74, 28)]),
          ...[-13, -7, 0, 7, 13].map((x) => bud(60 + x, y - Math.abs(x) * 0.2, 3.4)),
        ]),
      ];
    case 'panicle':
      return [
        axis,
        ...[60, 48, 36, 24].flatMap((y, i) =>
          [-1, 1].flatMap((s) => {
            const long = 32 - i * 6;
            const tip: Point = [60 + s * long, y - long * 0.55];
            const line: Line = [[60, y], tip];
            return [
              stroke(line, 'line'),
              ...[0.4, 0.7, 1].map((share) => {
                const { at } = along(line, share);
                return bud(at[0], at[1], 2.6);
              }),
            ];
          }),
        ),
        bud(60, 10, 2.8),
      ];
    case 'simple-umbel':
      return [
        stroke(segment(60, 78, 60, 44), 'bold'),
        ...umbel([60, 44], 9, 30, ([x, y]) => [bud(x, y, 3.6)], 86),
      ];
    case 'one-sided':
      return [
        stroke(curve([42, 78], [46, 40], [60, 6]), 'bold'),
        ...[56, 40, 24, 8].flatMap((y, i) => {
          const x = 44.5 + i * 4;
          return [
            stroke(curve([x, y + 2], [x + 12, y - 1], [x + 20, y + 4]), 'line'),
            shape([
              ...curve([x + 20, y + 3], [x + 26, y + 7], [x + 28, y + 15]),
              ...curve([x + 12, y + 15], [x + 14, y + 7], [x + 20, y + 3]),
            ]),
          ];
        }),
      ];
    case 'curl':
      return [
        stroke(curve([36, 78], [40, 54], [50, 36]), 'bold'),
        stroke(curve([50, 36], [60, 18], [84, 18], [94, 36], [86, 50], [74, 48], [74, 38], [80, 36]), 'bold'),
        ...[0.1, 0.28, 0.46, 0.62, 0.76, 0.88].map((share, i) => {
          const { at, heading } = along(
            curve([50, 36], [60, 18], [84, 18], [94, 36], [86, 50], [74, 48], [74, 38]),
            share,
          );
          const [x, y] = from(at, heading - 90, 6 - i * 0.5);
          return bud(x, y, 4.2 - i * 0.5);
        }),
      ];
    case 'flat-cluster':
      return [
        stroke(segment(60, 78, 60, 56), 'bold'),
        ...[-36, -24, -12, 0, 12, 24, 36].flatMap((x) => [
          stroke(curve([60, 56], [60 + x * 0.6, 42], [60 + x, 28]), 'line'),
          ...[-4, 0, 4].map((dx, i) => bud(60 + x + dx, 24 - (i % 2) * 5, 2.8)),
        ]),
      ];
    case 'spike':
      return [
        axis,
        ...Array.from({ length: 8 }, (_, i) =>
          [-1, 1].map((s) => shape(ellipse(60 + s * 5.4, 14 + i * 6, 4.4, 3.2), 'paper', 'fine')),
        ).flat(),
        shape(ellipse(60, 8, 3, 4), 'paper', 'fine'),
      ];
    case 'heads':
      return [
        stroke(curve([60, 78], [46, 50], [34, 30]), 'bold'),
        stroke(curve([60, 78], [62, 44], [64, 22]), 'bold'),
        stroke(curve([60, 78], [78, 56], [92, 38]), 'bold'),
        ...(
          [
            [34, 24],
            [64, 14],
            [94, 32],
          ] as const
        ).flatMap(([x, y]) => [
          ...Array.from({ length: 12 }, (_, i) =>
            stroke([from([x, y], i * 30, 4), from([x, y], i * 30, 10)], 'line'),
          ),
          shape(ellipse(x, y, 4.6), 'shade'),
        ]),
      ];
    case 'on-bare-twig':
      return [
        shape([...curve([14, 50], [60, 44], [108, 36]), ...curve([108, 41], [60, 52], [14, 58])]),
        ...(
          [
            [32, 42],
            [52, 40],
            [74, 36],
            [92, 32],
          ] as const
        ).flatMap(([x, y], i) => rosette([x, y], 4, 10, PETAL, i * 22)),
      ];
    case 'ground':
      return [
        stroke(curve([14, 70], [60, 69], [106, 70]), 'faint'),
        ...[40, 62, 82].flatMap((x, i) => [
          shape([
            ...curve([x - 1.6, 70], [x - 3, 48], [x - 9, 32 - i * 3]),
            [x, 40 - i * 3],
            ...curve([x + 9, 32 - i * 3], [x + 3, 48], [x + 1.6, 70]),
          ]),
        ]),
      ];
    case 'catkins':
      return [
        shape([...curve([14, 14], [60, 12], [106, 10]), ...curve([106, 14], [60, 18], [14, 19])]),
        ...[34, 52, 72, 90].map((x, i) =>
          shape(
            closedCurve(
              [x, 16],
              [x + 5, 24],
              [x + 5, 56 + (i % 2) * 10],
              [x, 64 + (i % 2) * 10],
              [x - 5, 56 + (i % 2) * 10],
              [x - 5, 24],
            ),
            'shade',
            'line',
          ),
        ),
      ];
    case 'pairs':
      return [
        stroke(segment(60, 78, 60, 6), 'bold'),
        ...faint([...leaf([60, 56], -60, 30), ...leaf([60, 56], 60, 30)]),
        stroke(
          [
            [60, 50],
            [80, 34],
          ],
          'line',
        ),
        ...[
          [76, 24],
          [90, 32],
        ].flatMap(([x = 0, y = 0]) => [
          stroke(
            [
              [80, 34],
              [x, y + 4],
            ],
            'line',
          ),
          bud(x, y, 5),
        ]),
      ];
    case 'small-cluster':
      return [
        axis,
        ...faint([...leaf([60, 56], -52, 32), ...leaf([60, 30], 52, 32)]),
        ...(
          [
            [46, 54],
            [74, 28],
          ] as const
        ).flatMap(([x, y]) =>
          [
            [-4, 3],
            [3, 5],
            [0, -3],
          ].flatMap(([dx = 0, dy = 0]) => [
            stroke(
              [
                [60, y + 3],
                [x + dx, y + dy],
              ],
              'fine',
            ),
            bud(x + dx, y + dy, 3),
          ]),
        ),
      ];
    default:
      return undefined;
  }
}

const narrow = (at: Point, turn: number, length: number): Mark =>
  placed(
    [
      stroke(
        [
          [0, 0],
          [0, -length],
        ],
        'bold',
      ),
    ],
    { at, turn },
  )[0] as Mark;

export function bracts(state: string): Mark[] | undefined {
  const under: readonly number[] | undefined = {
    none: [],
    few: [-104, 100],
    many: [-152, -128, -104, 104, 128, 152],
  }[state];
  return (
    under && [
      ...faint([stroke(segment(60, 78, 60, 46), 'bold'), ...umbel([60, 46], 7, 32, umbellet)]),
      ...under.map((turn) => narrow([60, 46], turn, 19)),
    ]
  );
}

export function bracteoles(state: string): Mark[] | undefined {
  const sides: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
    none: [],
    ring: [
      [-150, 15],
      [-118, 15],
      [-92, 14],
      [92, 14],
      [118, 15],
      [150, 15],
    ],
    'one-sided-short': [
      [100, 12],
      [124, 12],
      [148, 12],
    ],
    'one-sided-long': [
      [142, 26],
      [160, 29],
      [176, 26],
    ],
  };
  const under = sides[state];
  return (
    under && [
      ...faint([
        stroke(curve([48, 78], [52, 60], [60, 42]), 'bold'),
        ...umbel([60, 42], 9, 28, ([x, y]) => [bud(x, y, 3.2)], 70),
      ]),
      ...under.map(([turn, length]) => narrow([60, 42], turn, length)),
    ]
  );
}

export function outerPetals(state: string): Mark[] | undefined {
  const floret = (x: number, y: number, size: number) => rosette([x, y], 5, size);
  const inner = (
    [
      [48, 34],
      [60, 30],
      [72, 34],
      [52, 46],
      [68, 46],
      [60, 40],
    ] as const
  ).flatMap(([x, y]) => floret(x, y, 4.6));
  const ring = Array.from({ length: 10 }, (_, i) => i * 36);
  if (state === 'even') return [...inner, ...ring.flatMap((a) => floret(...from([60, 39], a, 24), 4.6))];
  if (state === 'enlarged')
    return [
      ...inner,
      ...ring.flatMap((a) => {
        const at = from([60, 39], a, 23);
        return [
          ...floret(at[0], at[1], 4.2),
          ...[-17, 17].flatMap((off) =>
            placed(petal(14, { base: 1, tip: 0.4, ratio: 1.7 }), { at, turn: a + 90 + off }),
          ),
        ];
      }),
    ];
  return undefined;
}

export function disc(state: string): Mark[] | undefined {
  const rays = (drop: number) =>
    [-1, 1].flatMap((s) =>
      strokes([curve([60 + s * 24, 50], [60 + s * 38, 50 + drop], [60 + s * 46, 56 + drop * 1.5])], 'bold'),
    );
  const foot = [stroke(segment(57, 78, 57, 56), 'line'), stroke(segment(63, 78, 63, 56), 'line')];
  switch (state) {
    case 'hollow-cone':
      return [
        ...foot,
        shape(
          [
            ...curve([36, 52], [46, 34], [54, 14], [60, 8]),
            ...curve([60, 8], [66, 14], [74, 34], [84, 52]).slice(1),
            ...curve([84, 52], [60, 58], [36, 52]).slice(1),
          ],
          'shade',
          'bold',
        ),
        shape(curve([60, 18], [66, 34], [70, 48], [60, 51], [50, 48], [54, 34], [60, 18]), 'paper', 'line'),
        ...rays(6),
      ];
    case 'solid':
      return [
        ...foot,
        shape(
          [
            ...curve([36, 52], [44, 30], [60, 18], [76, 30], [84, 52]),
            ...curve([84, 52], [60, 58], [36, 52]).slice(1),
          ],
          'shade',
          'bold',
        ),
        ...rays(4),
      ];
    case 'flat':
      return [
        ...foot,
        shape(
          [...curve([36, 48], [60, 43], [84, 48]), ...curve([84, 52], [60, 57], [36, 52])],
          'shade',
          'bold',
        ),
        ...rays(2),
      ];
    default:
      return undefined;
  }
}
