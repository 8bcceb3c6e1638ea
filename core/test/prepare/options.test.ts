import * as fc from 'fast-check';
import { preparationsOf } from '../../src';
import {
  type Made,
  refusalOf,
  METHODS,
  methodsFor,
  stepsFor,
  keepingOf,
  spoilsOf,
  cookingRefusal,
  openSteps,
  leftOutOf,
  usualYield,
  learnedYield,
} from '../../src/harvest/preparing';
import { guide } from '../finds';

const made = (id: string, at = 0): Made => {
  const taxon = guide.taxon(id);
  const part = taxon?.taxon.parts[at];
  if (!taxon || !part) throw new Error(`${id} has no part ${at}`);
  return { kingdom: taxon.taxon.kingdom, part };
};

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

  test('nothing is distilled, no fungus is jarred or put in spirit, what is for the skin is not drunk', () => {
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

  test('a plain precaution is asked for at once; one marked as cooking is asked of the pot', () => {
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
