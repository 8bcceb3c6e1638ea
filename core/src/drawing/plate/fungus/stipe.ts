import { curve, ellipse, mirrored, seeded, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { mixed, isHex, shaded, washOf } from '../colours';
import { body, hairs, pen, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';

/** Half widths of a stem from the top down, as shares of its thickness. */
const HALVES: Readonly<Record<string, readonly number[]>> = {
  tapering: [0.72, 0.58, 0.46, 0.34, 0.22],
  cylindrical: [0.5, 0.48, 0.48, 0.5, 0.5],
  club: [0.42, 0.46, 0.54, 0.7, 0.8],
  bulbous: [0.44, 0.52, 0.74, 1, 0.72],
  'bulb-foot': [0.44, 0.44, 0.46, 0.52, 1.0],
};

export interface Column {
  readonly long: number;
  readonly thick: number;
  /** Half the width at a share of the length from the foot (0) to the top (1), mm. */
  readonly half: (up: number) => number;
  /** A place on its side: round it from -1 (left edge) over 0 (front) to 1. */
  readonly on: (up: number, round: number) => Point;
}

/** A stem, standing at the origin. */
export function columnOf(shape: string | undefined, long: number, thick: number): Column {
  const halves = HALVES[shape ?? 'cylindrical'] ?? [0.5, 0.5, 0.5, 0.5, 0.5];
  // On a stem as thick as it is long, a bulb would be a disc.
  const bulge = Math.min(1, Math.max(0.2, long / thick - 1) / 1.5);
  const side = curve(
    ...halves.map((half, i): Point => [(0.5 + (half - 0.5) * bulge) * thick, i / (halves.length - 1)]),
  );
  const half = (up: number): number => {
    const down = 1 - up;
    const i = side.findIndex(([, y]) => y >= down);
    return (side[i < 0 ? side.length - 1 : i] as Point)[0];
  };
  return {
    long,
    thick,
    half,
    on: (up, round) => {
      const angle = (round * Math.PI) / 2;
      const h = half(up);
      return [h * Math.sin(angle), -long * up + h * 0.22 * Math.cos(angle)];
    },
  };
}

export function outlineOf(column: Column): Line {
  const right: Line = Array.from({ length: 25 }, (_, i) => {
    const up = 1 - i / 24;
    return [column.half(up), -column.long * up];
  });
  const low = column.half(0);
  const foot: Line = Array.from({ length: 9 }, (_, i) => {
    const a = (Math.PI * (i + 1)) / 10;
    return [low * Math.cos(a), low * 0.32 * Math.sin(a)];
  });
  return [...right, ...foot, ...[...mirrored(right)].reverse()];
}

/** The stem with its pattern; faint where its form is not stated. */
export function stipeOf(one: Subject, column: Column): Part[] {
  const fill = washOf(one.colour('stipe.colour'));
  const tint = one.colour('stipe.net-colour');
  return [
    {
      of: ['stipe.shape', 'stipe.length', 'stipe.width', 'stipe.colour'],
      sketches: [
        body(
          outlineOf(column),
          fill,
          one.state('stipe.shape') === undefined ? { ink: 'faint', shading: 'none' } : {},
        ),
      ],
    },
    {
      of: ['stipe.net', 'stipe.net-colour'],
      sketches: pattern(one.state('stipe.net'), column, tint ? washOf(tint, 0.1) : shaded(fill), seeded(5)),
    },
  ];
}

type Pattern = (column: Column, fill: Fill, next: () => number) => Sketch[];
const across = (column: Column, up: number, shift = 0): Line =>
  Array.from({ length: 11 }, (_, i) => column.on(up + (i % 2 ? shift : 0), -0.96 + (1.92 * i) / 10));
const net =
  (from: number, rows: number, columns: number): Pattern =>
  (column) => {
    const up = (row: number) => from + ((0.97 - from) * row) / rows;
    const way = (slope: number): Line[] =>
      Array.from({ length: columns * 2 + 1 }, (_, k): Line =>
        Array.from({ length: rows + 1 }, (_, row): Point =>
          column.on(
            up(row),
            Math.max(
              -0.98,
              Math.min(0.98, -1 + (k * 2) / columns - 1 + slope * (row / rows) * 2 + (slope < 0 ? 2 : 0)),
            ),
          ),
        ),
      );
    return [pen([...way(1), ...way(-1)], 'fine')];
  };

const PATTERNS: Readonly<Record<string, Pattern>> = {
  'fine-net': net(0.5, 7, 7),
  'coarse-net': net(0.12, 7, 4),
  bands: (column, fill) =>
    [0.14, 0.27, 0.4, 0.53, 0.66, 0.79].map((up) =>
      body([...across(column, up, 0.028), ...[...across(column, up - 0.035)].reverse()], fill, {
        ink: 'fine',
        shading: 'none',
      }),
    ),
  scales: (column, fill, next) =>
    [0.08, 0.2, 0.32, 0.44, 0.56, 0.68].flatMap((up, row) =>
      [-0.62, -0.1, 0.44].map((round) => {
        const at = round + (row % 2 ? 0.26 : 0) + (next() - 0.5) * 0.1;
        return body(
          [
            column.on(up, at - 0.24),
            column.on(up + 0.05, at),
            column.on(up, at + 0.24),
            column.on(up - 0.02, at),
          ],
          isHex(fill) ? mixed(fill, '#3a2a1c', 0.25) : fill,
          { ink: 'fine', shading: 'none' },
        );
      }),
    ),
  pits: (column, fill, next) =>
    [0.16, 0.32, 0.48, 0.64, 0.8].flatMap((up, row) =>
      [-0.4, 0.3].map((round) => {
        const [x, y] = column.on(up, round + (row % 2 ? 0.22 : -0.06) + (next() - 0.5) * 0.1);
        const r = column.thick * 0.085;
        return body(ellipse(x, y, r, r * 0.7), shaded(fill), { ink: 'fine', shading: 'dark' });
      }),
    ),
  fibres: (column, _, next) => [
    pen(
      Array.from({ length: 16 }, (_, i): Line => {
        const [from, round] = [0.06 + 0.5 * next(), -0.9 + (1.8 * i) / 15];
        return [0, 0.5, 1].map((w) => column.on(from + 0.34 * w, round));
      }),
      'fine',
    ),
  ],
  none: (column, _, next) => [
    hairs(
      Array.from({ length: 4 }, (_, i): Line => {
        const from = 0.1 + 0.5 * next();
        return [0, 0.5, 1].map((w) => column.on(from + 0.16 * w, 0.25 + i * 0.16));
      }),
    ),
  ],
};

function pattern(kind: string | undefined, column: Column, fill: Fill, next: () => number): Sketch[] {
  return PATTERNS[kind ?? '']?.(column, fill, next) ?? [];
}
