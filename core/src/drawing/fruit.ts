import { strewn } from './fungus';
import {
  arc,
  closedCurve,
  curve,
  ellipse,
  from,
  mirrored,
  symmetric,
  type Line,
  type Point,
} from './geometry';
import { blade, OUTLINES } from './leaf';
import { dot, faint, placed, segment, shape, stroke, strokes, type Mark } from './mark';

const leaf = (at: Point, turn: number, length = 24): Mark[] =>
  placed(blade({ outline: OUTLINES.elliptic, length, venation: 'one' }), { at, turn });
const berry = (x: number, y: number, r = 5): Mark => shape(ellipse(x, y, r), 'shade', 'line');
const NUT = symmetric(60, [60, 10], [78, 22], [86, 44], [76, 62], [60, 68]);
const lens = (at: Point, degrees: number): Mark =>
  placed([shape(closedCurve([0, -3.4], [3, 0], [0, 3.4], [-3, 0]), 'paper', 'line')], {
    at,
    turn: degrees,
  })[0] as Mark;

export function type(state: string): Mark[] | undefined {
  switch (state) {
    case 'berry':
      return [
        stroke(curve([60, 4], [58, 10], [60, 17]), 'bold'),
        shape(ellipse(60, 44, 28, 27), 'shade', 'line'),
        stroke(arc(60, 44, 20, 19, 190, 250), 'fine'),
        ...strokes([curve([56, 69], [60, 66], [64, 69])], 'line'),
      ];
    case 'capsule':
      return [
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
      ];
    case 'schizocarp':
      return [
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
      ];
    case 'stone-fruit':
      return [
        stroke(curve([60, 2], [58, 8], [60, 14]), 'bold'),
        shape(ellipse(60, 44, 30), 'paper', 'bold'),
        shape(ellipse(60, 45, 15, 17), 'shade', 'line'),
        ...strokes([curve([54, 36], [56, 45], [54, 55]), curve([64, 36], [66, 45], [64, 55])]),
      ];
    case 'nut':
      return [
        shape(NUT, 'shade', 'line'),
        shape(closedCurve([44, 58], [60, 54], [76, 58], [72, 68], [60, 71], [48, 68]), 'paper', 'line'),
        stroke(curve([50, 22], [46, 36], [48, 50]), 'fine'),
      ];
    case 'fleshy-cone':
      return [
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
      ];
    case 'aril':
      return [
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
      ];
    case 'pod':
      return [
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
      ];
    case 'strawberry':
      return [
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
      ];
    case 'nutlets':
      return [
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
      ];
    case 'down':
      return [
        shape(closedCurve([60, 76], [63, 66], [62, 52], [60, 48], [58, 52], [57, 66]), 'ink', 'line'),
        stroke(segment(60, 48, 60, 42), 'line'),
        ...Array.from({ length: 11 }, (_, i) =>
          stroke([[60, 42], from([60, 42], -162 + i * 14.4, 34)], 'fine'),
        ),
      ];
    default:
      return undefined;
  }
}

export function crown(state: string): Mark[] | undefined {
  const ball = shape(ellipse(60, 42, 27), 'shade', 'line');
  switch (state) {
    case 'ring-scar':
      return [
        ball,
        shape(ellipse(60, 30, 13, 7), 'paper', 'bold'),
        shape(ellipse(60, 30, 8, 4), 'shade', 'line'),
        dot(60, 30, 1.4),
      ];
    case 'calyx-star':
      return [
        ...Array.from({ length: 5 }, (_, i) =>
          placed(blade({ outline: OUTLINES.ovate, length: 36, venation: 'one' }), {
            at: [60, 44],
            turn: i * 72,
          }),
        ).flat(),
        shape(ellipse(60, 44, 19), 'shade', 'bold'),
      ];
    case 'leaf-collar':
      return [
        stroke(segment(60, 78, 60, 54), 'bold'),
        ...[-82, -40, 40, 82].flatMap((turn) => leaf([60, 62], turn, 44)),
        ...[-100, -70, 70, 100, -130, 130].map((turn) =>
          stroke([[60, 38], from([60, 38], turn - 90, 26)], 'line'),
        ),
        shape(ellipse(60, 30, 14), 'ink', 'line'),
      ];
    case 'neither':
      return [stroke(curve([60, 4], [60, 15]), 'line'), ball];
    case 'three-seam':
      return [
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
      ];
    case 'joined':
      return [
        stroke(segment(60, 78, 60, 60), 'bold'),
        shape(ellipse(45, 40, 20), 'shade', 'line'),
        shape(ellipse(75, 40, 20), 'shade', 'line'),
        shape(closedCurve([56, 34], [64, 34], [66, 50], [60, 60], [54, 50]), 'shade', 'none'),
        stroke(curve([56, 24], [60, 28], [64, 24]), 'line'),
      ];
    default:
      return undefined;
  }
}

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

