import { along, from, seeded, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { lit, washOf } from '../colours';
import { body, hairs, pen, wash, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';

/** A stem or twig along a line, thinner towards its tip. */
export interface Axis {
  readonly line: Line;
  /** Half its width at the foot and at the tip, mm. */
  readonly half: readonly [foot: number, tip: number];
  /** How many times larger than the rest of the plate it is drawn. */
  readonly enlarged?: number;
}

/** A place on an axis: so far along, so far to its right (-1 left edge, 1 right edge). */
export function onAxis({ line, half }: Axis, share: number, aside: number): Point {
  const { at, heading } = along(line, share);
  return from(at, heading + 90, aside * (half[0] + (half[1] - half[0]) * share));
}

const shares = (count: number, first = 0, last = 1) =>
  Array.from({ length: count }, (_, i) => first + ((last - first) * i) / Math.max(1, count - 1));
export const side = (axis: Axis, aside: number, first = 0, last = 1): Line =>
  shares(25, first, last).map((share) => onAxis(axis, share, aside));
const band = (axis: Axis, left: number, right: number, first = 0, last = 1): Line => [
  ...side(axis, left, first, last),
  ...[...side(axis, right, first, last)].reverse(),
];

/** Stems with what is stated of them; the first is the main one. */
export function stemsOf(one: Subject, axes: readonly Axis[]): Part[] {
  const fill = washOf(one.colour('stem.colour'), 0.2);
  const woody = one.state('stem.wood') === 'woody';
  return [
    {
      of: ['stem.branching', 'plant.height', 'stem.colour', 'stem.width', 'stem.wood'],
      sketches: [...axes]
        .reverse()
        .map((axis) => body(band(axis, -1, 1), fill, { shading: woody ? 'dark' : 'none' })),
    },
    { of: ['stem.section'], sketches: axes.flatMap((axis) => ribs(one.state('stem.section'), axis, fill)) },
    { of: ['stem.marks', 'stem.marks-extent'], sketches: marks(one, axes) },
    {
      of: ['stem.bloom'],
      sketches:
        one.state('stem.bloom') === 'rubs-off'
          ? axes
              .slice(0, 1)
              .map((axis) =>
                wash([band(axis, -0.7, 0.05, 0.05, 0.9)], lit(lit(fill === 'paper' ? '#c9d4d8' : fill))),
              )
          : [],
    },
    { of: ['stem.hairs'], sketches: axes.flatMap((axis) => furOf(one.state('stem.hairs'), axis)) },
  ];
}

function ribs(kind: string | undefined, axis: Axis, fill: Fill): Sketch[] {
  const at: Readonly<Record<string, readonly number[]>> = {
    ribbed: [-0.6, -0.2, 0.2, 0.6],
    angled: [-0.45, 0.35],
    square: [0.15],
    'three-edged': [0.05],
    'two-lined': [-0.7, 0.7],
  };
  if (kind === 'winged')
    return [-1, 1].map((s) =>
      body(band(axis, s, s * 1.9, 0.04, 0.96), lit(fill), { ink: 'fine', shading: 'none' }),
    );
  const lines = at[kind ?? ''];
  return lines
    ? [
        pen(
          lines.map((aside) => side(axis, aside)),
          'fine',
        ),
      ]
    : [];
}

function marks(one: Subject, axes: readonly Axis[]): Sketch[] {
  if (one.state('stem.marks-extent') === 'no-marks') return [];
  const reach = one.state('stem.marks-extent') === 'base-only' ? 0.26 : 0.96;
  const kind = one.state('stem.marks');
  const next = seeded(41);
  if (kind === 'flushed')
    return axes
      .slice(0, reach > 0.5 ? undefined : 1)
      .map((axis) => wash([band(axis, -0.8, 0.5, 0.01, reach)], '#a06a78'));
  if (kind !== 'spotted') return [];
  return axes.slice(0, reach > 0.5 ? undefined : 1).map((axis, i) =>
    wash(
      Array.from({ length: i === 0 ? Math.round(26 * reach) + 5 : 7 }, (): Line => {
        const [share, aside] = [0.02 + reach * 0.94 * next(), -0.7 + 1.3 * next()];
        const [long, wide] = [0.006 + 0.009 * next(), 0.3 + 0.2 * next()];
        return [0, 1, 2, 3, 4, 5, 6].map((k): Point => {
          const a = (k * 2 * Math.PI) / 7;
          return onAxis(axis, share + long * Math.cos(a), aside + wide * Math.sin(a));
        });
      }),
      '#6d2f45',
    ),
  );
}

const FUR: Readonly<Record<string, readonly [count: number, long: number]>> = {
  downy: [60, 1.1],
  bristly: [34, 2.6],
  glandular: [34, 1.9],
  mealy: [50, 0.7],
};

function furOf(kind: string | undefined, axis: Axis): Sketch[] {
  const fur = FUR[kind ?? ''];
  if (!fur) return [];
  const [count, widths] = fur;
  const long = widths / (axis.enlarged ?? 1);
  const next = seeded(43);
  const width = Math.max(axis.half[0], axis.half[1]) / (axis.enlarged ?? 1);
  const tips: Line[] = [];
  const lines = Array.from({ length: count }, (_, i): Line => {
    const [share, s] = [0.02 + 0.95 * next(), i % 2 ? 1 : -1];
    const root = onAxis(axis, share, s);
    const tip = onAxis(axis, Math.min(1, share + 0.006), s * (1 + long * (0.7 + 0.6 * next())));
    if (kind === 'glandular') {
      const r = width * 0.2;
      tips.push(
        Array.from({ length: 6 }, (_, k): Point => [
          tip[0] + r * Math.cos(k * 1.05),
          tip[1] + r * Math.sin(k * 1.05),
        ]),
      );
    }
    return [root, tip];
  });
  return [hairs(lines), ...(tips.length > 0 ? [wash(tips, 'ink', { detail: true })] : [])];
}
