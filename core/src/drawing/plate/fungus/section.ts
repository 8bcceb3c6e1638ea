import { curve, mirrored, seeded, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { mixed, shaded, washOf } from '../colours';
import { body, pen, wash, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';
import { domeOf } from './profile';
import { columnOf, outlineOf } from './stipe';

/** Cut through from top to bottom: what the flesh is like inside, and how the gills meet the stem. */
export function sectionOf(one: Subject, shape: string, wide: number, long: number, thick: number): Part[] {
  const dome = domeOf(shape === 'funnel' || shape === 'trumpet' ? 'flat' : shape, wide, -long);
  if (!dome || one.state('section') !== 'cap-and-stem') return [];
  const flesh = washOf(one.colour('flesh.colour'), 0.1);
  const skin = washOf(one.colour('cap.colour'));
  const column = columnOf(one.state('stipe.shape'), long, thick);
  const deep = Math.min(one.size('flesh.thickness') ?? dome.half * 0.22, dome.half * 0.6);
  const under = curve(
    [column.half(1), dome.foot],
    [dome.rim * 0.3, Math.max(dome.foot - dome.half * 0.5, (dome.right[0] as Point)[1] + deep)],
    [dome.rim * 0.72, dome.foot - dome.half * 0.16],
    dome.right[dome.right.length - 1] as Point,
  );
  const half: Line = [...dome.right, ...[...under].reverse().slice(1)];
  return [
    {
      of: ['section', 'flesh.colour', 'flesh.thickness'],
      sketches: [
        body(outlineOf(column), flesh, { shading: 'none' }),
        body([...half, [0, dome.foot], ...[...mirrored(half)].reverse()], flesh, { shading: 'none' }),
        wash(
          [
            [
              ...dome.right,
              ...[...dome.right].reverse().map(([x, y]): Point => [x * 0.97, y + dome.half * 0.05]),
            ],
            mirrored([
              ...dome.right,
              ...[...dome.right].reverse().map(([x, y]): Point => [x * 0.97, y + dome.half * 0.05]),
            ]),
          ],
          skin,
        ),
      ],
    },
    { of: ['hymenophore.attachment'], sketches: gillsInSection(one, under, dome.half, column.half(1), long) },
    { of: ['stipe.interior'], sketches: inside(one.state('stipe.interior'), column, flesh) },
    {
      of: ['flesh.change'],
      sketches: change(one.state('flesh.change'), dome.half, (dome.right[0] as Point)[1]),
    },
  ];
}

/** Where the inner end of a gill lies: how far from the stem, and how far down it. */
const ENDS: Readonly<Record<string, readonly [away: number, down: number]>> = {
  free: [0.1, -0.02],
  remote: [0.3, -0.06],
  notched: [0, 0.02],
  adnate: [0, 0.14],
  decurrent: [0, 0.42],
};

function gillsInSection(one: Subject, under: Line, half: number, neck: number, long: number): Sketch[] {
  const end = ENDS[one.state('hymenophore.attachment') ?? ''];
  if (!end) return [];
  const colour = washOf(one.colour('hymenophore.colour'), 0.1);
  const [away, down] = end;
  const kind = one.state('hymenophore.attachment');
  const from = under.filter(([x]) => x >= neck + away * half);
  const edge = from.map(([x, y], i): Point => {
    const share = i / Math.max(1, from.length - 1);
    const notch = kind === 'notched' ? Math.min(1, share * 6) : 1;
    return [x, y + half * (0.24 * Math.sin(Math.PI * Math.min(1, share * 0.8 + 0.22)) * notch + 0.01)];
  });
  const stem: Line =
    down > 0.05
      ? [
          [neck + half * 0.1, -long + half * down * 0.7],
          [neck * 0.95, -long + half * down],
        ]
      : [];
  const gill: Line = [...from, ...[...edge].reverse(), ...stem];
  const lines = from
    .filter((_, i) => i % 4 === 2)
    .map(([x, y], i): Line => [
      [x, y],
      [x - half * 0.03, (edge[i * 4 + 2]?.[1] ?? y) - half * 0.01],
    ]);
  return [gill, mirrored(gill)].flatMap((outline, i) => [
    body(outline, colour, { ink: 'fine', shading: 'none' }),
    pen(i ? lines.map((l) => mirrored(l)) : lines, 'fine', { detail: true }),
  ]);
}

function inside(kind: string | undefined, column: ReturnType<typeof columnOf>, flesh: Fill): Sketch[] {
  const tube = (share: number): Line => {
    const right: Line = Array.from({ length: 13 }, (_, i) => {
      const up = 0.94 - (0.86 * i) / 12;
      return [column.half(up) * share, -column.long * up];
    });
    return [...right, ...[...mirrored(right)].reverse()];
  };
  const next = seeded(31);
  switch (kind) {
    case 'hollow':
      return [body(tube(0.56), shaded(shaded('paper')), { ink: 'fine', shading: 'dark' })];
    case 'stuffed':
      return [
        body(tube(0.5), shaded(flesh), { ink: 'fine', shading: 'none' }),
        pen(
          Array.from({ length: 22 }, (): Line => {
            const [up, s] = [0.1 + 0.8 * next(), next() - 0.5];
            const [x, y] = [column.half(up) * 0.8 * s, -column.long * up];
            return [
              [x, y],
              [x + column.thick * 0.09, y - column.thick * 0.05],
              [x + column.thick * 0.06, y + column.thick * 0.06],
            ];
          }),
          'fine',
        ),
      ];
    case 'thread':
      return [
        pen(
          [
            [0.92, 0.7, 0.5, 0.3, 0.1].map((up, i): Point => [
              column.thick * 0.03 * (i % 2 ? 1 : -1),
              -column.long * up,
            ]),
          ],
          'bold',
        ),
      ];
    case 'solid':
      return [
        pen(
          [-0.5, 0, 0.5].map((s): Line => [
            [column.half(0.6) * s, -column.long * (0.72 + s * 0.06)],
            [column.half(0.3) * s, -column.long * 0.3],
          ]),
          'fine',
          { detail: true },
        ),
      ];
    default:
      return [];
  }
}

const CHANGES: Readonly<Record<string, `#${string}`>> = {
  yellowing: '#e8c840',
  pinking: '#e3a39a',
  reddening: '#c0503f',
  browning: '#8a6a4a',
  greening: '#7f9a68',
  bluing: '#5a86b0',
};

/** A stain of what a cut turns, on the right half of the cap's flesh. */
function change(kind: string | undefined, half: number, top: number): Sketch[] {
  const colour = CHANGES[kind ?? ''];
  if (!colour) return [];
  const stain = (s: number): Line =>
    Array.from({ length: 14 }, (_, i) => [
      half * (0.26 + 0.24 * s * Math.cos(i * 0.45)),
      top + half * (0.2 + 0.11 * s * Math.sin(i * 0.45) * (i % 2 ? 1 : 0.8)),
    ]);
  return [wash([stain(1)], mixed(colour, '#ffffff', 0.35)), wash([stain(0.6)], colour)];
}