export function position(state: string): Mark[] | undefined {
  const axis = stroke(segment(60, 78, 60, 4), 'bold');
  switch (state) {
    case 'axil':
      return [
        axis,
        ...faint([...leaf([60, 60], -54, 34), ...leaf([60, 34], 54, 34)]),
        ...[
          [46, 62],
          [74, 36],
        ].flatMap(([x = 0, y = 0]) => [
          stroke(
            [
              [60, y - 2],
              [x, y + 1],
            ],
            'line',
          ),
          berry(x, y + 6, 6),
        ]),
      ];
    case 'single-top':
      return [
        stroke(segment(60, 78, 60, 26), 'bold'),
        ...faint([-76, -34, 34, 76].flatMap((turn) => leaf([60, 40], turn, 36))),
        berry(60, 18, 9),
      ];
    case 'cluster':
      return [
        stroke(curve([60, 2], [60, 18]), 'bold'),
        ...faint([...leaf([60, 12], -84, 30), ...leaf([60, 12], 84, 30)]),
        ...[
          [46, 26],
          [60, 24],
          [74, 26],
          [40, 38],
          [53, 38],
          [67, 38],
          [80, 38],
          [47, 50],
          [60, 50],
          [73, 50],
          [54, 62],
          [67, 62],
          [60, 72],
        ].map(([x = 0, y = 0]) => berry(x, y, 6.4)),
      ];
    case 'tight-on-twig':
      return [
        axis,
        ...faint([...leaf([60, 20], -62, 30), ...leaf([60, 20], 62, 30)]),
        ...[34, 44, 54, 64].flatMap((y, i) => [berry(52, y, 5.4), berry(68, y + (i % 2) * 3, 5.4)]),
      ];
    case 'pair':
      return [
        axis,
        ...faint([...leaf([60, 46], -60, 32)]),
        stroke(
          [
            [60, 48],
            [82, 38],
          ],
          'line',
        ),
        berry(78, 48, 8),
        berry(92, 42, 8),
      ];
    case 'one-sided-row':
      return [
        stroke(curve([18, 70], [46, 30], [102, 14]), 'bold'),
        ...[
          [34, 56],
          [48, 46],
          [62, 39],
          [77, 34],
          [92, 31],
        ].flatMap(([x = 0, y = 0]) => [
          stroke(
            [
              [x - 3, y - 8],
              [x, y],
            ],
            'line',
          ),
          berry(x + 1, y + 6, 6),
        ]),
      ];
    case 'small-cluster':
      return [
        axis,
        ...faint([...leaf([60, 58], -54, 36), ...leaf([60, 26], 54, 36)]),
        ...[
          [44, 60],
          [78, 30],
        ].flatMap(([x = 0, y = 0]) =>
          [
            [-5, 2],
            [5, 3],
            [0, -6],
          ].flatMap(([dx = 0, dy = 0]) => [
            stroke(
              [
                [60, y - 2],
                [x + dx, y + dy],
              ],
              'fine',
            ),
            berry(x + dx, y + dy, 5),
          ]),
        ),
      ];
    default:
      return undefined;
  }
}

export function umbelFruit(state: string): Mark[] | undefined {
  const styles = (y = 14) =>
    strokes([curve([58, y], [54, y - 7], [47, y - 8]), curve([62, y], [66, y - 7], [73, y - 8])], 'line');
  const ribs = (lines: readonly Line[]) =>
    strokes(
      lines.flatMap((line) => [line, mirrored(line, 60)]),
      'line',
    );
  switch (state) {
    case 'flat-winged':
      return [
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
      ];
    case 'wavy-globe':
      return [
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
      ];
    case 'ribbed-globe':
      return [
        ...styles(),
        shape(symmetric(60, [60, 14], [78, 20], [87, 42], [78, 66], [60, 74]), 'shade', 'bold'),
        ...[0, 11, 20].flatMap((dx) =>
          [1, -1].map((s) =>
            stroke(curve([60 + s * dx * 0.5, 17], [60 + s * dx, 44], [60 + s * dx * 0.5, 71]), 'bold'),
          ),
        ),
      ];
    case 'crescent':
      return [
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
      ];
    case 'long-smooth':
      return [
        ...styles(13),
        shape(symmetric(60, [60, 13], [66, 28], [70, 56], [65, 72], [60, 76]), 'shade', 'bold'),
      ];
    case 'barrel':
      return [
        shape(symmetric(60, [60, 26], [78, 28], [84, 50], [78, 70], [60, 74]), 'shade', 'bold'),
        ...ribs([curve([62, 28], [64, 50], [62, 72]), curve([70, 28], [75, 50], [70, 71])]),
        ...strokes([curve([54, 26], [50, 14], [44, 4]), curve([66, 26], [70, 14], [76, 4])], 'bold'),
      ];
    default:
      return undefined;
  }
}

export function nutCase(state: string): Mark[] | undefined {
  const ball = ellipse(60, 42, 25);
  switch (state) {
    case 'needle-case':
      return [
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
      ];
    case 'thorn-case':
      return [
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
      ];
    case 'leafy-cup':
      return [
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
      ];
    default:
      return undefined;
  }
}

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

export function stalk(state: string): Mark[] | undefined {
  const twig = (y: number): Mark =>
    shape(
      [
        [12, y],
        [108, y - 3],
        [108, y + 3],
        [12, y + 5],
      ],
      'paper',
      'line',
    );
  switch (state) {
    case 'sessile':
      return [twig(46), ...faint(leaf([30, 44], -10, 22)), ...[54, 80].map((x) => berry(x, 34, 10.5))];
    case 'upright':
      return [
        twig(66),
        ...[48, 78].flatMap((x, i) => [
          stroke(curve([x, 65], [x + (i ? 4 : -4), 44], [x + (i ? 6 : -6), 34]), 'bold'),
          berry(x + (i ? 7 : -7), 22, 11),
        ]),
      ];
    case 'hanging':
      return [
        twig(14),
        ...[48, 78].flatMap((x) => [
          stroke(curve([x, 18], [x + 6, 26], [x + 3, 44]), 'bold'),
          berry(x + 3, 55, 11),
        ]),
      ];
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
