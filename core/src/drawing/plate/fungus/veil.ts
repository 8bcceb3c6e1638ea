import { curve, ellipse, seeded, type Line, type Point } from '../../geometry';
import { body, pen, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';
import type { Column } from './stipe';

/** Ring, veil and what is left at the foot. */

const ringAt = 0.72;

function skirt(column: Column, drop: number, flare: number, teeth: number): Sketch[] {
  const [top, half] = [-column.long * ringAt, column.half(ringAt)];
  const low = half * flare;
  const hem: Line = Array.from({ length: 33 }, (_, i) => {
    const a = (Math.PI * i) / 32;
    return [low * Math.cos(a), top + drop + low * 0.24 * Math.sin(a) + (i % 4 === 2 ? teeth : 0)];
  });
  const side = curve([half, top], [half * (1 + (flare - 1) * 0.25), top + drop * 0.4], [low, top + drop]);
  const left = side.map(([x, y]): Point => [-x, y]);
  const upper: Line = Array.from({ length: 9 }, (_, i) => {
    const a = Math.PI - (Math.PI * (i + 1)) / 10;
    return [half * Math.cos(a), top + half * 0.2 * Math.sin(a)];
  });
  const fold = Array.from({ length: 9 }, (_, i): Line => {
    const a = (Math.PI * (i + 0.7)) / 10;
    return [
      [half * 0.96 * Math.cos(a), top + half * 0.22 * Math.sin(a) + drop * 0.1],
      [low * 0.97 * Math.cos(a), top + drop * 0.86 + low * 0.22 * Math.sin(a)],
    ];
  });
  return [
    body([...side, ...hem.slice(1, -1), ...[...left].reverse(), ...upper], '#fbf9f0', { shading: 'none' }),
    pen(fold, 'fine'),
  ];
}

const VEILS: Readonly<Record<string, (column: Column) => Sketch[]>> = {
  hanging: (column) => skirt(column, column.thick * 1.15, 2.1, column.thick * 0.06),
  thin: (column) => skirt(column, column.thick * 0.3, 1.35, 0),
  movable: (column) => {
    const [y, r] = [-column.long * ringAt, column.half(ringAt)];
    const oval = (w: number, h: number, dy = 0) => ellipse(0, y + dy, w, h);
    return [
      body(oval(r * 2.1, r * 0.75), '#f4eee0', { shading: 'dark' }),
      body(oval(r * 2.1, r * 0.6, -r * 0.28), '#fbf9f0', { shading: 'none' }),
      body(oval(r, r * 0.25, -r * 0.34), 'shade', { shading: 'dark', ink: 'fine' }),
    ];
  },
  cottony: (column) => {
    const next = seeded(3);
    const tuft = (up: number, round: number): Line => {
      const [x, y] = column.on(up, round);
      const r = column.thick * (0.12 + 0.06 * next());
      return Array.from({ length: 9 }, (_, i) => [
        x + r * (i % 2 ? 1 : 0.75) * Math.cos(i * 0.7),
        y + r * (i % 2 ? 0.9 : 0.65) * Math.sin(i * 0.7),
      ]);
    };
    return [-0.95, -0.55, -0.1, 0.35, 0.8].flatMap((round, i) =>
      [0.74, 0.7].map((up) =>
        body(tuft(up + (i % 2) * 0.012, round), '#f7f2e4', { ink: 'fine', shading: 'none' }),
      ),
    );
  },
  cobweb: (column) => [
    pen(
      Array.from({ length: 15 }, (_, i): Line => {
        const round = -1 + (2 * i) / 14;
        const [x, y] = column.on(0.8, round);
        return [
          [x * 2.6, -column.long * 1.0 + column.thick * 0.3],
          [x * 1.5, (y - column.long) / 2 + column.thick * 0.2],
          [x, y],
        ];
      }),
      'fine',
    ),
    pen(
      [Array.from({ length: 11 }, (_, i) => column.on(0.78 + (i % 2) * 0.01, -0.98 + (1.96 * i) / 10))],
      'line',
    ),
  ],
};

export function veilOf(one: Subject, column: Column): Part[] {
  const drawn = VEILS[one.state('veil') ?? '']?.(column);
  return drawn ? [{ of: ['veil'], sketches: drawn }] : [];
}

export function volvaOf(one: Subject, column: Column): Part[] {
  const kind = one.state('volva');
  const w = Math.max(column.half(0) * 1.35, column.thick * 0.95);
  if (kind === 'sac') return [{ of: ['volva'], sketches: sac(w, Math.min(column.long * 0.42, w * 2.1)) }];
  if (kind === 'rim')
    return [
      {
        of: ['volva'],
        sketches: [0.03, 0.12, 0.2].map((up, i) => {
          const half = column.half(up) * (1.16 - i * 0.03);
          const line: Line = Array.from({ length: 13 }, (_, k) => {
            const a = (Math.PI * k) / 12;
            return [half * Math.cos(a), -column.long * up + half * 0.26 * Math.sin(a)];
          });
          return body(
            [...line, ...[...line].reverse().map(([x, y]): Point => [x * 0.98, y - column.thick * 0.14])],
            '#f7f2e4',
            { shading: 'none', ink: 'fine' },
          );
        }),
      },
    ];
  return [];
}

/** A torn bag round the foot, free of the stem. */
function sac(w: number, h: number): Sketch[] {
  const torn: Line = [
    [w * 0.98, -h],
    [w * 0.66, -h * 0.74],
    [w * 0.36, -h * 0.92],
    [w * 0.04, -h * 0.68],
    [-w * 0.3, -h * 0.86],
    [-w * 0.62, -h * 0.72],
    [-w * 1.02, -h * 1.06],
  ];
  const round = curve(
    [-w * 1.02, -h * 1.06],
    [-w * 1.08, -h * 0.5],
    [-w * 0.92, 0],
    [-w * 0.4, h * 0.24],
    [w * 0.4, h * 0.24],
    [w * 0.92, 0],
    [w * 1.06, -h * 0.5],
    [w * 0.98, -h],
  );
  return [
    body([...torn, ...round.slice(1, -1)], '#f6f2e6'),
    pen(
      [-0.7, -0.35, 0.05, 0.4, 0.74].map((x, i): Line => [
        [w * x, -h * (0.55 - (i % 2) * 0.1)],
        [w * x * 1.04, -h * 0.2],
        [w * x * 0.92, h * 0.02],
      ]),
      'fine',
    ),
  ];
}
