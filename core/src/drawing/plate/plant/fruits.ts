import * as fruit from '../../fruit';
import { arc, ellipse, from, type Line } from '../../geometry';
import type { Fill } from '../../mark';
import { lit, shaded, washOf } from '../colours';
import { body, boxOfSketches, fromMarks, hairs, pen, put, wash, type Sketch, type Subject } from '../sketch';

/** Single fruits, on the end of their stalk at the origin, looking up. */

const ROUND: ReadonlySet<string> = new Set(['berry', 'stone-fruit', 'aril', 'fleshy-cone']);

/** Whether fruits of this type are drawn as a ball, with what is on it. */
export const isRound = (type: string | undefined): boolean => ROUND.has(type ?? '');

/** A fruit so large, mm; undefined where its type is not stated. */
export function fruitOf(one: Subject): ((size: number, small: boolean) => Sketch[]) | undefined {
  const type = one.state('fruit.type');
  if (type === undefined) return undefined;
  const fill = washOf(one.colour('fruit.colour'), 0.16);
  if (isRound(type)) return (size) => ball(one, type, size / 2, fill);
  const form = type === 'schizocarp' ? one.state('fruit.form') : undefined;
  const card = fromMarks((form === undefined ? undefined : fruit.umbelFruit(form)) ?? fruit.type(type), fill);
  if (card.length === 0) return undefined;
  const { left, right, top, bottom } = boxOfSketches(card);
  const middled = put(card, { at: [-(left + right) / 2, -bottom] });
  const [wide, high] = [right - left, bottom - top];
  const slim = Math.min(1, wide / high);
  return (size, small) =>
    small
      ? [
          body(arc(0, -size * 0.6, size * 0.6 * slim, size * 0.6, 0, 330, 11), fill, {
            ink: 'fine',
            shading: 'none',
          }),
          hairs([
            [
              [0, -size * 0.15],
              [0, -size * 1.05],
            ],
          ]),
        ]
      : put(middled, { scale: Math.min(size / Math.min(wide, high), (size * 2.4) / Math.max(wide, high)) });
}

function ball(one: Subject, type: string, r: number, fill: Fill): Sketch[] {
  const skin = one.state('fruit.skin');
  const round = ellipse(0, -r, r, r * 0.98);
  return [
    body(round, skin === 'bloom' ? lit(fill) : fill),
    ...(skin === 'glossy' ? [wash([ellipse(-r * 0.36, -r * 1.4, r * 0.2, r * 0.14)], '#ffffff')] : []),
    ...(skin === 'bloom'
      ? [wash([ellipse(-r * 0.12, -r * 1.1, r * 0.66, r * 0.6)], lit(lit(fill)), { detail: true })]
      : []),
    ...(type === 'aril'
      ? [
          body(ellipse(0, -r * 1.72, r * 0.46, r * 0.26), shaded(shaded('#5a4030')), {
            ink: 'fine',
            shading: 'none',
          }),
        ]
      : []),
    ...(type === 'fleshy-cone'
      ? [
          pen(
            [
              [
                [0, -r * 1.9],
                [0, -r * 1.45],
              ],
              [
                [0, -r * 1.45],
                [-r * 0.4, -r * 1.2],
              ],
              [
                [0, -r * 1.45],
                [r * 0.4, -r * 1.2],
              ],
            ],
            'line',
          ),
        ]
      : []),
    ...crownOf(one.state('fruit.crown'), r),
  ];
}

/** What is left of the flower on a fruit. */
function crownOf(kind: string | undefined, r: number): Sketch[] {
  switch (kind) {
    case 'ring-scar':
      return [body(ellipse(0, -r * 1.82, r * 0.36, r * 0.15), 'shade', { ink: 'line', shading: 'none' })];
    case 'calyx-star':
      return [
        pen(
          [-60, -30, 0, 30, 60].map((turn): Line => [
            [0, -r * 1.9],
            from([0, -r * 1.9], turn - 90, r * 0.42),
          ]),
          'line',
        ),
      ];
    case 'leaf-collar':
      return [0, 1, 2, 3, 4].map((i) =>
        body(
          [[0, -r * 0.05], from([0, 0], 10 + i * 40, r * 0.95), from([0, 0], 24 + i * 40, r * 0.5)],
          '#a9bf8f',
          { ink: 'fine', shading: 'none' },
        ),
      );
    case 'three-seam':
      return [
        pen(
          [-90, 30, 150].map((turn): Line => [[0, -r], from([0, -r], turn, r * 0.86)]),
          'fine',
        ),
      ];
    case 'joined':
      return [
        pen(
          [
            [
              [0, -r * 1.9],
              [0, -r * 0.1],
            ],
          ],
          'line',
        ),
      ];
    case 'neither':
      return [wash([ellipse(0, -r * 1.88, r * 0.08)], 'ink', { detail: true })];
    default:
      return [];
  }
}
