import { strewn } from './fungus';
import { moved, ellipse, curve, closedCurve, type Line } from './geometry';
import { type Outline, bladeOutline, veins, blade, OUTLINES } from './leaf';
import { type Mark, placed, shape, strokes, stroke, dot, segment, type Drawings } from './mark';
import { earth } from './stemParts';
const BACK: Outline = { base: 0.6, tip: 0.8, ratio: 1.25 };
const bareBack = placed(
  [shape(bladeOutline(BACK, 70), 'paper', 'line'), ...strokes(veins(BACK, 70, 'net'), 'faint')],
  { at: [60, 77] },
);
const WITHIN_BACK = moved(bladeOutline(BACK, 62), 60, 73);

/** The base and stalk of a leaf. */

/** One half of a leaf's underside, close to. */
export function underside(state: string): Mark[] | undefined {
  return UNDERSIDES[state]?.();
}

const UNDERSIDES: Drawings = {
  bare: () => bareBack,
  downy: () => [
    ...bareBack,
    ...strewn(WITHIN_BACK, 4.6, 2).map(([x, y]) =>
      stroke(
        [
          [x, y],
          [x + 1, y - 2.6],
        ],
        'fine',
      ),
    ),
  ],
  dotted: () => [...bareBack, ...strewn(WITHIN_BACK, 7, 3).map(([x, y]) => dot(x, y, 1.4))],
  mealy: () => [
    ...bareBack,
    ...strewn(WITHIN_BACK, 3.5, 4, 260).map(([x, y]) => shape(ellipse(x, y, 1), 'paper', 'fine')),
  ],
  felted: () => [
    ...bareBack,
    ...strewn(WITHIN_BACK, 4.2, 5, 260).map(([x, y], i) =>
      stroke(curve([x - 2.6, y], [x, y - 1.8 + (i % 2) * 3], [x + 2.6, y]), 'fine'),
    ),
  ],
  bristly: () => [
    ...bareBack,
    ...strewn(WITHIN_BACK, 8.5, 6).map(([x, y]) =>
      stroke(
        [
          [x, y],
          [x + 3.4, y - 6],
        ],
        'line',
      ),
    ),
  ],
  silky: () => [
    ...bareBack,
    ...strewn(WITHIN_BACK, 5.4, 7).map(([x, y]) =>
      stroke(curve([x - 4, y + 3], [x, y], [x + 5, y - 5]), 'fine'),
    ),
  ],
};
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

export function leafBase(state: string): Mark[] | undefined {
  return LEAF_BASES[state]?.();
}

const LEAF_BASES: Drawings = {
  stalked: () => [
    stemAt(),
    stroke(curve([40, 54], [48, 48], [56, 42]), 'bold'),
    ...placed(broad(52), { at: [56, 42], turn: 62 }),
  ],
  sessile: () => [stemAt(), ...placed(broad(62), { at: [40, 50], turn: 66 })],
  'pair-cup': () => [
    stemAt(60),
    ...[-1, 1].flatMap((s) =>
      placed(blade({ outline: { base: 0.4, tip: 0.9, ratio: 2 }, length: 52 }), {
        at: [60 + s * 2, 46],
        turn: s * 66,
      }),
    ),
    shape(closedCurve([46, 42], [60, 50], [74, 42], [70, 54], [60, 58], [50, 54]), 'shade', 'bold'),
  ],
  'stem-sheath': () => [
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
  ],
  'stalk-sheath': () => [
    stemAt(),
    shape(closedCurve([31, 72], [32, 52], [40, 48], [52, 42], [48, 52], [43, 72]), 'shade', 'bold'),
    stroke(curve([48, 46], [58, 38], [66, 34]), 'bold'),
    ...placed(broad(36), { at: [66, 34], turn: 64 }),
  ],
  'paired-sheath': () => [
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
  ],
  'own-stalk': () => [
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
  ],
  'running-down': () => [
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
  ],
  clasping: () => [
    stemAt(),
    ...placed(broad(60), { at: [38, 46], turn: 66 }),
    shape(closedCurve([28, 50], [30, 40], [40, 42], [46, 50], [38, 60], [29, 58]), 'shade', 'bold'),
  ],
};

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
