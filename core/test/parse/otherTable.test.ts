import { columnsOf, identified, likelyMatching, readMatched } from '../../src/formats/logbook';
import { guide } from '../finds';

const TABLE = [
  'Species,Date,Where,Lat,Lng,Comments',
  'chanterelle,14.9.2026,"Beech slope, by the path",46.5,13.2,few',
  'VACCINIUM MYRTILLUS,2026-09-15,Hill,,,',
  'Saguaro,2026-09-15,Hill,,,',
  'chanterelle,last week,Hill,,,',
].join('\r\n');

test('of a table with headings of its own, what is likely is matched', () => {
  const columns = columnsOf(`\uFEFF${TABLE}`);
  expect(columns).toEqual(['Species', 'Date', 'Where', 'Lat', 'Lng', 'Comments']);
  expect(likelyMatching(columns)).toEqual({
    scientificName: 'Species',
    eventDate: 'Date',
    locality: 'Where',
    occurrenceRemarks: 'Comments',
    decimalLatitude: 'Lat',
    decimalLongitude: 'Lng',
  });
  expect(likelyMatching(['who', 'how often'])).toEqual({});
  // What has one column, or two of one name, is no table.
  expect(columnsOf('only a line')).toEqual([]);
  expect(columnsOf('name,name,day')).toEqual([]);
});

test('rows become finds, by names in any language; what cannot be used is named by its own heading', () => {
  const { rows, problems } = readMatched(TABLE, likelyMatching(columnsOf(TABLE)), guide);
  expect(rows).toEqual([
    {
      startedAt: '2026-09-14T12:00:00.000Z',
      kingdom: 'Fungi',
      taxon: 'cantharellus-cibarius',
      bodyPlan: guide.taxon('cantharellus-cibarius')?.taxon.bodyPlan,
      placeNote: 'Beech slope, by the path',
      note: 'few',
      position: { decimalLatitude: 46.5, decimalLongitude: 13.2 },
    },
    expect.objectContaining({ taxon: 'vaccinium-myrtillus', placeNote: 'Hill' }),
  ]);
  expect(problems.map(({ field }) => field)).toEqual(['line 4, kingdom', 'line 5, Date']);
});

test('a heading with a space behind it is the same heading', () => {
  const spaced = 'Name ,Date \nchanterelle,2026-09-14\n';
  const { rows, problems } = readMatched(spaced, likelyMatching(columnsOf(spaced)), guide);
  expect([rows.length, problems]).toEqual([1, []]);
});

test('without a column for the name nothing is read', () => {
  const { rows, problems } = readMatched(TABLE, { eventDate: 'Date' }, guide);
  expect(rows).toEqual([]);
  expect(problems).toEqual([{ field: 'file', reason: 'the column "scientificName" is not there' }]);
});

test('rows of one person have the same id whenever the file is read, and two that say the same have two', () => {
  const { rows } = readMatched(TABLE, likelyMatching(columnsOf(TABLE)), guide);
  const ids = (person: string) => identified([...rows, ...rows.slice(0, 1)], person).map(({ id }) => id);
  expect(ids('mirel')).toEqual(ids('mirel'));
  expect(new Set([...ids('mirel'), ...ids('tam')]).size).toBe(6);
  for (const id of ids('mirel')) expect(id).toMatch(/^[A-Za-z0-9_-]{8,64}$/);
});
