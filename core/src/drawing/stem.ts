import { strewn } from './fungus';
import {
  along,
  arc,
  closedCurve,
  curve,
  ellipse,
  from,
  mirrored,
  moved,
  type Line,
  type Point,
} from './geometry';
import {
  arrowBlade,
  blade,
  bladeOutline,
  dividedLeaf,
  fineSegments,
  heartBlade,
  isDivision,
  isMargin,
  OUTLINES,
  veins,
  type Outline,
  type Venation,
} from './leaf';
import { dot, faint, placed, segment, shape, stroke, strokes, type Fill, type Mark } from './mark';

const small = (length: number, outline: Outline = OUTLINES.ovate): Mark[] =>
  blade({ outline, length, venation: 'one' });
/** A leaf on a short stalk, at a place on a stem, leaning so many degrees from upright. */
const leafAt = (at: Point, turn: number, length: number, outline?: Outline): Mark[] =>
  placed([stroke(segment(0, 0, 0, -5)), ...placed(small(length, outline), { at: [0, -4] })], { at, turn });
const upright = (x = 60, top = 6, bottom = 76): Mark[] => [stroke(segment(x, bottom, x, top), 'bold')];
const earth = (y = 74): Mark => stroke(curve([12, y], [40, y - 1], [70, y + 1], [108, y]), 'faint');

/** A smooth stretch of stem, seen from the side. */
export const stretch = (half = 11): Line => [
  ...curve([60 - half, 4], [60 - half + 1, 40], [60 - half - 0.6, 78]),
  ...curve([60 + half + 0.6, 78], [60 + half - 1, 40], [60 + half, 4]),
];

export function stemSection(state: string): Mark[] | undefined {
  const ring = (of: (degrees: number) => number): Line =>
    Array.from({ length: 120 }, (_, i) => from([60, 40], i * 3, of(i * 3)));
  const outline: Line | undefined = {
    round: ring(() => 26),
    ribbed: ring((a) => 26 + 1.8 * Math.cos((a * 14 * Math.PI) / 180)),
    angled: ring((a) => 21 + 7 * Math.max(0, Math.cos((a * 5 * Math.PI) / 180)) ** 4),
    square: closedSquare(),
    'two-lined': ring((a) => 23 + 6 * Math.exp(-((Math.min(a % 180, 180 - (a % 180)) / 7) ** 2))),
    winged: ring((a) => 17 + 19 * Math.exp(-((Math.min(a % 180, 180 - (a % 180)) / 9) ** 2))),
    'three-edged': closedCurve(
      [60, 12],
      [66, 20],
      [82, 48],
      [86, 58],
      [76, 60],
      [60, 61],
      [44, 60],
      [34, 58],
      [38, 48],
      [54, 20],
    ),
  }[state];
  return outline && [shape(outline, 'shade', 'bold'), shape(ellipse(60, 40, 9), 'paper', 'faint')];
}

function closedSquare(): Line {
  const corner = (x: number, y: number, from: number): Line => arc(x, y, 5, 5, from, from + 90, 6);
  const bent = (a: Point, b: Point): Line =>
    curve(
      a,
      [
        (a[0] + b[0]) / 2 + (60 - (a[0] + b[0]) / 2) * 0.1,
        (a[1] + b[1]) / 2 + (40 - (a[1] + b[1]) / 2) * 0.1,
      ],
      b,
    );
  return [
    ...corner(41, 21, 180),
    ...bent([41, 16], [79, 16]).slice(1, -1),
    ...corner(79, 21, 270),
    ...bent([84, 21], [84, 59]).slice(1, -1),
    ...corner(79, 59, 0),
    ...bent([79, 64], [41, 64]).slice(1, -1),
    ...corner(41, 59, 90),
    ...bent([36, 59], [36, 21]).slice(1, -1),
  ];
}

export function stemCore(state: string): Mark[] | undefined {
  const body: Line = [...arc(60, 18, 22, 8, 180, 360), [82, 70], ...arc(60, 70, 22, 8, 0, 180)];
  if (state === 'hollow')
    return [
      shape(body),
      shape(ellipse(60, 18, 22, 8), 'paper', 'bold'),
      shape(ellipse(60, 18, 16, 5), 'ink', 'fine'),
    ];
  if (state === 'solid')
    return [
      shape(body),
      shape(ellipse(60, 18, 22, 8), 'shade', 'bold'),
      ...strewn(ellipse(60, 18, 18, 5.6), 3.4, 2).map(([x, y]) => dot(x, y, 0.8)),
    ];
  return undefined;
}

/** Hairs along an outline, standing off it by so much; with a knob where told. */
function hairs(line: Line, count: number, long: number, side: 1 | -1, knob = false): Mark[] {
  return Array.from({ length: count }, (_, i) => {
    const { at, heading } = along(line, (i + 0.5) / count);
    const tip = from(at, heading + side * 78, long);
    return [stroke([at, tip], 'fine'), ...(knob ? [dot(tip[0], tip[1], 1.5)] : [])];
  }).flat();
}

