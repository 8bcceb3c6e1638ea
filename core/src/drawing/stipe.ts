import { both, capOutline, GROUND, ground, MIDDLE, mushroom, shrunk, stemOutline, strewn } from './fungus';
import { arc, closedCurve, curve, ellipse, inside, mirrored, moved, type Line, type Point } from './geometry';
import { dot, placed, segment, shape, stroke, strokes, type Ink, type Mark } from './mark';

/** Left halves of stems, from the cap down. */
const STEMS: Readonly<Record<string, Line>> = {
  tapering: [
    [46, 24],
    [50, 44],
    [55, 62],
    [57, GROUND],
  ],
  cylindrical: [
    [52, 24],
    [52, 48],
    [52, GROUND],
  ],
  club: [
    [54, 24],
    [52, 44],
    [46, 62],
    [45, 72],
    [52, 76],
  ],
  bulbous: [
    [51, 26],
    [46, 40],
    [36, 58],
    [38, 72],
    [50, 76],
  ],
  'bulb-foot': [
    [55, 24],
    [54, 46],
    [53, 60],
    [47, 66],
    [47, 73],
    [54, 77],
  ],
};

export function stipeShape(state: string): Mark[] | undefined {
  const left = STEMS[state];
  if (!left) return undefined;
  const line = curve(...left);
  return [
    shape([...line, ...[...mirrored(line, MIDDLE)].reverse()], 'paper', 'bold'),
    shape(
      [
        ...curve([22, 24], [34, 10], [60, 5], [86, 10], [98, 24]),
        ...curve([98, 24], [60, 29], [22, 24]).slice(1, -1),
      ],
      'paper',
      'faint',
    ),
  ];
}

/** A stout stem with what is drawn on it. */
export function stipeNet(state: string): Mark[] | undefined {
  const body: Line = [...curve([44, 6], [43, 40], [38, GROUND]), ...curve([82, GROUND], [77, 40], [76, 6])];
  const net = (size: number, to: number, ink: Ink) => {
    const lines: Line[] = [];
    for (let y = 4; y < to; y += size * 1.5)
      for (const slope of [1, -1]) {
        lines.push(
          Array.from({ length: 15 }, (_, i): Point => [
            44 + (32 * i) / 14,
            y + slope * ((size * 5 * i) / 14 - size * 2.5) + 8,
          ]),
        );
      }
    return strokes(
      lines.map((line) => line.filter((p) => inside(p, body) && p[1] < to)).filter((line) => line.length > 1),
      ink,
    );
  };
  switch (state) {
    case 'none':
      return [shape(body)];
    case 'fine-net':
      return [shape(body), ...net(3.4, 34, 'fine')];
    case 'coarse-net':
      return [shape(body), ...net(6.4, 66, 'line')];
    case 'bands':
      return [
        shape(body),
        ...[16, 28, 40, 52, 64].map((y, i) =>
          stroke(
            Array.from({ length: 11 }, (_, k): Point => [
              42 + (36 * k) / 10,
              y + (k % 2 ? 3.4 : 0) + (i % 2),
            ]),
            'line',
          ),
        ),
      ];
    case 'scales':
      return [
        shape(body),
        ...strewn(body, 8.4, 12).map(([x, y]) =>
          stroke(
            [
              [x - 2.6, y - 1],
              [x, y + 2.6],
              [x + 2.6, y - 1],
            ],
            'line',
          ),
        ),
      ];
    case 'pits':
      return [
        shape(body),
        ...strewn(shrunk(body, 0.86), 10, 14).map(([x, y]) => shape(ellipse(x, y, 3, 2), 'shade', 'line')),
      ];
    case 'fibres':
      return [
        shape(body),
        ...strokes(
          [46, 51, 55, 60, 65, 70, 74].map((x, i) =>
            curve([x, 8 + (i % 3) * 5], [x + (x - 60) * 0.06, 38], [x + (x - 60) * 0.14, 68 - (i % 2) * 6]),
          ),
        ),
      ];
    default:
      return undefined;
  }
}

export function stipeInterior(state: string): Mark[] | undefined {
  const outer: Line = [...arc(60, 16, 20, 7, 180, 360), [80, 68], ...arc(60, 68, 20, 7, 0, 180)];
  const face = shape(ellipse(60, 16, 20, 7), state === 'solid' ? 'shade' : 'paper', 'bold');
  const bore = shape(ellipse(60, 16, 12, 4), 'ink', 'line');
  const inner = strokes([segment(48, 17, 48, 70), segment(72, 17, 72, 70)], 'faint');
  switch (state) {
    case 'solid':
      return [shape(outer), face];
    case 'hollow':
      return [shape(outer), face, bore, ...inner];
    case 'stuffed':
      return [
        shape(outer),
        face,
        shape(ellipse(60, 16, 12, 4), 'paper', 'line'),
        ...strewn(ellipse(60, 16, 11, 3.4), 2.2, 3).map(([x, y]) => dot(x, y, 0.7)),
        ...inner,
        ...strewn(
          [
            [48, 24],
            [72, 24],
            [72, 68],
            [48, 68],
          ],
          4,
          4,
        ).map(([x, y]) => dot(x, y, 0.8)),
      ];
    case 'thread':
      return [
        shape(outer),
        face,
        bore,
        ...inner,
        stroke(curve([60, 16], [57, 30], [63, 44], [58, 58], [61, 72]), 'line'),
      ];
    default:
      return undefined;
  }
}

