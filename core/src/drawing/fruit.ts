import { leaf } from './fruitPosition';
import { strewn } from './fungus';
import { type Point, closedCurve, ellipse, from, curve, symmetric } from './geometry';
import { blade, OUTLINES } from './leaf';
import { type Mark, placed, shape, dot, stroke, segment, strokes, type Drawings } from './mark';

export * from './fruitType';
export * from './fruitNuts';
export * from './fruitPosition';

const lens = (at: Point, degrees: number): Mark =>
  placed([shape(closedCurve([0, -3.4], [3, 0], [0, 3.4], [-3, 0]), 'paper', 'line')], {
    at,
    turn: degrees,
  })[0] as Mark;
const ball = shape(ellipse(60, 42, 27), 'shade', 'line');

export function crown(state: string): Mark[] | undefined {
  return CROWNS[state]?.();
}

const CROWNS: Drawings = {
  'ring-scar': () => [
    ball,
    shape(ellipse(60, 30, 13, 7), 'paper', 'bold'),
    shape(ellipse(60, 30, 8, 4), 'shade', 'line'),
    dot(60, 30, 1.4),
  ],
  'calyx-star': () => [
    ...Array.from({ length: 5 }, (_, i) =>
      placed(blade({ outline: OUTLINES.ovate, length: 36, venation: 'one' }), {
        at: [60, 44],
        turn: i * 72,
      }),
    ).flat(),
    shape(ellipse(60, 44, 19), 'shade', 'bold'),
  ],
  'leaf-collar': () => [
    stroke(segment(60, 78, 60, 54), 'bold'),
    ...[-82, -40, 40, 82].flatMap((turn) => leaf([60, 62], turn, 44)),
    ...[-100, -70, 70, 100, -130, 130].map((turn) =>
      stroke([[60, 38], from([60, 38], turn - 90, 26)], 'line'),
    ),
    shape(ellipse(60, 30, 14), 'ink', 'line'),
  ],
  neither: () => [stroke(curve([60, 4], [60, 15]), 'line'), ball],
  'three-seam': () => [
    ball,
    ...strokes(
      [
        [
          [60, 36],
          [60, 22],
        ],
        [
          [60, 36],
          [48, 45],
        ],
        [
          [60, 36],
          [72, 45],
        ],
      ],
      'bold',
    ),
  ],
  joined: () => [
    stroke(segment(60, 78, 60, 60), 'bold'),
    shape(ellipse(45, 40, 20), 'shade', 'line'),
    shape(ellipse(75, 40, 20), 'shade', 'line'),
    shape(closedCurve([56, 34], [64, 34], [66, 50], [60, 60], [54, 50]), 'shade', 'none'),
    stroke(curve([56, 24], [60, 28], [64, 24]), 'line'),
  ],
};

export function skin(state: string): Mark[] | undefined {
  switch (state) {
    case 'bloom':
      return [
        shape(ellipse(60, 40, 31), 'ink', 'line'),
        shape(
          closedCurve([40, 22], [64, 12], [84, 26], [86, 44], [70, 40], [62, 52], [46, 50], [34, 42]),
          '#AAB7C4',
          'none',
        ),
        ...strokes([curve([64, 58], [74, 54], [82, 46])], 'faint'),
      ];
    case 'glossy':
      return [
        shape(ellipse(60, 40, 31), 'ink', 'line'),
        shape(closedCurve([44, 30], [50, 20], [60, 16], [58, 22], [50, 32], [46, 40]), 'paper', 'none'),
        dot(74, 56, 2.4, 'paper'),
      ];
    case 'matt':
      return [shape(ellipse(60, 40, 31), 'shade', 'bold')];
    default:
      return undefined;
  }
}

export function surface(state: string): Mark[] | undefined {
  const one = symmetric(60, [60, 6], [76, 18], [80, 44], [72, 66], [60, 74]);
  if (state === 'warty')
    return [
      shape(one, 'shade', 'bold'),
      ...strewn(one, 6.4, 3).map(([x, y]) => shape(ellipse(x, y, 1.9), 'paper', 'fine')),
      ...strokes(
        [curve([60, 8], [60, 72]), curve([68, 14], [71, 42], [66, 68]), curve([52, 14], [49, 42], [54, 68])],
        'line',
      ),
    ];
  if (state === 'smooth')
    return [
      shape(one, 'shade', 'bold'),
      ...strokes([
        curve([60, 8], [60, 72]),
        curve([68, 14], [71, 42], [66, 68]),
        curve([52, 14], [49, 42], [54, 68]),
      ]),
    ];
  return undefined;
}

export function seeds(state: string): Mark[] | undefined {
  const fruit = shape(ellipse(60, 40, 33), 'paper', 'bold');
  switch (state) {
    case 'one':
      return [fruit, shape(ellipse(60, 40, 15, 17), 'shade', 'bold')];
    case 'few':
      return [
        fruit,
        ...[0, 1, 2, 3].map((i) => {
          const [x, y] = from([60, 40], i * 90 + 45, 15);
          return placed([shape(closedCurve([0, -8], [5, 2], [0, 7], [-5, 2]), 'shade', 'line')], {
            at: [x, y],
            turn: i * 90 + 135,
          })[0] as Mark;
        }),
      ];
    case 'many':
      return [fruit, ...strewn(ellipse(60, 40, 28), 7.4, 3).map((at, i) => lens(at, i * 47))];
    default:
      return undefined;
  }
}