export function stemHairs(state: string): Mark[] | undefined {
  const body = stretch();
  const [left, right] = [curve([49, 4], [50, 40], [48.4, 78]), curve([71, 4], [70, 40], [71.6, 78])];
  const both = (count: number, long: number, knob = false) => [
    ...hairs(left, count, long, 1, knob),
    ...hairs(right, count, long, -1, knob),
  ];
  switch (state) {
    case 'bare':
      return [shape(body, 'paper', 'bold')];
    case 'downy':
      return [
        shape(body),
        ...both(34, 3.4),
        ...strewn(body, 5, 2).map(([x, y]) =>
          stroke(
            [
              [x, y],
              [x + 1, y - 2.6],
            ],
            'fine',
          ),
        ),
      ];
    case 'bristly':
      return [shape(body), ...both(11, 13), ...strewn(body, 10, 3).map(([x, y]) => dot(x, y, 0.9))];
    case 'glandular':
      return [shape(body), ...both(12, 8, true), ...strewn(body, 9, 4).map(([x, y]) => dot(x, y, 1.3))];
    case 'mealy':
      return [
        shape(body),
        ...strewn(body, 2.9, 5, 220).map(([x, y]) => shape(ellipse(x, y, 0.9), 'paper', 'fine')),
      ];
    default:
      return undefined;
  }
}

export function stemMarks(state: string): Mark[] | undefined {
  const body = stretch(13);
  switch (state) {
    case 'plain':
      return [shape(body, 'paper', 'bold')];
    case 'spotted':
      return [
        shape(body, 'paper', 'bold'),
        ...strewn(body, 8, 7).map(([x, y], i) =>
          shape(
            closedCurve([x - 2.2 - (i % 2), y], [x, y - 2], [x + 2.4, y + 0.6], [x, y + 2.6 + (i % 3)]),
            'ink',
            'none',
          ),
        ),
      ];
    case 'flushed':
      return [shape(body, 'shade', 'bold')];
    default:
      return undefined;
  }
}

/** A stem snapped in two, with what comes out of it. */
export function sap(fill: Fill): Mark[] {
  const drop = (x: number, y: number): Mark =>
    shape(closedCurve([x, y - 7], [x + 4, y + 1], [x, y + 5], [x - 4, y + 1]), fill, 'line');
  return [
    shape(
      [
        [16, 24],
        [54, 18],
        [58, 24],
        [54, 30],
        [58, 36],
        [18, 42],
      ],
      'paper',
      'bold',
    ),
    shape(
      [
        [66, 20],
        [104, 30],
        [101, 48],
        [66, 38],
        [70, 32],
        [64, 26],
      ],
      'paper',
      'bold',
    ),
    ...(fill === 'none' ? [] : [drop(59, 48), drop(68, 54), drop(61, 66)]),
  ];
}

/** A thumb drawn along a stem: where it went, the bloom is gone. */
export function bloom(state: string): Mark[] | undefined {
  const body = stretch(13);
  if (state === 'none') return [shape(body, 'paper', 'bold')];
  if (state !== 'rubs-off') return undefined;
  return [
    shape(body, 'shade', 'bold'),
    shape(closedCurve([52, 60], [51, 40], [56, 22], [64, 22], [69, 40], [68, 60], [60, 66]), 'paper', 'fine'),
  ];
}

/** A fingertip beside a stem, with or without hairs that hurt. */
export function sting(state: string): Mark[] | undefined {
  const finger = [
    shape([...curve([112, 26], [88, 26], [80, 34], [80, 44], [88, 52], [112, 52])], 'paper', 'line'),
    stroke(curve([86, 34], [83, 39], [86, 45]), 'fine'),
  ];
  const body: Line = [
    [36, 4],
    [54, 4],
    [54, 78],
    [36, 78],
  ];
  if (state === 'none') return [shape(body, 'paper', 'bold'), ...finger];
  if (state !== 'stings') return undefined;
  return [
    shape(body, 'paper', 'bold'),
    ...[12, 24, 36, 48, 60, 72].flatMap((y) => [
      stroke(
        [
          [54, y],
          [68, y - 5],
        ],
        'line',
      ),
      stroke(
        [
          [36, y],
          [22, y - 5],
        ],
        'line',
      ),
    ]),
    ...finger,
    ...strokes([segment(74, 16, 80, 24), segment(88, 10, 90, 20), segment(102, 12, 100, 20)], 'bold'),
  ];
}

/** How a stem holds itself up; what it holds on to is faint. */
export function climbing(state: string): Mark[] | undefined {
  const pole = stroke(segment(60, 4, 60, 76), 'faint');
  switch (state) {
    case 'by-itself':
      return [
        earth(76),
        stroke(segment(60, 76, 60, 8), 'bold'),
        ...leafAt([60, 50], -58, 24),
        ...leafAt([60, 34], 58, 24),
        ...leafAt([60, 18], -58, 20),
      ];
    case 'twining':
      return [
        earth(76),
        pole,
        stroke(curve([54, 76], [70, 64], [50, 52], [70, 40], [50, 28], [68, 16], [58, 6]), 'bold'),
        ...leafAt([70, 64], 62, 22),
        ...leafAt([50, 52], -62, 22),
        ...leafAt([70, 40], 62, 22),
      ];
    case 'tendrils':
      return [
        earth(76),
        pole,
        stroke(curve([40, 76], [42, 50], [38, 28], [42, 8]), 'bold'),
        ...[54, 32].map((y) =>
          stroke(
            curve([41, y], [50, y - 8], [58, y - 6], [64, y - 2], [60, y + 2], [57, y - 2], [62, y - 5]),
            'line',
          ),
        ),
        ...leafAt([41, 60], -64, 24),
        ...leafAt([39, 38], -64, 24),
      ];
    case 'sprawling':
      return [
        earth(76),
        stroke(segment(78, 20, 78, 76), 'faint'),
        stroke(segment(94, 28, 94, 76), 'faint'),
        stroke(curve([14, 74], [44, 44], [76, 26], [108, 24]), 'bold'),
        ...leafAt([36, 52], -20, 22),
        ...leafAt([58, 35], 140, 22),
        ...leafAt([88, 25], -10, 18),
      ];
    case 'creeping':
      return [
        earth(76),
        stroke(curve([10, 72], [40, 68], [78, 71], [110, 68]), 'bold'),
        ...leafAt([30, 69], -10, 24),
        ...leafAt([58, 69], 10, 24),
        ...leafAt([86, 70], -6, 24),
        ...[30, 58, 86].flatMap((x) => strokes([segment(x, 70, x - 2, 78), segment(x, 70, x + 3, 78)])),
      ];
    default:
      return undefined;
  }
}

