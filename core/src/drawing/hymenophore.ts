import {
  both,
  BRAIN,
  brainFolds,
  fromBelow,
  GROUND,
  ground,
  HEAD,
  honeycomb,
  MIDDLE,
  mushroom,
  RIM,
  shrunk,
  stem,
  stemOutline,
  strewn,
  vase,
} from './fungus';
import { arc, closedCurve, curve, ellipse, type Line, type Point } from './geometry';
import { dot, placed, shape, stroke, strokes, type Fill, type Mark } from './mark';

const onRim = (degrees: number, share = 1): Point => [
  RIM.cx + RIM.rx * share * Math.cos((degrees * Math.PI) / 180),
  RIM.cy + RIM.ry * share * Math.sin((degrees * Math.PI) / 180),
];
const radial = (count: number, to = 0.97, start = count > 40 ? 0.42 : 0.24): Line[] =>
  Array.from({ length: count }, (_, i) => [onRim((360 * i) / count, start), onRim((360 * i) / count, to)]);

export function hymenophore(state: string): Mark[] | undefined {
  switch (state) {
    case 'ridges':
      return [
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
      ];
    case 'gills':
      return fromBelow(strokes(radial(44)), 'line');
    case 'pores':
      return fromBelow(
        strewn(shrunk(ellipse(RIM.cx, RIM.cy, RIM.rx, RIM.ry), 0.93), 3.6, 5).map(([x, y]) =>
          dot(x, y, 0.85),
        ),
        'line',
      );
    case 'spines':
      return [
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
      ];
    case 'smooth':
      return [
        vase(),
        ...both(strokes([curve([36, 34], [46, 46], [52, 58]), curve([48, 32], [53, 42])], 'faint')),
      ];
    case 'pits':
      return [shape(stemOutline(44, 7, 9), 'paper'), shape(HEAD), ...honeycomb(HEAD, 11)];
    case 'ball':
      return [
        shape(closedCurve([60, 10], [84, 20], [90, 42], [78, 62], [60, 68], [42, 62], [30, 42], [36, 20])),
        ...ground(),
        ...strokes([curve([52, 68], [54, 72]), curve([68, 68], [66, 72])]),
      ];
    case 'folds':
      return [shape(stemOutline(38, 8, 10), 'paper'), shape(BRAIN), ...brainFolds()];
    default:
      return undefined;
  }
}

/** A block of flesh with gills hanging from it, and what a thumbnail does to them. */
export function bond(state: string): Mark[] | undefined {
  const flesh: Line = [
    [18, 14],
    [102, 14],
    [102, 30],
    [18, 30],
  ];
  const lamella = (x: number, top = 30, long = 22): Mark =>
    shape(
      closedCurve([x - 2, top], [x + 2, top], [x + 1.2, top + long], [x - 1.2, top + long]),
      'paper',
      'fine',
    );
  const xs = [24, 33, 42, 51, 60, 69, 78, 87, 96];
  switch (state) {
    case 'inseparable':
      return [
        shape(
          closedCurve(
            [18, 14],
            [60, 13],
            [102, 14],
            [102, 34],
            [94, 48],
            [88, 34],
            [76, 48],
            [68, 34],
            [58, 48],
            [50, 34],
            [40, 48],
            [32, 34],
            [24, 46],
            [18, 34],
          ),
          'paper',
        ),
      ];
    case 'separates':
      return [
        shape(flesh),
        ...placed(
          [
            shape(
              [
                [18, 30],
                [102, 30],
                [102, 33],
                [18, 33],
              ],
              'shade',
              'fine',
            ),
            ...xs.map((x) => lamella(x, 33, 18)),
          ],
          { turn: 9, at: [6, 0] },
        ),
      ];
    case 'crumbles':
      return [
        shape(flesh),
        ...xs.slice(0, 5).map((x) => lamella(x, 30, 16)),
        ...(
          [
            [66, 48],
            [73, 56],
            [82, 50],
            [88, 62],
            [76, 66],
            [95, 56],
            [66, 62],
          ] as const
        ).map(([x, y], i) =>
          shape(closedCurve([x - 3, y], [x, y - 2.5], [x + 3, y + (i % 2)], [x, y + 2.5]), 'paper', 'fine'),
        ),
      ];
    case 'tears':
      return [
        shape(flesh),
        ...xs.filter((x) => x !== 60).map((x) => lamella(x)),
        shape(
          [
            ...curve([58, 30], [59, 42], [66, 54], [78, 60]),
            ...[...curve([62, 30], [63, 40], [69, 50], [79, 56])].reverse(),
          ],
          'shade',
          'line',
        ),
      ];
    default:
      return undefined;
  }
}

