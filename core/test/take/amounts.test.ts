import * as fc from 'fast-check';
import {
  type AmountUnit,
  toGrams,
  fromGrams,
  usualWeights,
  isImprobable,
  type Amount,
  isUnusualWeighing,
  weighed,
  seenAmount,
  estimateOf,
  stagesOf,
  type Count,
} from '../../src/harvest/taking';
import { guide } from '../finds';

describe('amounts', () => {
  const weights = { piece: 25, handful: 70, litre: 260 };

  test.each<[number, AmountUnit, number]>([
    [3, 'piece', 75],
    [2, 'handful', 140],
    [0.5, 'litre', 130],
    [80, 'g', 80],
    [0, 'litre', 0],
  ])('%d %s are %d g', (amount, unit, grams) => {
    expect(toGrams({ amount, unit }, weights)).toBe(grams);
    expect(fromGrams(grams, unit, weights)).toBe(amount);
  });

  test('go there and back, whatever the unit and the weights', () => {
    const positive = fc.double({ min: 0.01, max: 5000, noNaN: true });
    fc.assert(
      fc.property(
        positive,
        fc.constantFrom<AmountUnit>('g', 'litre', 'piece', 'handful'),
        fc.record({ piece: positive, handful: positive, litre: positive }),
        (amount, unit, own) => {
          expect(fromGrams(toGrams({ amount, unit }, own), unit, own)).toBeCloseTo(amount, 6);
        },
      ),
    );
  });

  test('what is improbable is asked back: 600 litres of mushrooms, pieces of 3 kg; 20 kg are not', () => {
    const usual = usualWeights('fruiting-body');
    expect(
      [
        { amount: 600, unit: 'litre' },
        { amount: 20_000, unit: 'g' },
        { amount: 24, unit: 'piece' },
      ].map((one) => isImprobable(toGrams(one as Amount, usual))),
    ).toEqual([true, false, false]);
    expect(isImprobable(50_000, 2)).toBe(false);
    const pieces = (amount: number, grams: number) =>
      isUnusualWeighing({ amount: { amount, unit: 'piece' }, grams }, usual);
    expect([pieces(24, 72_000), pieces(24, 600), pieces(24, 30), pieces(1, 240)]).toEqual([
      true,
      false,
      true,
      false,
    ]);
    expect(isUnusualWeighing({ amount: { amount: 3, unit: 'g' }, grams: 400 }, usual)).toBe(false);
  });
  test('one weighing puts one’s own weight in place of the usual one, and the last weighing stands', () => {
    const own = weighed(usualWeights('fruiting-body'), [
      { amount: { amount: 4, unit: 'piece' }, grams: 100 },
      { amount: { amount: 10, unit: 'piece' }, grams: 120 },
      { amount: { amount: 2, unit: 'litre' }, grams: 500 },
      { amount: { amount: 0, unit: 'handful' }, grams: 50 },
      { amount: { amount: 3, unit: 'g' }, grams: 4 },
    ]);
    expect(own).toEqual({ piece: 12, handful: usualWeights('fruiting-body').handful, litre: 250 });
  });

  test('are shown in what can be seen, never more than they are', () => {
    expect([
      seenAmount(99, 'piece', weights),
      seenAmount(75, 'piece', weights),
      seenAmount(139, 'handful', weights),
      seenAmount(129, 'litre', weights),
      seenAmount(12.7, 'g', weights),
    ]).toEqual([3, 3, 1, 0.4, 12]);
  });

  test('every part that the guide wants has usual weights of its own', () => {
    const other = usualWeights('no such part');
    for (const { taxon } of guide.taxa)
      for (const { part } of taxon.parts) expect(usualWeights(part)).not.toEqual(other);
  });
});

describe('counts', () => {
  test('a few are exact, many give or take a tenth, an order of magnitude is an answer too', () => {
    expect(estimateOf({ how: 'counted', number: 7 }, 'leaf')).toEqual({ low: 7, mid: 7, high: 7 });
    expect(estimateOf({ how: 'counted', number: 140 }, 'leaf')).toEqual({ low: 126, mid: 140, high: 154 });
    // Between 10 and 99, on a scale of doublings: 10 * 9.9^0.1 and so on.
    expect(estimateOf({ how: 'about', order: 'tens' }, 'leaf')).toEqual({ low: 13, mid: 31, high: 79 });
  });

  test('squares, worked by hand: 4, 6 and 8 in three of 30 squares', () => {
    // Mean 6, so 180; variance 4; error 30 * sqrt(4 / 3 * 0.9) = 32.86; t with two degrees of freedom 1.886:
    // give or take 62.
    expect(estimateOf({ how: 'squares', counts: [4, 6, 8], squares: 30 }, 'leaf')).toEqual({
      low: 118,
      mid: 180,
      high: 242,
    });
    // All of it looked at: nothing is left to estimate.
    expect(estimateOf({ how: 'squares', counts: [4, 6, 8], squares: 3 }, 'leaf')).toEqual({
      low: 18,
      mid: 18,
      high: 18,
    });
  });

  test('by stage: for leaves and roots grown and bearing plants count, for flowers and fruit only bearing', () => {
    const count = { how: 'stages', young: 40, grown: 11, bearing: 6 } as const;
    expect([
      estimateOf(count, 'leaf').mid,
      estimateOf(count, 'root').mid,
      estimateOf(count, 'flower').mid,
      estimateOf(count, 'fruit').mid,
    ]).toEqual([17, 17, 6, 6]);
    expect(estimateOf({ ...count, grown: 34 }, 'leaf')).toEqual({ low: 36, mid: 40, high: 44 });
    expect([stagesOf(count), stagesOf({ how: 'counted', number: 6 })]).toEqual([[40, 11, 6], undefined]);
  });

  test('eight of ten intervals hold the truth', () => {
    let [held, seed] = [0, 7];
    const random = () => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return seed / 2147483648;
    };
    for (let run = 0; run < 1500; run += 1) {
      const all = Array.from({ length: 60 }, () =>
        Array.from({ length: 12 }, () => Number(random() < 0.4)).reduce((a, b) => a + b, 0),
      );
      const truth = all.reduce((a, b) => a + b, 0);
      // Drawn without putting back, from a field that is in no order.
      const { low, high } = estimateOf({ how: 'squares', counts: all.slice(0, 8), squares: 60 }, 'leaf');
      if (truth >= low && truth <= high) held += 1;
    }
    expect(held / 1500).toBeGreaterThan(0.76);
    expect(held / 1500).toBeLessThan(0.84);
  });

  test.each([
    ['number', { how: 'counted', number: -3 }],
    ['counts', { how: 'squares', counts: [3], squares: 10 }],
    ['counts', { how: 'squares', counts: [3, -1], squares: 10 }],
    ['squares', { how: 'squares', counts: [3, 4, 5], squares: 2 }],
    ['grown', { how: 'stages', young: 3, grown: -1, bearing: 2 }],
  ] as [string, Count][])('wrong %s is refused by its name', (field, count) => {
    expect(() => estimateOf(count, 'leaf')).toThrow(new RegExp(`^${field}:`));
  });
});
