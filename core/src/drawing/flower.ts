import { type Point, curve, from } from './geometry';
import { umbel, umbellet, bud } from './inflorescence';
import { type Mark, placed, stroke, faint, segment, strokes, shape } from './mark';
import { rosette, petal } from './petals';

export * from './flowerForm';
export * from './inflorescence';

const narrow = (at: Point, turn: number, length: number): Mark =>
  placed(
    [
      stroke(
        [
          [0, 0],
          [0, -length],
        ],
        'bold',
      ),
    ],
    { at, turn },
  )[0] as Mark;

export function bracts(state: string): Mark[] | undefined {
  const under: readonly number[] | undefined = {
    none: [],
    few: [-104, 100],
    many: [-152, -128, -104, 104, 128, 152],
  }[state];
  return (
    under && [
      ...faint([stroke(segment(60, 78, 60, 46), 'bold'), ...umbel([60, 46], 7, 32, umbellet)]),
      ...under.map((turn) => narrow([60, 46], turn, 19)),
    ]
  );
}

export function bracteoles(state: string): Mark[] | undefined {
  const sides: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
    none: [],
    ring: [
      [-150, 15],
      [-118, 15],
      [-92, 14],
      [92, 14],
      [118, 15],
      [150, 15],
    ],
    'one-sided-short': [
      [100, 12],
      [124, 12],
      [148, 12],
    ],
    'one-sided-long': [
      [142, 26],
      [160, 29],
      [176, 26],
    ],
  };
  const under = sides[state];
  return (
    under && [
      ...faint([
        stroke(curve([48, 78], [52, 60], [60, 42]), 'bold'),
        ...umbel([60, 42], 9, 28, ([x, y]) => [bud(x, y, 3.2)], 70),
      ]),
      ...under.map(([turn, length]) => narrow([60, 42], turn, length)),
    ]
  );
}

export function outerPetals(state: string): Mark[] | undefined {
  const floret = (x: number, y: number, size: number) => rosette([x, y], 5, size);
  const inner = (
    [
      [48, 34],
      [60, 30],
      [72, 34],
      [52, 46],
      [68, 46],
      [60, 40],
    ] as const
  ).flatMap(([x, y]) => floret(x, y, 4.6));
  const ring = Array.from({ length: 10 }, (_, i) => i * 36);
  if (state === 'even') return [...inner, ...ring.flatMap((a) => floret(...from([60, 39], a, 24), 4.6))];
  if (state === 'enlarged')
    return [
      ...inner,
      ...ring.flatMap((a) => {
        const at = from([60, 39], a, 23);
        return [
          ...floret(at[0], at[1], 4.2),
          ...[-17, 17].flatMap((off) =>
            placed(petal(14, { base: 1, tip: 0.4, ratio: 1.7 }), { at, turn: a + 90 + off }),
          ),
        ];
      }),
    ];
  return undefined;
}

export function disc(state: string): Mark[] | undefined {
  const rays = (drop: number) =>
    [-1, 1].flatMap((s) =>
      strokes([curve([60 + s * 24, 50], [60 + s * 38, 50 + drop], [60 + s * 46, 56 + drop * 1.5])], 'bold'),
    );
  const foot = [stroke(segment(57, 78, 57, 56), 'line'), stroke(segment(63, 78, 63, 56), 'line')];
  switch (state) {
    case 'hollow-cone':
      return [
        ...foot,
        shape(
          [
            ...curve([36, 52], [46, 34], [54, 14], [60, 8]),
            ...curve([60, 8], [66, 14], [74, 34], [84, 52]).slice(1),
            ...curve([84, 52], [60, 58], [36, 52]).slice(1),
          ],
          'shade',
          'bold',
        ),
        shape(curve([60, 18], [66, 34], [70, 48], [60, 51], [50, 48], [54, 34], [60, 18]), 'paper', 'line'),
        ...rays(6),
      ];
    case 'solid':
      return [
        ...foot,
        shape(
          [
            ...curve([36, 52], [44, 30], [60, 18], [76, 30], [84, 52]),
            ...curve([84, 52], [60, 58], [36, 52]).slice(1),
          ],
          'shade',
          'bold',
        ),
        ...rays(4),
      ];
    case 'flat':
      return [
        ...foot,
        shape(
          [...curve([36, 48], [60, 43], [84, 48]), ...curve([84, 52], [60, 57], [36, 52])],
          'shade',
          'bold',
        ),
        ...rays(2),
      ];
    default:
      return undefined;
  }
}