/** A whole stem with side branches, flushed or blotched so far up. */
export function marksExtent(state: string): Mark[] | undefined {
  const up: Line = [...curve([52, 78], [54, 40], [56, 6]), ...curve([64, 6], [66, 40], [68, 78])];
  const branches = strokes([curve([62, 34], [78, 24], [88, 10]), curve([58, 26], [44, 18], [34, 6])], 'bold');
  const blotches = (from: number) =>
    [76, 70, 63, 57, 50, 43, 36, 28, 20, 13]
      .filter((y) => y > from)
      .map((y, i) =>
        shape(
          closedCurve(
            [58 + (i % 2) * 3, y],
            [60 + (i % 2) * 3, y - 2.4],
            [62.4 + (i % 2) * 3, y],
            [60 + (i % 2) * 3, y + 2.6],
          ),
          'ink',
          'none',
        ),
      );
  switch (state) {
    case 'no-marks':
      return [shape(up, 'paper', 'bold'), ...branches];
    case 'base-only':
      return [shape(up, 'paper', 'bold'), ...branches, ...blotches(52)];
    case 'all-the-way':
      return [
        shape(up, 'paper', 'bold'),
        ...branches,
        ...blotches(0),
        dot(78, 24, 2),
        dot(84, 16, 2),
        dot(44, 18, 2),
        dot(38, 11, 2),
      ];
    default:
      return undefined;
  }
}

export function branching(state: string): Mark[] | undefined {
  const leaves = (points: readonly (readonly [number, number, number])[]) =>
    faint(points.flatMap(([x, y, turn]) => leafAt([x, y], turn, 10)));
  if (state === 'unbranched')
    return [
      ...upright(),
      ...leaves([
        [60, 60, -60],
        [60, 46, 60],
        [60, 32, -60],
        [60, 18, 60],
      ]),
    ];
  if (state === 'branched')
    return [
      ...upright(),
      ...strokes(
        [
          curve([60, 58], [44, 46], [36, 26]),
          curve([60, 46], [76, 34], [84, 16]),
          curve([60, 32], [50, 22], [46, 10]),
        ],
        'bold',
      ),
      ...leaves([
        [44, 45, -70],
        [76, 33, 70],
        [60, 22, 60],
      ]),
    ];
  return undefined;
}

export function wood(state: string): Mark[] | undefined {
  const body = stretch(14);
  if (state === 'woody')
    return [
      shape(body, 'paper', 'bold'),
      ...strokes(
        [
          curve([52, 8], [54, 26], [51, 40]),
          curve([60, 14], [62, 34], [59, 60]),
          curve([68, 8], [66, 30], [69, 52]),
          curve([53, 50], [55, 62], [52, 76]),
          curve([66, 58], [68, 68], [65, 76]),
        ],
        'line',
      ),
      ...strokes([curve([74, 40], [86, 30], [92, 18])], 'bold'),
    ];
  if (state === 'soft')
    return [
      shape(
        [...curve([30, 78], [32, 44], [50, 22], [80, 16]), ...curve([82, 26], [58, 32], [43, 50], [41, 78])],
        'paper',
        'bold',
      ),
      ...placed(small(24), { at: [84, 20], turn: 100 }),
      ...placed(small(18), { at: [48, 30], turn: -20 }),
    ];
  return undefined;
}

export function arrangement(state: string): Mark[] | undefined {
  switch (state) {
    case 'alternate':
      return [
        ...upright(),
        ...[
          [64, -58],
          [50, 58],
          [36, -58],
          [22, 58],
        ].flatMap(([y = 0, turn = 0]) => leafAt([60, y], turn, 25)),
      ];
    case 'opposite':
      return [
        ...upright(),
        ...[62, 42, 22].flatMap((y) => [-64, 64].flatMap((turn) => leafAt([60, y], turn, 25))),
      ];
    case 'whorl':
      return [
        ...upright(),
        ...[60, 34].flatMap((y) =>
          [-94, -56, 56, 94, -22, 22].flatMap((turn) =>
            placed(small(24, OUTLINES.lanceolate).slice(0, 1), { at: [60, y], turn }),
          ),
        ),
      ];
    case 'unequal-pairs':
      return [
        ...upright(),
        ...[
          [62, -66, -30],
          [42, 66, 30],
          [22, -66, -30],
        ].flatMap(([y = 0, large = 0, little = 0]) => [
          ...leafAt([60, y], large, 27),
          ...leafAt([60, y - 1], little, 12),
        ]),
      ];
    case 'basal':
      return [
        earth(),
        ...[-66, -34, 0, 34, 66].flatMap((turn) =>
          placed([stroke(segment(0, 0, 0, -20)), ...placed(small(30), { at: [0, -19] })], {
            at: [60, 72],
            turn,
          }),
        ),
      ];
    default:
      return undefined;
  }
}

