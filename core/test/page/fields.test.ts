import * as fc from 'fast-check';
import { currentFields, fieldHistory, canonicalJson, type PageEntry } from '../../src';
import { applyToPage, PageRecord, parseEntry } from '../../src/notebook';
import { folded, PLACE, field, seen, at } from './kit';

describe('a page', () => {
  test('kept by an earlier version under another name of its changes is read as it was', () => {
    const { changes, ...rest } = folded([PLACE, field('name', 'Lower wood', 1)]);
    expect(changes).toHaveLength(1);
    expect(PageRecord.parse({ ...rest, told: changes })).toEqual({ ...rest, changes });
  });

  test('has each field as it was recorded last, by the stamp and not by when it arrived, and what was there before', () => {
    const page = folded([
      PLACE,
      field('name', 'Lower wood', 9, 'karrow'),
      field('name', 'Upper wood', 5),
      field('elevation', 640, 3),
      field('shade', 'half', 4),
      field('shade', null, 8),
    ]);
    expect(currentFields(page, 'place')).toEqual({ name: 'Lower wood', elevation: 640 });
    expect(fieldHistory(page, 'name').map(({ value }) => value)).toEqual(['Lower wood', 'Upper wood']);
  });

  test('is the same on every device that heard the same, whatever the order', () => {
    const recorded = [
      ...[1, 2, 3, 4].map((second) => field('name', `Wood ${second}`, second % 3, `d${second}`)),
      field('elevation', 640, 3),
      field('elevation', null, 3, 'karrow'),
      seen('vaccinium-myrtillus', 2),
      seen('atropa-bella-donna', 2),
      seen('boletus-edulis', 6),
    ];
    const expected = canonicalJson(folded([PLACE, ...recorded]));
    fc.assert(
      fc.property(
        fc.shuffledSubarray(recorded, { minLength: recorded.length }),
        fc.shuffledSubarray(recorded),
        (order, again) => {
          expect(canonicalJson(folded([PLACE, ...order, ...again, PLACE]))).toBe(expected);
        },
      ),
    );
  });

  test('of a group is there from the first field recorded; any other has to be begun', () => {
    const rule = {
      page: 'walkers-one',
      kind: 'fields',
      body: { id: 'rule-one1', at: at(1), by: 'mirel', of: 'group', field: 'familyHint', value: false },
    } as PageEntry;
    expect(currentFields(folded([rule]), 'group')).toEqual({ familyHint: false });
    expect(applyToPage(undefined, field('name', 'Lower wood', 1))).toBeUndefined();
    expect(applyToPage(undefined, seen('boletus-edulis', 1))).toBeUndefined();
  });
});

const body = { id: 'field-0001', at: at(1), by: 'mirel', of: 'place', field: 'name', value: 'Lower wood' };
const recorded = (more: object) =>
  parseEntry({ page: 'place-one', kind: 'fields', body: { ...body, ...more } });
const SQUARE = [
  [12.1, 46.5],
  [12.2, 46.5],
  [12.2, 46.6],
  [12.1, 46.5],
];
test.each<[string, object, string]>([
  ['a field that this kind of page does not have', { field: 'cautions' }, 'body.field'],
  ['a field whose name is something else’s', { field: 'constructor' }, 'body.field'],
  ['a value of another kind', { field: 'elevation', value: 'high' }, 'body.value'],
  ['a height of another planet', { field: 'elevation', value: 21_000 }, 'body.value'],
  [
    'latitude and longitude swapped out of range',
    { field: 'shape', value: { type: 'Point', coordinates: [12.2, 146.5] } },
    'body.value.coordinates.1',
  ],
  [
    'a ring that does not close',
    { field: 'shape', value: { type: 'Polygon', coordinates: [[...SQUARE.slice(0, 3), [12.15, 46.55]]] } },
    'body.value.coordinates.0',
  ],
  [
    'a shape that is none of ours',
    { field: 'shape', value: { type: 'MultiPoint', coordinates: [] } },
    'body.value.type',
  ],
  [
    'a permit until no day',
    { field: 'picking', value: { may: 'permit', permitUntil: '2026-02-30' } },
    'body.value.permitUntil',
  ],
  [
    'an allowance of nothing',
    { field: 'allowances', value: [{ may: 'yes', perDay: { amount: 0, unit: 'g' } }] },
    'body.value.0.perDay.amount',
  ],
  ['a caution that is none', { of: 'eater', field: 'cautions', value: ['everything'] }, 'body.value.0'],
  ['an hour that no clock has', { of: 'walk', field: 'from', value: '24:10' }, 'body.value'],
  ['a bar too many', { of: 'group', field: 'extraBars', value: { deadly: 9 } }, 'body.value.deadly'],
  ['signatures, which are not recorded so', { of: 'group', field: 'reviews', value: [] }, 'body.field'],
])('refused with its field: %s', (_, more, where) => {
  const parsed = recorded(more);
  expect('problems' in parsed && parsed.problems.map((problem) => problem.field)).toContain(where);
});

test('taken as sent: each kind of page, each shape, and a field emptied', () => {
  for (const more of [
    {},
    { value: null },
    { field: 'shape', value: { type: 'Point', coordinates: [12.2, 46.5, 640] } },
    { field: 'shape', value: { type: 'Polygon', coordinates: [SQUARE] } },
    { field: 'picking', value: { may: 'permit', permitUntil: '2026-10-31' } },
    { of: 'eater', field: 'cautions', value: ['pregnancy', 'allergy:apiaceae'] },
    { of: 'walk', field: 'backBy', value: '17:00' },
    { of: 'group', field: 'forgoneTaxa', value: ['boletus-edulis'] },
  ])
    expect(recorded(more)).toMatchObject({
      entry: { page: 'place-one', kind: 'fields', body: { ...body, ...more } },
    });
});

test('an entry of a page names its page, one of a find its find', () => {
  expect(parseEntry({ find: 'place-one', kind: 'fields', body })).toMatchObject({
    problems: [{ field: 'page' }],
  });
  expect(
    parseEntry({
      page: 'find-one',
      kind: 'targets',
      body: { id: 'target-01', at: at(1), taxon: 'boletus-edulis' },
    }),
  ).toMatchObject({ problems: [{ field: 'find' }] });
  expect(parseEntry({ ...PLACE, page: 'another-one' })).toMatchObject({ problems: [{ field: 'page' }] });
});