export function growth(state: string): Mark[] | undefined {
  const small = (x: number, tilt: number, size: number) =>
    placed(placed(mushroom(), { at: [-60, -GROUND] }), { scale: size, turn: tilt, at: [x, 72] });
  if (state === 'separate')
    return [...ground(72), ...small(24, 0, 0.5), ...small(62, 0, 0.6), ...small(98, 0, 0.45)];
  if (state === 'clustered')
    return [
      ...ground(72),
      ...small(54, -26, 0.66),
      ...small(66, 26, 0.66),
      ...small(60, 0, 0.74),
      shape(closedCurve([48, 70], [60, 67], [72, 70], [68, 76], [52, 76]), 'shade', 'fine'),
    ];
  return undefined;
}

/** Drawn large: a stout stem under the rim of a cap, and what a veil has left between them. */
export function veil(state: string): Mark[] | undefined {
  const cap = [
    ...curve([16, 26], [32, 9], [60, 4], [88, 9], [104, 26]),
    ...curve([104, 26], [60, 32], [16, 26]).slice(1, -1),
  ];
  const base = (ink: Ink): Mark[] => [shape(stemOutline(28, 10, 11), 'paper', ink), shape(cap, 'paper', ink)];
  const surroundings = base('faint');
  const skirt = (half: number, y: number, drop: number, ink: Ink = 'bold'): Mark =>
    shape(
      [
        ...curve([50, y], [50 - half * 0.5, y + drop * 0.5], [48 - half, y + drop]),
        ...curve([48 - half, y + drop], [60, y + drop + 4], [72 + half, y + drop]).slice(1),
        ...curve([72 + half, y + drop], [70 + half * 0.5, y + drop * 0.5], [70, y]).slice(1),
      ],
      'paper',
      ink,
    );
  switch (state) {
    case 'none':
      return base('line');
    case 'cobweb':
      return [
        ...surroundings,
        ...both(
          strokes(
            [
              [20, 27],
              [26, 28],
              [32, 29],
              [38, 30],
              [44, 30.5],
            ].map(([x = 0, y = 0]) => curve([x, y], [(x + 50) / 2 - 2, y + 9], [50, 52 + (20 - x) * 0.3])),
            'line',
          ),
        ),
        ...strokes([curve([50, 58], [60, 61], [70, 58]), curve([50, 62], [60, 65], [70, 62])], 'line'),
      ];
    case 'thin':
      return [
        ...surroundings,
        shape(closedCurve([48, 46], [60, 49], [72, 46], [72, 50], [60, 53], [48, 50]), 'paper', 'bold'),
      ];
    case 'hanging':
      return [
        ...surroundings,
        skirt(8, 38, 18),
        ...strokes([segment(52, 43, 46, 55), segment(60, 43, 60, 58), segment(68, 43, 74, 55)]),
      ];
    case 'movable':
      return [
        ...surroundings,
        shape(ellipse(60, 50, 22, 6.5), 'shade', 'bold'),
        shape(ellipse(60, 46, 12, 3.4), 'paper', 'line'),
        stroke(
          [
            [96, 38],
            [96, 62],
          ],
          'line',
        ),
        stroke(
          [
            [92, 43],
            [96, 37],
            [100, 43],
          ],
          'line',
        ),
        stroke(
          [
            [92, 57],
            [96, 63],
            [100, 57],
          ],
          'line',
        ),
      ];
    case 'cottony':
      return [
        ...surroundings,
        shape(
          closedCurve(
            [43, 46],
            [49, 40],
            [60, 43],
            [71, 40],
            [77, 46],
            [78, 54],
            [70, 60],
            [60, 57],
            [50, 60],
            [42, 54],
          ),
          'paper',
          'bold',
        ),
        ...strewn(closedCurve([46, 46], [60, 46], [74, 46], [74, 54], [60, 54], [46, 54]), 5, 3).map(
          ([x, y]) => stroke(curve([x - 1.6, y], [x, y - 1.4], [x + 1.6, y]), 'fine'),
        ),
      ];
    default:
      return undefined;
  }
}

