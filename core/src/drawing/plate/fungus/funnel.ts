import { curve, ellipse, mirrored, type Line, type Point } from '../../geometry';
import { shaded, washOf } from '../colours';
import { body, pen, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';
import { columnOf } from './stipe';

/** Caps that are hollowed: their underside is the outside, and they run into their stem. */
export function funnelOf(one: Subject, shape: string, wide: number, long: number, thick: number): Part[] {
  const half = wide / 2;
  const deep = shape === 'trumpet' ? Math.min(long * 0.85, wide * 0.95) : wide * 0.42;
  const top = -long - deep * 0.3;
  const oval = half * 0.24;
  const wavy = one.state('cap.margin') === 'wavy' || shape === 'trumpet' ? oval * 0.3 : oval * 0.06;
  const mouth = (from: number, to: number): Line =>
    Array.from({ length: 33 }, (_, i) => {
      const a = from + ((to - from) * i) / 32;
      return [half * Math.cos(a), top + oval * Math.sin(a) + wavy * Math.sin(a * 7)];
    });
  const neck = columnOf(one.state('stipe.shape'), long, thick).half(1);
  const side = curve(
    [half, top],
    [half * 0.86, top + deep * 0.3],
    [half * 0.42, top + deep * 0.72],
    [neck, top + deep * 1.15],
  );
  const outer = washOf(one.colour('hymenophore.colour'), 0.15);
  const skin = washOf(one.colour('cap.colour'));
  const front = mouth(0, Math.PI);
  return [
    {
      of: one.state('hymenophore') === 'gills' ? [...OF_OUTSIDE, 'hymenophore.spacing'] : OF_OUTSIDE,
      sketches: [
        body([...front, ...[...mirrored(side)].slice(1), ...[...side].reverse()], outer),
        ...outside(one, side, half, columnOf(one.state('stipe.shape'), long, thick)),
      ],
    },
    {
      of: ['cap.shape', 'cap.width', 'cap.colour', 'cap.margin'],
      sketches: [
        body([...front, ...mouth(Math.PI, 2 * Math.PI).slice(1, -1)], skin, { shading: 'none' }),
        body(ellipse(0, top + oval * 0.12, half * 0.5, oval * 0.42), shaded(skin), {
          ink: 'none',
          shading: 'dark',
        }),
        pen(
          Array.from({ length: 18 }, (_, i): Line => {
            const a = Math.PI * (0.05 + (0.9 * i) / 17) + Math.PI;
            return [
              [half * 0.88 * Math.cos(a), top + oval * 0.84 * Math.sin(a)],
              [half * 0.62 * Math.cos(a), top + oval * 0.12 + oval * 0.5 * Math.sin(a)],
            ];
          }),
          'fine',
          { detail: true },
        ),
      ],
    },
  ];
}

const OF_OUTSIDE = ['hymenophore', 'hymenophore.colour'];
const LINES: Readonly<Record<string, number>> = { gills: 26, ridges: 13, pores: 17, spines: 15 };

/** Gills or ridges from the rim down, on the stem where they run on. */
function outside(one: Subject, side: Line, half: number, column: ReturnType<typeof columnOf>): Sketch[] {
  const count = LINES[one.state('hymenophore') ?? ''];
  if (!count) return [];
  const many = one.state('hymenophore.spacing') === 'crowded' ? Math.round(count * 1.5) : count;
  const ridges = one.state('hymenophore') === 'ridges';
  const runs = one.state('hymenophore.attachment') === 'decurrent' ? 0.72 : 0.98;
  const last = side.length - 1;
  const lines = Array.from({ length: many }, (_, i): Line => {
    const round = -0.93 + (1.86 * i) / (many - 1);
    const bow = Math.cos((round * Math.PI) / 2);
    const down = [0.03, 0.3, 0.6, 1].map((share): Point => {
      const [x, y] = side[Math.round(last * share)] as Point;
      return [x * Math.sin((round * Math.PI) / 2), y + (x / half) * half * 0.22 * bow];
    });
    const foot = column.on(runs - (i % 3) * 0.03, round);
    return curve(
      ...(i % 2 && !ridges
        ? down.slice(0, 3)
        : [...down, foot].filter(([, y], k, all) => k === 0 || y > (all[k - 1] as Point)[1])),
    );
  });
  // Pores and spines sit where gills would run.
  if (one.state('hymenophore') === 'pores' || one.state('hymenophore') === 'spines') {
    const long = half * (one.state('hymenophore') === 'spines' ? 0.07 : 0.012);
    const dots = lines.flatMap((line) => line.filter((_, i) => i % 3 === 1));
    return [
      pen(
        dots.map(([x, y]): Line => [
          [x, y],
          [x, y + long],
        ]),
        'line',
      ),
    ];
  }
  const forks = ridges
    ? lines.flatMap((line, i): Line[] => {
        const [from, to] = [
          line[Math.round(line.length * 0.35)] as Point,
          lines[i + 1]?.[Math.round((lines[i + 1]?.length ?? 1) * 0.12)],
        ];
        return to ? [[from, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2], to]] : [];
      })
    : [];
  return [pen(lines, ridges ? 'line' : 'fine'), pen(forks, 'fine')];
}
