import * as fc from 'fast-check';
import { kept } from '../../../bench/take';
import {
  gramsNeeded,
  gramsForHands,
  type TakeQuestion,
  take,
  mannerFor,
  mannerOf,
  shareOf,
} from '../../src/harvest/taking';
import { guide } from '../finds';
import { PARTS, FORMS } from './kit';

describe('need and hands', () => {
  test('need, worked by hand', () => {
    // Four people, once, 150 g of cooked mushrooms each, of which cooking leaves three quarters.
    expect(gramsNeeded({ eaters: 4, servings: 1, servingGrams: 150, yield: 0.75 })).toBe(800);
    // Tea for two through forty evenings, 2 g dried each; drying leaves a fifth; 60 g are there.
    expect(gramsNeeded({ eaters: 2, servings: 40, servingGrams: 2, yield: 0.2, inStore: 60 })).toBeCloseTo(
      500,
      9,
    );
    expect(gramsNeeded({ eaters: 1, servings: 1, servingGrams: 50, yield: 1, inStore: 80 })).toBe(0);
  });

  test('hands, worked by hand: what is short decides', () => {
    expect(gramsForHands({ basketLitres: 5, hours: 2, gramsPerHour: 800 }, 260)).toEqual({
      grams: 1300,
      short: 'basket',
    });
    expect(gramsForHands({ basketLitres: 10, hours: 2, gramsPerHour: 800 }, 260)).toEqual({
      grams: 1600,
      short: 'hours',
    });
    expect(gramsForHands({ hours: 2 }, 260)).toBeUndefined();
  });

  test.each([
    ['eaters', { eaters: -1 }],
    ['servingGrams', { servingGrams: Number.NaN }],
    ['inStore', { inStore: -5 }],
    ['yield', { yield: 0 }],
    ['yield', { yield: 1.2 }],
  ])('a wrong %s is refused by its name', (field, wrong) => {
    expect(() => gramsNeeded({ eaters: 1, servings: 1, servingGrams: 1, yield: 1, ...wrong })).toThrow(
      new RegExp(`^${field}:`),
    );
  });
  test('a basket of less than nothing is refused by its name', () => {
    expect(() => gramsForHands({ basketLitres: -1 }, 260)).toThrow(/^basketLitres:/);
  });
});

describe('the four ceilings', () => {
  const question: TakeQuestion = {
    need: { eaters: 4, servings: 1, servingGrams: 150, yield: 0.75 },
    patch: { lifeForm: 'mycelium', part: 'fruiting-body', count: { low: 400, mid: 400, high: 400 } },
    permission: 'allowed',
    perDay: { amount: 2, unit: 'litre' },
    persons: 2,
    hands: { basketLitres: 8, hours: 3, gramsPerHour: 900 },
    weights: { piece: 25, handful: 70, litre: 260 },
  };

  test('stand beside one another, the least binds, and what would be next is reported', () => {
    const { ceilings, grams, binds, next, patch } = take(question);
    expect(ceilings.map(({ name, grams: most }) => [name, most])).toEqual([
      ['need', 800],
      ['patch', (patch.pieces ?? 0) * 25],
      ['permission', 1040],
      ['hands', 2080],
    ]);
    expect([grams, binds, next]).toEqual([800, 'need', { name: 'permission', grams: 1040 }]);
  });

  test('what was taken today is taken off what is allowed, for all together', () => {
    expect(take({ ...question, takenToday: [{ amount: 3, unit: 'litre' }] })).toMatchObject({
      grams: 260,
      binds: 'permission',
    });
    expect(take({ ...question, takenToday: [{ amount: 9, unit: 'litre' }] })).toMatchObject({
      grams: 0,
      binds: 'permission',
    });
  });

  test('forbidden is nothing; unknown is no amount at all, but ask first', () => {
    expect(take({ ...question, permission: 'forbidden' })).toMatchObject({ grams: 0, binds: 'permission' });
    const asked = take({ ...question, permission: 'unknown' });
    expect(asked).toMatchObject({ grams: undefined, binds: undefined });
    expect(asked.ceilings.find(({ name }) => name === 'permission')?.missing).toEqual(['permission']);
  });

  test('what nobody reported is missing, and does not bind', () => {
    const bare = take({
      patch: { lifeForm: 'mycelium', part: 'cap' },
      permission: 'allowed',
      persons: 1,
      weights: question.weights,
    });
    expect(bare.ceilings.map(({ missing }) => missing)).toEqual([['need'], ['count'], [], ['hands']]);
    expect(bare.grams).toBeUndefined();
    expect(take({ ...question, patch: { lifeForm: undefined, part: 'cap' } }).ceilings[1]?.missing).toEqual([
      'life',
    ]);
  });

  test('is never above any of them, and never grows when one of them shrinks', () => {
    const some = fc.record({
      eaters: fc.integer({ min: 0, max: 9 }),
      litres: fc.integer({ min: 0, max: 9 }),
      low: fc.integer({ min: 0, max: 500 }),
      basket: fc.integer({ min: 0, max: 20 }),
    });
    const of = ({
      eaters,
      litres,
      low,
      basket,
    }: {
      eaters: number;
      litres: number;
      low: number;
      basket: number;
    }) =>
      take({
        ...question,
        need: { eaters, servings: 1, servingGrams: 150, yield: 0.75 },
        perDay: { amount: litres, unit: 'litre' },
        patch: { lifeForm: 'mycelium', part: 'cap', count: { low, mid: low, high: low } },
        hands: { basketLitres: basket },
      });
    fc.assert(
      fc.property(some, fc.constantFrom('eaters', 'litres', 'low', 'basket'), (asked, field) => {
        const { grams, ceilings } = of(asked);
        for (const one of ceilings) expect(grams).toBeLessThanOrEqual(one.grams ?? Infinity);
        const less = of({ ...asked, [field]: Math.max(0, asked[field as 'eaters'] - 1) });
        expect(less.grams).toBeLessThanOrEqual(grams!);
      }),
    );
  });

  test('nobody goes alone with less than one', () => {
    expect(() => take({ ...question, persons: 0 })).toThrow(/^persons:/);
  });
});

