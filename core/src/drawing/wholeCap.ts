import type { Individual } from './build';
import { capOutline, strewn } from './fungus';
import { type Line, moved, scaled, type Point, curve, ellipse, closedCurve } from './geometry';
import { type Mark, shape, stroke } from './mark';
import type { Part } from './whole';

/** The cap of a whole fungus. */

/** The cap on top of the stem, and what shows of its underside. */
export function capOver(one: Individual, cap: string, wide: number, long: number): Part[] {
  const { outline, under } = capOutline(cap);
  const xs = outline.map(([x]) => x);
  const by = wide / (Math.max(...xs) - Math.min(...xs));
  const seat = Math.max(...under.map(([, y]) => y));
  const rest = (line: Line): Line =>
    moved(scaled(moved(line, -60, -seat), by), 0, -long + (cap === 'funnel' ? wide * 0.1 : wide * 0.03));
  const top = rest(outline);
  const below = rest(under);
  const kind = one.state('hymenophore');
  const left = below[0] as Point;
  const right = below[below.length - 1] as Point;
  // Seen a little from below, the underside shows as a narrow face.
  const deep = wide * 0.07;
  const face: Line = [
    ...curve(
      left,
      [left[0] * 0.5, left[1] + deep],
      [0, left[1] + deep * 1.3],
      [right[0] * 0.5, right[1] + deep],
      right,
    ),
    ...[...below].reverse().slice(1, -1),
  ];
  const marks: Mark[] = [];
  const hollowed = cap === 'funnel';
  if (!hollowed && (kind === 'gills' || kind === 'pores')) {
    marks.push(shape(face, 'paper', 'fine'));
    const count = kind === 'gills' ? 22 : 30;
    for (let i = 1; i < count; i += 1) {
      const x = left[0] + ((right[0] - left[0]) * i) / count;
      const depth = deep * (1 - (x / right[0]) ** 2);
      if (kind === 'gills')
        marks.push(
          stroke(
            [
              [x, left[1] + depth],
              [x * 0.55, left[1] + deep * 0.1],
            ],
            'fine',
          ),
        );
      else marks.push(shape(ellipse(x, left[1] + depth * 0.6, wide * 0.008), 'ink', 'none'));
    }
  } else if (kind === 'spines') {
    for (let i = 0; i < 16; i += 1) {
      const x = left[0] * 0.92 + ((right[0] - left[0]) * 0.92 * i) / 15;
      marks.push(
        shape(
          [
            [x - wide * 0.013, left[1] + wide * 0.03],
            [x, left[1] + wide * 0.11],
            [x + wide * 0.013, left[1] + wide * 0.03],
          ],
          'paper',
          'fine',
        ),
      );
    }
  }
  // Where the cap is hollowed its underside is its outside: lines from the rim down, and on the stem where
  // they run on.
  const runs = one.state('hymenophore.attachment') === 'decurrent' ? -long * 0.72 : -long;
  const lines = kind === 'ridges' ? 5 : 9;
  const ridges =
    hollowed && (kind === 'ridges' || kind === 'gills')
      ? Array.from({ length: lines }, (_, i) => {
          const side = -0.86 + (1.72 * i) / (lines - 1);
          const rimAt: Point = [
            left[0] * -side * 0.94,
            left[1] + (-long - left[1]) * (1 - Math.abs(side)) * 0.42,
          ];
          return stroke(
            curve(rimAt, [rimAt[0] * 0.4, (rimAt[1] + -long) / 2 + wide * 0.06], [side * wide * 0.06, runs]),
            'fine',
          );
        })
      : [];
  return [
    { of: ['hymenophore'], marks },
    { of: ['cap.shape', 'cap.width'], marks: [shape(top)] },
    { of: ['cap.surface'], marks: surface(one.state('cap.surface'), top, wide) },
    { of: ['hymenophore', 'hymenophore.attachment'], marks: ridges },
    { of: ['cap.margin'], marks: rim(one.state('cap.margin'), left, right, wide) },
  ];
}

export function surface(kind: string | undefined, outline: Line, wide: number): Mark[] {
  const points = (apart: number) => strewn(outline, wide * apart, 5, 40);
  const u = wide * 0.02;
  switch (kind) {
    case 'scaly':
    case 'plates':
      return points(kind === 'plates' ? 0.14 : 0.1).map(([x, y]) =>
        stroke(
          [
            [x - u * 1.4, y],
            [x, y + u],
            [x + u * 1.4, y],
          ],
          'fine',
        ),
      );
    case 'warts':
      return points(0.13).map(([x, y]) =>
        shape(closedCurve([x - u * 1.3, y], [x, y - u], [x + u * 1.3, y], [x, y + u]), 'shade', 'fine'),
      );
    case 'fibrillose':
      return points(0.1).map(([x, y]) =>
        stroke(
          [
            [x, y],
            [x + (x / wide) * u * 4, y + u * 1.8],
          ],
          'fine',
        ),
      );
    case 'soft-spines':
      return points(0.08).map(([x, y]) =>
        shape(
          [
            [x - u * 0.8, y + u * 0.6],
            [x, y - u * 1.4],
            [x + u * 0.8, y + u * 0.6],
          ],
          'paper',
          'fine',
        ),
      );
    case 'felty':
      return points(0.08).map(([x, y]) =>
        stroke(
          [
            [x, y],
            [x + u * 0.3, y - u],
          ],
          'fine',
        ),
      );
    default:
      return [];
  }
}

function rim(kind: string | undefined, left: Point, right: Point, wide: number): Mark[] {
  const at = (share: number): Point => [left[0] + (right[0] - left[0]) * share, left[1]];
  if (kind === 'fringed')
    return [0.08, 0.22, 0.38, 0.55, 0.72, 0.88].map((share) => {
      const [x, y] = at(share);
      return shape(
        [
          [x - wide * 0.025, y],
          [x, y + wide * 0.07],
          [x + wide * 0.025, y],
        ],
        'paper',
        'fine',
      );
    });
  if (kind === 'lined')
    return Array.from({ length: 13 }, (_, i) => {
      const [x, y] = at(0.06 + (0.88 * i) / 12);
      return stroke(
        [
          [x, y - wide * 0.01],
          [x * 0.9, y - wide * 0.08],
        ],
        'fine',
      );
    });
  return [];
}