/** A leaf answer stands upright in the middle of its card. */
const standing = (marks: readonly Mark[], foot = 76): Mark[] => placed(marks, { at: [60, foot] });

export function leafDivision(state: string): Mark[] | undefined {
  return isDivision(state) ? standing(dividedLeaf(state)) : undefined;
}

export function leafOutline(state: string): Mark[] | undefined {
  switch (state) {
    case 'fine-segments':
      return standing(fineSegments());
    case 'arrow':
      return standing(arrowBlade(), 78);
    case 'round':
      return [stroke(segment(60, 78, 60, 62)), ...placed(heartBlade(56), { at: [60, 60] })];
    case 'needle':
      return [
        ...[-26, 0, 26].flatMap((x) =>
          placed(blade({ outline: OUTLINES.needle, length: 66, venation: 'one' }).slice(0, 1), {
            at: [60 + x, 73],
          }),
        ),
      ];
    case 'scale':
      return [
        stroke(segment(60, 78, 60, 4), 'faint'),
        ...[70, 58, 46, 34, 22].flatMap((y) => [
          ...[-1, 1].map((s) =>
            shape(closedCurve([60, y + 2], [60 + s * 7, y - 2], [60 + s * 5.4, y - 12], [60 + s * 1, y - 8])),
          ),
          shape(closedCurve([56, y - 3], [60, y + 2], [64, y - 3], [60, y - 12]), 'shade'),
        ]),
      ];
    default: {
      const outline = (OUTLINES as Readonly<Record<string, Outline>>)[state];
      return (
        outline && [
          stroke(segment(60, 78, 60, 70)),
          ...placed(blade({ outline, length: 62 }), { at: [60, 71] }),
        ]
      );
    }
  }
}

export function leafMargin(state: string): Mark[] | undefined {
  if (!isMargin(state)) return undefined;
  return [
    stroke(segment(60, 78, 60, 72)),
    ...placed(
      blade({ outline: { base: 0.7, tip: 0.8, ratio: 1.7 }, length: 66, margin: state, venation: 'one' }),
      { at: [60, 74] },
    ),
  ];
}

export function leafVenation(state: string): Mark[] | undefined {
  const broad: Outline = { base: 0.7, tip: 0.85, ratio: 1.75 };
  const outline =
    state === 'one'
      ? { base: 0.6, tip: 1, ratio: 3.2 }
      : state === 'parallel'
        ? { base: 0.6, tip: 1, ratio: 2.2 }
        : broad;
  if (!['net', 'arching', 'pleated', 'parallel', 'curved-pairs', 'one'].includes(state)) return undefined;
  const marks: Mark[] = [
    stroke(segment(0, 2, 0, -2)),
    shape(bladeOutline(outline, 68), 'paper', 'line'),
    ...strokes(
      veins(outline, 68, state as Venation),
      state === 'pleated' || state === 'parallel' ? 'fine' : 'line',
    ),
  ];
  if (state === 'net')
    marks.push(
      ...strokes(
        [-22, -32, -42].flatMap((y): Line[] => [
          curve([6, y - 3], [7.5, y - 7], [6, y - 11]),
          curve([-6, y - 3], [-7.5, y - 7], [-6, y - 11]),
          curve([12, y - 8], [13, y - 12], [11, y - 15]),
          curve([-12, y - 8], [-13, y - 12], [-11, y - 15]),
        ]),
      ),
    );
  if (state === 'pleated')
    marks.push(
      stroke(
        [
          [-20, 8 - 8],
          [-16, -3],
          [-12, 0],
          [-8, -3],
          [-4, 0],
          [0, -3],
          [4, 0],
          [8, -3],
          [12, 0],
          [16, -3],
          [20, 0],
        ].map(([x = 0, y = 0]): Point => [x * 0.8 + 40, y * 1.6 - 30]),
        'bold',
      ),
    );
  return placed(marks, { at: [60, 75] });
}

/** One half of a leaf's underside, close to. */
export function underside(state: string): Mark[] | undefined {
  const outline: Outline = { base: 0.6, tip: 0.8, ratio: 1.25 };
  const blank = placed(
    [shape(bladeOutline(outline, 70), 'paper', 'line'), ...strokes(veins(outline, 70, 'net'), 'faint')],
    { at: [60, 77] },
  );
  const within = moved(bladeOutline(outline, 62), 60, 73);
  switch (state) {
    case 'bare':
      return blank;
    case 'downy':
      return [
        ...blank,
        ...strewn(within, 4.6, 2).map(([x, y]) =>
          stroke(
            [
              [x, y],
              [x + 1, y - 2.6],
            ],
            'fine',
          ),
        ),
      ];
    case 'dotted':
      return [...blank, ...strewn(within, 7, 3).map(([x, y]) => dot(x, y, 1.4))];
    case 'mealy':
      return [
        ...blank,
        ...strewn(within, 3.5, 4, 260).map(([x, y]) => shape(ellipse(x, y, 1), 'paper', 'fine')),
      ];
    case 'felted':
      return [
        ...blank,
        ...strewn(within, 4.2, 5, 260).map(([x, y], i) =>
          stroke(curve([x - 2.6, y], [x, y - 1.8 + (i % 2) * 3], [x + 2.6, y]), 'fine'),
        ),
      ];
    case 'bristly':
      return [
        ...blank,
        ...strewn(within, 8.5, 6).map(([x, y]) =>
          stroke(
            [
              [x, y],
              [x + 3.4, y - 6],
            ],
            'line',
          ),
        ),
      ];
    case 'silky':
      return [
        ...blank,
        ...strewn(within, 5.4, 7).map(([x, y]) =>
          stroke(curve([x - 4, y + 3], [x, y], [x + 5, y - 5]), 'fine'),
        ),
      ];
    default:
      return undefined;
  }
}

