import { occurrencesOf, readOccurrences, tableOf, toDarwinCore } from '../../src/formats/logbook';
import { applyEntry, summaryOf } from '../../src/notebook/find';
import { guide } from '../finds';
import { AT } from './kit';

test('a name that the guide does not know goes out and in as it was typed', () => {
  const begun = applyEntry(undefined, {
    kind: 'finds',
    find: 'find-0003',
    body: { id: 'find-0003', startedAt: AT, kingdom: 'Plantae', person: 'ilse' },
  });
  const named = applyEntry(begun, {
    kind: 'edits',
    find: 'find-0003',
    body: { id: 'edit-0003', at: AT, by: 'ilse', field: 'verbatimIdentification', value: 'Saguaro' },
  });
  if (!named) throw new Error('no find');
  expect(summaryOf(named).verbatimIdentification).toBe('Saguaro');
  const csv = toDarwinCore(occurrencesOf([named], guide, (person) => person));
  expect(readOccurrences(csv, guide)).toEqual({
    problems: [],
    rows: [{ id: 'find-0003', startedAt: AT, kingdom: 'Plantae', verbatimIdentification: 'Saguaro' }],
  });
  expect(tableOf([named], [])).toMatchObject([{ name: 'Saguaro', taxon: '' }]);
});
