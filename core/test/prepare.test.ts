/** Sums of a kitchen, each case worked by hand; laws that hold for all of them; and what is refused. */
import * as fc from 'fast-check';
import { preparationsOf } from '../src';
import {
  acidOf,
  boiledDownAt,
  conditioned,
  CONDITIONING_DAYS,
  cookingRefusal,
  densityOf,
  dryingOf,
  FERMENT_SALT,
  herbFor,
  inUnit,
  isSoft,
  keepingOf,
  learnedYield,
  leftOutOf,
  MASS_UNITS,
  METHODS,
  methodsFor,
  mixed,
  mostWaterFor,
  openSteps,
  PICKLE_ACID,
  quantity,
  readQuantity,
  refusalOf,
  saltFor,
  saltShare,
  shareOfStrength,
  spoilsOf,
  stepsFor,
  strengthOf,
  sugarFor,
  sugarShare,
  timerAt,
  tincture,
  usualYield,
  VOLUME_UNITS,
  WATER_DENSITY,
  type KitchenUnit,
  type Made,
} from '../src/harvest/preparing';
import { guide } from './finds';

const made = (id: string, at = 0): Made => {
  const taxon = guide.taxon(id);
  const part = taxon?.taxon.parts[at];
  if (!taxon || !part) throw new Error(`${id} has no part ${at}`);
  return { kingdom: taxon.taxon.kingdom, part };
};

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

describe('drying', () => {
  const curve = (rate: number, left: number, start: number) => (hours: number) =>
    start * (left + (1 - left) * Math.exp(-rate * hours));
  const dryAt = (rate: number, left: number) => Math.log((1 - left) / (0.05 * left)) / rate;
  /** Numbers that look drawn, the same ones each time. */
  const dice = (seed: number) => () => {
    seed = (seed * 1664525 + 1013904223) % 4294967296;
    return (seed + 0.5) / 4294967296;
  };
  const normal = (roll: () => number) => Math.sqrt(-2 * Math.log(roll())) * Math.cos(2 * Math.PI * roll());

  test('in eight of ten made-up layers, weighed with errors, it is dry within what was foretold', () => {
    const roll = dice(7);
    let [inside, all] = [0, 0];
    for (let run = 0; run < 150; run += 1) {
      const [rate, left, start] = [
        0.02 + 0.15 * roll(),
        0.15 * Math.exp(0.3 * normal(roll)),
        200 + 600 * roll(),
      ];
      const at = curve(rate, left, start);
      const weighings = [0, 8, 20, 32].map((hours) => ({
        hours,
        grams: Math.max(1, Math.round(at(hours) + 0.01 * start * normal(roll))),
      }));
      const {
        dryAt: { low, mid, high },
      } = dryingOf({ weighings, usualLeft: 0.15 });
      expect(low).toBeLessThanOrEqual(mid);
      expect(mid).toBeLessThanOrEqual(high);
      const truth = dryAt(rate, left);
      all += 1;
      inside += Number(truth >= low && truth <= high);
    }
    expect(inside / all).toBeGreaterThan(0.7);
    expect(inside / all).toBeLessThan(0.93);
  });
  test('more weighings say it closer, and late ones that it is dry', () => {
    const at = curve(0.08, 0.14, 500);
    const after = (...hours: number[]) =>
      dryingOf({ weighings: hours.map((h) => ({ hours: h, grams: Math.round(at(h)) })), usualLeft: 0.15 });
    const width = ({ dryAt: { low, high } }: ReturnType<typeof after>) => high - low;
    expect(width(after(0, 6, 20, 30, 44))).toBeLessThan(width(after(0, 6)));
    expect(after(0, 6, 20).dry).toBeLessThan(0.01);
    expect(after(0, 12, 24, 48, 72, 96, 120).dry).toBeGreaterThan(0.95);
    expect(after(0, 12, 24, 48).at(0)).toBeCloseTo(500, -1);
    // By hand: what is left is 70 g, and one twentieth of that is still to go.
    expect(after(0, 12, 24, 48, 72, 96).dryGrams.mid).toBeCloseTo(73.5, 0);
  });
  test.each([
    [[{ hours: 0, grams: 100 }], /two or more/],
    [
      [
        { hours: 0, grams: 100 },
        { hours: 0, grams: 90 },
      ],
      /\[1\]\.hours: .*set back/,
    ],
    [
      [
        { hours: 0, grams: 100 },
        { hours: -5, grams: 90 },
      ],
      /set back/,
    ],
    [
      [
        { hours: 0, grams: 100 },
        { hours: 5, grams: -9 },
      ],
      /\[1\]\.grams: above/,
    ],
    [
      [
        { hours: 0, grams: 100 },
        { hours: 5, grams: 300 },
      ],
      /no more than it weighed/,
    ],
  ])('weighings that cannot be are refused by name (%#)', (weighings, reason) => {
    expect(() => dryingOf({ weighings, usualLeft: 0.2 })).toThrow(reason);
  });
  test('damp that comes back sends it to drying again, and the days begin anew', () => {
    const dry = (days: number) => Array.from({ length: days }, () => ({ damp: false }));
    expect(conditioned([])).toBe('go-on');
    expect(conditioned(dry(CONDITIONING_DAYS))).toBe('done');
    expect(conditioned([...dry(3), { damp: true }])).toBe('dry-again');
    expect(conditioned([...dry(3), { damp: true }, ...dry(CONDITIONING_DAYS - 1)])).toBe('go-on');
  });
});

