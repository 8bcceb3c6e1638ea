import { type Point, from, type Line, along } from './geometry';
import { type Blade, OUTLINES, type Outline, blade } from './leaf';
import { type Mark, stroke, segment, placed } from './mark';

/** Divided leaves. */

export const DIVISIONS = [
  'simple',
  'ternate',
  'biternate',
  'pinnate',
  'multipinnate',
  'palmate',
  'lobed',
] as const;

export type Division = (typeof DIVISIONS)[number];

export const isDivision = (state: string | undefined): state is Division =>
  (DIVISIONS as readonly (string | undefined)[]).includes(state);

const LEAFLET: Blade = { outline: OUTLINES.ovate, length: 20, venation: 'net' };

const plain = (length: number, outline: Outline = OUTLINES.elliptic): Mark[] =>
  blade({ outline, length, venation: 'one' });

/** A whole leaf with its stalk, the foot of the stalk at the origin, about 70 units high. */
export function dividedLeaf(division: Division): Mark[] {
  return DIVIDED_LEAFS[division]();
}

const DIVIDED_LEAFS: Readonly<Record<Division, () => Mark[]>> = {
  simple: () => [
    stroke(segment(0, 0, 0, -16)),
    ...placed(blade({ ...LEAFLET, length: 52 }), { at: [0, -16] }),
  ],
  ternate: () => [
    stroke(segment(0, 0, 0, -36)),
    ...[-68, 0, 68].flatMap((turn) => placed(blade({ ...LEAFLET, length: 31 }), { turn, at: [0, -34] })),
  ],
  biternate: () => [
    stroke(segment(0, 0, 0, -46)),
    stroke([
      [-20, -33],
      [0, -22],
      [20, -33],
    ]),
    ...(
      [
        [0, -44, 0],
        [-20, -33, -55],
        [20, -33, 55],
      ] as const
    ).flatMap(([x, y, turn]) =>
      [-66, 0, 66].flatMap((more) =>
        placed(plain(20, OUTLINES.ovate), { turn: turn + more * (x === 0 ? 1 : 0.85), at: [x, y] }),
      ),
    ),
  ],
  pinnate: () => [
    stroke(segment(0, 0, 0, -54)),
    ...placed(plain(17), { at: [0, -53] }),
    ...[-16, -27, -38, -49].flatMap((y) =>
      [-70, 70].flatMap((turn) => placed(plain(19), { turn, at: [0, y] })),
    ),
  ],
  multipinnate: () => [
    stroke(segment(0, 0, 0, -68)),
    ...[
      [-18, 26],
      [-29, 22],
      [-40, 17],
      [-50, 12],
      [-58, 8],
    ].flatMap(([y = 0, long = 0]) => [-1, 1].flatMap((side) => feather([0, y], side * 62, long))),
  ],
  palmate: () => [
    stroke(segment(0, 0, 0, -28)),
    ...(
      [
        [-104, 22],
        [-54, 33],
        [0, 38],
        [54, 33],
        [104, 22],
      ] as const
    ).flatMap(([turn, length]) => placed(plain(length, OUTLINES.obovate), { turn, at: [0, -28] })),
  ],
  lobed: () => [
    stroke(segment(0, 0, 0, -16)),
    ...placed(blade({ outline: { base: 0.7, tip: 0.6, ratio: 1.35 }, length: 52, margin: 'cut' }), {
      at: [0, -16],
    }),
  ],
};

/** One branch of a leaf divided again and again: a small axis with short segments. */
function feather(base: Point, heading: number, length: number): Mark[] {
  const tip = from(base, heading - 90, length);
  const axis: Line = [base, tip];
  const cuts = Math.max(2, Math.round(length / 4.5));
  return [
    stroke(axis, 'fine'),
    ...Array.from({ length: cuts }, (_, i) => {
      const { at } = along(axis, (i + 0.7) / cuts);
      const size = Math.max(2.4, (1 - i / cuts) * length * 0.3 + 1.5);
      return [-48, 48].map((turn) => stroke([at, from(at, heading - 90 + turn, size)], 'line'));
    }).flat(),
  ];
}

/** A tuft of narrow segments, as of chamomile. */
export function fineSegments(): Mark[] {
  return [
    stroke(segment(0, 0, 0, -66), 'line'),
    ...[-14, -24, -34, -44, -54].flatMap((y, i) =>
      [-1, 1].flatMap((side) => {
        const long = 24 - i * 3.2;
        const end = from([0, y], -90 + side * 55, long);
        const axis: Line = [[0, y], end];
        return [
          stroke(axis, 'line'),
          ...[0.4, 0.65, 0.9].flatMap((share) =>
            [-40, 40].map((turn) => {
              const { at } = along(axis, share);
              return stroke([at, from(at, -90 + side * 55 + turn, 7 - share * 3)], 'line');
            }),
          ),
        ];
      }),
    ),
  ];
}