/** Half of a cap cut through, its gill in full, and the stem on the left. */
export function attachment(state: string): Mark[] | undefined {
  const flesh: Line = [
    ...curve([20, 22], [50, 10], [84, 20], [104, 42]),
    ...curve([98, 42], [78, 30], [46, 28]),
  ];
  const inner: Readonly<Record<string, Line>> = {
    decurrent: curve([46, 28], [46, 62], [52, 56], [70, 46], [99, 42]),
    adnate: curve([46, 28], [46, 47], [66, 48], [99, 42]),
    notched: curve([46, 28], [46, 36], [50, 33], [56, 44], [66, 48], [99, 42]),
    free: curve([54, 28], [52, 36], [58, 46], [68, 48], [99, 42]),
    remote: curve([68, 30], [66, 40], [72, 48], [80, 48], [99, 42]),
  };
  const gill = inner[state];
  if (!gill) return undefined;
  return [
    shape(
      [[20, 22], [20, GROUND], [46, GROUND], [46, 28], ...curve([46, 28], [36, 18], [20, 22]).slice(1)],
      'paper',
      'line',
    ),
    shape(flesh, 'paper'),
    shape(
      [
        ...gill,
        ...curve([98, 42], [78, 31], state === 'remote' ? [68, 30] : state === 'free' ? [54, 28] : [46, 28]),
      ],
      'shade',
      'bold',
    ),
    ...(state === 'remote' ? [stroke(curve([48, 28], [56, 33], [66, 30]), 'line')] : []),
  ];
}

/**
 * A piece of the underside seen straight on, lines running from the stem at the bottom to the rim at the top.
 */
export function branching(state: string): Mark[] | undefined {
  const sector: Line = [
    ...arc(MIDDLE, 96, 86, 86, -130, -50),
    ...[...arc(MIDDLE, 96, 26, 26, -130, -50)].reverse(),
  ];
  const at = (degrees: number, r: number): Point => [
    MIDDLE + r * Math.cos((degrees * Math.PI) / 180),
    96 + r * Math.sin((degrees * Math.PI) / 180),
  ];
  const angles = [-124, -112, -100, -90, -80, -68, -56];
  const plain = angles.map((a): Line => [at(a, 27), at(a, 85)]);
  const forks = angles.flatMap((a): Line[] => [
    [at(a, 27), at(a, 48)],
    [at(a, 48), at(a - 3.5, 85)],
    [at(a, 48), at(a + 3.5, 85)],
    [at(a + 2, 66), at(a + 0.5, 85)],
  ]);
  const lines =
    state === 'unbranched' ? plain : state === 'forked' || state === 'cross-veined' ? forks : undefined;
  if (!lines) return undefined;
  const cross =
    state === 'cross-veined'
      ? angles.slice(0, -1).flatMap((a, i): Line[] => [
          [at(a + 1, 42 + (i % 3) * 3), at((angles[i + 1] ?? a) - 1, 45 + (i % 2) * 3)],
          [at(a + 2.6, 60 + (i % 2) * 4), at((angles[i + 1] ?? a) - 2.4, 58 + (i % 3) * 3)],
          [at(a + 3, 74), at((angles[i + 1] ?? a) - 3, 76 - (i % 2) * 3)],
        ])
      : [];
  return [shape(sector, 'paper', 'faint'), ...strokes(lines, 'line'), ...strokes(cross, 'fine')];
}

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
