import { along, closedCurve, curve, from, mirrored, type Line, type Point } from './geometry';
import { blade, OUTLINES } from './leaf';
import { dot, placed, segment, shape, stroke, strokes, type Mark, type Drawings } from './mark';

const SOIL = 18;
const soil = (): Mark => stroke(curve([8, SOIL], [36, SOIL - 1], [64, SOIL + 1], [112, SOIL]), 'faint');
const shoot = (x = 60): Mark => stroke(segment(x, 2, x, SOIL), 'line');
/** Thin roots to both sides along a line. */
const rootlets = (line: Line, count: number, long: number): Mark[] =>
  Array.from({ length: count }, (_, i) => {
    const { at } = along(line, (i + 1) / (count + 1));
    const side = i % 2 ? 1 : -1;
    return stroke(
      curve(at, [at[0] + side * long * 0.6, at[1] + long * 0.2], [at[0] + side * long, at[1] + long * 0.7]),
      'fine',
    );
  });
const tapered = (half: number, tip: Point): Line => {
  const right = curve([60 + half, SOIL], [60 + half * 0.7, 40], [60 + half * 0.25, 62], tip);
  return [...right, ...[...mirrored(right, 60)].reverse().slice(1)];
};

export function form(state: string): Mark[] | undefined {
  return FORMS[state]?.();
}

