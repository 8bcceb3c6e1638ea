import {
  RIM,
  vase,
  both,
  fromBelow,
  strewn,
  shrunk,
  stemOutline,
  HEAD,
  honeycomb,
  ground,
  BRAIN,
  brainFolds,
  mushroom,
  stem,
  MIDDLE,
} from './fungus';
import { type Point, type Line, curve, ellipse, closedCurve } from './geometry';
import { type Mark, strokes, stroke, dot, shape, type Fill, type Drawings } from './mark';

export * from './hymenophoreBond';

const onRim = (degrees: number, share = 1): Point => [
  RIM.cx + RIM.rx * share * Math.cos((degrees * Math.PI) / 180),
  RIM.cy + RIM.ry * share * Math.sin((degrees * Math.PI) / 180),
];

const radial = (count: number, to = 0.97, start = count > 40 ? 0.42 : 0.24): Line[] =>
  Array.from({ length: count }, (_, i) => [onRim((360 * i) / count, start), onRim((360 * i) / count, to)]);

export function hymenophore(state: string): Mark[] | undefined {
  return HYMENOPHORES[state]?.();
}

const HYMENOPHORES: Drawings = {
  ridges: () => [
    vase(),
    ...both(
      strokes([
        curve([28, 30], [42, 44], [52, 62], [56, 72]),
        curve([38, 26], [47, 40], [54, 58], [57, 70]),
        curve([50, 25], [54, 42], [58, 62]),
      ]),
    ),
    ...strokes([
      curve([33, 25], [38, 32], [46, 44]),
      curve([44, 24], [48, 32], [52, 44]),
      curve([78, 25], [74, 34], [70, 46]),
    ]),
    stroke(curve([60, 26], [60, 44], [60, 62]), 'fine'),
  ],
  gills: () => fromBelow(strokes(radial(44)), 'line'),
  pores: () =>
    fromBelow(
      strewn(shrunk(ellipse(RIM.cx, RIM.cy, RIM.rx, RIM.ry), 0.93), 3.6, 5).map(([x, y]) => dot(x, y, 0.85)),
      'line',
    ),
  spines: () => [
    ...fromBelow([], 'line').slice(0, 2),
    ...[0.9, 0.62, 0.36].flatMap((share) =>
      Array.from({ length: Math.round(26 * share) }, (_, i): Mark => {
        const [x, y] = onRim(8 + (164 * i) / (Math.round(26 * share) - 1), share);
        return shape(
          [
            [x - 1.2, y],
            [x, y + 7.5],
            [x + 1.2, y],
          ],
          'paper',
          'fine',
        );
      }),
    ),
    ...fromBelow([], 'line').slice(2),
  ],
  smooth: () => [
    vase(),
    ...both(strokes([curve([36, 34], [46, 46], [52, 58]), curve([48, 32], [53, 42])], 'faint')),
  ],
  pits: () => [shape(stemOutline(44, 7, 9), 'paper'), shape(HEAD), ...honeycomb(HEAD, 11)],
  ball: () => [
    shape(closedCurve([60, 10], [84, 20], [90, 42], [78, 62], [60, 68], [42, 62], [30, 42], [36, 20])),
    ...ground(),
    ...strokes([curve([52, 68], [54, 72]), curve([68, 68], [66, 72])]),
  ],
  folds: () => [shape(stemOutline(38, 8, 10), 'paper'), shape(BRAIN), ...brainFolds()],
};

export function spacing(state: string): Mark[] | undefined {
  const count = { crowded: 68, medium: 34, distant: 15 }[state];
  return count === undefined ? undefined : fromBelow(strokes(radial(count), count > 40 ? 'fine' : 'line'));
}

/** The underside with a fingertip's print on it, as it was or changed. */
export function pressed(fill: Fill): Mark[] {
  const lines = strokes(radial(40), 'faint');
  return fromBelow(
    [
      ...lines,
      fill === 'none'
        ? { ...shape(ellipse(84, 40, 9, 5.5), 'none', 'fine') }
        : shape(ellipse(84, 40, 9, 5.5), fill, 'line'),
    ],
    'fine',
  );
}

export function overnight(state: string): Mark[] | undefined {
  const cap = mushroom('bell', 'line');
  if (state === 'ink')
    return [
      ...cap.slice(1),
      stem(50),
      shape(
        closedCurve(
          [38, 48],
          [48, 51],
          [60, 51],
          [72, 51],
          [82, 48],
          [80, 54],
          [74, 60],
          [72, 54],
          [66, 66],
          [62, 55],
          [54, 62],
          [50, 55],
          [42, 56],
        ),
        'ink',
        'line',
      ),
      shape(closedCurve([28, 74], [60, 70], [92, 74], [60, 78]), 'ink', 'none'),
    ];
  if (state === 'same') return fromBelow(strokes(radial(36)), 'line');
  return undefined;
}

/** Under a lens. */
export function poreSize(state: string): Mark[] | undefined {
  const lens = ellipse(MIDDLE, 40, 34, 34);
  if (state === 'fine')
    return [
      shape(lens, 'paper', 'bold'),
      ...strewn(shrunk(lens, 0.94), 4.6, 2, 170).map(([x, y]) => dot(x, y, 1.1)),
    ];
  if (state === 'wide')
    return [
      shape(lens, 'paper', 'bold'),
      ...strewn(shrunk(lens, 0.84), 12.5, 3).map(([x, y], i) =>
        shape(
          Array.from({ length: 5 }, (_, k): Point => [
            x + (5.4 + (i % 2)) * Math.cos(((k * 72 + i * 20) * Math.PI) / 180),
            y + 5 * Math.sin(((k * 72 + i * 20) * Math.PI) / 180),
          ]),
          'shade',
          'line',
        ),
      ),
    ];
  return undefined;
}
