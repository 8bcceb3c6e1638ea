import { GROUND, MIDDLE } from './fungus';
import { type Line, closedCurve, curve, arc, type Point } from './geometry';
import { type Mark, shape, placed, stroke, strokes, type Drawings } from './mark';
const BLOCK: Line = [
  [18, 14],
  [102, 14],
  [102, 30],
  [18, 30],
];
const gillAt = (x: number, top = 30, long = 22): Mark =>
  shape(
    closedCurve([x - 2, top], [x + 2, top], [x + 1.2, top + long], [x - 1.2, top + long]),
    'paper',
    'fine',
  );
const GILLS = [24, 33, 42, 51, 60, 69, 78, 87, 96];

/** How gills meet the stem and each other. */

/** A block of flesh with gills hanging from it, and what a thumbnail does to them. */
export function bond(state: string): Mark[] | undefined {
  return BONDS[state]?.();
}

const BONDS: Drawings = {
  inseparable: () => [
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
  ],
  separates: () => [
    shape(BLOCK),
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
        ...GILLS.map((x) => gillAt(x, 33, 18)),
      ],
      { turn: 9, at: [6, 0] },
    ),
  ],
  crumbles: () => [
    shape(BLOCK),
    ...GILLS.slice(0, 5).map((x) => gillAt(x, 30, 16)),
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
  ],
  tears: () => [
    shape(BLOCK),
    ...GILLS.filter((x) => x !== 60).map((x) => gillAt(x)),
    shape(
      [
        ...curve([58, 30], [59, 42], [66, 54], [78, 60]),
        ...[...curve([62, 30], [63, 40], [69, 50], [79, 56])].reverse(),
      ],
      'shade',
      'line',
    ),
  ],
};

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
