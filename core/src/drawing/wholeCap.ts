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
  const hollowed = cap === 'funnel';
  const rest = (line: Line): Line =>
    moved(scaled(moved(line, -60, -seat), by), 0, -long + wide * (hollowed ? 0.1 : 0.03));
  const top = rest(outline);
  const below = rest(under);
  const [left, right] = [below[0] as Point, below[below.length - 1] as Point];
  const kind = one.state('hymenophore');
  const runs = one.state('hymenophore.attachment') === 'decurrent' ? -long * 0.72 : -long;
  return [
    { of: ['hymenophore'], marks: underCap(kind, hollowed, below, wide) },
    { of: ['cap.shape', 'cap.width'], marks: [shape(top)] },
    { of: ['cap.surface'], marks: surface(one.state('cap.surface'), top, wide) },
    {
      of: ['hymenophore', 'hymenophore.attachment'],
      marks: hollowed ? linesOutside(kind, left, wide, long, runs) : [],
    },
    { of: ['cap.margin'], marks: rim(one.state('cap.margin'), left, right, wide) },
  ];
}

/** What shows of the underside: seen a little from below, a narrow face with its gills or pores, or spines. */
function underCap(kind: string | undefined, hollowed: boolean, below: Line, wide: number): Mark[] {
  const [left, right] = [below[0] as Point, below[below.length - 1] as Point];
  if (kind === 'spines') return spinesBelow(left, right, wide);
  if (hollowed) return [];
  if (kind === 'gills') return [faceOf(below, wide), ...gillsBelow(left, right, wide)];
  if (kind === 'pores') return [faceOf(below, wide), ...poresBelow(left, right, wide)];
  return [];
}

/** How deep the narrow face is. */
const depthOf = (wide: number) => wide * 0.07;

function faceOf(below: Line, wide: number): Mark {
  const [left, right] = [below[0] as Point, below[below.length - 1] as Point];
  const deep = depthOf(wide);
  const rounded = curve(
    left,
    [left[0] * 0.5, left[1] + deep],
    [0, left[1] + deep * 1.3],
    [right[0] * 0.5, right[1] + deep],
    right,
  );
  return shape([...rounded, ...[...below].reverse().slice(1, -1)], 'paper', 'fine');
}

/** Points along the rim, and how deep the face is there. */
const alongFace = (left: Point, right: Point, count: number, wide: number) =>
  Array.from({ length: count - 1 }, (_, i) => {
    const x = left[0] + ((right[0] - left[0]) * (i + 1)) / count;
    return [x, depthOf(wide) * (1 - (x / right[0]) ** 2)] as const;
  });

const gillsBelow = (left: Point, right: Point, wide: number): Mark[] =>
  alongFace(left, right, 22, wide).map(([x, depth]) =>
    stroke(
      [
        [x, left[1] + depth],
        [x * 0.55, left[1] + depthOf(wide) * 0.1],
      ],
      'fine',
    ),
  );

const poresBelow = (left: Point, right: Point, wide: number): Mark[] =>
  alongFace(left, right, 30, wide).map(([x, depth]) =>
    shape(ellipse(x, left[1] + depth * 0.6, wide * 0.008), 'ink', 'none'),
  );

const spinesBelow = (left: Point, right: Point, wide: number): Mark[] =>
  Array.from({ length: 16 }, (_, i) => {
    const x = left[0] * 0.92 + ((right[0] - left[0]) * 0.92 * i) / 15;
    return shape(
      [
        [x - wide * 0.013, left[1] + wide * 0.03],
        [x, left[1] + wide * 0.11],
        [x + wide * 0.013, left[1] + wide * 0.03],
      ],
      'paper',
      'fine',
    );
  });

/**
 * Where the cap is hollowed its underside is its outside: lines from the rim down, and on the stem where they
 * run on.
 */
function linesOutside(
  kind: string | undefined,
  left: Point,
  wide: number,
  long: number,
  runs: number,
): Mark[] {
  if (kind !== 'ridges' && kind !== 'gills') return [];
  const lines = kind === 'ridges' ? 5 : 9;
  return Array.from({ length: lines }, (_, i) => {
    const side = -0.86 + (1.72 * i) / (lines - 1);
    const rimAt: Point = [left[0] * -side * 0.94, left[1] + (-long - left[1]) * (1 - Math.abs(side)) * 0.42];
    return stroke(
      curve(rimAt, [rimAt[0] * 0.4, (rimAt[1] + -long) / 2 + wide * 0.06], [side * wide * 0.06, runs]),
      'fine',
    );
  });
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
