import { boxOf, curve, type Line, type Point } from '../../geometry';
import { washOf } from '../colours';
import { body, pen, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';

/** Shelves on wood, one over the other. */
export function shelfOf(one: Subject, wide: number): Part[] {
  const shelves = [
    shelf(one, [0, -wide * 0.95], wide * 0.72),
    shelf(one, [0, -wide * 0.38], wide),
    shelf(one, [0, 0], wide * 0.6),
  ].flat();
  const { top, bottom } = boxOf(shelves.flatMap((sketch) => sketch.lines));
  return [
    { of: ['substrate', 'stipe.place'], sketches: trunk(wide, top, bottom) },
    { of: OF_SHELVES, sketches: shelves },
  ];
}

const OF_SHELVES: Part['of'] = [
  'cap.width',
  'cap.colour',
  'hymenophore',
  'hymenophore.colour',
  'hymenophore.spacing',
  'stipe.place',
];

function trunk(wide: number, top: number, bottom: number): Sketch[] {
  const [left, right] = [-wide * 0.34, wide * 0.02];
  return [
    body(
      [
        [left, top - wide * 0.1],
        [right, top - wide * 0.14],
        [right, bottom + wide * 0.1],
        [left * 0.94, bottom + wide * 0.08],
      ],
      washOf('#a08a70', 0.45),
      { shading: 'dark' },
    ),
    pen(
      [-0.26, -0.17, -0.08].map((x): Line => [
        [wide * x, top],
        [wide * (x + 0.012), (top + bottom) / 2],
        [wide * x, bottom],
      ]),
      'fine',
    ),
  ];
}

const GILLS: Readonly<Record<string, number>> = { crowded: 24, medium: 18, distant: 11 };

/** One shelf that grows to the right from this place. */
function shelf(one: Subject, [x, y]: Point, w: number): Sketch[] {
  const at = (right: number, down: number): Point => [x + w * right, y + w * down];
  const wave = one.state('cap.margin') === 'wavy' ? w * 0.025 : 0;
  const edge = at(1, -0.04);
  const top = curve([x, y], at(0.2, -0.24), at(0.62, -0.3), at(0.93, -0.18), edge).map(
    ([px, py], i): Point => [px, py + wave * Math.sin(i)],
  );
  const rim = curve(edge, at(0.9, 0.05), at(0.5, 0.1), at(0.12, 0.1), [x, y]);
  const foot = one.state('stipe.place') === 'side' ? 0.3 : 0.2;
  const low = curve(edge, at(0.84, 0.17), at(0.4, 0.28), at(0, foot));
  const count =
    one.state('hymenophore') === 'gills' ? (GILLS[one.state('hymenophore.spacing') ?? ''] ?? 15) : 0;
  const gills = Array.from({ length: count }, (_, i): Line => {
    const end = low[Math.round(((i + 0.5) / count) * (low.length - 1))] as Point;
    const start = at(0.02, 0.19 - (0.1 * i) / count);
    return [start, [(x + end[0]) / 2, (start[1] + end[1]) / 2 + w * 0.03], end];
  });
  return [
    body([...low, [x, y], ...[...rim].reverse()], washOf(one.colour('hymenophore.colour'), 0.1), {
      shading: 'none',
    }),
    pen(gills, 'fine'),
    body([...top, ...rim.slice(1, -1)], washOf(one.colour('cap.colour'))),
  ];
}
