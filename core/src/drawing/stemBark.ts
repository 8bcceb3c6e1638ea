import { strewn } from './fungus';
import { curve, type Line, ellipse, closedCurve } from './geometry';
import { type Mark, shape, strokes, placed, faint, segment, stroke } from './mark';
import { stretch, small, hairs } from './stemMarks';
import { twig, leafAt } from './stemParts';

/** Wood and bark. */

export function wood(state: string): Mark[] | undefined {
  const body = stretch(14);
  if (state === 'woody')
    return [
      shape(body, 'paper', 'bold'),
      ...strokes(
        [
          curve([52, 8], [54, 26], [51, 40]),
          curve([60, 14], [62, 34], [59, 60]),
          curve([68, 8], [66, 30], [69, 52]),
          curve([53, 50], [55, 62], [52, 76]),
          curve([66, 58], [68, 68], [65, 76]),
        ],
        'line',
      ),
      ...strokes([curve([74, 40], [86, 30], [92, 18])], 'bold'),
    ];
  if (state === 'soft')
    return [
      shape(
        [...curve([30, 78], [32, 44], [50, 22], [80, 16]), ...curve([82, 26], [58, 32], [43, 50], [41, 78])],
        'paper',
        'bold',
      ),
      ...placed(small(24), { at: [84, 20], turn: 100 }),
      ...placed(small(18), { at: [48, 30], turn: -20 }),
    ];
  return undefined;
}

export function thorns(state: string): Mark[] | undefined {
  switch (state) {
    case 'none':
      return [twig(), ...faint([...leafAt([40, 48], -20, 16), ...leafAt([74, 50], 150, 16)])];
    case 'thorns':
      return [
        twig(),
        shape(
          [
            [40, 48],
            [50, 12],
            [46, 47],
          ],
          'paper',
          'bold',
        ),
        shape(
          [
            [70, 51],
            [86, 76],
            [76, 50],
          ],
          'paper',
          'bold',
        ),
        ...faint([...leafAt([46, 28], 60, 10), ...leafAt([78, 62], 40, 9)]),
      ];
    case 'fork-thorn':
      return [
        shape(
          [
            ...curve([14, 42], [54, 36]),
            ...curve([96, 12], [100, 17]),
            [62, 40],
            ...curve([100, 62], [97, 68]),
            ...curve([54, 46], [14, 50]),
          ],
          'paper',
          'line',
        ),
        shape(
          [
            [59, 37],
            [84, 40],
            [59, 43],
          ],
          'paper',
          'bold',
        ),
      ];
    default:
      return undefined;
  }
}

export function youngBark(state: string): Mark[] | undefined {
  const body: Line = [
    [14, 30],
    [106, 26],
    [106, 52],
    [14, 54],
  ];
  switch (state) {
    case 'pale-dots':
      return [
        shape(body, 'ink', 'line'),
        ...strewn(
          [
            [18, 33],
            [102, 30],
            [102, 48],
            [18, 50],
          ],
          7,
          2,
        ).map(([x, y]) => shape(ellipse(x, y, 1.9, 1), 'paper', 'none')),
      ];
    case 'plain':
      return [shape(body, 'paper', 'bold')];
    case 'hairy-knobs':
      return [
        shape(body),
        ...hairs(segment(14, 30, 106, 26), 20, 9, -1, true),
        ...hairs(segment(14, 54, 106, 52), 20, 9, 1, true),
      ];
    case 'scaly':
      return [
        ...[0, 1, 2].flatMap((row) =>
          Array.from({ length: 10 }, (_, i) =>
            shape(
              closedCurve(
                [16 + i * 9 + (row % 2) * 4, 30 + row * 9],
                [25 + i * 9 + (row % 2) * 4, 32 + row * 9],
                [22 + i * 9 + (row % 2) * 4, 38 + row * 9],
                [15 + i * 9 + (row % 2) * 4, 37 + row * 9],
              ),
            ),
          ),
        ),
        stroke(segment(14, 29, 106, 29), 'faint'),
      ];
    default:
      return undefined;
  }
}

export function oldBark(state: string): Mark[] | undefined {
  const trunk: Line = [...curve([32, 4], [34, 40], [30, 78]), ...curve([90, 78], [86, 40], [88, 4])];
  switch (state) {
    case 'smooth':
      return [
        shape(trunk, 'paper', 'bold'),
        ...strokes([curve([44, 24], [50, 25], [56, 24]), curve([66, 52], [72, 53], [78, 52])], 'faint'),
      ];
    case 'strips':
      return [
        shape(trunk),
        ...[
          [40, 10, 34],
          [56, 20, 46],
          [70, 8, 40],
          [48, 50, 74],
          [66, 50, 76],
          [80, 30, 62],
        ].map(([x = 0, top = 0, bottom = 0]) =>
          shape(
            [
              ...curve([x - 4, top], [x - 5, (top + bottom) / 2], [x - 2, bottom]),
              ...curve([x + 8, bottom + 3], [x + 5, (top + bottom) / 2], [x + 4, top + 2]),
            ],
            'shade',
            'line',
          ),
        ),
      ];
    case 'fissured':
      return [
        shape(trunk),
        ...strokes(
          [
            curve([42, 4], [38, 20], [44, 40], [38, 60], [42, 78]),
            curve([54, 4], [58, 22], [50, 42], [56, 62], [52, 78]),
            curve([68, 4], [62, 20], [68, 44], [62, 60], [68, 78]),
            curve([80, 4], [76, 26], [80, 44], [74, 64], [80, 78]),
          ],
          'bold',
        ),
        ...strokes(
          [
            curve([44, 40], [50, 42]),
            curve([58, 22], [63, 20]),
            curve([56, 62], [62, 60]),
            curve([68, 44], [76, 26]),
          ],
          'line',
        ),
      ];
    default:
      return undefined;
  }
}

export function snap(state: string): Mark[] | undefined {
  if (state === 'breaks')
    return [
      shape(
        [
          [12, 44],
          [50, 36],
          [53, 41],
          [49, 44],
          [54, 48],
          [13, 54],
        ],
        'paper',
        'bold',
      ),
      shape(
        [
          [64, 34],
          [106, 56],
          [102, 66],
          [62, 46],
          [66, 42],
          [61, 39],
        ],
        'paper',
        'bold',
      ),
      ...strokes([segment(56, 26, 58, 18), segment(62, 26, 68, 20), segment(50, 28, 46, 21)], 'fine'),
    ];
  if (state === 'tough')
    return [
      shape(
        [
          ...curve([10, 70], [30, 40], [60, 28], [90, 40], [110, 70]),
          ...curve([102, 74], [84, 50], [60, 39], [36, 50], [18, 74]),
        ],
        'paper',
        'bold',
      ),
      ...strokes([
        curve([14, 71], [34, 45], [60, 33], [86, 45], [106, 71]),
        curve([44, 42], [60, 20], [74, 40]),
        curve([50, 38], [62, 24], [70, 38]),
      ]),
    ];
  return undefined;
}
