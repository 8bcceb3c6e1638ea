import { mirrored, seeded, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { shaded, washOf } from '../colours';
import { body, pen, wash, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';
import { domeOf, rimLine, type Dome } from './profile';
import { marginOf, skinOf } from './skin';

/** The cap on its stem, seen a little from below, with what shows of its underside. */
export function capOver(one: Subject, shape: string, wide: number, long: number, thick: number): Part[] {
  const dome = domeOf(shape, wide, -long);
  if (!dome) return [];
  const fill = washOf(one.colour('cap.colour'));
  return [
    {
      of: OF_UNDERSIDE[one.state('hymenophore') ?? ''] ?? ['hymenophore', 'hymenophore.colour'],
      sketches: underside(one, dome, thick),
    },
    {
      of: ['cap.shape', 'cap.width', 'cap.colour'],
      sketches: [body(outlineOf(dome, one.state('cap.margin')), fill)],
    },
    { of: ['cap.surface'], sketches: skinOf(one.state('cap.surface'), dome, fill, wide) },
    { of: ['cap.margin'], sketches: marginOf(one.state('cap.margin'), dome, fill) },
  ];
}

/** What more shows on an underside of this kind. */
const OF_UNDERSIDE: Readonly<Record<string, readonly string[]>> = {
  gills: ['hymenophore', 'hymenophore.colour', 'hymenophore.spacing'],
  pores: ['hymenophore', 'hymenophore.colour', 'hymenophore.pores'],
};

/** The whole skin of a cap: up the left, over the middle, down the right, and back along the front rim. */
function outlineOf(dome: Dome, margin: string | undefined): Line {
  const wave = margin === 'wavy' ? dome.half * 0.07 : 0;
  const rim = rimLine(dome, 0.75).map(([x, y], i): Point => [
    x,
    y + wave * Math.sin(i * 0.9) * Math.min(1, i / 4, (40 - i) / 4),
  ]);
  return [...[...mirrored(dome.right)].reverse(), ...dome.right.slice(1), ...rim.slice(1, -1)];
}

const GILLS: Readonly<Record<string, number>> = { crowded: 46, medium: 30, distant: 17 };

function underside(one: Subject, dome: Dome, thick: number): Sketch[] {
  const kind = one.state('hymenophore');
  const colour = washOf(one.colour('hymenophore.colour'), 0.12);
  const face = faceOf(dome);
  switch (kind) {
    case 'gills':
    case 'ridges':
      return [
        body(face, colour, { shading: 'none', ink: 'line' }),
        ...gills(
          dome,
          thick,
          kind === 'ridges' ? 15 : (GILLS[one.state('hymenophore.spacing') ?? ''] ?? 28),
          kind === 'ridges',
        ),
      ];
    case 'pores':
      return [
        body(face, colour, { shading: 'none' }),
        pores(dome, one.state('hymenophore.pores') === 'wide', colour),
      ];
    case 'spines':
      return [body(face, colour, { shading: 'none' }), ...spines(dome, colour)];
    case undefined:
      return [];
    default:
      return [body(face, colour, { shading: 'none' })];
  }
}

const DEEP = 2.3;

/** The underside as it shows: between the front rim and the far one. */
function faceOf(dome: Dome): Line {
  return [...rimLine(dome, DEEP), ...[...rimLine(dome, 0.2)].reverse()];
}

function gills(dome: Dome, thick: number, count: number, forking: boolean): Sketch[] {
  const rim = rimLine(dome, DEEP, count);
  const foot = dome.foot + dome.sag * 0.55;
  const lines = rim.slice(1, -1).map(([x, y], i): Line => {
    const inner = (x / dome.rim) * thick * 0.5;
    const start: Point = i % 2 && !forking ? [x * 0.62, y - (y - foot) * 0.4] : [inner, foot];
    return [
      start,
      [(start[0] + x) / 2, (start[1] + y) / 2 + dome.sag * 0.06],
      [x * 0.995, y - dome.sag * 0.02],
    ];
  });
  const forks = forking
    ? rim.slice(1, -1).map(([x, y], i): Line => [
        [x * 0.6, y - (y - foot) * 0.42],
        [x * 0.8 + (i % 2 ? 1 : -1) * dome.rim * 0.03, y - (y - foot) * 0.12],
      ])
    : [];
  return [pen([...lines, ...forks], 'fine')];
}

function pores(dome: Dome, wide: boolean, colour: Fill): Sketch {
  const next = seeded(7);
  const rows = wide ? 4 : 6;
  const dots: Line[] = [];
  for (let row = 0; row < rows; row += 1) {
    const deep = 0.5 + ((DEEP - 0.7) * (row + 0.5)) / rows;
    const count = Math.round((wide ? 26 : 46) * (1 - row * 0.06));
    const line = rimLine(dome, deep, count);
    for (const [x, y] of line.slice(2, -2)) {
      const r = dome.half * (wide ? 0.017 : 0.01) * (0.8 + 0.4 * next());
      const [cx, cy] = [x * 0.97 + r * next(), y + r * next()];
      dots.push([
        [cx - r, cy],
        [cx, cy - r * 0.8],
        [cx + r, cy],
        [cx, cy + r * 0.8],
      ]);
    }
  }
  return wash(dots, shaded(shaded(shaded(colour))));
}

function spines(dome: Dome, colour: Fill): Sketch[] {
  return [0.7, 1.5, DEEP].flatMap((deep, row) =>
    rimLine(dome, deep, 20 + row * 3)
      .slice(1, -1)
      .map(([x, y]) => {
        const w = dome.half * 0.022;
        return body(
          [
            [x * 0.96 - w, y - w],
            [x * 0.96, y + w * 4.6],
            [x * 0.96 + w, y - w],
          ],
          colour,
          { ink: 'fine', shading: 'none' },
        );
      }),
  );
}