export function substrate(state: string): Mark[] | undefined {
  const small = placed(placed(mushroom(), { at: [-60, -GROUND] }), { scale: 0.66, at: [56, 58] });
  if (state === 'soil')
    return [
      ...small,
      stroke(curve([10, 58], [40, 57], [60, 59], [110, 57]), 'bold'),
      ...strokes(
        [
          [18, 57],
          [30, 56],
          [80, 57],
          [92, 57],
          [102, 56],
        ].flatMap(([x = 0, y = 0]): Line[] => [
          [
            [x, y],
            [x - 3, y - 7],
          ],
          [
            [x, y],
            [x, y - 9],
          ],
          [
            [x, y],
            [x + 3, y - 7],
          ],
        ]),
      ),
      ...strewn(
        [
          [10, 62],
          [110, 62],
          [110, 76],
          [10, 76],
        ],
        8,
        5,
      ).map(([x, y]) => dot(x, y, 1)),
    ];
  if (state === 'wood')
    return [
      ...small,
      shape(
        [...curve([14, 60], [50, 57], [100, 58]), ...curve([100, 76], [50, 78], [14, 78])],
        'paper',
        'bold',
      ),
      shape(ellipse(100, 67, 6, 9), 'paper', 'bold'),
      ...strokes([
        ellipse(100, 67, 3.5, 5.5),
        curve([20, 66], [50, 64], [90, 65]),
        curve([22, 72], [56, 71], [88, 72]),
      ]),
    ];
  return undefined;
}

export function volva(state: string): Mark[] | undefined {
  const body: Line = [
    ...curve([52, 4], [52, 30], [50, 50]),
    ...curve([50, 50], [46, 60], [52, 70], [60, 72], [68, 70], [74, 60], [70, 50]).slice(1),
    ...curve([70, 50], [68, 30], [68, 4]).slice(1),
  ];
  const soil = [
    stroke(curve([8, 40], [30, 39], [46, 41]), 'faint'),
    stroke(curve([74, 41], [90, 39], [112, 40]), 'faint'),
  ];
  switch (state) {
    case 'none':
      return [
        ...soil,
        shape([
          ...curve([53, 4], [52, 40], [50, 66]),
          ...curve([50, 66], [60, 71], [70, 66]).slice(1),
          ...curve([70, 66], [68, 40], [67, 4]).slice(1),
        ]),
        ...strokes(
          [curve([54, 69], [51, 75]), curve([60, 70], [60, 77]), curve([66, 69], [69, 75])],
          'faint',
        ),
      ];
    case 'sac':
      return [
        ...soil,
        shape(body),
        shape(
          [
            ...curve(
              [36, 34],
              [40, 44],
              [37, 60],
              [46, 74],
              [60, 77],
              [74, 74],
              [83, 60],
              [80, 44],
              [84, 32],
            ),
            ...curve([84, 32], [74, 40], [66, 36], [58, 42], [48, 36], [36, 34]).slice(1, -1),
          ],
          'shade',
          'bold',
        ),
      ];
    case 'rim':
      return [
        ...soil,
        shape(body),
        stroke(curve([46, 56], [60, 60], [74, 56]), 'bold'),
        stroke(curve([47, 51], [60, 55], [73, 51]), 'bold'),
        ...[50, 57, 64, 71].map((x, i) => dot(x, 48 + (i % 2), 1.8)),
      ];
    default:
      return undefined;
  }
}

export function stipePlace(state: string): Mark[] | undefined {
  const cap = closedCurve([20, 30], [36, 18], [62, 14], [88, 18], [102, 30], [84, 38], [60, 40], [36, 38]);
  switch (state) {
    case 'central':
      return [shape(stemOutline(34, 6, 6), 'paper', 'bold'), shape(cap, 'paper', 'fine')];
    case 'side':
      return [
        stroke(
          [
            [12, 6],
            [12, 76],
          ],
          'faint',
        ),
        shape(
          [...curve([12, 46], [26, 44], [36, 34]), ...curve([30, 26], [22, 34], [12, 36])],
          'paper',
          'bold',
        ),
        shape(moved(cap, 8, -2), 'paper', 'fine'),
      ];
    case 'none':
      return [
        stroke(
          [
            [14, 6],
            [14, 76],
          ],
          'bold',
        ),
        shape(
          closedCurve([14, 26], [46, 18], [84, 22], [100, 34], [82, 44], [44, 48], [14, 46]),
          'paper',
          'fine',
        ),
      ];
    default:
      return undefined;
  }
}

export function separates(state: string): Mark[] | undefined {
  const { outline } = capOutline('convex');
  const lifted = outline.map(([x, y]): Point => [x + 16, y - 8]);
  if (state === 'socket')
    return [
      shape(lifted),
      stroke(curve([66, 36], [74, 28], [86, 36]), 'bold'),
      shape([...arc(50, 52, 8, 8, 180, 360), [58, 76], [42, 76]], 'paper', 'bold'),
    ];
  const ragged: Line = [
    [42, 50],
    [45, 42],
    [48, 49],
    [51, 40],
    [54, 48],
    [57, 43],
    [58, 50],
  ];
  if (state === 'torn')
    return [
      shape(lifted),
      ...strokes(
        [
          [
            [66, 35],
            [68, 42],
            [71, 36],
            [74, 44],
            [77, 36],
            [80, 42],
            [83, 36],
          ],
        ],
        'bold',
      ),
      shape([...ragged, [58, 76], [42, 76]], 'paper', 'bold'),
    ];
  return undefined;
}
