/** Pages of the notebook: what is told of places, eaters, walks and groups, in whatever order it arrives. */
import * as fc from 'fast-check';
import { canonicalJson, fieldHistory, standing, type PageEntry, type PageRecord } from '../src';
import {
  applyToPage,
  metresBetween,
  middleOf,
  pageEntryFor,
  parseEntry,
  stampOf,
  type Geometry,
} from '../src/notebook';

const MORNING = Date.parse('2026-09-14T07:40:00.000Z');
const at = (second: number) => new Date(MORNING + second * 1000).toISOString();
const stamp = (second: number, device = 'tollar') =>
  stampOf({ ms: MORNING + second * 1000, count: 0, device });
const PLACE = {
  page: 'place-one',
  kind: 'pages',
  body: { id: 'place-one', at: at(0), by: 'mirel', kind: 'place', group: 'walkers-one' },
  stamp: stamp(0),
} as PageEntry;
const field = (name: string, value: unknown, second: number, device = 'tollar') =>
  ({
    page: 'place-one',
    kind: 'fields',
    body: {
      id: `f-${name}-${second}-${device}`,
      at: at(second),
      by: 'mirel',
      of: 'place',
      field: name,
      value,
    },
    stamp: stamp(second, device),
  }) as PageEntry;
const seen = (taxon: string, second: number, more: object = {}) =>
  ({
    page: 'place-one',
    kind: 'sightings',
    body: {
      id: `sighting-${second}-${taxon}`,
      at: at(second),
      by: 'tam',
      on: '2026-09-14',
      what: 'seen',
      taxon,
      ...more,
    },
    stamp: stamp(second),
  }) as unknown as PageEntry;
const folded = (entries: readonly PageEntry[]) =>
  entries.reduce<PageRecord | undefined>(applyToPage, undefined)!;

describe('a page', () => {
  test('has each field as it was told last, by the stamp and not by when it arrived, and what was there before', () => {
    const page = folded([
      PLACE,
      field('name', 'Lower wood', 9, 'karrow'),
      field('name', 'Upper wood', 5),
      field('elevation', 640, 3),
      field('shade', 'half', 4),
      field('shade', null, 8),
    ]);
    expect(standing(page, 'place')).toEqual({ name: 'Lower wood', elevation: 640 });
    expect(fieldHistory(page, 'name').map(({ value }) => value)).toEqual(['Lower wood', 'Upper wood']);
  });

  test('is the same on every device that heard the same, whatever the order', () => {
    const told = [
      ...[1, 2, 3, 4].map((second) => field('name', `Wood ${second}`, second % 3, `d${second}`)),
      field('elevation', 640, 3),
      field('elevation', null, 3, 'karrow'),
      seen('vaccinium-myrtillus', 2),
      seen('atropa-bella-donna', 2),
      seen('boletus-edulis', 6),
    ];
    const expected = canonicalJson(folded([PLACE, ...told]));
    fc.assert(
      fc.property(
        fc.shuffledSubarray(told, { minLength: told.length }),
        fc.shuffledSubarray(told),
        (order, again) => {
          expect(canonicalJson(folded([PLACE, ...order, ...again, PLACE]))).toBe(expected);
        },
      ),
    );
  });

  test('of a group is there from the first thing told; any other has to be begun', () => {
    const rule = {
      page: 'walkers-one',
      kind: 'fields',
      body: { id: 'rule-one1', at: at(1), by: 'mirel', of: 'group', field: 'familyHint', value: false },
    } as PageEntry;
    expect(standing(folded([rule]), 'group')).toEqual({ familyHint: false });
    expect(applyToPage(undefined, field('name', 'Lower wood', 1))).toBeUndefined();
    expect(applyToPage(undefined, seen('boletus-edulis', 1))).toBeUndefined();
  });
});

