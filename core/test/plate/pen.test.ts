import fc from 'fast-check';
import { inside, seeded, type Line, type Point } from '../../src/drawing';
import { lightness, lit, mixed, shaded, washOf } from '../../src/drawing/plate/colours';
import { penFor } from '../../src/drawing/plate/ink';
import { denser, field, hatching, stroked, thinned } from '../../src/drawing/plate/pen';
import { body, hairs, merged, pen, put } from '../../src/drawing/plate/sketch';

const steady = () => 0;
const round = (r: number, count = 40): Line =>
  Array.from({ length: count }, (_, i): Point => [
    r * Math.cos((i * 2 * Math.PI) / count),
    r * Math.sin((i * 2 * Math.PI) / count),
  ]);
const lengthOf = ([[ax, ay], [bx, by]]: readonly [Point, Point]) => Math.hypot(bx - ax, by - ay);

describe('a stroke', () => {
  test('is widest along its middle and ends thin', () => {
    const line: Line = Array.from({ length: 21 }, (_, i): Point => [i * 5, 0]);
    const outline = stroked(line, false, 2, steady);
    expect(outline).toHaveLength(42);
    const width = (i: number) => lengthOf([outline[i] as Point, outline[41 - i] as Point]);
    expect(width(10)).toBeCloseTo(4, 5);
    expect(width(0)).toBeLessThan(1.5);
    expect(width(20)).toBeLessThan(1.5);
  });

  test('round an outline is heavier on the lower right, away from the light, whichever way it runs', () => {
    for (const line of [round(50), [...round(50)].reverse()]) {
      const outline = stroked(line, true, 2, steady);
      const widthNear = (x: number, y: number) => {
        const i = line.findIndex((point) => lengthOf([point, [x, y]]) < 6);
        return lengthOf([outline[i] as Point, outline[outline.length - 1 - i] as Point]);
      };
      expect(widthNear(35.4, 35.4)).toBeGreaterThan(widthNear(-35.4, -35.4) * 1.8);
    }
  });

  test('what wavers stays within its width', () => {
    const waver = field(4, 9);
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        (x, y) => {
          expect(Math.abs(waver(x, y))).toBeLessThanOrEqual(1);
          // What is near moves together.
          expect(Math.abs(waver(x, y) - waver(x + 0.01, y))).toBeLessThan(0.02);
        },
      ),
    );
  });
});

describe('hatching', () => {
  test('lies inside its outline, and with light on it only on the far side', () => {
    const outline = round(30);
    const all = hatching(outline, { gap: 2, slant: 24 }, seeded(1));
    const shadow = hatching(outline, { gap: 2, slant: 24, away: [-9, -5] }, seeded(1));
    for (const line of [...all, ...shadow])
      for (const [x, y] of line) expect(Math.hypot(x, y)).toBeLessThan(30.01);
    const middle = (lines: readonly Line[]) =>
      lines.flat().reduce((sum, [x, y]) => sum + x * 0.87 + y * 0.49, 0) / lines.flat().length;
    expect(middle(shadow)).toBeGreaterThan(middle(all) + 5);
    const long = (lines: readonly Line[]) =>
      lines.reduce((sum, line) => sum + lengthOf([line[0] as Point, line[1] as Point]), 0);
    expect(long(shadow)).toBeLessThan(long(all) * 0.6);
  });

  test('leaves a hole open', () => {
    // A frame: the outline runs round the inside as well.
    const frame: Line = [
      [0, 0],
      [30, 0],
      [30, 30],
      [0, 30],
      [0, 0],
      [10, 10],
      [10, 20],
      [20, 20],
      [20, 10],
      [10, 10],
    ];
    for (const line of hatching(frame, { gap: 1.5, slant: 0 }, seeded(2)))
      for (const share of [0.1, 0.5, 0.9]) {
        const [[ax, ay], [bx, by]] = line as [Point, Point];
        expect(inside([ax + (bx - ax) * share, ay + (by - ay) * share], frame)).toBe(true);
      }
  });
});

describe('points of a line', () => {
  test('between far ones there are more, and near ones are left out; the ends stay', () => {
    const line: Line = [
      [0, 0],
      [100, 0],
    ];
    const dense = denser(line, 7);
    expect(dense.length).toBeGreaterThan(12);
    expect(dense.every(([, y]) => y === 0)).toBe(true);
    const few = thinned(round(10, 400), 2);
    expect(few.length).toBeLessThan(60);
    expect(few[0]).toEqual(round(10, 400)[0]);
    expect(few.at(-1)).toEqual(round(10, 400).at(-1));
    expect(thinned(line, 500)).toEqual(line);
  });
});

describe('washes', () => {
  test('are paler than their swatch, lit and shaded on either side of it; what is not stated is paper', () => {
    expect(washOf(undefined)).toBe('paper');
    const wash = washOf('#7b5335');
    expect(lightness(wash)).toBeGreaterThan(lightness('#7b5335'));
    expect(lightness(lit(wash))).toBeGreaterThan(lightness(wash));
    expect(lightness(shaded(wash))).toBeLessThan(lightness(wash));
    expect([lit('paper'), shaded('paper')]).toEqual(['paper', 'shade']);
    expect(mixed('#000000', '#ffffff', 0.5)).toBe('#808080');
  });
});

describe('a pen', () => {
  const drawing = [
    body(round(20), '#7b5335'),
    pen([
      [
        [0, 0],
        [40, 40],
      ],
    ]),
    hairs([
      [
        [0, 0],
        [30, 3],
      ],
    ]),
  ];

  test('puts millimetres onto the sheet; the same seed is the same hand, another one another', () => {
    const ink = (seed: number) => penFor(2, [100, 100], seed, 'full').ink(drawing);
    expect(ink(1)).toEqual(ink(1));
    expect(ink(1)).not.toEqual(ink(2));
    const [wash] = ink(1);
    for (const [x, y] of wash!.line) expect(Math.abs(Math.hypot(x - 100, y - 100) - 40)).toBeLessThan(1.2);
  });

  test('draws a small plate in plain strokes, without hairs', () => {
    const small = penFor(2, [100, 100], 1, 'small').ink(drawing);
    expect(small.map(({ ink, fill }) => [ink, fill])).toEqual([
      ['none', '#7b5335'],
      ['line', 'none'],
      ['line', 'none'],
    ]);
  });

  test('draws no fine lines on what is tiny', () => {
    const tiny = penFor(0.1, [0, 0], 1, 'full').ink([
      hairs([
        [
          [0, 0],
          [30, 3],
        ],
      ]),
    ]);
    expect(tiny).toEqual([]);
  });
});

test('many of the same are drawn as one of each of their parts', () => {
  const flower = [
    body(round(2)),
    pen([
      [
        [0, 0],
        [0, 5],
      ],
    ]),
  ];
  const many = merged([0, 10, 20].map((x) => put(flower, { at: [x, 0] })));
  expect(many.map((sketch) => sketch.lines.length)).toEqual([3, 3]);
  expect(merged([])).toEqual([]);
});
