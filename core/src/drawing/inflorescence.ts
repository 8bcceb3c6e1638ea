import { ellipse, type Point, from, type Line, along, curve, closedCurve } from './geometry';
import { type Mark, shape, stroke, dot, segment, faint, type Drawings } from './mark';
import { leaf, rosette, PETAL } from './petals';

/** How flowers stand together. */

export const bud = (x: number, y: number, r = 3.4): Mark => shape(ellipse(x, y, r), 'shade', 'line');

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

export const umbellet = (tip: Point): Mark[] => umbel(tip, 5, 8, ([x, y]) => [dot(x, y, 1.6)], 70);
const axis = stroke(segment(60, 78, 60, 10), 'bold');

export function inflorescence(state: string): Mark[] | undefined {
  return INFLORESCENCES[state]?.();
}

const INFLORESCENCES: Drawings = {
  axil: () => [
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
  ],
  'single-top': () => [
    stroke(segment(60, 78, 60, 26), 'bold'),
    ...faint([...leaf([60, 62], -50, 26), ...leaf([60, 50], 50, 26)]),
    ...rosette([60, 18], 5, 13),
  ],
  umbel: () => [stroke(segment(60, 78, 60, 50), 'bold'), ...umbel([60, 50], 7, 34, umbellet)],
  whorls: () => [
    axis,
    ...[62, 42, 22].flatMap((y) => [
      ...faint([...leaf([60, y + 4], -74, 28), ...leaf([60, y + 4], 74, 28)]),
      ...[-13, -7, 0, 7, 13].map((x) => bud(60 + x, y - Math.abs(x) * 0.2, 3.4)),
    ]),
  ],
  panicle: () => [
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
  ],
  'simple-umbel': () => [
    stroke(segment(60, 78, 60, 44), 'bold'),
    ...umbel([60, 44], 9, 30, ([x, y]) => [bud(x, y, 3.6)], 86),
  ],
  'one-sided': () => [
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
  ],
  curl: () => [
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
  ],
  'flat-cluster': () => [
    stroke(segment(60, 78, 60, 56), 'bold'),
    ...[-36, -24, -12, 0, 12, 24, 36].flatMap((x) => [
      stroke(curve([60, 56], [60 + x * 0.6, 42], [60 + x, 28]), 'line'),
      ...[-4, 0, 4].map((dx, i) => bud(60 + x + dx, 24 - (i % 2) * 5, 2.8)),
    ]),
  ],
  spike: () => [
    axis,
    ...Array.from({ length: 8 }, (_, i) =>
      [-1, 1].map((s) => shape(ellipse(60 + s * 5.4, 14 + i * 6, 4.4, 3.2), 'paper', 'fine')),
    ).flat(),
    shape(ellipse(60, 8, 3, 4), 'paper', 'fine'),
  ],
  heads: () => [
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
  ],
  'on-bare-twig': () => [
    shape([...curve([14, 50], [60, 44], [108, 36]), ...curve([108, 41], [60, 52], [14, 58])]),
    ...(
      [
        [32, 42],
        [52, 40],
        [74, 36],
        [92, 32],
      ] as const
    ).flatMap(([x, y], i) => rosette([x, y], 4, 10, PETAL, i * 22)),
  ],
  ground: () => [
    stroke(curve([14, 70], [60, 69], [106, 70]), 'faint'),
    ...[40, 62, 82].flatMap((x, i) => [
      shape([
        ...curve([x - 1.6, 70], [x - 3, 48], [x - 9, 32 - i * 3]),
        [x, 40 - i * 3],
        ...curve([x + 9, 32 - i * 3], [x + 3, 48], [x + 1.6, 70]),
      ]),
    ]),
  ],
  catkins: () => [
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
  ],
  pairs: () => [
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
  ],
  'small-cluster': () => [
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
  ],
};
