import fc from 'fast-check';
import { bladeOutline, halfWidth, OUTLINES } from '../src/drawing';
import {
  bladeForm,
  CARD,
  HELD_WITHIN,
  lengthOnPicture,
  lengthOnScreen,
  onPlane,
  outlineTerm,
  PICKED_WITHIN,
  planeFromCard,
  rulerFromCard,
  type Pixel,
} from '../src/measuring';

/**
 * A pinhole camera over a table, tilted by `tilt` degrees about an axis in the table at `axis` degrees: where
 * a place on the table, in mm, comes out on a picture of 1000 pixels' width. Written from the camera's
 * equations, not from the map it tests.
 */
function camera({ tilt, axis, distance = 300 }: { tilt: number; axis: number; distance?: number }) {
  const [t, a] = [(tilt * Math.PI) / 180, (axis * Math.PI) / 180];
  const focal = 780;
  return ([x, y]: readonly [number, number]): Pixel => {
    const [along, across] = [x * Math.cos(a) + y * Math.sin(a), -x * Math.sin(a) + y * Math.cos(a)];
    const [depth, height] = [distance + across * Math.sin(t), across * Math.cos(t)];
    const [px, py] = [along * Math.cos(a) - height * Math.sin(a), along * Math.sin(a) + height * Math.cos(a)];
    return [500 + (focal * px) / depth, 500 + (focal * py) / depth];
  };
}
const card = [
  [-80, -100],
  [-80 + CARD.width, -100],
  [-80 + CARD.width, -100 + CARD.height],
  [-80, -100 + CARD.height],
] as const;
const tilted = fc.record({
  tilt: fc.double({ min: 0, max: 40, noNaN: true }),
  axis: fc.double({ min: 0, max: 360, noNaN: true }),
});
const place = fc.tuple(
  fc.double({ min: -90, max: 90, noNaN: true }),
  fc.double({ min: -30, max: 90, noNaN: true }),
);

describe('a length on a picture', () => {
  test('with a card beside it, no tilt up to 40 degrees matters', () => {
    fc.assert(
      fc.property(tilted, place, place, (how, a, b) => {
        const see = camera(how);
        const truth = Math.hypot(a[0] - b[0], a[1] - b[1]);
        const found = lengthOnPicture(
          [see(a), see(b)],
          { kind: 'card', corners: card.map(see) as never, ...CARD },
          { width: 1000 },
        );
        expect(found?.millimetres).toBeCloseTo(truth, 6);
      }),
    );
  });

  test('points picked a little beside still give a length within its error', () => {
    const off = fc.tuple(
      fc.double({ min: -2, max: 2, noNaN: true }),
      fc.double({ min: -2, max: 2, noNaN: true }),
    );
    fc.assert(
      fc.property(tilted, place, place, fc.array(off, { minLength: 6, maxLength: 6 }), (how, a, b, offs) => {
        const see = camera(how);
        const pick = (at: readonly [number, number], i: number): Pixel => [
          see(at)[0] + offs[i]![0],
          see(at)[1] + offs[i]![1],
        ];
        const truth = Math.hypot(a[0] - b[0], a[1] - b[1]);
        fc.pre(truth > 10);
        const found = lengthOnPicture(
          [pick(a, 0), pick(b, 1)],
          { kind: 'card', corners: card.map((c, i) => pick(c, i + 2)) as never, ...CARD },
          { width: 1000, picked: PICKED_WITHIN },
        );
        expect(Math.abs(found!.millimetres - truth)).toBeLessThan(found!.error);
      }),
    );
  });

  test('with only a length beside it, the error covers every tilt of a hand that holds it level', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: HELD_WITHIN, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        place,
        place,
        (tilt, axis, a, b) => {
          const see = camera({ tilt, axis });
          const truth = Math.hypot(a[0] - b[0], a[1] - b[1]);
          fc.pre(truth > 10);
          const found = lengthOnPicture(
            [see(a), see(b)],
            { kind: 'length', ends: [see([-40, -60]), see([10, -60])], millimetres: 50 },
            { width: 1000 },
          )!;
          expect(Math.abs(found.millimetres - truth)).toBeLessThan(found.error);
        },
      ),
    );
  });

  test('a thing beside it and along it tells more than one far away and across', () => {
    const error = (ends: readonly [Pixel, Pixel]) =>
      lengthOnPicture(
        [
          [400, 500],
          [600, 500],
        ],
        { kind: 'length', ends, millimetres: 50 },
        { width: 1000 },
      )!.error;
    expect(
      error([
        [400, 530],
        [600, 530],
      ]),
    ).toBeLessThan(
      error([
        [400, 900],
        [600, 900],
      ]),
    );
    expect(
      error([
        [400, 530],
        [600, 530],
      ]),
    ).toBeLessThan(
      error([
        [500, 430],
        [500, 630],
      ]),
    );
  });

  test('what has no size, or is no card, gives none', () => {
    expect(
      lengthOnPicture(
        [
          [0, 0],
          [100, 0],
        ],
        {
          kind: 'length',
          ends: [
            [5, 5],
            [6, 5],
          ],
          millimetres: 50,
        },
        { width: 1000 },
      ),
    ).toBeUndefined();
    expect(
      lengthOnPicture(
        [
          [0, 0],
          [100, 0],
        ],
        {
          kind: 'length',
          ends: [
            [0, 0],
            [90, 0],
          ],
          millimetres: 0,
        },
        { width: 1000 },
      ),
    ).toBeUndefined();
    const crossed = [
      [0, 0],
      [100, 60],
      [100, 0],
      [0, 60],
    ] as const;
    expect(planeFromCard(crossed, 85.6, 54)).toBeUndefined();
    expect(
      planeFromCard(
        [
          [0, 0],
          [50, 0],
          [100, 0],
          [0, 60],
        ],
        85.6,
        54,
      ),
    ).toBeUndefined();
  });

  test('worked by hand: seen straight on, at two pixels a millimetre', () => {
    const map = planeFromCard(
      [
        [0, 0],
        [171.2, 0],
        [171.2, 107.96],
        [0, 107.96],
      ],
      CARD.width,
      CARD.height,
    )!;
    expect(onPlane(map, [40, 20])).toEqual([expect.closeTo(20, 9), expect.closeTo(10, 9)]);
  });
});

