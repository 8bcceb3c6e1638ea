import type { PageRecord } from '@pause/core';
import { pantryOf } from '../../src/notebook/pantry';

export const AT = '2026-09-14T08:00:00.000Z';
export const page = (
  id: string,
  kind: string,
  fields: Record<string, unknown>,
  person = 'mirel',
  group?: string,
): PageRecord =>
  ({
    id,
    kind,
    at: AT,
    person,
    ...(group === undefined ? {} : { group }),
    sightings: [],
    changes: Object.entries(fields).map(([field, value]) => ({
      id: `${id}-${field}`,
      at: AT,
      by: person,
      of: kind,
      field,
      value,
    })),
  }) as unknown as PageRecord;
export const CHANTERELLE = { taxon: 'cantharellus-cibarius', part: 'fruiting-body' };
export const all = (pages: readonly PageRecord[]) =>
  pantryOf(Object.fromEntries(pages.map((one) => [one.id, one])));
export const PAGES = [
  page('place-one', 'place', { name: 'Karrow spring' }),
  page('harvest-one', 'harvest', {
    find: 'find-0001',
    place: 'place-one',
    ...CHANTERELLE,
    on: '2026-09-14',
    taken: { amount: 500, unit: 'g' },
    bag: 'Basket',
  }),
  page('batch-dried', 'batch', {
    name: 'Chanterelles, dried',
    from: [{ of: 'harvest', id: 'harvest-one', amount: { amount: 400, unit: 'g' } }],
    contents: [CHANTERELLE],
    method: 'dry',
    on: '2026-09-14',
    made: { amount: 44, unit: 'g' },
    readyOn: '2026-09-21',
    steps: [
      { step: 'specimen', at: AT, leftOut: 'The cat took it.' },
      { step: 'cut-thin', at: AT },
    ],
  }),
  page('batch-soup', 'batch', {
    name: 'Soup',
    from: [{ of: 'batch', id: 'batch-dried', amount: { amount: 14, unit: 'g' } }],
    contents: [CHANTERELLE],
    method: 'cook',
    on: '2026-09-22',
    cooked: { how: 'boil', minutes: 25 },
  }),
  page('meal-one', 'portion', {
    what: 'meal',
    at: AT,
    of: [{ of: 'batch', id: 'batch-dried', amount: { amount: 10, unit: 'g' } }],
    who: ['Lune', 'Mirel'],
    signs: [{ at: AT, text: 'Lune, her stomach' }],
    cooked: { how: 'fry', minutes: 20 },
  }),
  page('gift-one', 'portion', {
    what: 'gift',
    at: AT,
    of: [{ of: 'batch', id: 'batch-dried', amount: { amount: 5, unit: 'g' } }],
    toWhom: 'Aunt Selke',
  }),
];
export const pantry = all(PAGES);
