import { strewn } from './fungus';
import { type Line, curve, type Point, from, mirrored, ellipse, closedCurve } from './geometry';
import { blade } from './leaf';
import { type Mark, stroke, shape, faint, placed, dot, segment, strokes, type Drawings } from './mark';
import { leaf, rosette, PETAL, petal } from './petals';

/** The form of a flower. */

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
const middle: Point = [60, 40];

export function form(state: string): Mark[] | undefined {
  return FORMS[state]?.();
}

const FORMS: Drawings = {
  urn: () => [
    stalk([60, 4], [60, 14]),
    shape([
      ...curve([60, 14], [80, 24], [84, 42], [70, 58], [66, 62]),
      [70, 67],
      ...curve([70, 67], [60, 69], [50, 67]).slice(1),
      [54, 62],
      ...[...mirrored(curve([60, 14], [80, 24], [84, 42], [70, 58], [66, 62]), 60)].reverse().slice(0, -1),
    ]),
  ],
  bell: () => [
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
  ],
  star: () => rosette(middle, 5, 32, { base: 0.8, tip: 1, ratio: 2.4 }),
  'small-five': () =>
    (
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
    ).flatMap(([x, y], i) => rosette([x, y], 5, 8.5, PETAL, i * 20)),
  spider: () => [
    ...Array.from({ length: 4 }, (_, i) =>
      placed(
        blade({ outline: { base: 0.65, tip: 1.1, ratio: 6 }, length: 36, venation: 'one' }).slice(0, 1),
        { at: middle, turn: i * 90 + 45 },
      ),
    ).flat(),
    ...Array.from({ length: 8 }, (_, i) => stroke([middle, from(middle, i * 45, 27)], 'fine')),
    shape(ellipse(60, 40, 7), 'ink', 'line'),
  ],
  daisy: () => [
    ...Array.from({ length: 18 }, (_, i) =>
      placed(petal(30, { base: 0.6, tip: 0.3, ratio: 4 }), { at: middle, turn: i * 20 }),
    ).flat(),
    shape(ellipse(60, 40, 11), 'shade', 'line'),
    ...strewn(ellipse(60, 40, 9), 3.2, 2).map(([x, y]) => dot(x, y, 0.8)),
  ],
  cross: () => [
    ...rosette(middle, 4, 30, PETAL, 45),
    ...Array.from({ length: 4 }, (_, i) => dot(...from(middle, i * 90, 7), 1.6)),
  ],
  'five-petals': () => [
    ...rosette(middle, 5, 31),
    ...Array.from({ length: 15 }, (_, i) => {
      const tip = from(middle, i * 24, 13);
      return [stroke([middle, tip], 'fine'), dot(tip[0], tip[1], 1.2)];
    }).flat(),
  ],
  'six-star': () => rosette(middle, 6, 33, { base: 0.7, tip: 0.8, ratio: 2.2 }),
  'six-bell': () => [
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
  ],
  goblet: () => [
    stroke(segment(16, 74, 104, 74), 'faint'),
    shape([
      ...curve([56, 74], [57, 54], [46, 36], [40, 12]),
      [50, 22],
      [60, 8],
      [70, 22],
      ...[...mirrored(curve([56, 74], [57, 54], [46, 36], [40, 12]), 60)].reverse(),
    ]),
    ...strokes([curve([50, 22], [54, 40], [58, 52]), curve([70, 22], [66, 40], [62, 52])]),
  ],
  thimble: () => [
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
  ],
  hood: () => [
    shape([
      ...curve([56, 78], [56, 58], [44, 42], [46, 20], [62, 4]),
      ...curve([62, 4], [76, 20], [76, 42], [66, 58], [64, 78]).slice(1),
    ]),
    shape([...curve([58, 58], [55, 40], [60, 24], [65, 40], [62, 58])], 'ink', 'line'),
    stroke(curve([46, 24], [60, 46], [62, 60]), 'fine'),
  ],
  helmet: () => [
    stalk([60, 78], [60, 62]),
    shape([
      ...curve([34, 46], [32, 22], [52, 6], [78, 10]),
      ...curve([78, 10], [94, 20], [98, 40]).slice(1),
      ...curve([98, 40], [84, 34], [74, 40]).slice(1),
      ...curve([74, 40], [56, 42], [34, 46]).slice(1),
    ]),
    ...[-1, 1].map((s) =>
      shape(closedCurve([60 + s * 2, 44], [60 + s * 20, 40], [60 + s * 24, 54], [60 + s * 10, 64], [60, 62])),
    ),
    stroke(curve([40, 40], [56, 34], [88, 36]), 'fine'),
  ],
  trumpet: () => [
    stalk([60, 79], [60, 70]),
    shape([
      ...curve([56, 72], [54, 52], [46, 34], [26, 16]),
      ...curve([26, 16], [42, 8], [60, 6], [78, 8], [94, 16]).slice(1),
      ...curve([94, 16], [74, 34], [66, 52], [64, 72]).slice(1),
    ]),
    stroke(curve([26, 16], [44, 24], [60, 26], [76, 24], [94, 16]), 'line'),
    ...strokes([curve([44, 23], [54, 42], [58, 64]), curve([76, 23], [66, 42], [62, 64])]),
  ],
  tube: () => [
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
  ],
  brush: () => [
    ...rosette(middle, 5, 32, { base: 0.8, tip: 0.7, ratio: 1.8 }),
    ...Array.from({ length: 36 }, (_, i) => {
      const tip = from(middle, i * 10, i % 2 ? 22 : 17);
      return [stroke([middle, tip], 'fine'), dot(tip[0], tip[1], 1.1)];
    }).flat(),
  ],
  catkin: () => [
    stalk([60, 2], [60, 10]),
    shape(closedCurve([60, 8], [70, 16], [72, 44], [66, 70], [60, 76], [54, 70], [48, 44], [50, 16])),
    ...Array.from({ length: 8 }, (_, i) =>
      strokes(
        [curve([50, 16 + i * 7], [56, 20 + i * 7], [60, 16 + i * 7], [64, 20 + i * 7], [70, 16 + i * 7])],
        'fine',
      ),
    ).flat(),
  ],
  lipped: () => [
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
  ],
  'tiny-green': () => [
    stalk([60, 78], [60, 14]),
    ...[16, 26, 36, 46, 56].flatMap((y, i) =>
      [-1, 1].map((s) => shape(ellipse(60 + s * (4 + (i % 2) * 2), y, 3.4, 3), 'shade', 'fine')),
    ),
  ],
};