describe('the ruler on the screen', () => {
  test('a card laid on it once', () => {
    const ruler = rulerFromCard(428)!;
    expect(ruler.pixelsPerMillimetre).toBe(5);
    expect(lengthOnScreen(150, ruler)).toEqual({
      millimetres: 30,
      error: expect.closeTo(1 + 30 / 85.6, 9) as number,
    });
  });
  test.each([[40], [4000], [0], [Number.NaN]])('%p pixels are no card', (pixels) =>
    expect(rulerFromCard(pixels)).toBeUndefined(),
  );
});

describe('the outline of a leaf', () => {
  test.each(['ovate', 'elliptic', 'obovate', 'lanceolate', 'linear', 'round'] as const)(
    '%s, as it is drawn, comes to that term',
    (term) => {
      const form = bladeForm(bladeOutline(OUTLINES[term], 100))!;
      expect(outlineTerm(form).term).toBe(term);
      expect(form.ratio).toBeCloseTo(OUTLINES[term].ratio, 1);
    },
  );

  test('length to width, and where it is broadest, of any form, turned and sized in any way', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(0.4, 1.2),
        number(0.4, 1.2),
        number(1.3, 6),
        number(0, 360),
        number(20, 600),
        (base, tip, ratio, turn, size) => {
          const a = (turn * Math.PI) / 180;
          const drawn = bladeOutline({ base, tip, ratio }, size).map(([x, y]): Pixel => [
            x * Math.cos(a) - y * Math.sin(a) + 300,
            x * Math.sin(a) + y * Math.cos(a) + 200,
          ]);
          const form = bladeForm(drawn)!;
          expect(form.ratio / ratio).toBeCloseTo(1, 1);
          expect(form.broadest).toBeCloseTo(base / (base + tip), 1);
        },
      ),
    );
  });

  test('a tip that is drawn sharper has the smaller angle', () => {
    const angles = [1.6, 1.2, 0.8, 0.5].map(
      (tip) => bladeForm(bladeOutline({ base: 0.5, tip, ratio: 2 }, 100))!.tipAngle,
    );
    expect([...angles].sort((a, b) => a - b)).toEqual(angles);
    // By hand: a quarter before the tip it is `halfWidth` of a quarter of the length wide on each side.
    const half = halfWidth({ base: 0.5, tip: 1.2, ratio: 2 }, 0.75) * 0.25;
    expect(angles[1]).toBeCloseTo((2 * Math.atan2(half, 0.25) * 180) / Math.PI, 0);
  });

  test('near a border it says what comes next, and how near', () => {
    const named = outlineTerm({ ratio: 2.9, broadest: 0.5, baseAngle: 60, tipAngle: 60, parallel: 0.3 });
    expect(named).toEqual({
      term: 'elliptic',
      next: { term: 'lanceolate', by: 'ratio', away: expect.closeTo(3 / 2.9 - 1, 9) as number },
    });
    expect(
      outlineTerm({ ratio: 2, broadest: 0.41, baseAngle: 60, tipAngle: 60, parallel: 0.3 }).next,
    ).toEqual({ term: 'ovate', by: 'broadest', away: expect.closeTo(0.01, 9) as number });
    expect(
      outlineTerm({ ratio: 1.1, broadest: 0.3, baseAngle: 60, tipAngle: 60, parallel: 0.3 }),
    ).toMatchObject({ term: 'round', next: { term: 'ovate' } });
  });

  test('a stroke, a dot and nothing are no outline', () => {
    expect(bladeForm([])).toBeUndefined();
    expect(bladeForm(Array.from({ length: 20 }, () => [5, 5] as const))).toBeUndefined();
    expect(bladeForm(Array.from({ length: 20 }, (_, i) => [i, i] as const))).toBeUndefined();
  });
});
