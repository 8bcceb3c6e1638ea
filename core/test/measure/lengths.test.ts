import fc from 'fast-check';
import {
  type Pixel,
  CARD,
  lengthOnPicture,
  PICKED_WITHIN,
  HELD_WITHIN,
  planeFromCard,
  onPlane,
} from '../../src/measuring';

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
