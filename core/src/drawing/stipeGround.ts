import { mushroom, GROUND, ground, strewn, stemOutline } from './fungus';
import { closedCurve, curve, type Line, ellipse, moved } from './geometry';
import { type Mark, placed, shape, stroke, strokes, dot } from './mark';

/** What a fungus grows on, and how. */

export function growth(state: string): Mark[] | undefined {
  const small = (x: number, tilt: number, size: number) =>
    placed(placed(mushroom(), { at: [-60, -GROUND] }), { scale: size, turn: tilt, at: [x, 72] });
  if (state === 'separate')
    return [...ground(72), ...small(24, 0, 0.5), ...small(62, 0, 0.6), ...small(98, 0, 0.45)];
  if (state === 'clustered')
    return [
      ...ground(72),
      ...small(54, -26, 0.66),
      ...small(66, 26, 0.66),
      ...small(60, 0, 0.74),
      shape(closedCurve([48, 70], [60, 67], [72, 70], [68, 76], [52, 76]), 'shade', 'fine'),
    ];
  return undefined;
}

export function substrate(state: string): Mark[] | undefined {
  const small = placed(placed(mushroom(), { at: [-60, -GROUND] }), { scale: 0.66, at: [56, 58] });
  if (state === 'soil')
    return [
      ...small,
      stroke(curve([10, 58], [40, 57], [60, 59], [110, 57]), 'bold'),
      ...strokes(
        [
          [18, 57],
          [30, 56],
          [80, 57],
          [92, 57],
          [102, 56],
        ].flatMap(([x = 0, y = 0]): Line[] => [
          [
            [x, y],
            [x - 3, y - 7],
          ],
          [
            [x, y],
            [x, y - 9],
          ],
          [
            [x, y],
            [x + 3, y - 7],
          ],
        ]),
      ),
      ...strewn(
        [
          [10, 62],
          [110, 62],
          [110, 76],
          [10, 76],
        ],
        8,
        5,
      ).map(([x, y]) => dot(x, y, 1)),
    ];
  if (state === 'wood')
    return [
      ...small,
      shape(
        [...curve([14, 60], [50, 57], [100, 58]), ...curve([100, 76], [50, 78], [14, 78])],
        'paper',
        'bold',
      ),
      shape(ellipse(100, 67, 6, 9), 'paper', 'bold'),
      ...strokes([
        ellipse(100, 67, 3.5, 5.5),
        curve([20, 66], [50, 64], [90, 65]),
        curve([22, 72], [56, 71], [88, 72]),
      ]),
    ];
  return undefined;
}

export function stipePlace(state: string): Mark[] | undefined {
  const cap = closedCurve([20, 30], [36, 18], [62, 14], [88, 18], [102, 30], [84, 38], [60, 40], [36, 38]);
  switch (state) {
    case 'central':
      return [shape(stemOutline(34, 6, 6), 'paper', 'bold'), shape(cap, 'paper', 'fine')];
    case 'side':
      return [
        stroke(
          [
            [12, 6],
            [12, 76],
          ],
          'faint',
        ),
        shape(
          [...curve([12, 46], [26, 44], [36, 34]), ...curve([30, 26], [22, 34], [12, 36])],
          'paper',
          'bold',
        ),
        shape(moved(cap, 8, -2), 'paper', 'fine'),
      ];
    case 'none':
      return [
        stroke(
          [
            [14, 6],
            [14, 76],
          ],
          'bold',
        ),
        shape(
          closedCurve([14, 26], [46, 18], [84, 22], [100, 34], [82, 44], [44, 48], [14, 46]),
          'paper',
          'fine',
        ),
      ];
    default:
      return undefined;
  }
}