export function leafBase(state: string): Mark[] | undefined {
  const stemAt = (x = 36): Mark =>
    shape(
      [
        [x - 4, 4],
        [x + 4, 4],
        [x + 4, 78],
        [x - 4, 78],
      ],
      'paper',
      'fine',
    );
  const broad = (length: number) => blade({ outline: { base: 0.55, tip: 0.9, ratio: 1.9 }, length });
  switch (state) {
    case 'stalked':
      return [
        stemAt(),
        stroke(curve([40, 54], [48, 48], [56, 42]), 'bold'),
        ...placed(broad(52), { at: [56, 42], turn: 62 }),
      ];
    case 'sessile':
      return [stemAt(), ...placed(broad(62), { at: [40, 50], turn: 66 })];
    case 'pair-cup':
      return [
        stemAt(60),
        ...[-1, 1].flatMap((s) =>
          placed(blade({ outline: { base: 0.4, tip: 0.9, ratio: 2 }, length: 52 }), {
            at: [60 + s * 2, 46],
            turn: s * 66,
          }),
        ),
        shape(closedCurve([46, 42], [60, 50], [74, 42], [70, 54], [60, 58], [50, 54]), 'shade', 'bold'),
      ];
    case 'stem-sheath':
      return [
        stemAt(),
        shape(
          [
            [30.5, 36],
            [41.5, 36],
            [42, 76],
            [30, 76],
          ],
          'shade',
          'bold',
        ),
        ...placed(broad(46), { at: [41, 36], turn: 56 }),
      ];
    case 'stalk-sheath':
      return [
        stemAt(),
        shape(closedCurve([31, 72], [32, 52], [40, 48], [52, 42], [48, 52], [43, 72]), 'shade', 'bold'),
        stroke(curve([48, 46], [58, 38], [66, 34]), 'bold'),
        ...placed(broad(36), { at: [66, 34], turn: 64 }),
      ];
    case 'paired-sheath':
      return [
        earth(76),
        ...placed(blade({ outline: { base: 0.7, tip: 0.9, ratio: 2.6 }, length: 56, venation: 'arching' }), {
          at: [58, 64],
          turn: -18,
        }),
        ...placed(blade({ outline: { base: 0.7, tip: 0.9, ratio: 2.6 }, length: 58, venation: 'arching' }), {
          at: [62, 62],
          turn: 16,
        }),
        shape(
          [
            [55, 54],
            [65, 54],
            [64, 76],
            [56, 76],
          ],
          'shade',
          'bold',
        ),
        stroke(
          [
            [58, 58],
            [60, 76],
          ],
          'line',
        ),
      ];
    case 'own-stalk':
      return [
        earth(76),
        ...[-24, 22].flatMap((turn) =>
          placed(
            [
              stroke(segment(0, 0, 0, -30), 'bold'),
              ...placed(blade({ outline: OUTLINES.elliptic, length: 40, venation: 'arching' }), {
                at: [0, -29],
              }),
            ],
            { at: [60 + turn / 2, 76], turn: turn * 0.7 },
          ),
        ),
      ];
    case 'running-down':
      return [
        stemAt(),
        ...placed(broad(60), { at: [40, 38], turn: 62 }),
        shape(
          [
            [40, 36],
            [49, 44],
            [46, 60],
            [40, 76],
          ],
          'shade',
          'bold',
        ),
      ];
    case 'clasping':
      return [
        stemAt(),
        ...placed(broad(60), { at: [38, 46], turn: 66 }),
        shape(closedCurve([28, 50], [30, 40], [40, 42], [46, 50], [38, 60], [29, 58]), 'shade', 'bold'),
      ];
    default:
      return undefined;
  }
}

export function stalkSection(state: string): Mark[] | undefined {
  const outline: Line | undefined = {
    round: ellipse(60, 40, 25),
    grooved: closedCurve(
      [38, 28],
      [48, 17],
      [56, 20],
      [60, 27],
      [64, 20],
      [72, 17],
      [82, 28],
      [84, 46],
      [72, 62],
      [60, 65],
      [48, 62],
      [36, 46],
    ),
    'three-cornered': closedCurve(
      [60, 13],
      [68, 24],
      [84, 54],
      [82, 62],
      [60, 64],
      [38, 62],
      [36, 54],
      [52, 24],
    ),
    gutter: closedCurve(
      [32, 16],
      [40, 15],
      [46, 32],
      [60, 40],
      [74, 32],
      [80, 15],
      [88, 16],
      [86, 44],
      [72, 62],
      [60, 65],
      [48, 62],
      [34, 44],
    ),
  }[state];
  if (outline) return [shape(outline, 'shade', 'bold')];
  return state === 'no-stalk' ? leafBase('sessile') : undefined;
}

