import * as fc from 'fast-check';
import {
  shareOfStrength,
  strengthOf,
  densityOf,
  WATER_DENSITY,
  mixed,
  tincture,
  sugarFor,
  sugarShare,
  acidOf,
  mostWaterFor,
  saltFor,
  saltShare,
  herbFor,
  boiledDownAt,
} from '../../src/harvest/preparing';

describe('spirit and water', () => {
  // By hand: 40 % of the volume is 40 ml of alcohol of 0.78934 g/ml, 31.57 g, in 100 ml that weigh 94.8 g: a
  // third of the weight.
  test('a third of the weight is forty per cent of the volume', () => {
    expect(shareOfStrength(40)).toBeCloseTo(0.333, 3);
    expect(strengthOf(0)).toBe(0);
    expect(strengthOf(1)).toBeCloseTo(100, 6);
    expect(densityOf(0)).toBe(WATER_DENSITY);
  });
  test('volumes of the two do not add up: half a litre of each makes less than a litre', () => {
    const both = mixed(500, 100, 500 * WATER_DENSITY);
    // Known of old: 50 and 50 come to about 96.5.
    expect(both.millilitres).toBeGreaterThan(960);
    expect(both.millilitres).toBeLessThan(970);
  });
  test('dried, one to five: the sum by weight comes out as the finished strength', () => {
    const answer = tincture({ plantGrams: 100, waterShare: 0.1, ratio: 5, strength: 40, spirit: 96 });
    if (!answer.possible) throw new Error('it is possible');
    // By hand: 500 ml at 40 % hold 200 ml of alcohol; spirit of 96 % holds as much in 208.3 ml.
    expect(answer.spiritMl).toBeCloseTo(208.33, 1);
    expect(answer.plantWaterGrams).toBe(10);
    const check = mixed(answer.spiritMl, 96, answer.waterMl * WATER_DENSITY + answer.plantWaterGrams);
    expect(check.strength).toBeCloseTo(40, 3);
    expect(check.millilitres).toBeCloseTo(500, 2);
  });
  test('fresh, its own water makes the strongest spirit weaker than was wanted', () => {
    const answer = tincture({ plantGrams: 100, waterShare: 0.8, ratio: 2, strength: 70, spirit: 70 });
    expect(answer).toMatchObject({ possible: false, plantWaterGrams: 80 });
    if (answer.possible) throw new Error('it is not');
    // By hand: 80 g of water leave 120 ml or so for the spirit, and seven tenths of that are alcohol: a good
    // four tenths of 200 ml.
    expect(answer.strongest).toBeGreaterThan(41);
    expect(answer.strongest).toBeLessThan(44);
    expect(
      tincture({ plantGrams: 100, waterShare: 0.8, ratio: 2, strength: answer.strongest - 0.1, spirit: 70 })
        .possible,
    ).toBe(true);
  });
  test.each([
    [{ strength: 101 }, 'strength'],
    [{ spirit: 120 }, 'spirit'],
    [{ plantGrams: -5 }, 'plant'],
    [{ ratio: 0 }, 'ratio'],
    [{ waterShare: 1.2 }, 'water of the plant'],
    [{ strength: NaN }, 'strength'],
  ])('%j is refused, and %s is named', (wrong, field) => {
    expect(() =>
      tincture({ plantGrams: 100, waterShare: 0.1, ratio: 5, strength: 40, spirit: 96, ...wrong }),
    ).toThrow(new RegExp(`^${field}: `));
  });
  test('more spirit is never weaker, and what is asked for is what comes out', () => {
    const strengths = fc.double({ min: 5, max: 95, noNaN: true });
    fc.assert(
      fc.property(
        strengths,
        fc.double({ min: 1, max: 2000, noNaN: true }),
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (spirit, ml, water, more) => {
          expect(mixed(ml + more, spirit, water).strength).toBeGreaterThanOrEqual(
            mixed(ml, spirit, water).strength - 1e-9,
          );
        },
      ),
    );
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.double({ min: 2, max: 12, noNaN: true }),
        strengths,
        strengths,
        (plantGrams, waterShare, ratio, strength, spirit) => {
          const answer = tincture({ plantGrams, waterShare, ratio, strength, spirit });
          if (answer.possible)
            expect(
              mixed(answer.spiritMl, spirit, answer.waterMl * WATER_DENSITY + answer.plantWaterGrams)
                .strength,
            ).toBeCloseTo(strength, 2);
          else expect(answer.strongest).toBeLessThanOrEqual(strength + 1e-6);
        },
      ),
    );
  });
});

describe('water, sugar, acid and salt', () => {
  test.each<[string, number, number]>([
    // 65 parts of sugar in 100: 65 to each 35 of liquid.
    ['sugar to 350 g of juice', sugarFor(350), 650],
    ['sugar share', sugarShare(500, 500), 0.5],
    ['acid of half vinegar of 5 %', acidOf(500, 5, 500), 2.5],
    ['water to a litre of vinegar of 6 %', mostWaterFor(1000, 6) ?? NaN, 1400],
    ['water to vinegar of 2 %', mostWaterFor(1000, 2) ?? -1, -1],
    ['salt for a kilo', saltFor(1000, 0), 25],
    ['salt share', saltShare(30, 800, 200), 0.03],
    ['herb for 1.5 litres', herbFor(1500, 20), 30],
  ])('%s', (_, got, right) => {
    expect(got).toBeCloseTo(right, 9);
  });
  test('a pot that fell from 12 to 9 in ten minutes is down to 6 after twenty', () => {
    expect(
      boiledDownAt({ first: { level: 12, minute: 5 }, second: { level: 9, minute: 15 }, target: 6 }),
    ).toEqual({ minute: 25, perMinute: 0.3 });
  });
  test.each([
    [
      () => boiledDownAt({ first: { level: 12, minute: 9 }, second: { level: 9, minute: 2 }, target: 6 }),
      /^second time: .*set back/,
    ],
    [
      () => boiledDownAt({ first: { level: 9, minute: 0 }, second: { level: 12, minute: 5 }, target: 6 }),
      /^second level/,
    ],
    [
      () => boiledDownAt({ first: { level: 9, minute: 0 }, second: { level: 8, minute: 5 }, target: 10 }),
      /^target/,
    ],
    [() => sugarFor(100, 1), /^share/],
    [() => acidOf(100, 120, 0), /^strength/],
    [() => saltFor(-1, 0), /^plant/],
    [() => sugarFor(-1), /^liquid/],
  ])('what cannot be is refused by name (%#)', (ask, reason) => {
    expect(ask).toThrow(reason);
  });
  test('more water needs more salt, and the share asked for comes back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (plant, water, share) => {
          expect(saltShare(saltFor(plant, water, share), plant, water)).toBeCloseTo(share, 9);
          expect(saltFor(plant, water + 10, share)).toBeGreaterThanOrEqual(saltFor(plant, water, share));
        },
      ),
    );
  });
});
