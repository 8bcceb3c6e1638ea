/**
 * What the invented walkers made of what they gathered; a page of the demo besides places, eaters and walks.
 */

export interface DemoPage {
  readonly id: string;
  readonly kind: 'harvest' | 'batch' | 'portion' | 'practice' | 'learner' | 'lesson';
  readonly keeper: string;
  readonly shared: 'with-place' | 'own';
  readonly fields: Readonly<Record<string, unknown>>;
}

const done = (at: string, ...steps: readonly string[]) => steps.map((step) => ({ step, at }));
const BERRIES = { taxon: 'vaccinium-myrtillus', part: 'fruit' };
const HEDGEHOG = { taxon: 'hydnum-repandum', part: 'fruiting-body' };

export const DEMO_PANTRY: readonly DemoPage[] = [
  {
    id: 'demo-harvest-berries',
    kind: 'harvest',
    keeper: 'mirel',
    shared: 'own',
    fields: {
      find: 'demo-find-6',
      place: 'demo-place-heath',
      ...BERRIES,
      on: '2025-09-18',
      count: { how: 'about', order: 'thousands' },
      taken: { amount: 2, unit: 'litre' },
      share: 0.1,
      wetness: 'dry',
      bag: 'The blue tin',
      specimen: true,
      sorting: { pieces: 1400, found: [0, 0, 0], now: 0, grades: [] },
    },
  },
  {
    id: 'demo-batch-5e20c7a1',
    kind: 'batch',
    keeper: 'mirel',
    shared: 'own',
    fields: {
      from: [{ of: 'harvest', id: 'demo-harvest-berries' }],
      contents: [BERRIES],
      method: 'syrup',
      on: '2025-09-18',
      name: 'Bilberry syrup',
      steps: done(
        '2025-09-18T15:00:00.000Z',
        'look-again',
        'specimen',
        'guide-1',
        'boil-up',
        'filter',
        'add-sugar',
        'boil-up-2',
        'fill-hot',
        'label',
      ),
      figures: { liquidGrams: 820, sugarGrams: 1550, sugarShare: 0.654 },
      made: { amount: 1600, unit: 'ml' },
      readyOn: '2025-09-18',
      bestBefore: '2026-09-18',
      note: 'A little lemon would do it good.',
    },
  },
  {
    id: 'demo-gift-syrup',
    kind: 'portion',
    keeper: 'mirel',
    shared: 'own',
    fields: {
      what: 'gift',
      at: '2025-12-20T16:00:00.000Z',
      of: [{ of: 'batch', id: 'demo-batch-5e20c7a1', amount: { amount: 250, unit: 'ml' } }],
      toWhom: 'Aunt Selke',
    },
  },
  {
    id: 'demo-meal-pancakes',
    kind: 'portion',
    keeper: 'mirel',
    shared: 'own',
    fields: {
      what: 'meal',
      at: '2026-02-11T17:30:00.000Z',
      of: [{ of: 'batch', id: 'demo-batch-5e20c7a1', amount: { amount: 200, unit: 'ml' } }],
      who: ['Mirel', 'Lune'],
      dish: 'Pancakes',
    },
  },
  {
    id: 'demo-harvest-hedgehog',
    kind: 'harvest',
    keeper: 'jorun',
    shared: 'with-place',
    fields: {
      find: 'demo-find-3',
      place: 'demo-place-slope',
      ...HEDGEHOG,
      on: '2026-09-12',
      count: { how: 'counted', number: 190 },
      taken: { amount: 1400, unit: 'g' },
      share: 0.25,
      wetness: 'dry',
      bag: 'Willow basket',
      specimen: true,
      sorting: { pieces: 46, found: [0, 0], now: 0, grades: [] },
    },
  },
  {
    id: 'demo-batch-90ac72e5',
    kind: 'batch',
    keeper: 'jorun',
    shared: 'with-place',
    fields: {
      from: [{ of: 'harvest', id: 'demo-harvest-hedgehog', amount: { amount: 500, unit: 'g' } }],
      contents: [HEDGEHOG],
      method: 'cook',
      on: '2026-09-12',
      name: 'Hedgehog mushrooms, fried',
      steps: done('2026-09-12T16:00:00.000Z', 'look-again', 'specimen', 'guide-1', 'chop', 'label'),
      cooked: { how: 'fry', minutes: 20 },
      made: { amount: 320, unit: 'g' },
      readyOn: '2026-09-12',
      bestBefore: '2026-09-14',
    },
  },
  {
    id: 'demo-meal-supper',
    kind: 'portion',
    keeper: 'jorun',
    shared: 'with-place',
    fields: {
      what: 'meal',
      at: '2026-09-12T18:30:00.000Z',
      of: [{ of: 'batch', id: 'demo-batch-90ac72e5' }],
      who: ['Jorun', 'Mirel', 'Tam'],
      dish: 'Supper at the Halvad farm',
    },
  },
  {
    id: 'demo-batch-b41d83f6',
    kind: 'batch',
    keeper: 'jorun',
    shared: 'with-place',
    fields: {
      from: [{ of: 'harvest', id: 'demo-harvest-hedgehog', amount: { amount: 900, unit: 'g' } }],
      contents: [HEDGEHOG],
      method: 'dry',
      on: '2026-09-12',
      name: 'Hedgehog mushrooms, dried',
      steps: done('2026-09-12T16:30:00.000Z', 'look-again', 'specimen', 'cut-thin', 'spread'),
      weighings: [
        ['2026-09-12T17:00:00.000Z', 900],
        ['2026-09-13T06:00:00.000Z', 430],
        ['2026-09-13T19:00:00.000Z', 238],
        ['2026-09-14T06:00:00.000Z', 161],
      ].map(([at, grams]) => ({ at, what: 'all', grams })),
    },
  },
];
