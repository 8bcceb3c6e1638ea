import fc from 'fast-check';
import {
  along,
  arc,
  boxOf,
  closedCurve,
  curve,
  ellipse,
  from,
  inside,
  mirrored,
  moved,
  scaled,
  seeded,
  turned,
  type Line,
  type Point,
} from '../src/drawing/geometry';
import { boxOfMarks, dot, faint, pathData, placed, shape, stroke } from '../src/drawing/mark';

const number = fc.double({ min: -100, max: 100, noNaN: true });
const point: fc.Arbitrary<Point> = fc.tuple(number, number);
const line = fc.array(point, { minLength: 3, maxLength: 12 });
const near = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const length = (of: Line) => of.slice(1).reduce((sum, p, i) => sum + near(p, of[i]!), 0);

describe('moving a line about', () => {
  test('turning and mirroring keep every length; moving back comes home', () => {
    fc.assert(
      fc.property(line, number, point, (of, degrees, about) => {
        expect(length(turned(of, degrees, about))).toBeCloseTo(length(of), 6);
        expect(length(mirrored(of, about[0]))).toBeCloseTo(length(of), 6);
        const home = moved(moved(of, about[0], about[1]), -about[0], -about[1]);
        home.forEach((p, i) => {
          expect(near(p, of[i]!)).toBeLessThan(1e-9);
        });
        turned(turned(of, degrees, about), -degrees, about).forEach((p, i) => {
          expect(near(p, of[i]!)).toBeLessThan(1e-6);
        });
      }),
    );
  });

  test.each([
    ['a quarter turn goes clockwise on a sheet whose y runs down', turned([[1, 0]], 90), [[0, 1]]],
    ['a mirror stands upright at its x', mirrored([[1, 5]], 3), [[5, 5]]],
    ['two scales', scaled([[2, 3]], 2, 3), [[4, 9]]],
    ['up is minus ninety degrees', [from([0, 0], -90, 2)], [[0, -2]]],
  ])('%s', (_, got, wanted) => {
    got.forEach((p, i) => {
      expect(near(p, wanted[i] as unknown as Point)).toBeLessThan(1e-9);
    });
  });
});

describe('curves', () => {
  test('they go through every point they are given, in order', () => {
    fc.assert(
      fc.property(line, (through) => {
        const made = curve(...through);
        let at = -1;
        for (const p of through) {
          at = made.findIndex((q, i) => i > at - 1 && near(p, q) < 1e-6);
          expect(at).toBeGreaterThanOrEqual(0);
        }
        expect(near(made[0]!, through[0]!)).toBeLessThan(1e-9);
        expect(near(made[made.length - 1]!, through[through.length - 1]!)).toBeLessThan(1e-9);
      }),
    );
  });

  test('a straight row stays straight', () => {
    for (const [x, y] of curve([0, 0], [10, 10], [30, 30], [40, 40])) expect(y).toBeCloseTo(x, 9);
  });

  test('a closed curve through a circle comes close to it', () => {
    const corners = Array.from({ length: 12 }, (_, i) => from([0, 0], i * 30, 10));
    for (const p of closedCurve(...corners)) expect(Math.abs(Math.hypot(...p) - 10)).toBeLessThan(0.15);
  });

  test('an arc begins and ends where it is asked to', () => {
    const half = arc(5, 5, 4, 2, 180, 360);
    expect(near(half[0]!, [1, 5])).toBeLessThan(1e-9);
    expect(near(half[half.length - 1]!, [9, 5])).toBeLessThan(1e-9);
    expect(boxOf([half]).top).toBeCloseTo(3, 6);
    const whole = ellipse(0, 0, 3, 2);
    expect(near(whole[0]!, whole[whole.length - 1]!)).toBeGreaterThan(0.1);
    for (const [x, y] of whole) expect((x / 3) ** 2 + (y / 2) ** 2).toBeCloseTo(1, 9);
  });
});

describe('asking a line', () => {
  test('half way along an angle is its corner; before and after it the heading differs', () => {
    const angle: Line = [
      [0, 0],
      [10, 0],
      [10, 10],
    ];
    expect(near(along(angle, 0.25).at, [5, 0])).toBeLessThan(1e-9);
    expect(along(angle, 0.25).heading).toBeCloseTo(0, 9);
    expect(near(along(angle, 0.75).at, [10, 5])).toBeLessThan(1e-9);
    expect(along(angle, 0.75).heading).toBeCloseTo(90, 9);
    expect(near(along(angle, 2).at, [10, 10])).toBeLessThan(1e-9);
    expect(near(along(angle, -1).at, [0, 0])).toBeLessThan(1e-9);
  });

  test('what is inside an ellipse is what its formula says', () => {
    const outline = ellipse(0, 0, 10, 6);
    fc.assert(
      fc.property(
        fc.double({ min: -14, max: 14, noNaN: true }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        (x, y) => {
          const r = (x / 10) ** 2 + (y / 6) ** 2;
          if (Math.abs(r - 1) > 0.03) expect(inside([x, y], outline)).toBe(r < 1);
        },
      ),
    );
  });

  test('a seed gives the same numbers, spread over the whole range', () => {
    const [a, b, c] = [seeded(7), seeded(7), seeded(8)];
    const drawn = Array.from({ length: 2000 }, a);
    expect(Array.from({ length: 2000 }, b)).toEqual(drawn);
    expect(c()).not.toBe(drawn[0]);
    expect(drawn.every((n) => n >= 0 && n < 1)).toBe(true);
    // Ten bins of 200: further than five standard deviations (13.4) from it would be no chance.
    for (let bin = 0; bin < 10; bin += 1)
      expect(Math.abs(drawn.filter((n) => Math.floor(n * 10) === bin).length - 200)).toBeLessThan(67);
  });
});

describe('marks', () => {
  test('path data: open or closed, to a tenth', () => {
    expect(
      pathData(
        stroke([
          [0, 0],
          [1.26, -2],
        ]),
      ),
    ).toBe('M0 0L1.3 -2');
    expect(
      pathData(
        shape([
          [0, 0],
          [4, 0],
          [4, 4],
        ]),
      ),
    ).toBe('M0 0L4 0L4 4Z');
  });

  test('placing mirrors, scales, turns and moves, in this order', () => {
    const [mark] = placed(
      [
        stroke([
          [1, 0],
          [2, 0],
        ]),
      ],
      { mirror: true, scale: 2, turn: 90, at: [10, 10] },
    );
    expect(near(mark!.line[0]!, [10, 8])).toBeLessThan(1e-9);
    expect(near(mark!.line[1]!, [10, 6])).toBeLessThan(1e-9);
  });

  test('faint keeps what has no ink without it', () => {
    expect(
      faint([
        stroke(
          [
            [0, 0],
            [1, 1],
          ],
          'bold',
        ),
        dot(3, 3),
      ]).map((mark) => mark.ink),
    ).toEqual(['faint', 'none']);
    expect(boxOfMarks([dot(3, 3, 1), dot(9, 3, 1)])).toMatchObject({ left: 2, right: 10 });
  });
});
