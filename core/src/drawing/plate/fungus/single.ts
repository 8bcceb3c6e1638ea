import { section as sectionCard } from '../../capSection';
import { shrunk, strewn } from '../../fungus';
import { closedCurve, curve, mirrored, seeded, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { mixed, isHex, shaded, washOf } from '../colours';
import { body, boxOfSketches, fromMarks, hairs, pen, put, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';

/** Fungi whose cap is no cap: balls, morels, lobed heads and cups. */

export function ballOf(one: Subject, wide: number): Part[] {
  const fill = washOf(one.colour('cap.colour'));
  const r = wide / 2;
  const ball = curve(
    [-r * 0.42, 0],
    [-r * 0.86, -r * 0.45],
    [-r * 0.98, -r * 1.1],
    [-r * 0.55, -r * 1.78],
    [0, -r * 1.95],
    [r * 0.55, -r * 1.78],
    [r * 0.98, -r * 1.1],
    [r * 0.86, -r * 0.45],
    [r * 0.42, 0],
  );
  const roots: Line[] = [-0.3, -0.05, 0.2].map((x, i): Line => [
    [r * x, 0],
    [r * (x + 0.05), r * 0.14],
    [r * (x - 0.04 + i * 0.06), r * 0.26],
  ]);
  return [
    { of: ['hymenophore'], sketches: [pen(roots, 'fine')] },
    { of: ['cap.width', 'cap.colour'], sketches: [body([...ball, [0, r * 0.08]], fill)] },
    { of: ['cap.surface'], sketches: ballSkin(one.state('cap.surface'), ball, fill, r) },
  ];
}

function ballSkin(kind: string | undefined, ball: Line, fill: Fill, r: number): Sketch[] {
  const outline = shrunk(ball, 0.88);
  const dark = isHex(fill) ? mixed(fill, '#3a2a1c', 0.4) : shaded(fill);
  const around = (points: readonly Point[], make: (p: Point) => Line, ink: 'fine' | 'none' = 'fine') =>
    points.map((p) => body(make(p), dark, { ink, shading: 'none' }));
  const diamond =
    (size: number) =>
    ([x, y]: Point): Line => [
      [x - size, y],
      [x, y - size * 0.8],
      [x + size, y],
      [x, y + size * 0.8],
    ];
  switch (kind) {
    case 'scaly':
    case 'plates':
      return around(
        strewn(outline, r * (kind === 'plates' ? 0.3 : 0.2), 5, 60),
        diamond(r * (kind === 'plates' ? 0.12 : 0.07)),
      );
    case 'warts':
    case 'cracked':
      return around(strewn(outline, r * 0.24, 5, 50), diamond(r * 0.1));
    case 'soft-spines':
      return [
        pen(
          strewn(outline, r * 0.14, 5, 110).map(([x, y]): Line => [
            [x - r * 0.035, y + r * 0.03],
            [x + x * 0.06, y - r * 0.09],
            [x + r * 0.035, y + r * 0.03],
          ]),
          'fine',
        ),
      ];
    case 'felty':
      return [
        hairs(
          strewn(outline, r * 0.1, 5, 160).map(([x, y]): Line => [
            [x, y],
            [x + r * 0.015, y - r * 0.05],
          ]),
        ),
      ];
    default:
      return [];
  }
}

/** A head over a stem, by its surface: with pits, folds or flutes. */
export type Head = 'honeycomb' | 'brain' | 'thimble';

/** Its outline, so wide, its lower edge at so much. */
export function headOutline(kind: Head, wide: number, top: number): Line {
  const half = wide / 2;
  const high = HEAD_HEIGHT[kind] * wide;
  return kind === 'brain'
    ? closedCurve(
        [-half, top - high * 0.3],
        [-half * 0.78, top - high * 0.82],
        [-half * 0.3, top - high * 0.86],
        [half * 0.12, top - high],
        [half * 0.62, top - high * 0.9],
        [half, top - high * 0.46],
        [half * 0.9, top + high * 0.02],
        [half * 0.4, top + high * 0.06],
        [-half * 0.2, top - high * 0.02],
        [-half * 0.72, top + high * 0.08],
      )
    : closedCurve(
        [0, top - high],
        [half * 0.62, top - high * 0.86],
        [half * 0.98, top - high * 0.42],
        [half * 0.86, top],
        [0, top + high * 0.06],
        [-half * 0.86, top],
        [-half * 0.98, top - high * 0.42],
        [-half * 0.62, top - high * 0.86],
      );
}

/** How high a head is to its width. */
const HEAD_HEIGHT: Readonly<Record<Head, number>> = { honeycomb: 1.25, brain: 0.8, thimble: 0.85 };

/** The head of a morel or false morel over its stem. */
export function headOf(one: Subject, kind: Head, wide: number, top: number): Part[] {
  const fill = washOf(one.colour('cap.colour'));
  const outline = headOutline(kind, wide, top);
  return [
    {
      of: ['hymenophore', 'cap.width', 'cap.colour'],
      sketches: [
        body(outline, fill),
        ...(kind === 'honeycomb'
          ? pits(outline, wide, fill)
          : kind === 'brain'
            ? folds(outline, wide)
            : flutes(wide / 2, top, HEAD_HEIGHT[kind] * wide)),
      ],
    },
  ];
}

function pits(outline: Line, wide: number, fill: Fill): Sketch[] {
  const next = seeded(11);
  return strewn(shrunk(outline, 0.86), wide * 0.17, 21, 40).map(([x, y]) => {
    const [w, h] = [wide * (0.055 + 0.02 * next()), wide * (0.075 + 0.03 * next())];
    return body(
      Array.from({ length: 9 }, (_, i): Point => [
        x + w * Math.cos(i * 0.7) * (0.85 + 0.3 * next()),
        y + h * Math.sin(i * 0.7) * (0.85 + 0.3 * next()),
      ]),
      shaded(shaded(fill)),
      { ink: 'fine', shading: 'dark' },
    );
  });
}

function folds(outline: Line, wide: number): Sketch[] {
  const next = seeded(13);
  const lines = strewn(shrunk(outline, 0.72), wide * 0.085, 9, 60).map(([x, y]): Line => {
    const turn = next() * 6.28;
    const step = wide * 0.055;
    return curve(
      [x, y],
      [x + step * Math.cos(turn), y + step * Math.sin(turn)],
      [x + step * 1.6 * Math.cos(turn + 0.9), y + step * 1.6 * Math.sin(turn + 0.9)],
      [x + step * 2.2 * Math.cos(turn + 0.5), y + step * 2.2 * Math.sin(turn + 0.5)],
    );
  });
  return [pen(lines, 'line')];
}

const flutes = (half: number, top: number, high: number): Sketch[] => [
  pen(
    Array.from({ length: 11 }, (_, i): Line => {
      const s = -0.82 + (1.64 * i) / 10;
      return curve(
        [half * s * 0.3, top - high * 0.88],
        [half * s * 0.86, top - high * (0.55 + 0.06 * (i % 2))],
        [half * s * 0.95, top - high * 0.06],
      );
    }),
    'line',
  ),
];

/** A bowl that opens in lobes. */
export function cupOf(one: Subject, wide: number): Part[] {
  const [half, high] = [wide / 2, wide * 0.5];
  const skin = washOf(one.colour('cap.colour'));
  const inner = washOf(one.colour('hymenophore.colour') ?? one.colour('cap.colour'), 0.1);
  const right = curve([half, -high], [half * 0.96, -high * 0.5], [half * 0.6, -high * 0.08], [0, 0]);
  const hem: Line = Array.from({ length: 41 }, (_, i) => {
    const a = Math.PI + (Math.PI * i) / 40;
    return [
      half * Math.cos(a),
      -high - high * 0.16 * Math.sin(a) * -1 - high * 0.14 * Math.abs(Math.sin(i * 0.47)),
    ];
  });
  return [
    {
      of: ['hymenophore', 'hymenophore.colour'],
      sketches: [
        body([...hem, ...[...hem].reverse().map(([x, y]): Point => [x, -high + (-high - y) * 0.9])], inner, {
          shading: 'dark',
        }),
      ],
    },
    {
      of: ['cap.width', 'cap.colour'],
      sketches: [
        body(
          [
            ...[...mirrored(right)],
            ...[...right].reverse().slice(1),
            ...[...hem]
              .reverse()
              .slice(1, -1)
              .map(([x, y]): Point => [x, -high + (-high - y) * 0.55]),
          ],
          skin,
        ),
      ],
    },
  ];
}

/** What is inside, cut through: a card of its own, standing at the origin, so wide. */
export function cutOpen(one: Subject, wide: number): Part[] {
  const card = fromMarks(sectionCard(one.state('section') ?? ''), washOf(one.colour('flesh.colour'), 0.1));
  if (card.length === 0) return [];
  const { left, right, bottom } = boxOfSketches(card);
  return [
    {
      of: ['section', 'flesh.colour'],
      sketches: put(put(card, { at: [-(left + right) / 2, -bottom] }), { scale: wide / (right - left) }),
    },
  ];
}
