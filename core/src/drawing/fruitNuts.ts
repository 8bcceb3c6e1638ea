import { NUT } from './fruitType';
import { strewn } from './fungus';
import { curve, type Line, mirrored, symmetric, ellipse, from, type Point } from './geometry';
import { type Mark, strokes, shape, stroke, placed, type Drawings } from './mark';

const styles = (y = 14) =>
  strokes([curve([58, y], [54, y - 7], [47, y - 8]), curve([62, y], [66, y - 7], [73, y - 8])], 'line');
const ribs = (lines: readonly Line[]) =>
  strokes(
    lines.flatMap((line) => [line, mirrored(line, 60)]),
    'line',
  );

/** Fruits of umbels, and nuts in their case. */

export function umbelFruit(state: string): Mark[] | undefined {
  return UMBEL_FRUITS[state]?.();
}

const UMBEL_FRUITS: Drawings = {
  'flat-winged': () => [
    ...styles(),
    shape(symmetric(60, [60, 14], [84, 22], [94, 46], [82, 66], [60, 74]), 'paper', 'bold'),
    shape(symmetric(60, [60, 18], [72, 28], [75, 46], [70, 62], [60, 70]), 'shade', 'line'),
    ...ribs([
      [
        [60, 20],
        [60, 70],
      ],
      curve([63, 22], [68, 44], [63, 68]),
    ]),
  ],
  'wavy-globe': () => [
    ...styles(),
    shape(ellipse(60, 44, 29, 30), 'shade', 'bold'),
    ...ribs(
      [
        [62, 4],
        [70, 4],
        [78, 3],
      ].map(([x = 0, wave = 0]) =>
        Array.from({ length: 12 }, (_, i): Point => [
          x + (i % 2 ? wave : -wave) / 2 - Math.abs(i - 5.5) * (x - 60) * 0.08,
          17 + i * 5,
        ]),
      ),
    ),
  ],
  'ribbed-globe': () => [
    ...styles(),
    shape(symmetric(60, [60, 14], [78, 20], [87, 42], [78, 66], [60, 74]), 'shade', 'bold'),
    ...[0, 11, 20].flatMap((dx) =>
      [1, -1].map((s) =>
        stroke(curve([60 + s * dx * 0.5, 17], [60 + s * dx, 44], [60 + s * dx * 0.5, 71]), 'bold'),
      ),
    ),
  ],
  crescent: () => [
    ...[-1, 1].flatMap((s) => [
      shape(
        curve(
          [60 + s * 4, 16],
          [60 + s * 22, 28],
          [60 + s * 30, 50],
          [60 + s * 26, 70],
          [60 + s * 16, 54],
          [60 + s * 9, 34],
          [60 + s * 4, 16],
        ),
        'shade',
        'bold',
      ),
      stroke(curve([60 + s * 7, 20], [60 + s * 19, 38], [60 + s * 25, 66]), 'fine'),
    ]),
    stroke(curve([56, 16], [60, 10], [64, 16]), 'line'),
  ],
  'long-smooth': () => [
    ...styles(13),
    shape(symmetric(60, [60, 13], [66, 28], [70, 56], [65, 72], [60, 76]), 'shade', 'bold'),
  ],
  barrel: () => [
    shape(symmetric(60, [60, 26], [78, 28], [84, 50], [78, 70], [60, 74]), 'shade', 'bold'),
    ...ribs([curve([62, 28], [64, 50], [62, 72]), curve([70, 28], [75, 50], [70, 71])]),
    ...strokes([curve([54, 26], [50, 14], [44, 4]), curve([66, 26], [70, 14], [76, 4])], 'bold'),
  ],
};
const ball = ellipse(60, 42, 25);

export function nutCase(state: string): Mark[] | undefined {
  return NUT_CASES[state]?.();
}

const NUT_CASES: Drawings = {
  'needle-case': () => [
    ...Array.from({ length: 48 }, (_, i) =>
      stroke([from([60, 42], i * 7.5, 22), from([60, 42], i * 7.5 + (i % 3) * 3 - 3, 35)], 'fine'),
    ),
    shape(ball, 'paper', 'line'),
    ...strewn(ball, 5, 3).map(([x, y]) =>
      stroke(
        [
          [x - 2, y + 2],
          [x + 2, y - 3],
        ],
        'fine',
      ),
    ),
  ],
  'thorn-case': () => [
    ...Array.from({ length: 11 }, (_, i) =>
      placed(
        [
          shape([
            [-2.6, 0],
            [0, -9],
            [2.6, 0],
          ]),
        ],
        { at: from([60, 42], i * 33 - 90, 24), turn: i * 33 },
      ),
    ).flat(),
    shape(ball, 'paper', 'bold'),
    ...[
      [52, 34],
      [68, 38],
      [58, 52],
    ].map(([x = 0, y = 0]) =>
      shape([
        [x - 2.6, y + 2],
        [x, y - 6],
        [x + 2.6, y + 2],
      ]),
    ),
    stroke(curve([60, 4], [58, 10], [60, 17]), 'bold'),
  ],
  'leafy-cup': () => [
    shape(NUT, 'shade', 'line'),
    shape(
      [
        ...curve([34, 34], [30, 54], [44, 72], [60, 76]),
        ...curve([60, 76], [76, 72], [90, 54], [86, 34]).slice(1),
        [80, 44],
        [74, 32],
        [67, 44],
        [60, 33],
        [53, 44],
        [46, 32],
        [40, 44],
      ],
      'paper',
      'bold',
    ),
  ],
};

export function nutTip(state: string): Mark[] | undefined {
  switch (state) {
    case 'tufted':
      return [
        shape(symmetric(60, [60, 20], [70, 32], [88, 50], [80, 70], [60, 74]), 'shade', 'bold'),
        ...[-40, -22, 0, 22, 40].map((turn) => stroke([[60, 21], from([60, 21], turn - 90, 15)], 'line')),
      ];
    case 'blunt':
      return [shape(symmetric(60, [60, 14], [80, 20], [90, 44], [80, 66], [60, 72]), 'shade', 'bold')];
    case 'short-point':
      return [
        shape(symmetric(60, [60, 8], [63, 16], [80, 28], [86, 48], [76, 68], [60, 73]), 'shade', 'bold'),
      ];
    default:
      return undefined;
  }
}