export function leafFoot(state: string): Mark[] | undefined {
  const stalk = stroke(segment(60, 78, 60, 58), 'line');
  const half = (points: Line): Line => curve(...points);
  const sheet = (left: Line, right: Line): Mark => shape([...left, ...[...right].reverse()], 'paper', 'bold');
  const pair = (right: Line): Mark[] => [
    stalk,
    sheet(half(mirrored(right, 60)), half(right)),
    stroke(segment(60, 58, 60, 6), 'fine'),
  ];
  switch (state) {
    case 'wedge':
      return pair([
        [60, 66],
        [68, 48],
        [84, 26],
        [90, 6],
      ]);
    case 'rounded':
      return pair([
        [60, 58],
        [78, 54],
        [90, 36],
        [92, 6],
      ]);
    case 'heart':
      return pair([
        [60, 56],
        [68, 66],
        [84, 66],
        [94, 46],
        [94, 6],
      ]);
    case 'arrow-lobes':
      return pair([
        [60, 52],
        [72, 64],
        [96, 74],
        [86, 44],
        [80, 6],
      ]);
    case 'uneven':
      return [
        stalk,
        sheet(
          half([
            [60, 50],
            [44, 44],
            [34, 26],
            [32, 6],
          ]),
          half([
            [60, 64],
            [80, 62],
            [92, 40],
            [92, 6],
          ]),
        ),
        stroke(segment(60, 66, 60, 6), 'fine'),
      ];
    default:
      return undefined;
  }
}

export function leafSheen(state: string): Mark[] | undefined {
  const marks = placed(blade({ outline: OUTLINES.elliptic, length: 66, venation: 'arching' }), {
    at: [60, 74],
  });
  if (state === 'matt') return marks.map((mark, i) => (i === 0 ? { ...mark, fill: 'shade' as const } : mark));
  if (state === 'glossy')
    return [
      ...marks,
      shape(closedCurve([50, 58], [48, 42], [53, 24], [56, 30], [54, 46]), 'ink', 'none'),
      ...strokes(
        [
          segment(92, 16, 92, 26),
          segment(87, 21, 97, 21),
          segment(100, 34, 100, 40),
          segment(97, 37, 103, 37),
        ],
        'line',
      ),
    ];
  return undefined;
}

export function leafTexture(state: string): Mark[] | undefined {
  const profile = (through: Line, thick: number): Mark =>
    shape([...curve(...through), ...moved([...curve(...through)].reverse(), 0, thick)], 'paper', 'bold');
  switch (state) {
    case 'soft':
      return [
        profile(
          [
            [24, 34],
            [44, 26],
            [62, 30],
            [78, 48],
            [84, 70],
          ],
          2.4,
        ),
      ];
    case 'firm':
      return [
        profile(
          [
            [18, 50],
            [40, 42],
            [60, 36],
            [82, 32],
            [102, 30],
          ],
          3,
        ),
        ...strokes(
          [
            curve([92, 50], [100, 44], [100, 36]),
            [
              [96.5, 39],
              [100, 35],
              [103.4, 39],
            ],
          ],
          'line',
        ),
      ];
    case 'leathery':
      return [
        profile(
          [
            [16, 40],
            [40, 38],
            [60, 37],
            [80, 38],
            [104, 40],
          ],
          6,
        ),
        ...strokes([segment(22, 43, 98, 43)], 'faint'),
      ];
    case 'fleshy':
      return [
        shape(
          closedCurve([16, 40], [30, 29], [60, 25], [90, 29], [104, 40], [90, 52], [60, 57], [30, 52]),
          'shade',
          'bold',
        ),
        shape(closedCurve([104, 48], [107, 55], [104, 59], [101, 55]), 'paper', 'line'),
      ];
    case 'prickly':
      return [
        profile(
          [
            [16, 44],
            [40, 42],
            [60, 41],
            [80, 42],
            [104, 44],
          ],
          3.4,
        ),
        ...[22, 36, 50, 64, 78, 92].map((x) =>
          stroke(
            [
              [x - 3, 42],
              [x, 28],
              [x + 3, 42],
            ],
            'line',
          ),
        ),
      ];
    default:
      return undefined;
  }
}

export function leafDots(state: string): Mark[] | undefined {
  const marks = placed(blade({ outline: { base: 0.7, tip: 0.7, ratio: 1.6 }, length: 68, venation: 'one' }), {
    at: [60, 75],
  });
  if (state === 'none') return marks;
  return state === 'clear'
    ? [
        ...marks.map((mark, i) => (i === 0 ? { ...mark, fill: 'shade' as const } : mark)),
        ...strewn(moved(bladeOutline({ base: 0.7, tip: 0.7, ratio: 1.6 }, 60), 60, 71), 5.4, 4).map(
          ([x, y]) => dot(x, y, 1.3, 'paper'),
        ),
      ]
    : undefined;
}

