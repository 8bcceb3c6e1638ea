/** What may be left in a basket, beside baskets that were really drawn. */
import * as fc from 'fast-check';
import {
  basketState,
  DEMANDED,
  detectionWith,
  leftOver,
  passesNeeded,
  UNCHECKED_STRAYS,
  type Belief,
  type Sorting,
} from '../src/harvest/sorting';
import { seeded } from '../src/season/weather';

/**
 * A chance drawn as it is believed, where one of the numbers is 1: then its distribution function can be
 * turned round.
 */
function drawn({ yes, no }: Belief, random: () => number): number {
  return no === 1 ? random() ** (1 / yes) : 1 - (1 - random()) ** (1 / no);
}

describe('what is left', () => {
  test('of a single piece is worked by hand', () => {
    // One stray in two, a pass finds it three times of four (Beta(3, 1)); found nothing: left 0.5 * 0.25 of
    // 0.5 + 0.125.
    const { chance, mean } = leftOver({
      pieces: 1,
      found: [0],
      strays: { yes: 1, no: 1 },
      detection: { yes: 3, no: 1 },
    });
    expect(chance).toBeCloseTo(0.125 / 0.625, 4);
    expect(mean).toBeCloseTo(chance, 9);
  });

  test('agrees with a million baskets drawn and gone through', () => {
    const random = seeded(11);
    const [pieces, strays, detection] = [7, { yes: 1, no: 12 }, { yes: 4, no: 1 }];
    const seen = new Map<string, { baskets: number; left: number; some: number }>();
    for (let basket = 0; basket < 1_000_000; basket += 1) {
      const [share, finds] = [drawn(strays, random), drawn(detection, random)];
      let there = 0;
      for (let piece = 0; piece < pieces; piece += 1) if (random() < share) there += 1;
      const found = [0, 0];
      for (let pass = 0; pass < 2; pass += 1) {
        let now = 0;
        for (let one = 0; one < there; one += 1) if (random() < finds) now += 1;
        found[pass] = now;
        there -= now;
      }
      const row = seen.get(found.join()) ?? { baskets: 0, left: 0, some: 0 };
      row.baskets += 1;
      row.left += there;
      row.some += Number(there > 0);
      seen.set(found.join(), row);
    }
    let compared = 0;
    for (const [found, { baskets, left, some }] of seen) {
      if (baskets < 2000) continue;
      compared += 1;
      const { chance, mean } = leftOver({ pieces, found: found.split(',').map(Number), strays, detection });
      // Four standard errors of what was drawn.
      expect(Math.abs(chance - some / baskets)).toBeLessThan(
        4 * Math.sqrt((chance * (1 - chance)) / baskets) + 1e-4,
      );
      expect(Math.abs(mean - left / baskets)).toBeLessThan(4 * Math.sqrt((mean * 1.5) / baskets) + 1e-4);
    }
    expect(compared).toBeGreaterThan(6);
  });

  test('grows with each stray of the last pass and each piece; shrinks with each pass without one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 300 }),
        fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 1, maxLength: 3 }),
        (pieces, found) => {
          const base = leftOver({ pieces, found }).chance;
          expect(leftOver({ pieces, found: [...found, 0] }).chance).toBeLessThan(base);
          expect(leftOver({ pieces: pieces + 20, found }).chance).toBeGreaterThan(base);
          expect(
            leftOver({ pieces, found: [...found.slice(0, -1), found.at(-1)! + 1] }).chance,
          ).toBeGreaterThan(base);
          expect(leftOver({ pieces, found, strays: UNCHECKED_STRAYS }).chance).toBeGreaterThan(base);
          expect(leftOver({ pieces, found, detection: { yes: 30, no: 1 } }).chance).toBeLessThan(
            leftOver({ pieces, found, detection: { yes: 6, no: 4 } }).chance,
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  test('of thousands of pieces is summed up as well', () => {
    const { chance, mean } = leftOver({ pieces: 20_000, found: [3, 1, 0] });
    expect(chance).toBeGreaterThan(0);
    expect(chance).toBeLessThan(1);
    expect(mean).toBeGreaterThanOrEqual(chance);
    // Hundreds of strays among them, too.
    expect(leftOver({ pieces: 20_000, found: [900, 200, 50] }).mean).toBeGreaterThan(5);
  });

  test.each<[string, Partial<Sorting>]>([
    ['pieces', { pieces: 0 }],
    ['pieces', { pieces: 2.5 }],
    ['found', { found: [-1] }],
    ['found', { found: [6, 5] }],
    ['strays', { strays: { yes: 0, no: 5 } }],
    ['detection', { detection: { yes: 5, no: 0 } }],
  ])('wrong %s are refused by their name', (field, wrong) => {
    expect(() => leftOver({ pieces: 10, found: [0], ...wrong })).toThrow(new RegExp(`^${field}:`));
  });
});

describe('passes', () => {
  test('are as many as bring the chance under what is demanded, and no more', () => {
    for (const demanded of Object.values(DEMANDED)) {
      const more = passesNeeded({ pieces: 80, found: [1] }, demanded)!;
      const after = (passes: number) =>
        leftOver({ pieces: 80, found: [1, ...Array.from({ length: passes }, () => 0)] }).chance;
      expect(after(more)).toBeLessThanOrEqual(demanded);
      if (more > 0) expect(after(more - 1)).toBeGreaterThan(demanded);
    }
    expect(passesNeeded({ pieces: 80, found: [1] }, DEMANDED.deadly)).toBeGreaterThan(
      passesNeeded({ pieces: 80, found: [1] }, DEMANDED.unpleasant)!,
    );
  });

  test('of somebody who hardly ever finds one are never enough', () => {
    expect(passesNeeded({ pieces: 200, found: [5], detection: { yes: 1, no: 30 } }, 0.001)).toBeUndefined();
    expect(() => passesNeeded({ pieces: 10, found: [] }, 0)).toThrow(/^demanded:/);
  });
});

describe('a basket', () => {
  test('is gone through once, where nothing dangerous could be in it', () => {
    expect(basketState({ pieces: 40, found: [] }, 'none', [])).toEqual({
      state: 'look-again',
      passes: 1,
      left: undefined,
    });
    expect(basketState({ pieces: 40, found: [2] }, 'none', ['none', 'none'])).toMatchObject({
      state: 'gone-through',
    });
  });

  test('is looked at again until the harm allows it', () => {
    expect(basketState({ pieces: 40, found: [0] }, 'deadly', [])).toMatchObject({ state: 'look-again' });
    expect(basketState({ pieces: 40, found: [0, 0, 0, 0] }, 'deadly', [])).toMatchObject({
      state: 'gone-through',
    });
  });

  test('with a deadly one in it is put aside, however often it is gone through', () => {
    expect(basketState({ pieces: 40, found: [1, 0, 0, 0, 0, 0, 0] }, 'deadly', ['deadly'])).toMatchObject({
      state: 'hold',
    });
    expect(basketState({ pieces: 40, found: [1, 0, 0, 0, 0, 0, 0] }, 'deadly', ['unpleasant'])).toMatchObject(
      { state: 'gone-through' },
    );
    // At once, and not only when all of it was gone through.
    expect(basketState({ pieces: 40, found: [] }, 'none', ['deadly'])).toEqual({
      state: 'hold',
      left: undefined,
    });
  });
});

test('whoever lets more slip through finds fewer, and needs more passes; nobody counts as better than is usual', () => {
  const mean = ({ yes, no }: Belief) => yes / (yes + no);
  for (const slip of [0, 0.05, 0.1]) expect(mean(detectionWith(slip))).toBeCloseTo(0.9, 9);
  expect(mean(detectionWith(0.4))).toBeCloseTo(0.6, 9);
  expect(mean(detectionWith(1))).toBeCloseTo(0.05, 9);
  for (const wrong of [-0.1, 1.1, NaN]) expect(() => detectionWith(wrong)).toThrow(/^slip:/);
  const basket = { pieces: 200, found: [1], strays: UNCHECKED_STRAYS };
  expect(leftOver({ ...basket, detection: detectionWith(0.4) }).chance).toBeGreaterThan(
    leftOver(basket).chance,
  );
  expect(passesNeeded({ ...basket, detection: detectionWith(0.4) }, 0.01)!).toBeGreaterThanOrEqual(
    passesNeeded(basket, 0.01)!,
  );
});
