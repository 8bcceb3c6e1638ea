import * as fc from 'fast-check';
import {
  readQuantity,
  MASS_UNITS,
  VOLUME_UNITS,
  type KitchenUnit,
  inUnit,
  quantity,
} from '../../src/harvest/preparing';

describe('units of a kitchen', () => {
  test.each<[string, number | string]>([
    ['250 g', 250],
    ['1.5 kg', 1500],
    ['2 lb', 907.18474],
    ['8 oz', 226.796185],
    ['1/2 lb', 226.796185],
    ['0,25 kg', 250],
    ['2 cups', 'a weight, not cups: weigh it'],
    ['1 litre', 'a weight, not litre: weigh it'],
    ['-3 g', 'a number and a unit, like 250 g or 1 1/2 cups'],
    ['0 g', 'an amount above nothing'],
    ['3 stone', '"stone" is no unit that Pause knows'],
    ['g', 'an amount above nothing'],
    ['', 'a number and a unit, like 250 g or 1 1/2 cups'],
    ['1/0 kg', 'an amount above nothing'],
  ])('%s as a weight is %s', (text, right) => {
    const read = readQuantity(text, 'mass');
    if (typeof right === 'string') expect(read).toEqual({ problem: right });
    else
      expect('quantity' in read && read.quantity.of === 'mass' && read.quantity.grams).toBeCloseTo(right, 6);
  });
  test.each<[string, number]>([
    ['1 1/2 cups', 360],
    ['½ l', 500],
    ['2½ dl', 250],
    ['3 tbsp', 45],
    ['1 pint', 473.176473],
    ['2 fl oz', 59.147059],
  ])('%s are %d ml', (text, right) => {
    const read = readQuantity(text, 'volume');
    expect('quantity' in read && read.quantity.of === 'volume' && read.quantity.millilitres).toBeCloseTo(
      right,
      5,
    );
  });
  test('there and back it is the same, and never a weight for a volume', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e5, noNaN: true }),
        fc.constantFrom(...(Object.keys({ ...MASS_UNITS, ...VOLUME_UNITS }) as KitchenUnit[])),
        (amount, unit) => {
          expect(inUnit(quantity(amount, unit), unit)).toBeCloseTo(amount, 6);
          expect(() => inUnit(quantity(amount, unit), unit in MASS_UNITS ? 'ml' : 'g')).toThrow(/unit:/);
        },
      ),
    );
    expect(() => quantity(-1, 'g')).toThrow(RangeError);
  });
});