export function leafSheath(state: string): Mark[] | undefined {
  const stemLine = shape(
    [
      [55, 4],
      [65, 4],
      [65, 78],
      [55, 78],
    ],
    'paper',
    'fine',
  );
  const spray = faint(placed(dividedLeaf('multipinnate'), { scale: 0.45, at: [80, 24], turn: 48 }));
  switch (state) {
    case 'inflated':
      return [
        stemLine,
        ...spray,
        shape(
          closedCurve([54, 72], [48, 56], [52, 38], [66, 26], [82, 24], [80, 40], [74, 58], [64, 72]),
          'shade',
          'bold',
        ),
        ...strokes([curve([60, 68], [62, 48], [74, 30])]),
      ];
    case 'narrow':
      return [
        stemLine,
        ...spray,
        shape(
          closedCurve([53, 72], [53, 52], [58, 36], [80, 24], [68, 40], [67, 56], [66, 72]),
          'shade',
          'bold',
        ),
      ];
    case 'none':
      return [stemLine, ...spray, stroke(curve([65, 44], [74, 34], [80, 24]), 'bold')];
    default:
      return undefined;
  }
}

const twig = (): Mark =>
  shape([...curve([14, 52], [50, 46], [106, 40]), ...curve([106, 46], [50, 54], [14, 62])], 'paper', 'line');

export function thorns(state: string): Mark[] | undefined {
  switch (state) {
    case 'none':
      return [twig(), ...faint([...leafAt([40, 48], -20, 16), ...leafAt([74, 50], 150, 16)])];
    case 'thorns':
      return [
        twig(),
        shape(
          [
            [40, 48],
            [50, 12],
            [46, 47],
          ],
          'paper',
          'bold',
        ),
        shape(
          [
            [70, 51],
            [86, 76],
            [76, 50],
          ],
          'paper',
          'bold',
        ),
        ...faint([...leafAt([46, 28], 60, 10), ...leafAt([78, 62], 40, 9)]),
      ];
    case 'fork-thorn':
      return [
        shape(
          [
            ...curve([14, 42], [54, 36]),
            ...curve([96, 12], [100, 17]),
            [62, 40],
            ...curve([100, 62], [97, 68]),
            ...curve([54, 46], [14, 50]),
          ],
          'paper',
          'line',
        ),
        shape(
          [
            [59, 37],
            [84, 40],
            [59, 43],
          ],
          'paper',
          'bold',
        ),
      ];
    default:
      return undefined;
  }
}

export function youngBark(state: string): Mark[] | undefined {
  const body: Line = [
    [14, 30],
    [106, 26],
    [106, 52],
    [14, 54],
  ];
  switch (state) {
    case 'pale-dots':
      return [
        shape(body, 'ink', 'line'),
        ...strewn(
          [
            [18, 33],
            [102, 30],
            [102, 48],
            [18, 50],
          ],
          7,
          2,
        ).map(([x, y]) => shape(ellipse(x, y, 1.9, 1), 'paper', 'none')),
      ];
    case 'plain':
      return [shape(body, 'paper', 'bold')];
    case 'hairy-knobs':
      return [
        shape(body),
        ...hairs(segment(14, 30, 106, 26), 20, 9, -1, true),
        ...hairs(segment(14, 54, 106, 52), 20, 9, 1, true),
      ];
    case 'scaly':
      return [
        ...[0, 1, 2].flatMap((row) =>
          Array.from({ length: 10 }, (_, i) =>
            shape(
              closedCurve(
                [16 + i * 9 + (row % 2) * 4, 30 + row * 9],
                [25 + i * 9 + (row % 2) * 4, 32 + row * 9],
                [22 + i * 9 + (row % 2) * 4, 38 + row * 9],
                [15 + i * 9 + (row % 2) * 4, 37 + row * 9],
              ),
            ),
          ),
        ),
        stroke(segment(14, 29, 106, 29), 'faint'),
      ];
    default:
      return undefined;
  }
}

export function oldBark(state: string): Mark[] | undefined {
  const trunk: Line = [...curve([32, 4], [34, 40], [30, 78]), ...curve([90, 78], [86, 40], [88, 4])];
  switch (state) {
    case 'smooth':
      return [
        shape(trunk, 'paper', 'bold'),
        ...strokes([curve([44, 24], [50, 25], [56, 24]), curve([66, 52], [72, 53], [78, 52])], 'faint'),
      ];
    case 'strips':
      return [
        shape(trunk),
        ...[
          [40, 10, 34],
          [56, 20, 46],
          [70, 8, 40],
          [48, 50, 74],
          [66, 50, 76],
          [80, 30, 62],
        ].map(([x = 0, top = 0, bottom = 0]) =>
          shape(
            [
              ...curve([x - 4, top], [x - 5, (top + bottom) / 2], [x - 2, bottom]),
              ...curve([x + 8, bottom + 3], [x + 5, (top + bottom) / 2], [x + 4, top + 2]),
            ],
            'shade',
            'line',
          ),
        ),
      ];
    case 'fissured':
      return [
        shape(trunk),
        ...strokes(
          [
            curve([42, 4], [38, 20], [44, 40], [38, 60], [42, 78]),
            curve([54, 4], [58, 22], [50, 42], [56, 62], [52, 78]),
            curve([68, 4], [62, 20], [68, 44], [62, 60], [68, 78]),
            curve([80, 4], [76, 26], [80, 44], [74, 64], [80, 78]),
          ],
          'bold',
        ),
        ...strokes(
          [
            curve([44, 40], [50, 42]),
            curve([58, 22], [63, 20]),
            curve([56, 62], [62, 60]),
            curve([68, 44], [76, 26]),
          ],
          'line',
        ),
      ];
    default:
      return undefined;
  }
}

