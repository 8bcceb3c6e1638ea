import { shrunk, strewn } from '../../fungus';
import { curve, ellipse, seeded, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { shaded, washOf } from '../colours';
import { body, pen, wash, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';
import { headOutline, type Head } from './single';
import { outlineOf, type Column } from './stipe';

/** A morel or false morel cut through: how it is hollow, in the sizes of the whole. */

const HOLLOWS: Readonly<Record<string, (head: Line, column: Column, wide: number) => Sketch[]>> = {
  'one-hollow': (head, column) => [wash([shrunk(head, 0.8), bore(column, 0.68)], dark, { shading: 'dark' })],
  chambers: (head, column, wide) => {
    const next = seeded(17);
    const bubble = ([x, y]: Point, size: number): Sketch =>
      body(ellipse(x, y, size * (0.8 + 0.5 * next()), size * (0.7 + 0.4 * next())), dark, {
        ink: 'fine',
        shading: 'dark',
      });
    return [
      ...strewn(shrunk(head, 0.74), wide * 0.2, 23, 9).map((at) => bubble(at, wide * 0.08)),
      ...[0.2, 0.45, 0.7].map((up, i) =>
        bubble([column.half(up) * (i % 2 ? 0.3 : -0.25), -column.long * up], column.half(up) * 0.4),
      ),
    ];
  },
  cotton: (head, column, wide) => {
    const next = seeded(19);
    const tuft = (): Line => {
      const up = 0.08 + 0.8 * next();
      const [x, y] = [column.half(up) * 1.2 * (next() - 0.5), -column.long * up];
      const step = wide * 0.03;
      return curve([x, y], [x + step, y - step], [x + step * 0.3, y - step * 2], [x - step, y - step]);
    };
    return [
      wash([shrunk(head, 0.78)], dark, { shading: 'dark' }),
      pen(Array.from({ length: 34 }, tuft), 'fine'),
    ];
  },
};
const dark: Fill = shaded(shaded('paper'));

/** The hollow of a stem, up into its head. */
function bore(column: Column, share: number): Line {
  const at = (up: number): number => column.half(Math.min(1, up)) * share;
  const ups = Array.from({ length: 13 }, (_, i) => 0.06 + i * 0.09);
  return [
    ...ups.map((up): Point => [at(up), -column.long * up]),
    ...[...ups].reverse().map((up): Point => [-at(up), -column.long * up]),
  ];
}

/** Nothing where what is inside is not stated, or is not hollow in a way that such a head can be. */
export function headSectionOf(
  one: Subject,
  { head, column, wide, top }: { head: Head; column: Column; wide: number; top: number },
): Part[] {
  const hollow = HOLLOWS[one.state('section') ?? ''];
  if (!hollow) return [];
  const flesh = washOf(one.colour('flesh.colour'), 0.1);
  const outline = headOutline(head, wide, top);
  return [
    {
      of: ['section', 'flesh.colour'],
      sketches: [
        body(outlineOf(column), flesh, { shading: 'none' }),
        body(outline, flesh, { shading: 'none' }),
        ...hollow(outline, column, wide),
      ],
    },
  ];
}
