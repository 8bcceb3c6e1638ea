import { strewn } from './fungus';
import { type Line, curve, from, along, ellipse, closedCurve } from './geometry';
import { type Outline, OUTLINES, blade } from './leaf';
import { type Mark, stroke, dot, shape, type Fill, strokes, segment } from './mark';

/** What a stem shows on its surface. */

export const small = (length: number, outline: Outline = OUTLINES.ovate): Mark[] =>
  blade({ outline, length, venation: 'one' });

/** A smooth stretch of stem, seen from the side. */
export const stretch = (half = 11): Line => [
  ...curve([60 - half, 4], [60 - half + 1, 40], [60 - half - 0.6, 78]),
  ...curve([60 + half + 0.6, 78], [60 + half - 1, 40], [60 + half, 4]),
];

/** Hairs along an outline, standing off it by so much; with a knob if wanted. */
export function hairs(line: Line, count: number, long: number, side: 1 | -1, knob = false): Mark[] {
  return Array.from({ length: count }, (_, i) => {
    const { at, heading } = along(line, (i + 0.5) / count);
    const tip = from(at, heading + side * 78, long);
    return [stroke([at, tip], 'fine'), ...(knob ? [dot(tip[0], tip[1], 1.5)] : [])];
  }).flat();
}

export function stemHairs(state: string): Mark[] | undefined {
  const body = stretch();
  const [left, right] = [curve([49, 4], [50, 40], [48.4, 78]), curve([71, 4], [70, 40], [71.6, 78])];
  const both = (count: number, long: number, knob = false) => [
    ...hairs(left, count, long, 1, knob),
    ...hairs(right, count, long, -1, knob),
  ];
  switch (state) {
    case 'bare':
      return [shape(body, 'paper', 'bold')];
    case 'downy':
      return [
        shape(body),
        ...both(34, 3.4),
        ...strewn(body, 5, 2).map(([x, y]) =>
          stroke(
            [
              [x, y],
              [x + 1, y - 2.6],
            ],
            'fine',
          ),
        ),
      ];
    case 'bristly':
      return [shape(body), ...both(11, 13), ...strewn(body, 10, 3).map(([x, y]) => dot(x, y, 0.9))];
    case 'glandular':
      return [shape(body), ...both(12, 8, true), ...strewn(body, 9, 4).map(([x, y]) => dot(x, y, 1.3))];
    case 'mealy':
      return [
        shape(body),
        ...strewn(body, 2.9, 5, 220).map(([x, y]) => shape(ellipse(x, y, 0.9), 'paper', 'fine')),
      ];
    default:
      return undefined;
  }
}

export function stemMarks(state: string): Mark[] | undefined {
  const body = stretch(13);
  switch (state) {
    case 'plain':
      return [shape(body, 'paper', 'bold')];
    case 'spotted':
      return [
        shape(body, 'paper', 'bold'),
        ...strewn(body, 8, 7).map(([x, y], i) =>
          shape(
            closedCurve([x - 2.2 - (i % 2), y], [x, y - 2], [x + 2.4, y + 0.6], [x, y + 2.6 + (i % 3)]),
            'ink',
            'none',
          ),
        ),
      ];
    case 'flushed':
      return [shape(body, 'shade', 'bold')];
    default:
      return undefined;
  }
}

/** A stem snapped in two, with what comes out of it. */
export function sap(fill: Fill): Mark[] {
  const drop = (x: number, y: number): Mark =>
    shape(closedCurve([x, y - 7], [x + 4, y + 1], [x, y + 5], [x - 4, y + 1]), fill, 'line');
  return [
    shape(
      [
        [16, 24],
        [54, 18],
        [58, 24],
        [54, 30],
        [58, 36],
        [18, 42],
      ],
      'paper',
      'bold',
    ),
    shape(
      [
        [66, 20],
        [104, 30],
        [101, 48],
        [66, 38],
        [70, 32],
        [64, 26],
      ],
      'paper',
      'bold',
    ),
    ...(fill === 'none' ? [] : [drop(59, 48), drop(68, 54), drop(61, 66)]),
  ];
}

/** A thumb drawn along a stem: where it went, the bloom is gone. */
export function bloom(state: string): Mark[] | undefined {
  const body = stretch(13);
  if (state === 'none') return [shape(body, 'paper', 'bold')];
  if (state !== 'rubs-off') return undefined;
  return [
    shape(body, 'shade', 'bold'),
    shape(closedCurve([52, 60], [51, 40], [56, 22], [64, 22], [69, 40], [68, 60], [60, 66]), 'paper', 'fine'),
  ];
}

/** A fingertip beside a stem, with or without hairs that hurt. */
export function sting(state: string): Mark[] | undefined {
  const finger = [
    shape([...curve([112, 26], [88, 26], [80, 34], [80, 44], [88, 52], [112, 52])], 'paper', 'line'),
    stroke(curve([86, 34], [83, 39], [86, 45]), 'fine'),
  ];
  const body: Line = [
    [36, 4],
    [54, 4],
    [54, 78],
    [36, 78],
  ];
  if (state === 'none') return [shape(body, 'paper', 'bold'), ...finger];
  if (state !== 'stings') return undefined;
  return [
    shape(body, 'paper', 'bold'),
    ...[12, 24, 36, 48, 60, 72].flatMap((y) => [
      stroke(
        [
          [54, y],
          [68, y - 5],
        ],
        'line',
      ),
      stroke(
        [
          [36, y],
          [22, y - 5],
        ],
        'line',
      ),
    ]),
    ...finger,
    ...strokes([segment(74, 16, 80, 24), segment(88, 10, 90, 20), segment(102, 12, 100, 20)], 'bold'),
  ];
}

/** A whole stem with side branches, flushed or blotched so far up. */
export function marksExtent(state: string): Mark[] | undefined {
  const up: Line = [...curve([52, 78], [54, 40], [56, 6]), ...curve([64, 6], [66, 40], [68, 78])];
  const branches = strokes([curve([62, 34], [78, 24], [88, 10]), curve([58, 26], [44, 18], [34, 6])], 'bold');
  const blotches = (from: number) =>
    [76, 70, 63, 57, 50, 43, 36, 28, 20, 13]
      .filter((y) => y > from)
      .map((y, i) =>
        shape(
          closedCurve(
            [58 + (i % 2) * 3, y],
            [60 + (i % 2) * 3, y - 2.4],
            [62.4 + (i % 2) * 3, y],
            [60 + (i % 2) * 3, y + 2.6],
          ),
          'ink',
          'none',
        ),
      );
  switch (state) {
    case 'no-marks':
      return [shape(up, 'paper', 'bold'), ...branches];
    case 'base-only':
      return [shape(up, 'paper', 'bold'), ...branches, ...blotches(52)];
    case 'all-the-way':
      return [
        shape(up, 'paper', 'bold'),
        ...branches,
        ...blotches(0),
        dot(78, 24, 2),
        dot(84, 16, 2),
        dot(44, 18, 2),
        dot(38, 11, 2),
      ];
    default:
      return undefined;
  }
}