const FORMS: Drawings = {
  'taproot-thin': () => [
    soil(),
    shoot(),
    shape(tapered(3.4, [60, 78]), 'shade', 'line'),
    ...rootlets(segment(60, 20, 60, 76), 8, 10),
  ],
  'taproot-thick': () => [
    soil(),
    shoot(),
    shape(tapered(12, [60, 78]), 'shade', 'bold'),
    ...rootlets(segment(60, 30, 60, 74), 6, 14),
    ...strokes([curve([50, 26], [58, 28], [68, 27]), curve([52, 36], [60, 38], [66, 37])]),
  ],
  'rhizome-creeping': () => [
    soil(),
    shape(
      [...curve([10, 40], [40, 38], [80, 41], [112, 38]), ...curve([112, 43], [80, 46], [40, 43], [10, 45])],
      'shade',
      'line',
    ),
    ...[30, 64, 96].flatMap((x) => [stroke(curve([x, 40], [x + 1, 28], [x, 4]), 'line')]),
    ...rootlets(segment(12, 44, 110, 43), 9, 12),
  ],
  'rhizome-short': () => [
    soil(),
    shoot(),
    shape(closedCurve([50, 20], [60, 17], [72, 22], [78, 36], [66, 44], [52, 40], [44, 30]), 'shade', 'bold'),
    ...strokes(
      [
        [50, 40],
        [56, 42],
        [62, 44],
        [68, 43],
        [74, 40],
        [46, 36],
      ].map(([x = 0, y = 0], i) =>
        curve([x, y], [x + (x - 60) * 0.8, y + 16], [x + (x - 60) * 1.5 + (i % 2) * 4, 76]),
      ),
      'bold',
    ),
  ],
  bulb: () => [
    soil(),
    shape(
      [
        ...curve([57, 2], [56, 20], [50, 40], [52, 62], [60, 68]),
        ...curve([60, 68], [68, 62], [70, 40], [64, 20], [63, 2]).slice(1),
      ],
      'paper',
      'bold',
    ),
    ...strokes([curve([58, 24], [55, 42], [57, 64]), curve([62, 24], [65, 42], [63, 64])]),
    ...strokes([
      curve([56, 67], [52, 72], [51, 78]),
      curve([60, 68], [60, 74], [59, 78]),
      curve([64, 67], [68, 72], [70, 78]),
    ]),
  ],
  corm: () => [
    soil(),
    stroke(segment(58, 2, 58, 42), 'line'),
    stroke(segment(62, 2, 62, 42), 'line'),
    shape(
      closedCurve([60, 40], [76, 46], [82, 60], [72, 72], [60, 74], [46, 72], [38, 58], [46, 45]),
      'shade',
      'bold',
    ),
    ...strokes(
      [
        curve([46, 46], [52, 60], [50, 72]),
        curve([60, 42], [61, 58], [60, 73]),
        curve([75, 48], [70, 60], [71, 71]),
      ],
      'line',
    ),
  ],
  tuber: () => [
    soil(),
    shoot(),
    shape(
      closedCurve([36, 44], [46, 34], [60, 36], [72, 30], [86, 40], [84, 56], [70, 60], [58, 66], [42, 60]),
      'shade',
      'bold',
    ),
    stroke(segment(60, SOIL, 60, 36), 'line'),
    ...rootlets(curve([38, 50], [60, 64], [84, 54]), 6, 10),
    ...[
      [50, 46],
      [66, 46],
      [74, 40],
    ].map(([x = 0, y = 0]) => dot(x, y, 1)),
  ],
  'tuber-cluster': () => [
    soil(),
    shoot(),
    ...[-56, -30, 0, 28, 54].flatMap((turn, i) =>
      placed(
        [
          shape(
            closedCurve(
              [0, 0],
              [4, 12],
              [7.5, 30],
              [4, 44 + (i % 2) * 4],
              [0, 52 + (i % 2) * 4],
              [-4, 44],
              [-7.5, 28],
              [-4, 12],
            ),
            'shade',
            'line',
          ),
        ],
        { at: [60, SOIL + 2], turn: -turn },
      ),
    ),
  ],
  chambered: () => [
    soil(),
    shoot(),
    shape(
      closedCurve([46, 20], [60, 18], [74, 20], [80, 40], [74, 64], [60, 70], [46, 64], [40, 40]),
      'shade',
      'bold',
    ),
    ...[27, 37, 47, 57].map((y, i) =>
      shape(
        closedCurve(
          [47 - (i === 1 ? 2 : 0), y - 3],
          [60, y - 4],
          [73 + (i === 1 ? 2 : 0), y - 3],
          [72, y + 3],
          [60, y + 3.4],
          [48, y + 3],
        ),
        'ink',
        'none',
      ),
    ),
    ...rootlets(curve([46, 64], [60, 70], [74, 64]), 5, 9),
  ],
  fibrous: () => [
    soil(),
    shoot(),
    ...Array.from({ length: 15 }, (_, i) => {
      const turn = -62 + i * 8.8;
      const end = from([60, SOIL], 90 - turn, 50 - Math.abs(turn) * 0.2);
      return stroke(
        curve([60, SOIL], [60 + (end[0] - 60) * 0.45 + (i % 2 ? 2 : -2), SOIL + (end[1] - SOIL) * 0.5], end),
        'line',
      );
    }),
  ],
  woody: () => [
    soil(),
    shape(
      [
        ...curve([53, 2], [53, 16], [44, 30], [20, 44]),
        ...curve([20, 48], [44, 40], [54, 36]),
        ...curve([54, 36], [56, 56], [52, 76]),
        ...curve([57, 76], [62, 58], [64, 38]),
        ...curve([64, 38], [80, 48], [104, 54]),
        ...curve([105, 50], [84, 40], [70, 26], [67, 14], [67, 2]),
      ],
      'shade',
      'bold',
    ),
    ...strokes([curve([57, 4], [58, 18], [54, 30]), curve([63, 4], [62, 18], [66, 30])]),
  ],
  runners: () => [
    stroke(curve([8, 58], [60, 57], [112, 58]), 'faint'),
    stroke(curve([28, 56], [46, 36], [66, 40], [84, 56]), 'bold'),
    ...[28, 86].flatMap((x, i) => [
      ...[-60, -20, 20, 60].flatMap((turn) =>
        placed(blade({ outline: OUTLINES.obovate, length: i ? 18 : 26, venation: 'one' }), {
          at: [x, 57],
          turn,
        }),
      ),
      ...strokes([-5, 0, 5].map((dx) => curve([x, 58], [x + dx * 0.6, 66], [x + dx, 75]))),
    ]),
  ],
};