const body = { id: 'field-0001', at: at(1), by: 'mirel', of: 'place', field: 'name', value: 'Lower wood' };
const told = (more: object) => parseEntry({ page: 'place-one', kind: 'fields', body: { ...body, ...more } });
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
  ['signatures, which are not told so', { of: 'group', field: 'reviews', value: [] }, 'body.field'],
])('refused with its field: %s', (_, more, where) => {
  const parsed = told(more);
  expect('problems' in parsed && parsed.problems.map((problem) => problem.field)).toContain(where);
});

test('taken as told: each kind of page, each shape, and a field emptied', () => {
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
    expect(told(more)).toMatchObject({
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

describe('where', () => {
  test('two positions are apart: a degree of latitude, and one of longitude at 60 degrees north, which is half as long', () => {
    // 2 π · 6371008.8 m / 360 = 111195.08 m.
    expect(metresBetween([12, 46], [12, 47])).toBeCloseTo(111_195.08, 1);
    // On a great circle it is a little shorter than half of that along the parallel.
    expect(metresBetween([12, 60], [13, 60])).toBeCloseTo(55_596.9, 0);
    expect(metresBetween([12, 46], [12, 46])).toBe(0);
  });

  test('the middle of a point, a line, an area', () => {
    const shapes: [Geometry, [number, number]][] = [
      [{ type: 'Point', coordinates: [12, 46] }, [12, 46]],
      [
        {
          type: 'LineString',
          coordinates: [
            [12, 46],
            [13, 48],
            [12, 47],
          ],
        },
        [12.5, 47],
      ],
      [
        {
          type: 'Polygon',
          coordinates: [
            [
              [0, 0],
              [2, 0],
              [2, 4],
              [0, 0],
            ],
          ],
        },
        [1, 2],
      ],
    ];
    for (const [shape, middle] of shapes) expect(middleOf(shape)).toEqual(middle);
  });
});

describe('a place in the group’s notebook', () => {
  const shape = field('shape', { type: 'Point', coordinates: [12.2376, 46.5123] }, 1);
  const note = field('note', 'Behind the third alder', 2);
  const sighting = seen('atropa-bella-donna', 3, { note: 'Left of the weir', worthVisit: true });
  const as = (reader: string, ...more: PageEntry[]) =>
    [shape, note, sighting].map(
      (entry) => pageEntryFor(entry, folded([PLACE, shape, note, sighting, ...more]), reader).body,
    );

  test('is told whole to whoever keeps it, and to whom that one chose', () => {
    for (const [reader, ...more] of [
      ['mirel'],
      ['tam', field('exactFor', 'group', 4)],
      ['tam', field('exactFor', ['tam'], 4)],
    ] as [string, ...PageEntry[]][])
      expect(as(reader, ...more)).toEqual([shape.body, note.body, sighting.body]);
  });

  test('is nobody else’s: of what was seen there only what and when', () => {
    for (const more of [
      [],
      [field('exactFor', ['jorun'], 4)],
      [field('exactFor', 'group', 4), field('exactFor', 'finder', 5)],
    ]) {
      const [where, said, saw] = as('tam', ...more);
      expect([where, said]).toMatchObject([
        { value: null, withheld: true },
        { value: null, withheld: true },
      ]);
      expect(saw).toMatchObject({ taxon: 'atropa-bella-donna', worthVisit: true });
      expect(JSON.stringify([where, said, saw])).not.toMatch(/weir|alder|12\.23|46\.51/);
    }
  });

  test('may be told as a square, the same for every place in it', () => {
    const [where] = as('tam', field('others', 'cell', 4));
    expect(where).toMatchObject({ value: { type: 'Point', coordinates: [12.25, 46.55] }, withheld: true });
  });

  test('does not tell one reader who the others are', () => {
    const choice = field('exactFor', ['jorun', 'lune'], 4);
    expect(pageEntryFor(choice, folded([PLACE, choice]), 'tam').body).toMatchObject({ value: [] });
  });
});
