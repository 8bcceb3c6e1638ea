import { strewn } from './fungus';
import { symmetric, curve, ellipse, arc, closedCurve, from } from './geometry';
import { type Mark, stroke, shape, strokes, segment, dot, placed, type Drawings } from './mark';

/** The type of a fruit. */

export const NUT = symmetric(60, [60, 10], [78, 22], [86, 44], [76, 62], [60, 68]);

export function type(state: string): Mark[] | undefined {
  return TYPES[state]?.();
}

const TYPES: Drawings = {
  berry: () => [
    stroke(curve([60, 4], [58, 10], [60, 17]), 'bold'),
    shape(ellipse(60, 44, 28, 27), 'shade', 'line'),
    stroke(arc(60, 44, 20, 19, 190, 250), 'fine'),
    ...strokes([curve([56, 69], [60, 66], [64, 69])], 'line'),
  ],
  capsule: () => [
    stroke(segment(60, 78, 60, 66), 'bold'),
    shape([
      ...curve([60, 66], [42, 58], [38, 34], [44, 12]),
      [52, 26],
      [60, 8],
      [68, 26],
      ...curve([76, 12], [82, 34], [78, 58], [60, 66]),
    ]),
    ...strokes([curve([52, 26], [54, 46], [60, 64]), curve([68, 26], [66, 46], [60, 64])]),
    ...[
      [50, 14],
      [70, 10],
      [86, 22],
    ].map(([x = 0, y = 0]) => dot(x, y, 1.8)),
  ],
  schizocarp: () => [
    ...[-1, 1].flatMap((s) => [
      shape(
        curve([60 + s * 3, 18], [60 + s * 22, 26], [60 + s * 24, 50], [60 + s * 3, 66], [60 + s * 3, 18]),
      ),
      ...strokes([
        curve([60 + s * 7, 20], [60 + s * 14, 40], [60 + s * 7, 63]),
        curve([60 + s * 10, 21], [60 + s * 20, 40], [60 + s * 10, 60]),
      ]),
    ]),
    ...strokes([curve([58, 18], [56, 10], [50, 7]), curve([62, 18], [64, 10], [70, 7])], 'line'),
  ],
  'stone-fruit': () => [
    stroke(curve([60, 2], [58, 8], [60, 14]), 'bold'),
    shape(ellipse(60, 44, 30), 'paper', 'bold'),
    shape(ellipse(60, 45, 15, 17), 'shade', 'line'),
    ...strokes([curve([54, 36], [56, 45], [54, 55]), curve([64, 36], [66, 45], [64, 55])]),
  ],
  nut: () => [
    shape(NUT, 'shade', 'line'),
    shape(closedCurve([44, 58], [60, 54], [76, 58], [72, 68], [60, 71], [48, 68]), 'paper', 'line'),
    stroke(curve([50, 22], [46, 36], [48, 50]), 'fine'),
  ],
  'fleshy-cone': () => [
    stroke(segment(60, 76, 60, 66), 'bold'),
    shape(ellipse(60, 40, 27), 'shade', 'line'),
    ...strokes(
      [
        [
          [60, 34],
          [60, 22],
        ],
        [
          [60, 34],
          [49, 42],
        ],
        [
          [60, 34],
          [71, 42],
        ],
      ],
      'line',
    ),
  ],
  aril: () => [
    stroke(curve([60, 2], [60, 14]), 'bold'),
    shape(
      [
        ...curve([50, 16], [34, 30], [34, 54], [48, 66]),
        ...curve([72, 66], [86, 54], [86, 30], [70, 16]),
        ...curve([70, 16], [60, 13], [50, 16]).slice(1, -1),
      ],
      'shade',
      'bold',
    ),
    shape(ellipse(60, 62, 14, 9), 'paper', 'line'),
    shape(ellipse(60, 60, 7, 8), 'ink', 'line'),
  ],
  pod: () => [
    stroke(curve([16, 66], [26, 62], [34, 56]), 'bold'),
    shape(
      [
        ...curve([32, 56], [56, 36], [84, 22], [104, 16]),
        ...curve([104, 16], [92, 28], [66, 46], [36, 62]).slice(1),
      ],
      'paper',
      'bold',
    ),
    ...[
      [48, 51],
      [58, 45],
      [68, 39],
      [78, 33],
      [88, 26],
    ].map(([x = 0, y = 0]) => shape(ellipse(x, y, 2.8, 2.2), 'shade', 'fine')),
  ],
  strawberry: () => [
    shape(symmetric(60, [60, 22], [80, 20], [90, 34], [78, 56], [60, 74]), 'shade', 'bold'),
    ...Array.from({ length: 5 }, (_, i) =>
      placed(
        [
          shape([
            [-3.4, 0],
            [0, -13],
            [3.4, 0],
          ]),
        ],
        { at: [60, 21], turn: -100 + i * 50 },
      ),
    ).flat(),
    stroke(curve([60, 20], [62, 12], [58, 4]), 'bold'),
    ...strewn(
      closedCurve([60, 28], [80, 28], [84, 36], [72, 56], [60, 68], [48, 56], [36, 36], [40, 28]),
      8,
      4,
    ).map(([x, y]) => shape(ellipse(x, y, 1.3, 2), 'paper', 'fine')),
  ],
  nutlets: () => [
    ...[
      [-13, -9],
      [13, -9],
      [-13, 12],
      [13, 12],
    ].map(([dx = 0, dy = 0]) =>
      shape(
        closedCurve(
          [60 + dx, 40 + dy - 12],
          [60 + dx + 10, 40 + dy],
          [60 + dx, 40 + dy + 11],
          [60 + dx - 10, 40 + dy],
        ),
        'shade',
        'line',
      ),
    ),
    ...strokes([curve([28, 40], [34, 66], [60, 76], [86, 66], [92, 40])], 'line'),
  ],
  down: () => [
    shape(closedCurve([60, 76], [63, 66], [62, 52], [60, 48], [58, 52], [57, 66]), 'ink', 'line'),
    stroke(segment(60, 48, 60, 42), 'line'),
    ...Array.from({ length: 11 }, (_, i) => stroke([[60, 42], from([60, 42], -162 + i * 14.4, 34)], 'fine')),
  ],
};
