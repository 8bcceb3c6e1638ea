import 'fake-indexeddb/auto';
import '../guide';
import type { PageRecord } from '@pause/core';
import { learnedYield } from '@pause/core/harvest/preparing';
import type { BatchFields } from '@pause/core/pantry';
import { mealReminders } from '@pause/core/pantry/tasting';
import { guide } from '../../src/deciding/guide';
import { leftIn, gramsIn, wholeGrams, placesOf, ownYields, hadBefore } from '../../src/notebook/pantry';
import { yieldsOf } from '../../src/screens/harvest/questionOf';
import { yieldFor, stepsOf, spoilsFor, keepsFor, bestBeforeOf } from '../../src/screens/pantry/batch';
import { choicesOf } from '../../src/screens/pantry/choicesOf';
import { type Choice, amountOf, WHOLE } from '../../src/screens/pantry/Choose';
import { linesOf } from '../../src/screens/pantry/LabelsScreen';
import { portionWords } from '../../src/screens/pantry/PantryParts';
import { matches } from '../../src/screens/pantry/PantryScreen';
import { settled } from '../../src/screens/pantry/Sums';
import { mealReminderWords } from '../../src/text/pantry';
import { isoDayName } from '../../src/text/places';
import { pantry, CHANTERELLE, all, PAGES, page } from './kit';

jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/400Regular', () => ({
  AtkinsonHyperlegibleNext_400Regular: 'regular.ttf',
}));
jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold', () => ({
  AtkinsonHyperlegibleNext_600SemiBold: 'bold.ttf',
}));

const batch = (id: string) => {
  const one = pantry.batches.find((other) => other.id === id);
  if (!one) throw new Error(id);
  return one;
};