export function snap(state: string): Mark[] | undefined {
  if (state === 'breaks')
    return [
      shape(
        [
          [12, 44],
          [50, 36],
          [53, 41],
          [49, 44],
          [54, 48],
          [13, 54],
        ],
        'paper',
        'bold',
      ),
      shape(
        [
          [64, 34],
          [106, 56],
          [102, 66],
          [62, 46],
          [66, 42],
          [61, 39],
        ],
        'paper',
        'bold',
      ),
      ...strokes([segment(56, 26, 58, 18), segment(62, 26, 68, 20), segment(50, 28, 46, 21)], 'fine'),
    ];
  if (state === 'tough')
    return [
      shape(
        [
          ...curve([10, 70], [30, 40], [60, 28], [90, 40], [110, 70]),
          ...curve([102, 74], [84, 50], [60, 39], [36, 50], [18, 74]),
        ],
        'paper',
        'bold',
      ),
      ...strokes([
        curve([14, 71], [34, 45], [60, 33], [86, 45], [106, 71]),
        curve([44, 42], [60, 20], [74, 40]),
        curve([50, 38], [62, 24], [70, 38]),
      ]),
    ];
  return undefined;
}

/** The whole plant from a step away. */
export function habit(state: string): Mark[] | undefined {
  const leaves = (points: readonly (readonly [number, number, number])[], length: number) =>
    points.flatMap(([x, y, turn]) => leafAt([x, y], turn, length));
  const crown = (cx: number, cy: number, r: number): Mark =>
    shape(
      closedCurve(...Array.from({ length: 18 }, (_, i) => from([cx, cy], i * 20, r * (i % 2 ? 1 : 0.87)))),
      'paper',
      'line',
    );
  switch (state) {
    case 'dwarf-shrub':
      return [
        earth(),
        ...strokes(
          [
            curve([60, 74], [56, 60], [42, 46]),
            curve([60, 74], [64, 58], [76, 42]),
            curve([57, 64], [60, 50], [58, 36]),
            curve([48, 53], [36, 52], [28, 54]),
            curve([71, 50], [84, 50], [92, 54]),
          ],
          'bold',
        ),
        ...leaves(
          [
            [42, 46, -40],
            [45, 50, 20],
            [76, 42, 30],
            [72, 48, -30],
            [58, 36, -10],
            [59, 44, 60],
            [30, 54, -60],
            [36, 52, 0],
            [90, 53, 60],
            [84, 50, 0],
          ],
          9,
        ),
      ];
    case 'upright-herb':
      return [
        earth(),
        ...upright(60, 8, 74),
        ...leaves(
          [
            [60, 62, -64],
            [60, 50, 64],
            [60, 38, -64],
            [60, 26, 64],
            [60, 14, -50],
          ],
          17,
        ),
      ];
    case 'rosette':
      return [
        earth(66),
        ...[-86, -58, -28, 28, 58, 86].flatMap((turn) =>
          placed(small(40, OUTLINES.obovate), { at: [60, 64], turn }),
        ),
        ...placed(small(24, OUTLINES.obovate), { at: [60, 64] }),
      ];
    case 'leafy-patch':
      return [
        earth(58),
        stroke(curve([14, 66], [60, 69], [106, 66]), 'fine'),
        ...[22, 48, 74, 98].flatMap((x, i) => [
          stroke([
            [x, 66],
            [x, 36 - (i % 2) * 6],
          ]),
          ...[-68, 0, 68].flatMap((turn) => placed(small(15), { at: [x, 37 - (i % 2) * 6], turn })),
        ]),
      ];
    case 'shrub':
      return [
        earth(),
        ...strokes(
          [
            curve([60, 74], [54, 56], [40, 44]),
            curve([60, 74], [62, 54], [64, 40]),
            curve([60, 74], [70, 58], [84, 46]),
          ],
          'bold',
        ),
        crown(40, 34, 20),
        crown(82, 36, 19),
        crown(61, 24, 21),
      ];
    case 'tree':
      return [
        earth(),
        shape([...curve([54, 74], [57, 60], [56, 44]), ...curve([64, 44], [63, 60], [67, 74])]),
        crown(60, 27, 25),
      ];
    case 'ground-leaves':
      return [
        earth(),
        ...[-30, 0, 30].flatMap((turn) =>
          placed(blade({ outline: { base: 0.7, tip: 0.8, ratio: 3.4 }, length: 60, venation: 'one' }), {
            at: [60 + turn / 4, 74],
            turn,
          }),
        ),
      ];
    case 'creeping':
      return [
        earth(64),
        stroke(curve([12, 62], [40, 60], [70, 62], [92, 54], [104, 40]), 'bold'),
        ...strokes(
          [30, 54, 76].flatMap((x): Line[] => [
            curve([x, 61], [x - 2, 68], [x - 4, 74]),
            curve([x, 61], [x + 1, 69], [x + 3, 75]),
          ]),
        ),
        ...leaves(
          [
            [24, 60, -24],
            [40, 60, 18],
            [58, 61, -20],
            [74, 60, 16],
            [90, 54, -24],
            [102, 42, 24],
          ],
          15,
        ),
      ];
    default:
      return undefined;
  }
}
