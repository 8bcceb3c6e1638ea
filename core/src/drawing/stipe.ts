import { GROUND, MIDDLE, strewn, shrunk, capOutline } from './fungus';
import { type Line, curve, mirrored, type Point, inside, ellipse, arc } from './geometry';
import { type Mark, shape, type Ink, strokes, stroke, segment, dot, type Drawings } from './mark';

export * from './stipeVeil';
export * from './stipeGround';

/** Left halves of stems, from the cap down. */
const STEMS: Readonly<Record<string, Line>> = {
  tapering: [
    [46, 24],
    [50, 44],
    [55, 62],
    [57, GROUND],
  ],
  cylindrical: [
    [52, 24],
    [52, 48],
    [52, GROUND],
  ],
  club: [
    [54, 24],
    [52, 44],
    [46, 62],
    [45, 72],
    [52, 76],
  ],
  bulbous: [
    [51, 26],
    [46, 40],
    [36, 58],
    [38, 72],
    [50, 76],
  ],
  'bulb-foot': [
    [55, 24],
    [54, 46],
    [53, 60],
    [47, 66],
    [47, 73],
    [54, 77],
  ],
};

export function stipeShape(state: string): Mark[] | undefined {
  const left = STEMS[state];
  if (!left) return undefined;
  const line = curve(...left);
  return [
    shape([...line, ...[...mirrored(line, MIDDLE)].reverse()], 'paper', 'bold'),
    shape(
      [
        ...curve([22, 24], [34, 10], [60, 5], [86, 10], [98, 24]),
        ...curve([98, 24], [60, 29], [22, 24]).slice(1, -1),
      ],
      'paper',
      'faint',
    ),
  ];
}
const body: Line = [...curve([44, 6], [43, 40], [38, GROUND]), ...curve([82, GROUND], [77, 40], [76, 6])];
const net = (size: number, to: number, ink: Ink) => {
  const lines: Line[] = [];
  for (let y = 4; y < to; y += size * 1.5)
    for (const slope of [1, -1]) {
      lines.push(
        Array.from({ length: 15 }, (_, i): Point => [
          44 + (32 * i) / 14,
          y + slope * ((size * 5 * i) / 14 - size * 2.5) + 8,
        ]),
      );
    }
  return strokes(
    lines.map((line) => line.filter((p) => inside(p, body) && p[1] < to)).filter((line) => line.length > 1),
    ink,
  );
};

/** A stout stem with what is drawn on it. */
export function stipeNet(state: string): Mark[] | undefined {
  return STIPE_NETS[state]?.();
}

const STIPE_NETS: Drawings = {
  none: () => [shape(body)],
  'fine-net': () => [shape(body), ...net(3.4, 34, 'fine')],
  'coarse-net': () => [shape(body), ...net(6.4, 66, 'line')],
  bands: () => [
    shape(body),
    ...[16, 28, 40, 52, 64].map((y, i) =>
      stroke(
        Array.from({ length: 11 }, (_, k): Point => [42 + (36 * k) / 10, y + (k % 2 ? 3.4 : 0) + (i % 2)]),
        'line',
      ),
    ),
  ],
  scales: () => [
    shape(body),
    ...strewn(body, 8.4, 12).map(([x, y]) =>
      stroke(
        [
          [x - 2.6, y - 1],
          [x, y + 2.6],
          [x + 2.6, y - 1],
        ],
        'line',
      ),
    ),
  ],
  pits: () => [
    shape(body),
    ...strewn(shrunk(body, 0.86), 10, 14).map(([x, y]) => shape(ellipse(x, y, 3, 2), 'shade', 'line')),
  ],
  fibres: () => [
    shape(body),
    ...strokes(
      [46, 51, 55, 60, 65, 70, 74].map((x, i) =>
        curve([x, 8 + (i % 3) * 5], [x + (x - 60) * 0.06, 38], [x + (x - 60) * 0.14, 68 - (i % 2) * 6]),
      ),
    ),
  ],
};

export function stipeInterior(state: string): Mark[] | undefined {
  const outer: Line = [...arc(60, 16, 20, 7, 180, 360), [80, 68], ...arc(60, 68, 20, 7, 0, 180)];
  const face = shape(ellipse(60, 16, 20, 7), state === 'solid' ? 'shade' : 'paper', 'bold');
  const bore = shape(ellipse(60, 16, 12, 4), 'ink', 'line');
  const inner = strokes([segment(48, 17, 48, 70), segment(72, 17, 72, 70)], 'faint');
  switch (state) {
    case 'solid':
      return [shape(outer), face];
    case 'hollow':
      return [shape(outer), face, bore, ...inner];
    case 'stuffed':
      return [
        shape(outer),
        face,
        shape(ellipse(60, 16, 12, 4), 'paper', 'line'),
        ...strewn(ellipse(60, 16, 11, 3.4), 2.2, 3).map(([x, y]) => dot(x, y, 0.7)),
        ...inner,
        ...strewn(
          [
            [48, 24],
            [72, 24],
            [72, 68],
            [48, 68],
          ],
          4,
          4,
        ).map(([x, y]) => dot(x, y, 0.8)),
      ];
    case 'thread':
      return [
        shape(outer),
        face,
        bore,
        ...inner,
        stroke(curve([60, 16], [57, 30], [63, 44], [58, 58], [61, 72]), 'line'),
      ];
    default:
      return undefined;
  }
}

export function separates(state: string): Mark[] | undefined {
  const { outline } = capOutline('convex');
  const lifted = outline.map(([x, y]): Point => [x + 16, y - 8]);
  if (state === 'socket')
    return [
      shape(lifted),
      stroke(curve([66, 36], [74, 28], [86, 36]), 'bold'),
      shape([...arc(50, 52, 8, 8, 180, 360), [58, 76], [42, 76]], 'paper', 'bold'),
    ];
  const ragged: Line = [
    [42, 50],
    [45, 42],
    [48, 49],
    [51, 40],
    [54, 48],
    [57, 43],
    [58, 50],
  ];
  if (state === 'torn')
    return [
      shape(lifted),
      ...strokes(
        [
          [
            [66, 35],
            [68, 42],
            [71, 36],
            [74, 44],
            [77, 36],
            [80, 42],
            [83, 36],
          ],
        ],
        'bold',
      ),
      shape([...ragged, [58, 76], [42, 76]], 'paper', 'bold'),
    ];
  return undefined;
}
