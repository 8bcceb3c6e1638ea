import { ellipse, type Line } from '../../geometry';
import type { Fill } from '../../mark';
import { body, pen, type Sketch, type Subject } from '../sketch';

/** How a leaf sits on its stem. */

const UNSTALKED: ReadonlySet<string> = new Set([
  'sessile',
  'pair-cup',
  'clasping',
  'running-down',
  'stem-sheath',
]);

export function stalkShare(one: Subject): number {
  const base = one.state('leaf.base') ?? '';
  const outline = one.state('leaf.outline') ?? '';
  if (UNSTALKED.has(base) || outline === 'needle' || outline === 'linear' || outline === 'scale') return 0;
  return base === 'own-stalk' ? 0.36 : base === '' ? 0.08 : 0.16;
}

export function stalkOf(one: Subject, long: number, fill: Fill): Sketch[] {
  if (long <= 0) return [];
  const sheath = one.state('leaf.base') === 'stalk-sheath' || one.state('leaf.base') === 'paired-sheath';
  return [
    ...(sheath
      ? [
          body(
            [
              [-long * 0.14, 0],
              [-long * 0.1, -long * 0.4],
              [0, -long * 0.6],
              [long * 0.1, -long * 0.4],
              [long * 0.14, 0],
            ],
            fill,
            { shading: 'none', ink: 'fine' },
          ),
        ]
      : []),
    pen(
      [
        [
          [0, 0],
          [long * 0.03, -long * 0.5],
          [0, -long],
        ],
      ],
      'bold',
    ),
  ];
}

/** How a leaf holds on to its stem. */
export function footOf(one: Subject, long: number, fill: Fill): Sketch[] {
  const w = long * 0.07;
  const of = (line: Line) => [body(line, fill, { shading: 'none' })];
  switch (one.state('leaf.base')) {
    case 'clasping':
      return [-1, 1].flatMap((side) => of(ellipse(side * w * 0.9, w * 0.5, w, w * 1.3)));
    case 'pair-cup':
      return of(ellipse(0, 0, w * 2.4, w * 1.2));
    case 'running-down':
      return of([
        [-w * 0.7, -w],
        [0, w * 4.5],
        [w * 0.7, -w],
      ]);
    case 'stem-sheath':
      return of([
        [-w * 0.5, -w],
        [-w * 0.6, w * 2.6],
        [w * 0.6, w * 2.6],
        [w * 0.5, -w],
      ]);
    case 'paired-sheath':
      return [-1, 1].flatMap((side) => of(ellipse(side * w * 0.9, -w, w * 0.7, w * 0.9)));
    default:
      return [];
  }
}
