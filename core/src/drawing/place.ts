import { closedCurve, curve, ellipse, from, mirrored, type Line, type Point } from './geometry';
import { blade, bladeOutline, OUTLINES, veins } from './leaf';
import { dot, placed, segment, shape, stroke, strokes, type Mark } from './mark';

const ground = (y = 70): Mark => stroke(curve([8, y], [36, y - 1], [70, y + 1], [112, y]), 'line');
const broadleaf = (x: number, foot: number, size: number): Mark[] =>
  placed(
    [
      shape([
        [-2.4, 0],
        [-1.8, -18],
        [1.8, -18],
        [2.4, 0],
      ]),
      shape(
        closedCurve(...Array.from({ length: 18 }, (_, i) => from([0, -31], i * 20, i % 2 ? 17 : 14.6))),
        'paper',
        'line',
      ),
    ],
    { at: [x, foot], scale: size },
  );
const conifer = (x: number, foot: number, size: number): Mark[] =>
  placed(
    [
      stroke(segment(0, 0, 0, -8)),
      shape(
        [
          [0, -50],
          [6, -36],
          [4, -36],
          [10, -22],
          [7, -22],
          [13, -7],
          [-13, -7],
          [-7, -22],
          [-10, -22],
          [-4, -36],
          [-6, -36],
        ],
        'paper',
        'line',
      ),
    ],
    { at: [x, foot], scale: size },
  );
const tuft = (x: number, foot: number, size = 1): Mark[] =>
  strokes(
    [
      [-5, -9],
      [-2, -13],
      [1, -14],
      [4, -10],
    ].map(([dx = 0, dy = 0]) =>
      curve([x, foot], [x + dx * 0.4 * size, foot + dy * 0.6 * size], [x + dx * size, foot + dy * size]),
    ),
    'line',
  );
const bush = (x: number, foot: number, size: number): Mark[] =>
  placed(
    [
      shape(
        closedCurve([-14, 0], [-16, -8], [-8, -15], [0, -13], [8, -16], [16, -8], [14, 0]),
        'paper',
        'line',
      ),
      ...strokes([curve([-6, -2], [-5, -8]), curve([2, -1], [3, -9]), curve([8, -2], [8, -7])]),
    ],
    { at: [x, foot], scale: size },
  );

