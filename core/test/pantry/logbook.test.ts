import type { FindRecord } from '../../src';
import {
  yearOf,
  yearsOf,
  entriesOfFind,
  entriesOfPage,
  exportOf,
  toDarwinCore,
  occurrencesOf,
  readOccurrences,
  readTable,
  toTable,
  tableOf,
} from '../../src/formats/logbook';
import { parseEntry, type PageRecord, applyToPage } from '../../src/notebook';
import { applyEntry } from '../../src/notebook/find';
import { guide, taxon } from '../finds';
import { collected, batch, AT, harvest, page } from './kit';

describe('the logbook', () => {
  test('a year is counted by kind, month and taxon', () => {
    const year = yearOf({
      year: 2026,
      finds: [
        { startedAt: '2026-09-14T08:00:00Z', target: 'a', choice: 'collect' },
        { startedAt: '2026-09-15T08:00:00Z', target: 'a', choice: 'leave' },
        { startedAt: '2026-03-01T08:00:00Z', target: 'b' },
        { startedAt: '2025-09-14T08:00:00Z', target: 'a', choice: 'collect' },
      ],
      harvests: [
        { on: '2026-09-14', taxon: 'a', grams: 300 },
        { on: '2025-09-14', taxon: 'a', grams: 999 },
      ],
      batches: ['2026-09-15'],
      meals: ['2026-09-16T12:00:00Z', '2025-01-01T12:00:00Z'],
    });
    expect(year).toMatchObject({
      finds: 3,
      collected: 1,
      left: 1,
      open: 1,
      grams: 300,
      batches: 1,
      meals: 1,
      taxa: [
        { taxon: 'a', finds: 2, collected: 1, left: 1, grams: 300 },
        { taxon: 'b', finds: 1, grams: 0 },
      ],
    });
    expect(year.months[8]).toEqual({ collected: 1, other: 1 });
    expect(yearsOf(['2026-09-14', '2024-01-01', '2026-01-01'])).toEqual([2026, 2024]);
  });

  test('everything is there again after going out and coming in', () => {
    const find = collected('find-0001', 'cantharellus-cibarius');
    const kept = entriesOfFind(find);
    const again = kept.map((entry) => {
      const parsed = parseEntry(JSON.parse(JSON.stringify(entry)));
      if ('problems' in parsed) throw new Error(JSON.stringify(parsed.problems));
      return parsed.entry;
    });
    const back = again.reduce<FindRecord | undefined>(
      (record, entry) => applyEntry(record, entry as never),
      undefined,
    );
    expect(back).toEqual(find);
    const dried = batch('batch-one', [{ of: 'harvest', id: 'harvest-one' }], {
      made: { amount: 60, unit: 'g' },
    });
    expect(entriesOfPage(dried).reduce<PageRecord | undefined>(applyToPage, undefined)).toEqual(dried);
    const whole = exportOf({ id: 'mirel', name: 'Mirel' }, [find], [dried]);
    expect(whole.own).toHaveLength(kept.length + 1 + 6);
    expect(whole.inGroups).toEqual([]);
  });

  const finds = [
    collected('find-0001', 'cantharellus-cibarius'),
    {
      ...collected('find-0002', 'vaccinium-myrtillus'),
      placeNote: '=cmd|calc, "quoted"\nand a line',
      edits: [
        {
          id: 'edit-0001',
          at: AT,
          by: 'mirel',
          field: 'position',
          value: { decimalLatitude: 46.55, decimalLongitude: 12.2, coordinateUncertaintyInMeters: 30 },
        },
      ],
    } as FindRecord,
  ];
  test('occurrences are Darwin Core, and read back as finds that nobody checked', () => {
    const csv = toDarwinCore(occurrencesOf(finds, guide, (person) => person));
    // No spreadsheet takes a text for a formula.
    expect(csv).not.toMatch(/(^|,)"?=/m);
    const { rows, problems } = readOccurrences(csv, guide);
    expect(problems).toEqual([]);
    expect(rows).toEqual([
      {
        id: 'find-0001',
        startedAt: AT,
        kingdom: 'Fungi',
        taxon: 'cantharellus-cibarius',
        bodyPlan: 'cantharelloid',
      },
      {
        id: 'find-0002',
        startedAt: AT,
        kingdom: 'Plantae',
        taxon: 'vaccinium-myrtillus',
        bodyPlan: taxon('vaccinium-myrtillus').taxon.bodyPlan,
        placeNote: '=cmd|calc, "quoted"\nand a line',
        position: { decimalLatitude: 46.55, decimalLongitude: 12.2, coordinateUncertaintyInMeters: 30 },
      },
    ]);
  });
  test.each([
    ['eventDate,scientificName\n2026-13-40,Vaccinium myrtillus', 'line 2, eventDate'],
    ['eventDate,scientificName\n2026-09-14,', 'line 2, scientificName'],
    ['eventDate,scientificName\n2026-09-14,Quercus robur', 'line 2, kingdom'],
    ['scientificName\nVaccinium myrtillus', 'file'],
    [
      'eventDate,scientificName,decimalLatitude,decimalLongitude\n2026-09-14,Vaccinium myrtillus,146,12',
      'line 2, decimalLatitude',
    ],
    [
      'eventDate,scientificName,decimalLatitude\n2026-09-14,Vaccinium myrtillus,46',
      'line 2, decimalLatitude',
    ],
    ['eventDate,scientificName\n2026-09-14,Vaccinium myrtillus,7', 'line 2'],
  ])('a wrong row is left out and named (%#)', (csv, field) => {
    const { rows, problems } = readOccurrences(csv, guide);
    expect(rows).toEqual([]);
    expect(problems.map((one) => one.field)).toEqual([field]);
  });
  test('a name with its author, and one of no taxon of the guide with its kingdom, are taken', () => {
    expect(
      readOccurrences(
        'eventDate,scientificName,kingdom\n2026-09-14,Vaccinium myrtillus L.,Plantae\n2026-09-14,Quercus robur,Plantae',
        guide,
      ).rows,
    ).toEqual([
      {
        startedAt: '2026-09-14T12:00:00.000Z',
        kingdom: 'Plantae',
        taxon: 'vaccinium-myrtillus',
        bodyPlan: taxon('vaccinium-myrtillus').taxon.bodyPlan,
      },
      { startedAt: '2026-09-14T12:00:00.000Z', kingdom: 'Plantae', verbatimIdentification: 'Quercus robur' },
    ]);
  });

  test('one table of all of it, out and in', () => {
    const pages = [
      harvest('harvest-one', 'find-0001', { taken: { amount: 2, unit: 'litre' } }),
      batch(
        'batch-one',
        [
          { of: 'harvest', id: 'harvest-one' },
          { of: 'batch', id: 'batch-zero', amount: { amount: 20, unit: 'g' } },
        ],
        { made: { amount: 60, unit: 'g' }, bestBefore: '2027-09-14' },
      ),
      page('meal-one', 'portion', {
        what: 'meal',
        at: AT,
        of: [{ of: 'batch', id: 'batch-one' }],
        who: ['Lune'],
        dish: 'Soup',
      }),
    ];
    const { rows, problems } = readTable(toTable(tableOf(finds, pages)), guide);
    expect(problems).toEqual([]);
    expect(rows.find(({ kind }) => kind === 'harvest')).toEqual({
      kind: 'harvest',
      id: 'harvest-one',
      fields: {
        find: 'find-0001',
        taxon: 'cantharellus-cibarius',
        part: 'fruiting-body',
        on: '2026-09-14',
        taken: { amount: 2, unit: 'litre' },
      },
    });
    expect(rows.find(({ kind }) => kind === 'batch')).toEqual({
      kind: 'batch',
      id: 'batch-one',
      fields: {
        name: 'Dried',
        from: [
          { of: 'harvest', id: 'harvest-one' },
          { of: 'batch', id: 'batch-zero', amount: { amount: 20, unit: 'g' } },
        ],
        contents: [{ taxon: 'cantharellus-cibarius', part: 'fruiting-body' }],
        method: 'dry',
        on: '2026-09-14',
        made: { amount: 60, unit: 'g' },
        bestBefore: '2027-09-14',
      },
    });
    expect(rows.filter(({ kind }) => kind === 'find')).toHaveLength(2);
  });
  test.each([
    [
      'batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,-3,g,syrup,harvest:harvest-one',
      'line 2, amount',
    ],
    [
      'batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,litre,syrup,harvest:harvest-one',
      'line 2, unit',
    ],
    [
      'batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,g,conjure,harvest:harvest-one',
      'line 2, method',
    ],
    ['batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,g,syrup,batch:batch-one', 'line 2, from'],
    ['batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,g,syrup,nowhere', 'line 2, from'],
    ['find,find-0009,2026-09-14,,quercus-robur,,,,,', 'line 2, taxon'],
    ['find,x,2026-09-14,,vaccinium-myrtillus,,,,,', 'line 2, id'],
    ['jar,find-0009,2026-09-14,,,,,,,', 'line 2, kind'],
    ['harvest,harvest-one,2026-09-14,,vaccinium-myrtillus,fruit,3,ml,,find:find-0001', 'line 2, unit'],
    ['harvest,harvest-one,yesterday,,vaccinium-myrtillus,fruit,3,g,,find:find-0001', 'line 2, date'],
  ])('a wrong row of the table is named (%#)', (row, field) => {
    const { rows, problems } = readTable(
      `kind,id,date,name,taxon,part,amount,unit,method,from\n${row}`,
      guide,
    );
    expect(rows).toEqual([]);
    expect(problems.map((one) => one.field)).toEqual([field]);
  });
});