test('a timer runs on while nothing is open, and says when the clock was set back', () => {
  const timer = { startedAt: '2026-09-14T08:00:00.000Z', minutes: 20 };
  expect(timerAt(timer, new Date('2026-09-14T08:05:00Z'))).toEqual({ state: 'running', minutesLeft: 15 });
  expect(timerAt(timer, new Date('2026-09-14T08:26:00Z'))).toEqual({ state: 'done', minutesOver: 6 });
  expect(timerAt(timer, new Date('2026-09-14T07:00:00Z'))).toEqual({ state: 'clock-set-back' });
  expect(() => timerAt({ ...timer, minutes: 0 }, new Date())).toThrow(/minutes/);
  expect(() => timerAt({ ...timer, startedAt: 'noon' }, new Date())).toThrow(/startedAt/);
});

describe('what may be made of it', () => {
  test.each([
    ['cantharellus-cibarius', 0, 'tincture', 'not-for-use'],
    ['cantharellus-cibarius', 0, 'bottle', 'low-acid-jar'],
    ['allium-ursinum', 0, 'bottle', 'low-acid-jar'],
    ['vaccinium-myrtillus', 0, 'bottle', undefined],
    ['juniperus-communis', 0, 'distil', 'distilled'],
    ['galium-odoratum', 0, 'tincture', 'never'],
    ['galium-odoratum', 0, 'syrup', undefined],
    ['symphytum-officinale', 0, 'infuse', 'not-for-use'],
    ['symphytum-officinale', 0, 'salve', undefined],
    ['gentiana-lutea', 0, 'decoct', undefined],
    ['gentiana-lutea', 0, 'cook', 'not-for-use'],
    ['hypericum-perforatum', 0, 'infused-oil', undefined],
    ['hypericum-perforatum', 0, 'infuse', 'not-for-use'],
    ['carum-carvi', 0, 'bottle', 'low-acid-jar'],
    ['prunus-spinosa', 0, 'tincture', undefined],
  ] as const)('%s, part %d, as %s: %s', (id, at, method, code) => {
    expect(refusalOf(made(id, at), method)?.code).toBe(code);
  });

  test('nothing is distilled, no fungus is kept in a closed jar or spirit, and what is for the skin is never drunk', () => {
    for (const { taxon } of guide.taxa) {
      for (const part of taxon.parts) {
        const one = { kingdom: taxon.kingdom, part };
        expect(refusalOf(one, 'distil')).toBeDefined();
        if (taxon.kingdom === 'Fungi')
          for (const method of ['bottle', 'tincture', 'infused-oil', 'ferment', 'syrup'] as const)
            expect(refusalOf(one, method)).toBeDefined();
        if (part.route === 'skin')
          for (const method of METHODS)
            if (!['fresh', 'dry', 'infused-oil', 'salve'].includes(method))
              expect(refusalOf(one, method)).toBeDefined();
        for (const method of methodsFor(one)) {
          const steps = stepsFor({ made: one, method, fromHarvest: true });
          expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
          if (refusalOf(one, method) === undefined) expect(keepingOf(one, method)?.days).toBeGreaterThan(0);
          // All that the guide asks for first is a step that cannot be left out without a word; heat is asked
          // for where it is cooked, and stays asked for where it is not. Of a part that is for one way of
          // making, it describes that way.
          if (['infused-oil', 'salve'].includes(part.use)) continue;
          const asked = steps
            .filter(({ code, required }) => code === 'guide' && required)
            .map(({ text }) => text);
          const preparations = preparationsOf(part);
          if (method === 'cook') expect(asked).toEqual(preparations.map(({ text }) => text));
          else
            for (const { text, cooking } of preparations)
              expect(
                asked.includes(text) ||
                  (cooking &&
                    (spoilsOf(one, method).includes('still-cook') ||
                      steps.some(({ code }) => code === 'boil-first'))),
              ).toBe(true);
        }
      }
    }
  });

  test.each([
    ['cantharellus-cibarius', { how: 'raw' }, 'never-raw'],
    ['cantharellus-cibarius', { how: 'fry', minutes: 12 }, undefined],
    ['armillaria-mellea', { how: 'boil-pour', minutes: 5 }, 'too-short'],
    ['armillaria-mellea', { how: 'fry', minutes: 30 }, 'water-kept'],
    ['armillaria-mellea', { how: 'boil-pour', minutes: 10 }, undefined],
    ['armillaria-mellea', { how: 'fry', minutes: 10, poured: 1 }, undefined],
    ['morchella-esculenta', { how: 'fry', minutes: 14 }, 'too-short'],
    ['morchella-esculenta', { how: 'fry' }, 'too-short'],
    ['nasturtium-officinale', { how: 'raw' }, 'never-raw'],
    ['vaccinium-myrtillus', { how: 'raw' }, undefined],
    ['blitum-bonus-henricus', { how: 'steam', minutes: 20 }, 'water-kept'],
  ] as const)('%s %j: %s', (id, cooked, code) => {
    expect(cookingRefusal(made(id), cooked)?.code).toBe(code);
  });
  test('minutes and waters that are no such numbers are refused', () => {
    expect(() => cookingRefusal(made('morchella-esculenta'), { how: 'boil', minutes: -3 })).toThrow(
      /^minutes/,
    );
    expect(() => cookingRefusal(made('morchella-esculenta'), { how: 'boil', poured: 0.5 })).toThrow(
      /^poured/,
    );
  });

  test('a sentence of the guide alone is taken for safety and asked for at once; marked as cooking it is asked of the pot', () => {
    const one = made('cantharellus-cibarius');
    const guideSteps = (before: typeof one.part.before, method: 'dry' | 'cook') =>
      stepsFor({ made: { ...one, part: { ...one.part, before } }, method, fromHarvest: true })
        .filter(({ code }) => code === 'guide')
        .map(({ text, safety }) => [text, safety === true]);
    const [alone, inPot, harmless] = [
      'Koche sie gut.',
      { text: 'Koche sie gut.', cooking: true },
      { text: 'Putze sie.' },
    ];
    expect(guideSteps([alone], 'dry')).toEqual([['Koche sie gut.', true]]);
    expect(guideSteps([inPot, harmless], 'dry')).toEqual([['Putze sie.', false]]);
    expect(guideSteps([inPot, harmless], 'cook')).toEqual([
      ['Koche sie gut.', false],
      ['Putze sie.', false],
    ]);
  });

  test('a step that has to be done is open until it is done, or left out with a reason that stays visible', () => {
    const steps = stepsFor({ made: made('cantharellus-cibarius'), method: 'dry', fromHarvest: true });
    expect(openSteps(steps, []).map(({ id }) => id)).toEqual([
      'look-again',
      'specimen',
      'condition',
      'label',
    ]);
    expect(
      openSteps(
        stepsFor({ made: made('cantharellus-cibarius'), method: 'cook', fromHarvest: false }),
        [],
      ).map(({ id }) => id),
    ).toEqual(['guide-1', 'label']);
    expect(
      openSteps(stepsFor({ made: made('morchella-esculenta'), method: 'cook', fromHarvest: true }), []).map(
        ({ id }) => id,
      ),
    ).toEqual(['look-again', 'specimen', 'guide-1', 'guide-2', 'cook-through', 'label']);
    const at = '2026-09-14T10:00:00.000Z';
    expect(
      openSteps(steps, [
        { step: 'look-again', at },
        { step: 'specimen', at, leftOut: ' ' },
      ]).map(({ id }) => id),
    ).toEqual(['specimen', 'condition', 'label']);
    const done = [{ step: 'specimen', at, leftOut: 'All of them were eaten.' }];
    expect(leftOutOf(steps, done).map(({ step, why }) => [step.id, why])).toEqual([
      ['specimen', 'All of them were eaten.'],
    ]);
    expect(leftOutOf(steps, [...done, { step: 'specimen', at }])).toEqual([]);
  });

  test('what keeps somebody from harm cannot be left out, whatever the reason', () => {
    const at = '2026-09-14T10:00:00.000Z';
    const leaving = (id: string, method: 'cook' | 'pickle' | 'dry') => {
      const steps = stepsFor({ made: made(id), method, fromHarvest: true });
      return openSteps(
        steps,
        steps.map((step) => ({ step: step.id, at, leftOut: 'No time.' })),
      ).map(({ id: open }) => open);
    };
    expect(leaving('cantharellus-cibarius', 'cook')).toEqual(['look-again', 'guide-1']);
    expect(leaving('armillaria-mellea', 'cook')).toEqual([
      'look-again',
      'guide-1',
      'cook-through',
      'pour-away',
    ]);
    expect(leaving('morchella-esculenta', 'pickle')).toEqual(
      expect.arrayContaining(['look-again', 'boil-first']),
    );
    // Frost, taste and toughness harm nobody.
    expect(leaving('prunus-spinosa', 'dry')).toEqual(['look-again', 'guide-2']);
  });

  test('what the guide says of making an oil is no step of drying, and what is dry already is not wilted', () => {
    const codes = (method: 'dry' | 'infused-oil' | 'salve', id: string, dried = false) =>
      stepsFor({ made: made(id), method, fromHarvest: !dried, dried }).map(({ code }) => code);
    expect(codes('dry', 'hypericum-perforatum')).not.toContain('guide');
    expect(codes('infused-oil', 'hypericum-perforatum')).toEqual([
      'look-again',
      'specimen',
      'wilt',
      'cover-with-oil',
      'stand-in-light',
      'filter',
      'skin-trial',
      'label',
    ]);
    expect(codes('infused-oil', 'hypericum-perforatum', true)).toEqual([
      'cover-with-oil',
      'stand-in-light',
      'filter',
      'skin-trial',
      'label',
    ]);
    expect(codes('salve', 'symphytum-officinale')).toEqual(
      expect.arrayContaining(['wash', 'chop', 'warm-in-fat', 'filter']),
    );
  });

  test('what keeps, and what spoils it, goes by its figures', () => {
    const ramsons = made('allium-ursinum');
    expect(keepingOf(ramsons, 'infused-oil')).toEqual({ days: 4, store: 'fridge' });
    expect(spoilsOf(ramsons, 'infused-oil')).toEqual(['oil-eaten', 'water-in-oil']);
    const wort = made('hypericum-perforatum');
    expect(keepingOf(wort, 'infused-oil', { fresh: false })?.days).toBe(365);
    expect(spoilsOf(wort, 'infused-oil', { fresh: false })).toEqual(['skin-trial']);
    const berries = made('vaccinium-myrtillus');
    expect(keepingOf(berries, 'syrup', { sugarShare: 0.5 })?.store).toBe('fridge');
    expect(keepingOf(berries, 'syrup', { sugarShare: 0.66 })?.days).toBe(365);
    const ceps = made('boletus-edulis');
    expect(spoilsOf(ceps, 'pickle', { acid: PICKLE_ACID - 0.1 })).toEqual(['acid-short', 'still-cook']);
    expect(spoilsOf(ceps, 'pickle', { acid: 4, reused: true })).toEqual(['brine-reused', 'still-cook']);
    expect(keepingOf(ceps, 'pickle', { acid: 4, reused: true })?.days).toBe(4);
    expect(spoilsOf(ramsons, 'ferment', { saltShare: FERMENT_SALT.most + 0.01 })).toEqual([
      'salt-much',
      'gas',
    ]);
    expect(spoilsOf(ramsons, 'ferment', {})).toEqual(['salt-short', 'gas']);
    expect(keepingOf(made('gentiana-lutea'), 'distil')).toBeUndefined();
    expect(isSoft(made('gentiana-lutea').part)).toBe(false);
  });
});

test('own batches move the usual yield, and what took up water says nothing', () => {
  const usual = usualYield(made('cantharellus-cibarius'), 'dry');
  expect(usual).toBe(0.1);
  expect(learnedYield(usual, []).yield).toBeCloseTo(0.1, 9);
  // By hand: the middle of 0.1 and 0.4 on a scale of ratios is 0.2.
  expect(learnedYield(0.1, [{ in: 1000, out: 400 }]).yield).toBeCloseTo(0.2, 9);
  const watered = learnedYield(0.1, [
    { in: 100, out: 300 },
    { in: 0, out: 5 },
  ]);
  expect(watered.batches).toBe(0);
  expect(watered.yield).toBeCloseTo(0.1, 9);
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          in: fc.double({ min: 1, max: 1e4, noNaN: true }),
          out: fc.double({ min: 1, max: 1e4, noNaN: true }),
        }),
      ),
      (own) => {
        const learned = learnedYield(0.2, own).yield;
        expect(learned).toBeGreaterThan(0);
        expect(learned).toBeLessThanOrEqual(1);
      },
    ),
  );
});