export function habitat(state: string): Mark[] | undefined {
  switch (state) {
    case 'broadleaf-wood':
      return [ground(), ...broadleaf(30, 70, 1.1), ...broadleaf(90, 70, 1.05), ...broadleaf(60, 70, 1.35)];
    case 'conifer-wood':
      return [ground(), ...conifer(28, 70, 1), ...conifer(92, 70, 1), ...conifer(60, 70, 1.25)];
    case 'mixed-wood':
      return [ground(), ...conifer(36, 70, 1.2), ...broadleaf(80, 70, 1.3)];
    case 'grassland':
    case 'meadow':
      return [
        ground(),
        ...[18, 36, 54, 72, 90, 104].flatMap((x, i) => tuft(x, 70, 1.5 + (i % 2) * 0.8)),
        ...(state === 'meadow'
          ? [
              [28, 36],
              [64, 30],
              [84, 40],
            ].flatMap(([x = 0, y = 0]) => [
              stroke(segment(x, 70, x, y + 4)),
              ...Array.from({ length: 6 }, (_, i) => stroke([[x, y], from([x, y], i * 60, 5)], 'line')),
              dot(x, y, 1.8),
            ])
          : [shape(closedCurve([92, 28], [100, 26], [104, 32], [98, 36], [90, 34]), 'paper', 'none')]),
      ];
    case 'heath':
      return [
        ground(),
        ...bush(28, 70, 1.1),
        ...bush(62, 70, 0.9),
        ...bush(92, 70, 1.15),
        ...tuft(46, 70),
        ...tuft(78, 70),
      ];
    case 'park':
      return [
        ground(),
        ...broadleaf(38, 70, 1.35),
        ...strokes(
          [
            segment(72, 58, 104, 58),
            segment(72, 52, 104, 52),
            segment(76, 58, 76, 70),
            segment(100, 58, 100, 70),
          ],
          'bold',
        ),
      ];
    case 'wood-edge':
      return [
        ground(),
        ...broadleaf(24, 70, 1.3),
        ...broadleaf(50, 70, 1.05),
        ...bush(74, 70, 0.8),
        ...tuft(92, 70),
        ...tuft(104, 70),
      ];
    case 'alpine-pasture':
      return [
        stroke(
          [
            [8, 50],
            [30, 14],
            [44, 34],
            [66, 8],
            [92, 46],
            [112, 30],
          ],
          'line',
        ),
        ...strokes([
          [
            [58, 18],
            [64, 24],
            [68, 18],
            [74, 22],
          ],
          [
            [24, 24],
            [30, 28],
            [36, 24],
          ],
        ]),
        stroke(curve([8, 66], [40, 52], [80, 56], [112, 48]), 'line'),
        ...tuft(28, 70),
        ...tuft(60, 68),
        ...tuft(92, 66),
      ];
    case 'garden':
      return [
        ground(),
        shape(
          [
            [46, 70],
            [46, 42],
            [66, 26],
            [86, 42],
            [86, 70],
          ],
          'paper',
          'line',
        ),
        shape([
          [60, 70],
          [60, 54],
          [72, 54],
          [72, 70],
        ]),
        ...bush(24, 70, 1),
        ...bush(100, 70, 0.8),
      ];
    case 'waste-ground':
      return [
        stroke(curve([8, 34], [60, 30], [112, 34]), 'line'),
        ...[20, 40, 60, 80, 100].map((x) =>
          stroke(
            curve([60 + (x - 60) * 0.5, 34], [60 + (x - 60) * 0.9, 54], [60 + (x - 60) * 1.15, 76]),
            'line',
          ),
        ),
        ...tuft(20, 34),
        ...tuft(34, 33),
        ...tuft(90, 34),
      ];
    case 'riverbank':
      return [
        stroke(curve([8, 30], [30, 32], [44, 44], [52, 62], [54, 76]), 'bold'),
        ...tuft(18, 30, 1.4),
        ...tuft(34, 36, 1.4),
        ...strokes(
          [
            [56, 46],
            [62, 58],
            [66, 70],
          ].map(([x = 0, y = 0]) =>
            curve([x, y], [x + 8, y - 3], [x + 16, y], [x + 24, y - 3], [x + 32, y], [x + 42, y - 2]),
          ),
          'line',
        ),
      ];
    default:
      return undefined;
  }
}

const needles = (at: Point, count: number, spread: number, long: number): Mark[] =>
  Array.from({ length: count }, (_, i) =>
    stroke([at, from(at, -90 - spread / 2 + (spread * i) / Math.max(1, count - 1), long)], 'line'),
  );
const leaf = (marks: readonly Mark[]): Mark[] => [
  stroke(segment(60, 78, 60, 70)),
  ...placed(marks, { at: [60, 71] }),
];

/** A leaf or needles of the tree. */
export function tree(state: string): Mark[] | undefined {
  switch (state) {
    case 'beech':
      return leaf(blade({ outline: { base: 0.75, tip: 0.75, ratio: 1.5 }, length: 62 }));
    case 'oak': {
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
    }
    case 'birch':
      return leaf(
        blade({ outline: { base: 0.4, tip: 1, ratio: 1.3 }, length: 60, margin: 'double-serrate' }),
      );
    case 'hornbeam':
      return leaf([
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
      ]);
    case 'spruce':
      return [
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
      ];
    case 'pine':
      return [
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
      ];
    case 'larch':
      return [
        stroke(curve([12, 62], [60, 52], [108, 46]), 'bold'),
        ...[
          [28, 58],
          [56, 53],
          [84, 49],
        ].flatMap(([x = 0, y = 0]) => [
          shape(ellipse(x, y - 2, 3, 3), 'shade'),
          ...needles([x, y - 4], 13, 190, 22),
        ]),
      ];
    case 'ash':
      return [
        stroke(segment(60, 78, 60, 20), 'line'),
        ...placed(blade({ outline: OUTLINES.elliptic, length: 18, venation: 'one' }), { at: [60, 21] }),
        ...[60, 46, 32].flatMap((y) =>
          [-66, 66].flatMap((turn) =>
            placed(blade({ outline: OUTLINES.elliptic, length: 25, venation: 'one' }), { at: [60, y], turn }),
          ),
        ),
      ];
    case 'none':
      return [ground(56), ...tuft(34, 56, 1.2), ...tuft(60, 56, 1.5), ...tuft(86, 56, 1.2)];
    default:
      return undefined;
  }
}

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