describe('the manner', () => {
  test('every part that the guide wants has a tool, a place to cut and something to leave', () => {
    for (const taxon of guide.taxa) {
      for (const [index] of taxon.taxon.parts.entries()) {
        const manner = mannerFor(taxon, index)!;
        expect(manner.tools.length).toBeGreaterThan(0);
        expect(manner.leave.length).toBeGreaterThan(0);
      }
    }
    expect(mannerFor(guide.taxa[0]!, 99)).toBeUndefined();
  });

  test('roots are lifted and the hole is closed; runners are traced; what is dried is picked dry', () => {
    expect(mannerOf({ part: 'root', use: 'bitter-infusion', lifeForm: 'perennial' })).toMatchObject({
      tools: ['digging-stick'],
      where: 'lift-straight',
      bag: 'bag-for-roots',
    });
    expect(mannerOf({ part: 'root', use: 'food', lifeForm: 'clonal' }).where).toBe('trace-runner');
    expect(mannerOf({ part: 'root', use: 'food', lifeForm: 'perennial' }).giveBack).toContain('close-hole');
    expect(mannerOf({ part: 'leaf', use: 'tea', lifeForm: 'clonal' })).toMatchObject({
      weather: 'dry-after-dew',
      bag: 'paper-or-cloth',
    });
    expect(mannerOf({ part: 'fruit', use: 'food', lifeForm: 'shrub', afterFrost: true }).weather).toBe(
      'after-frost',
    );
    expect(mannerOf({ part: 'leaf', use: 'food', lifeForm: 'clonal', hurtsSkin: true }).tools[0]).toBe(
      'gloves',
    );
  });

  test('an invader is never scattered', () => {
    for (const part of PARTS)
      for (const lifeForm of FORMS)
        expect(mannerOf({ part, use: 'food', lifeForm, invader: true })).toMatchObject({
          leave: [],
          giveBack: ['nothing-it-spreads'],
        });
  });
});

test('patches at their ceiling last fifty uneven years as often as stated; a third does not keep a root', () => {
  for (const [form, part] of [
    ['annual', 'flower'],
    ['perennial', 'leaf'],
    ['perennial', 'root'],
    ['shrub', 'fruit'],
    ['mycelium', 'fruiting-body'],
  ] as const) {
    const still = kept(form, part, shareOf(form, part), 1500, 5);
    expect(still).toBeGreaterThan(0.87);
    expect(still).toBeLessThan(0.94);
  }
  expect(kept('perennial', 'root', 1 / 3, 300, 5)).toBeLessThan(0.01);
  // Counted by stage: of grown plants that bear nothing yet, the share of a patch as it usually stands would
  // be too much.
  const stages = [0, 100, 0];
  expect(
    kept('perennial', 'leaf', shareOf('perennial', 'leaf', { stages }), 1500, 5, stages),
  ).toBeGreaterThan(0.87);
  expect(kept('perennial', 'leaf', shareOf('perennial', 'leaf'), 1500, 5, stages)).toBeLessThan(0.86);
});
