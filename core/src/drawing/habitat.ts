import { from, closedCurve, curve } from './geometry';
import { type Mark, stroke, segment, dot, shape, strokes, type Drawings } from './mark';
import { ground, broadleaf, conifer, tuft, bush } from './placeParts';

/** Habitats. */

export function habitat(state: string): Mark[] | undefined {
  return HABITATS[state]?.();
}

const HABITATS: Drawings = {
  'broadleaf-wood': () => [
    ground(),
    ...broadleaf(30, 70, 1.1),
    ...broadleaf(90, 70, 1.05),
    ...broadleaf(60, 70, 1.35),
  ],
  'conifer-wood': () => [ground(), ...conifer(28, 70, 1), ...conifer(92, 70, 1), ...conifer(60, 70, 1.25)],
  'mixed-wood': () => [ground(), ...conifer(36, 70, 1.2), ...broadleaf(80, 70, 1.3)],
  grassland: () => [
    ...grass(),
    shape(closedCurve([92, 28], [100, 26], [104, 32], [98, 36], [90, 34]), 'paper', 'none'),
  ],
  meadow: () => [
    ...grass(),
    ...[
      [28, 36],
      [64, 30],
      [84, 40],
    ].flatMap(([x = 0, y = 0]) => [
      stroke(segment(x, 70, x, y + 4)),
      ...Array.from({ length: 6 }, (_, i) => stroke([[x, y], from([x, y], i * 60, 5)], 'line')),
      dot(x, y, 1.8),
    ]),
  ],
  heath: () => [
    ground(),
    ...bush(28, 70, 1.1),
    ...bush(62, 70, 0.9),
    ...bush(92, 70, 1.15),
    ...tuft(46, 70),
    ...tuft(78, 70),
  ],
  park: () => [
    ground(),
    ...broadleaf(38, 70, 1.35),
    ...strokes(
      [
        segment(72, 58, 104, 58),
        segment(72, 52, 104, 52),
        segment(76, 58, 76, 70),
        segment(100, 58, 100, 70),
      ],
      'bold',
    ),
  ],
  'wood-edge': () => [
    ground(),
    ...broadleaf(24, 70, 1.3),
    ...broadleaf(50, 70, 1.05),
    ...bush(74, 70, 0.8),
    ...tuft(92, 70),
    ...tuft(104, 70),
  ],
  'alpine-pasture': () => [
    stroke(
      [
        [8, 50],
        [30, 14],
        [44, 34],
        [66, 8],
        [92, 46],
        [112, 30],
      ],
      'line',
    ),
    ...strokes([
      [
        [58, 18],
        [64, 24],
        [68, 18],
        [74, 22],
      ],
      [
        [24, 24],
        [30, 28],
        [36, 24],
      ],
    ]),
    stroke(curve([8, 66], [40, 52], [80, 56], [112, 48]), 'line'),
    ...tuft(28, 70),
    ...tuft(60, 68),
    ...tuft(92, 66),
  ],
  garden: () => [
    ground(),
    shape(
      [
        [46, 70],
        [46, 42],
        [66, 26],
        [86, 42],
        [86, 70],
      ],
      'paper',
      'line',
    ),
    shape([
      [60, 70],
      [60, 54],
      [72, 54],
      [72, 70],
    ]),
    ...bush(24, 70, 1),
    ...bush(100, 70, 0.8),
  ],
  'waste-ground': () => [
    stroke(curve([8, 34], [60, 30], [112, 34]), 'line'),
    ...[20, 40, 60, 80, 100].map((x) =>
      stroke(curve([60 + (x - 60) * 0.5, 34], [60 + (x - 60) * 0.9, 54], [60 + (x - 60) * 1.15, 76]), 'line'),
    ),
    ...tuft(20, 34),
    ...tuft(34, 33),
    ...tuft(90, 34),
  ],
  riverbank: () => [
    stroke(curve([8, 30], [30, 32], [44, 44], [52, 62], [54, 76]), 'bold'),
    ...tuft(18, 30, 1.4),
    ...tuft(34, 36, 1.4),
    ...strokes(
      [
        [56, 46],
        [62, 58],
        [66, 70],
      ].map(([x = 0, y = 0]) =>
        curve([x, y], [x + 8, y - 3], [x + 16, y], [x + 24, y - 3], [x + 32, y], [x + 42, y - 2]),
      ),
      'line',
    ),
  ],
};

const grass = (): Mark[] => [
  ground(),
  ...[18, 36, 54, 72, 90, 104].flatMap((x, i) => tuft(x, 70, 1.5 + (i % 2) * 0.8)),
];