describe('the pantry', () => {
  test('knows what is left, what went in, where it comes from, and what is called so', () => {
    expect(leftIn(pantry, batch('batch-dried'))).toEqual({ amount: 15, unit: 'g' });
    expect(leftIn(pantry, batch('batch-soup'))).toBeUndefined();
    expect(gramsIn(pantry, batch('batch-dried').fields.from ?? [], 'batch-dried')).toBe(400);
    expect(wholeGrams(pantry, { of: 'harvest', id: 'harvest-one' })).toBe(500);
    // What goes in without an amount is what nobody else took.
    expect(gramsIn(pantry, [{ of: 'harvest', id: 'harvest-one' }], 'batch-new')).toBe(100);
    expect(gramsIn(pantry, [{ of: 'batch', id: 'batch-dried' }], 'batch-new')).toBe(15);
    expect(gramsIn(pantry, [{ of: 'harvest', id: 'nowhere' }], 'batch-new')).toBeUndefined();
    expect(gramsIn(pantry, [], 'batch-new')).toBeUndefined();
    expect(placesOf(pantry, 'batch-soup')).toEqual(['Karrow spring']);
    for (const text of ['dried', 'cantharellus', 'karrow', 'chanterelle DRIED'])
      expect(matches(batch('batch-dried'), text, ['Karrow spring'])).toBe(true);
    expect(matches(batch('batch-dried'), 'bilberry')).toBe(false);
    expect(pantry.portions.map((one) => portionWords(pantry, one))).toEqual(
      expect.arrayContaining([
        'Chanterelles, dried, eaten by Lune, Mirel',
        'Chanterelles, dried, given to Aunt Selke',
      ]),
    );
  });
  test('own batches say what is left of the weight, and what is in the pantry is taken off the need', () => {
    expect(ownYields(pantry, CHANTERELLE.taxon, CHANTERELLE.part, 'dry')).toEqual([{ in: 400, out: 44 }]);
    expect(yieldFor(pantry, batch('batch-dried').fields)).toEqual(learnedYield(0.1, [{ in: 400, out: 44 }]));
    const chanterelle = guide.taxon(CHANTERELLE.taxon);
    if (!chanterelle) throw new Error('no chanterelle');
    expect(
      yieldsOf(pantry, { kingdom: 'Fungi', part: chanterelle.taxon.parts[0] }, chanterelle.id).map(
        ({ label, batches, inStore }) => [label, batches, inStore],
      ),
    ).toEqual([
      ['As it is', 0, 0],
      ['Cooked', 0, 0],
      ['Dried', 1, 15],
    ]);
  });
  test('offers what there is, and not what is in question or all used', () => {
    expect(choicesOf(pantry, new Set()).map(({ source, not }) => [source.id, not])).toEqual([
      ['harvest-one', undefined],
      ['batch-soup', undefined],
      ['batch-dried', undefined],
    ]);
    expect(choicesOf(pantry, new Set()).find(({ source }) => source.id === 'harvest-one')).toMatchObject({
      left: { amount: 100, unit: 'g' },
      line: expect.stringMatching(/100.g left$/) as unknown,
    });
    const rest = all([
      ...PAGES,
      page('batch-rest', 'batch', {
        name: 'The rest',
        from: [{ of: 'harvest', id: 'harvest-one', amount: { amount: 100, unit: 'g' } }],
        contents: [CHANTERELLE],
        method: 'freeze',
        on: '2026-09-15',
      }),
    ]);
    expect(choicesOf(rest, new Set()).map(({ source }) => source.id)).not.toContain('harvest-one');
    expect(
      choicesOf(pantry, new Set(['harvest-one'])).find(({ source }) => source.id === 'harvest-one')?.not,
    ).toBe('The find does not stand any more.');
    const stray = all([
      ...PAGES,
      page('harvest-two', 'harvest', {
        find: 'find-0002',
        ...CHANTERELLE,
        on: '2026-09-14',
        sorting: { pieces: 9, found: [1], now: 0, grades: ['deadly'] },
      }),
    ]);
    expect(choicesOf(stray, new Set()).find(({ source }) => source.id === 'harvest-two')?.not).toMatch(
      /^It is put aside/,
    );
  });
  test('an amount that was not said is not all of it: it is asked for', () => {
    const known = {
      source: { of: 'harvest', id: 'h' },
      name: '',
      line: '',
      contents: [],
      group: undefined,
      left: { amount: 300, unit: 'g' },
    } as Choice;
    expect(amountOf(known, ' ').problem).toBeDefined();
    expect(amountOf(known, '120,5').source.amount).toEqual({ amount: 120.5, unit: 'g' });
    expect(amountOf(known, WHOLE).source.amount).toEqual({ amount: 300, unit: 'g' });
    expect(amountOf(known, '301').problem).toBe('no more than the 300 grams that are left');
    expect(amountOf({ ...known, left: undefined }, WHOLE)).toEqual({ source: known.source });
  });
  test('a label says what it is, what has to be done still, and what was left out', () => {
    expect(linesOf(batch('batch-dried'), pantry, 'Mirel')).toEqual([
      'Chanterelles, dried',
      'Cantharellus cibarius, whole mushroom',
      `dried, ${isoDayName('2026-09-14')}`,
      'Karrow spring',
      'Mirel',
      'Keep cool and dark',
      'Cook it before it is eaten',
      'Left out: Keep one whole specimen aside. The cat took it.',
      'TCHDRIED',
    ]);
  });
  test('an oil says when to strain it, where to keep it, and to shun the sun; dried herbs are not wilted', () => {
    const FLOWERS = { taxon: 'hypericum-perforatum', part: 'flower' };
    const oil = (from: string, more: object = {}) =>
      page('batch-oil', 'batch', {
        name: 'Oil',
        from: [{ of: 'batch', id: from }],
        contents: [FLOWERS],
        method: 'infused-oil',
        on: '2026-07-01',
        ...more,
      });
    const shelf = (...batches: PageRecord[]) =>
      all([
        page('batch-flowers', 'batch', {
          name: 'Flowers',
          from: [{ of: 'harvest', id: 'h' }],
          contents: [FLOWERS],
          method: 'dry',
          on: '2026-06-24',
        }),
        ...batches,
      ]);
    const of = (pages: ReturnType<typeof all>) => {
      const one = pages.batches.find(({ id }) => id === 'batch-oil');
      if (!one) throw new Error('no oil');
      return linesOf(one, pages, '');
    };
    expect(of(shelf(oil('batch-flowers')))).toEqual(
      expect.arrayContaining([
        'Stands in the light, covered with a cloth',
        `Strain it on ${isoDayName('2026-07-29')}`,
        'For whole skin only, not for eating',
        'Keep oiled skin out of the sun.',
      ]),
    );
    const ready = of(
      shelf(oil('batch-flowers', { made: { amount: 200, unit: 'ml' }, readyOn: '2026-07-30' })),
    );
    expect(ready).toContain('Keep cool and dark');
    expect(ready.some((line) => line.startsWith('Strain it'))).toBe(false);
    const steps = (pages: ReturnType<typeof all>) =>
      stepsOf(pages.batches.find(({ id }) => id === 'batch-oil')?.fields ?? {}, pages).map(
        ({ code }) => code,
      );
    expect(steps(shelf(oil('batch-flowers')))).not.toContain('wilt');
    expect(steps(shelf(oil('harvest-elsewhere')))).toContain('wilt');
  });
  test('at a meal children and everybody for whom it is new are reminded', () => {
    expect([...hadBefore(pantry, 'Lune')]).toEqual(['cantharellus-cibarius']);
    const minds = (name: string) => (name === 'Lune' ? ['child'] : []);
    const words = mealReminders({
      who: ['Lune', 'Osk'],
      minds,
      taxa: ['cantharellus-cibarius', 'cantharellus-cibarius'],
      hadBefore: (name) => hadBefore(pantry, name),
    }).map(mealReminderWords);
    expect(words).toEqual([
      expect.stringMatching(/^Lune is a child: give little/),
      expect.stringMatching(/^chanterelle is new to Osk, .*a day of waiting before more\.$/),
    ]);
  });
  test('several kinds in one have the steps of all, and keep as long as the shortest', () => {
    const mixed: Partial<BatchFields> = {
      method: 'dry',
      from: [{ of: 'harvest', id: 'x' }],
      contents: [
        CHANTERELLE,
        { taxon: 'morchella-esculenta', part: 'fruiting-body' },
      ] as BatchFields['contents'],
    };
    const steps = stepsOf(mixed, pantry);
    expect(steps.at(-1)?.code).toBe('label');
    expect(stepsOf({ ...mixed, added: [{ id: 'own-one', text: 'String them up' }] }, pantry).at(-2)).toEqual({
      id: 'own-one',
      code: 'own',
      text: 'String them up',
      required: false,
    });
    expect(steps.map(({ id }) => id)).toContain('morchella-esculenta-guide-1');
    expect(spoilsFor(mixed)).toEqual(['damp-mould', 'still-cook']);
    expect(keepsFor({ ...mixed, method: 'pickle', figures: { acid: 1 } })?.days).toBe(4);
    expect(bestBeforeOf('2026-02-27', { days: 4, store: 'fridge' })).toBe('2026-03-03');
  });
  test('what is weighed decides whether it keeps', () => {
    expect(settled('syrup', { liquidGrams: 350, sugarGrams: 650 }).sugarShare).toBeCloseTo(0.65, 9);
    expect(settled('syrup', { sugarShare: 0.7, sugarGrams: 650 })).toEqual({ sugarGrams: 650 });
    expect(settled('pickle', { liquidMl: 500, vinegar: 5, waterMl: 500 }).acid).toBeCloseTo(2.5, 9);
    expect(settled('ferment', { plantGrams: 900, waterMl: 100, saltGrams: 25 }).saltShare).toBeCloseTo(
      0.025,
      9,
    );
    expect(settled('dry', { fresh: true })).toEqual({ fresh: true });
  });
});
