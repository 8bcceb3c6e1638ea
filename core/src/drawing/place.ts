import { type Line, curve, mirrored, from, ellipse } from './geometry';
import { blade, bladeOutline, OUTLINES, veins } from './leaf';
import { type Mark, stroke, segment, shape, strokes, placed, dot, type Drawings } from './mark';
import { leaf, needles, ground, tuft } from './placeParts';

export * from './habitat';

/** A leaf or needles of the tree. */
export function tree(state: string): Mark[] | undefined {
  return TREES[state]?.();
}

const TREES: Drawings = {
  beech: () => leaf(blade({ outline: { base: 0.75, tip: 0.75, ratio: 1.5 }, length: 62 })),
  oak: () => {
    const right: Line = curve(
      [60, 70],
      [66, 60],
      [76, 58],
      [71, 50],
      [82, 44],
      [74, 36],
      [84, 28],
      [73, 22],
      [74, 12],
      [60, 7],
    );
    return [
      stroke(segment(60, 78, 60, 10)),
      shape([...right, ...[...mirrored(right, 60)].reverse().slice(1)]),
      stroke(segment(60, 70, 60, 10), 'fine'),
      ...strokes([
        [
          [60, 54],
          [76, 44],
        ],
        [
          [60, 54],
          [44, 44],
        ],
        [
          [60, 38],
          [78, 28],
        ],
        [
          [60, 38],
          [42, 28],
        ],
      ]),
    ];
  },
  birch: () =>
    leaf(blade({ outline: { base: 0.4, tip: 1, ratio: 1.3 }, length: 60, margin: 'double-serrate' })),
  hornbeam: () =>
    leaf([
      shape(bladeOutline({ base: 0.6, tip: 0.85, ratio: 1.7 }, 63, 'double-serrate')),
      stroke(segment(0, 0, 0, -60), 'line'),
      ...strokes(
        [8, 16, 24, 32, 40, 48].flatMap((y): Line[] => [
          [
            [0, -y],
            [15 - y * 0.18, -y - 12],
          ],
          [
            [0, -y],
            [-15 + y * 0.18, -y - 12],
          ],
        ]),
        'line',
      ),
    ]),
  spruce: () => [
    stroke(curve([60, 4], [60, 30], [60, 74]), 'bold'),
    ...Array.from({ length: 15 }, (_, i) =>
      [-1, 1].map((s) =>
        stroke(
          [
            [60, 10 + i * 4.2],
            [60 + s * 15, 16 + i * 4.2],
          ],
          'line',
        ),
      ),
    ).flat(),
  ],
  pine: () => [
    stroke(curve([30, 74], [50, 56], [60, 44]), 'bold'),
    ...[
      [60, 44],
      [50, 56],
      [40, 65],
    ].flatMap(([x = 0, y = 0]) =>
      [-46, -24, 22, 44, 0].flatMap((turn) =>
        strokes(
          [
            [[x, y], from([x, y], turn - 92, 34)],
            [[x, y], from([x, y], turn - 86, 34)],
          ],
          'line',
        ),
      ),
    ),
  ],
  larch: () => [
    stroke(curve([12, 62], [60, 52], [108, 46]), 'bold'),
    ...[
      [28, 58],
      [56, 53],
      [84, 49],
    ].flatMap(([x = 0, y = 0]) => [
      shape(ellipse(x, y - 2, 3, 3), 'shade'),
      ...needles([x, y - 4], 13, 190, 22),
    ]),
  ],
  ash: () => [
    stroke(segment(60, 78, 60, 20), 'line'),
    ...placed(blade({ outline: OUTLINES.elliptic, length: 18, venation: 'one' }), { at: [60, 21] }),
    ...[60, 46, 32].flatMap((y) =>
      [-66, 66].flatMap((turn) =>
        placed(blade({ outline: OUTLINES.elliptic, length: 25, venation: 'one' }), { at: [60, y], turn }),
      ),
    ),
  ],
  none: () => [ground(56), ...tuft(34, 56, 1.2), ...tuft(60, 56, 1.5), ...tuft(86, 56, 1.2)],
};

/** A log, with what tells the tree. */
export function wood(state: string): Mark[] | undefined {
  const log = [
    shape([...curve([10, 50], [50, 47], [92, 48]), ...curve([92, 74], [50, 76], [10, 75])], 'paper', 'bold'),
    shape(ellipse(92, 61, 8, 13), 'paper', 'bold'),
    ...strokes([ellipse(92, 61, 5, 8), ellipse(92, 61, 2, 3.4)], 'fine'),
    ...strokes([curve([16, 58], [46, 56], [80, 57]), curve([18, 67], [50, 66], [78, 67])]),
  ];
  switch (state) {
    case 'broadleaf':
      return [
        ...log,
        ...placed([shape(bladeOutline(OUTLINES.ovate, 42)), ...strokes(veins(OUTLINES.ovate, 42, 'net'))], {
          at: [36, 48],
          turn: 18,
        }),
      ];
    case 'conifer':
      return [
        ...log,
        ...placed(
          [
            stroke(segment(0, 0, 0, -42), 'bold'),
            ...Array.from({ length: 9 }, (_, i) =>
              [-1, 1].map((s) =>
                stroke(
                  [
                    [0, -4 - i * 4.2],
                    [s * 11, -9 - i * 4.2],
                  ],
                  'line',
                ),
              ),
            ).flat(),
          ],
          { at: [36, 48], turn: 18 },
        ),
      ];
    case 'not-on-wood':
      return [
        ground(60),
        ...tuft(30, 60, 1.2),
        ...tuft(60, 60),
        ...tuft(90, 60, 1.2),
        ...[24, 48, 74, 96].map((x, i) => dot(x, 68 + (i % 2) * 4, 1.2)),
      ];
    default:
      return undefined;
  }
}
