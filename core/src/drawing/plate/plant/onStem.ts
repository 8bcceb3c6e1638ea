import { along, from, seeded, type Line, type Point } from '../../geometry';
import { mixed, shaded } from '../colours';
import { body, pen, wash, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';
import { onAxis, side, type Axis } from './stem';

/** What grows on a stem besides leaves: thorns, bark, tendrils. */

/** Thorns of a twig. */
export function thornsOf(one: Subject, axes: readonly Axis[]): Part[] {
  const kind = one.state('twig.thorns');
  const [main, ...rest] = axes;
  if (!main || (kind !== 'thorns' && kind !== 'fork-thorn')) return [];
  const wood = mixed('#7b5335', '#ffffff', 0.2);
  const thorn = (at: Point, heading: number, long: number): Sketch => {
    const [l, r] = [from(at, heading + 90, long * 0.1), from(at, heading - 90, long * 0.1)];
    return body([l, from(at, heading, long), r], wood, { shading: 'none' });
  };
  const long = main.half[0] * 9;
  if (kind === 'fork-thorn')
    return [
      {
        of: ['twig.thorns'],
        sketches: [main, ...rest].map((axis) => {
          const { at, heading } = along(axis.line, 1);
          return thorn(at, heading, long);
        }),
      },
    ];
  return [
    {
      of: ['twig.thorns'],
      sketches: axes.flatMap((axis, k) =>
        [0.16, 0.4, 0.66, 0.9].slice(0, k === 0 ? 4 : 2).map((share, i) => {
          const { at, heading } = along(axis.line, share);
          return thorn(at, heading + (i % 2 ? 62 : -62), long * (k === 0 ? 1 : 0.7));
        }),
      ),
    },
  ];
}

/** What the bark is like on an older twig. */
export function barkOf(one: Subject, axis: Axis): Part[] {
  const next = seeded(47);
  const spot = (aside: number, share: number, r: number): Line =>
    [0, 1, 2, 3, 4, 5].map((k): Point =>
      onAxis(axis, share + r * 0.02 * Math.cos(k), aside + r * Math.sin(k)),
    );
  const young: Readonly<Record<string, () => Sketch[]>> = {
    'pale-dots': () => [
      wash(
        Array.from({ length: 26 }, () => spot(-0.7 + 1.4 * next(), next(), 0.26)),
        '#efe9dc',
      ),
    ],
    'hairy-knobs': () => [
      wash(
        Array.from({ length: 18 }, () => spot(-0.9 + 1.8 * next(), next(), 0.3)),
        shaded('#8a5a44'),
      ),
    ],
    scaly: () => [
      pen(
        Array.from({ length: 18 }, (): Line => {
          const [share, aside] = [next(), -0.7 + 1.1 * next()];
          return [
            onAxis(axis, share, aside),
            onAxis(axis, share + 0.012, aside + 0.3),
            onAxis(axis, share, aside + 0.5),
          ];
        }),
        'fine',
      ),
    ],
  };
  const old: Readonly<Record<string, () => Sketch[]>> = {
    fissured: () => [
      pen(
        Array.from({ length: 14 }, (): Line => {
          const [share, aside] = [0.02 + 0.4 * next(), -0.7 + 1.4 * next()];
          return [
            onAxis(axis, share, aside),
            onAxis(axis, share + 0.03, aside + 0.1),
            onAxis(axis, share + 0.06, aside - 0.05),
          ];
        }),
        'fine',
      ),
    ],
    strips: () => [
      pen(
        [-0.5, 0, 0.5].map((aside): Line => side(axis, aside, 0.01, 0.4)),
        'fine',
      ),
    ],
  };
  return [
    { of: ['bark.young'], sketches: young[one.state('bark.young') ?? '']?.() ?? [] },
    { of: ['bark.old'], sketches: old[one.state('bark.old') ?? '']?.() ?? [] },
  ];
}

/** What a climbing stem holds on with, or what it winds round. */
export function holdOf(one: Subject, { line }: Axis, reach: number): Part[] {
  const kind = one.state('stem.climbing');
  if (kind === 'twining') {
    const [foot, tip] = [line[0] as Point, line[line.length - 1] as Point];
    return [
      {
        of: ['stem.climbing'],
        sketches: [
          pen([[foot, [0, tip[1] * 1.04]]], 'faint'),
          pen(
            [
              [
                [reach * 0.1, 0],
                [reach * 0.1, tip[1]],
              ],
            ],
            'faint',
          ),
        ],
      },
    ];
  }
  if (kind !== 'tendrils') return [];
  const coils = [0.3, 0.5, 0.7, 0.88].map((share, i): Line => {
    const { at } = along(line, share);
    const side = i % 2 ? 1 : -1;
    return Array.from({ length: 26 }, (_, k): Point => {
      const turn = (k / 25) * 9;
      const r = reach * 0.05 * (1 - k / 40);
      return [
        at[0] + side * (reach * 0.2 * (k / 25) + r * Math.sin(turn)),
        at[1] - reach * 0.08 * (k / 25) + r * (1 - Math.cos(turn)),
      ];
    });
  });
  return [{ of: ['stem.climbing'], sketches: [pen(coils, 'line')] }];
}
