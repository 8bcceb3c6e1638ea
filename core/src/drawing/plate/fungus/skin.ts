import { seeded, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { lit, mixed, isHex, shaded } from '../colours';
import { body, hairs, pen, wash, type Sketch } from '../sketch';
import type { Dome } from './profile';

/** What the skin of a cap is like, and its rim. */

interface Place {
  readonly up: number;
  readonly round: number;
}

/** Places all over a cap, smaller apart where it turns away. */
function strewn(rows: number, perRow: number, next: () => number, from = 0.06, to = 0.96): Place[] {
  return Array.from({ length: rows }, (_, row) => {
    const up = from + ((to - from) * (row + 0.5)) / rows;
    const count = Math.max(1, Math.round(perRow * (1 - up * 0.75)));
    return Array.from({ length: count }, (_, i) => ({
      up: up + (next() - 0.5) * (0.7 / rows),
      round: -0.94 + (1.88 * (i + 0.2 + 0.6 * next())) / count,
    }));
  }).flat();
}

/** A patch that lies on the skin. */
function patch(dome: Dome, { up, round }: Place, size: number, points = 7, wild = 0, next = () => 0.5): Line {
  return Array.from({ length: points }, (_, i) => {
    const a = (2 * Math.PI * i) / points;
    const r = size * (1 + wild * (next() - 0.5));
    return dome.on(up + (Math.sin(a) * r) / 1.4, round + Math.cos(a) * r);
  });
}

type Skin = (dome: Dome, fill: Fill, next: () => number) => Sketch[];

const SKINS: Readonly<Record<string, Skin>> = {
  greasy: (dome) => glints(dome, 2),
  slimy: (dome, fill) => [
    ...glints(dome, 3),
    ...[-0.55, 0.1, 0.6].map((round) => {
      const [x, y] = dome.on(0, round);
      const drop = dome.half * 0.07;
      return body(
        [
          [x - drop * 0.6, y],
          [x - drop * 0.5, y + drop * 1.6],
          [x, y + drop * 2.3],
          [x + drop * 0.5, y + drop * 1.6],
          [x + drop * 0.6, y],
        ],
        lit(fill),
        { ink: 'fine', shading: 'none' },
      );
    }),
  ],
  felty: (dome, _, next) => [
    hairs(
      strewn(11, 30, next).map(({ up, round }) => [
        dome.on(up, round),
        dome.on(up + 0.035, round + (next() - 0.5) * 0.05),
      ]),
    ),
  ],
  fibrillose: (dome, _, next) => [
    pen(
      strewn(6, 26, next).map(({ up, round }) => [
        dome.on(up, round),
        dome.on(up + 0.08, round * 0.97),
        dome.on(up + 0.2, round * 0.94),
      ]),
      'fine',
    ),
  ],
  scaly: (dome, fill, next) => scales(dome, fill, next, 7, 15, 0.05),
  plates: (dome, fill, next) => scales(dome, fill, next, 4, 8, 0.1),
  warts: (dome, _, next) =>
    strewn(5, 9, next, 0.12).map((place) =>
      body(patch(dome, place, 0.055 + 0.02 * next(), 7, 0.5, next), '#fbf9f2', {
        ink: 'fine',
        shading: 'none',
      }),
    ),
  'soft-spines': (dome, _, next) => [
    pen(
      strewn(9, 18, next).map(({ up, round }) => {
        const [x, y] = dome.on(up, round);
        const r = dome.half * 0.045;
        return [
          [x - r * 0.6, y + r * 0.4],
          [x + round * r, y - r * 1.1],
          [x + r * 0.6, y + r * 0.4],
        ] as Line;
      }),
      'fine',
    ),
  ],
  cracked: (dome, fill, next) => [
    ...strewn(5, 9, next, 0.05).map((place) => wash([patch(dome, place, 0.085, 6, 0.5, next)], shaded(fill))),
    pen(
      strewn(5, 9, next, 0.05).map((place) => {
        const outline = patch(dome, place, 0.1, 6, 0.4, next);
        return [...outline, outline[0] as Point];
      }),
      'fine',
    ),
  ],
};

function scales(
  dome: Dome,
  fill: Fill,
  next: () => number,
  rows: number,
  perRow: number,
  size: number,
): Sketch[] {
  const dark = isHex(fill) ? mixed(fill, '#3a2a1c', 0.45) : shaded(fill);
  return strewn(rows, perRow, next).map(({ up, round }) => {
    const w = size * (0.8 + 0.4 * next());
    const side = (s: number, down: number) => dome.on(up - down, round + s * w);
    return body(
      [side(-1, 0), side(-0.7, 0.035), side(0, 0.055), side(0.7, 0.035), side(1, 0), side(0, -0.03)],
      dark,
      {
        ink: 'fine',
        shading: 'none',
      },
    );
  });
}

/** Light on something wet. */
function glints(dome: Dome, count: number): Sketch[] {
  return [
    wash(
      Array.from({ length: count }, (_, i) => {
        const place = { up: 0.78 - i * 0.2, round: -0.45 + i * 0.12 };
        const w = 0.12 - i * 0.03;
        return [
          dome.on(place.up, place.round - w),
          dome.on(place.up + 0.05, place.round),
          dome.on(place.up, place.round + w),
          dome.on(place.up - 0.03, place.round),
        ];
      }),
      '#ffffff',
    ),
  ];
}

/** What lies on a cap's skin. */
export function skinOf(kind: string | undefined, dome: Dome, fill: Fill, seed: number): Sketch[] {
  return SKINS[kind ?? '']?.(dome, fill, seeded(seed + 101)) ?? [];
}

/** What its rim is like, drawn over the skin. */
export function marginOf(kind: string | undefined, dome: Dome, fill: Fill): Sketch[] {
  const round = (count: number) => Array.from({ length: count }, (_, i) => -0.95 + (1.9 * (i + 0.5)) / count);
  switch (kind) {
    case 'lined':
      return [
        pen(
          round(27).map((r) => [dome.on(0, r), dome.on(0.2, r * 0.98)]),
          'fine',
        ),
      ];
    case 'fringed':
      return round(13).map((r) => {
        const [x, y] = dome.on(0, r);
        const s = dome.half * 0.07;
        return body(
          [
            [x - s * 0.7, y - s * 0.3],
            [x - s * 0.3, y + s * 1.5],
            [x + s * 0.2, y + s * 0.9],
            [x + s * 0.7, y - s * 0.3],
          ],
          lit(fill),
          { ink: 'fine', shading: 'none' },
        );
      });
    case 'splitting':
      return [-0.62, -0.2, 0.3, 0.72].map((r) =>
        body([dome.on(0, r - 0.05), dome.on(0.26, r), dome.on(0, r + 0.05)], 'shade', {
          ink: 'fine',
          shading: 'none',
        }),
      );
    case 'inrolled':
      return [pen([round(24).map((r) => dome.on(0.09, r)), round(24).map((r) => dome.on(0.045, r))], 'fine')];
    default:
      return [];
  }
}
