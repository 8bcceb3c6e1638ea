/** On a device: what is recorded in quick succession, what no longer holds, and the logbook coming in. */
import './guide';
import { decide, currentFields, type Entry, type FindRecord } from '@pause/core';
import { exportOf, tableOf, toDarwinCore, toTable, occurrencesOf } from '@pause/core/formats/logbook';
import { followChecks } from '../../core/test/finds';
import { guide, takeGuide } from '../src/deciding/guide';
import { add } from '../src/notebook/add';
import { changeFields, toggled } from '../src/notebook/changeFields';
import { loadMe } from '../src/notebook/open';
import { beginPage } from '../src/notebook/pages';
import { causesHere } from '../src/notebook/recalls';
import { loadPages } from '../src/notebook/repository/pages';
import { entriesIn } from '../src/screens/pantry/entriesIn';
import { rig } from './rig';

const AT = '2026-09-14T08:00:00.000Z';
/** A find as its entries, followed to *collect* and collected. */
function collected(find: string, target: string, person = 'mirel'): Entry[] {
  const followed = followChecks(target);
  const piece = `${find}-piece`;
  const entry = (kind: string, body: object) => ({ kind, find, body }) as unknown as Entry;
  return [
    entry('finds', { id: find, startedAt: AT, kingdom: followed.kingdom, person }),
    entry('pieces', { id: piece, at: AT, purpose: 'decide' }),
    entry('targets', { id: `${find}-target`, at: AT, taxon: followed.target }),
    entry('contexts', { id: `${find}-told`, at: AT, context: followed.context }),
    ...followed.readings.map((one, at) =>
      entry('readings', { ...one, id: `${find}-r${at}`, piece, by: person, at: AT }),
    ),
    entry('verdicts', {
      id: `${find}-verdict`,
      at: '2026-09-14T09:00:00.000Z',
      verdict: decide(guide, followed),
    }),
    entry('decisions', {
      id: `${find}-decision`,
      at: '2026-09-14T09:01:00.000Z',
      verdict: `${find}-verdict`,
      choice: 'collect',
      by: person,
    }),
  ];
}
async function opened() {
  const it = rig();
  await it.store.dispatch(loadMe());
  await it.store.dispatch(loadPages());
  return it;
}

test('answers given faster than they are kept are all kept, each made of what was there by then', async () => {
  const { store } = await opened();
  const id = (await store.dispatch(beginPage('place', { name: 'Lower wood', soil: ['acid'] })))!;
  const added = ['loam', 'peat', 'acid', 'clay'].map((one) =>
    store.dispatch(changeFields(id, 'place', ({ soil }) => ({ soil: toggled(soil, one as never) }))),
  );
  expect(await Promise.all(added)).toEqual([true, true, true, true]);
  expect(currentFields(store.getState().pages.all[id]!, 'place').soil).toEqual(['loam', 'peat', 'clay']);
  // Nothing to tell is no failure; a page of another kind is.
  expect(await store.dispatch(changeFields(id, 'place', () => ({})))).toBe(true);
  expect(await store.dispatch(changeFields(id, 'walk', () => ({ name: 'x' })))).toBe(false);
  expect(await store.dispatch(changeFields('nowhere', 'place', () => ({ name: 'x' })))).toBe(false);
});

describe('what no longer holds', () => {
  test('is found without a server: a reading taken back, a stray in the bag, a corrected guide', async () => {
    const { store, server } = await opened();
    server.away = true;
    await store.dispatch(add(...collected('find-0001', 'cantharellus-cibarius')));
    const harvest = {
      taxon: 'cantharellus-cibarius' as never,
      part: 'fruiting-body',
      on: '2026-09-14',
      bag: 'Basket',
    };
    const one = (await store.dispatch(beginPage('harvest', { find: 'find-0001', ...harvest })))!;
    expect(await store.dispatch(causesHere())).toEqual([]);
    const two = (await store.dispatch(
      beginPage('harvest', {
        find: 'find-0002',
        ...harvest,
        sorting: { pieces: 5, found: [1], now: 0, grades: ['deadly'] },
      }),
    ))!;
    expect(await store.dispatch(causesHere())).toEqual(
      expect.arrayContaining([
        { code: 'stray', of: one, grade: 'deadly', touched: true },
        { code: 'stray', of: two, grade: 'deadly' },
      ]),
    );
    await store.dispatch(
      add(
        ...[0, 1, 2].map(
          (at) =>
            ({
              kind: 'withdrawals',
              find: 'find-0001',
              body: { id: `withdrawal-${at}`, at: '2026-09-15T08:00:00.000Z', reading: `find-0001-r${at}` },
            }) as unknown as Entry,
        ),
      ),
    );
    expect((await store.dispatch(causesHere())).find((cause) => cause.of === 'find-0001')).toMatchObject({
      code: 'verdict',
      because: 'record',
      outcome: 'pause',
    });
  });
  test('a guide that does not know a target any more lets nothing stand on it', async () => {
    const { store, server } = await opened();
    server.away = true;
    await store.dispatch(add(...collected('find-0003', 'hydnum-repandum')));
    await store.dispatch(
      beginPage('harvest', {
        find: 'find-0003',
        taxon: 'hydnum-repandum' as never,
        part: 'fruiting-body',
        on: '2026-09-14',
      }),
    );
    const whole = guide.guide;
    try {
      takeGuide({
        raw: {
          ...whole,
          taxa: whole.taxa
            .filter(({ id }) => id !== 'hydnum-repandum')
            .map((taxon) => ({
              ...taxon,
              lookalikes: taxon.lookalikes.filter((id) => id !== 'hydnum-repandum'),
            })),
        },
      });
      expect(await store.dispatch(causesHere())).toEqual([
        { code: 'verdict', of: 'find-0003', because: 'guide', outcome: 'pause', grade: 'deadly' },
      ]);
    } finally {
      takeGuide({ raw: whole });
    }
  });
});

describe('a file that is taken in', () => {
  async function withFind() {
    const it = await opened();
    await it.store.dispatch(add(...collected('find-0001', 'cantharellus-cibarius')));
    const batch = (await it.store.dispatch(
      beginPage('batch', {
        name: 'Dried',
        from: [{ of: 'find', id: 'find-0001' }],
        contents: [{ taxon: 'cantharellus-cibarius' as never, part: 'fruiting-body' }],
        method: 'dry',
        on: '2026-09-14',
        made: { amount: 40, unit: 'g' },
      }),
    ))!;
    await it.atRest();
    const record = it.records.get('find-0001') as FindRecord;
    const page = it.store.getState().pages.all[batch]!;
    return {
      ...it,
      record,
      page,
      whole: JSON.stringify(exportOf({ id: 'mirel', name: 'Mirel' }, [record], [page])),
    };
  }
  test('brings nothing that is here already, and all of it where nothing is', async () => {
    const { store, whole } = await withFind();
    expect(await store.dispatch(entriesIn(whole))).toEqual({ entries: [], remarks: [] });
    const other = await opened();
    const { entries, remarks } = await other.store.dispatch(entriesIn(whole));
    expect(remarks).toEqual([]);
    expect(entries.map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['finds', 'readings', 'verdicts', 'decisions', 'pages', 'fields']),
    );
    await other.store.dispatch(add(...entries));
    await other.atRest();
    expect(other.records.get('find-0001')?.decisions).toHaveLength(1);
  });
  test('from a notebook of another name it becomes one’s own; what others recorded stays theirs', async () => {
    const { whole } = await withFind();
    const other = await opened();
    const theirs = JSON.parse(whole.replaceAll('"mirel"', '"somebody"')) as {
      own: { kind: string; body: { by?: string } }[];
    };
    theirs.own.find(({ kind }) => kind === 'readings')!.body.by = 'a-third';
    const { entries, remarks } = await other.store.dispatch(entriesIn(JSON.stringify(theirs)));
    expect(
      entries
        .filter(({ kind }) => kind === 'readings')
        .every(({ body }) => 'by' in body && body.by === 'mirel'),
    ).toBe(true);
    expect(remarks).toEqual(['One entry is somebody else’s, and stays theirs.']);
  });
  test('a table and occurrences bring finds that nobody checked here', async () => {
    const { record, page } = await withFind();
    const other = await opened();
    const table = await other.store.dispatch(entriesIn(toTable(tableOf([record], [page]))));
    expect(table.remarks).toEqual([]);
    expect(table.entries.map(({ kind }) => kind)).toEqual([
      'finds',
      'pieces',
      'targets',
      'pages',
      'fields',
      'fields',
      'fields',
      'fields',
      'fields',
      'fields',
    ]);
    const occurrences = await other.store.dispatch(
      entriesIn(toDarwinCore(occurrencesOf([record], guide, () => 'Mirel'))),
    );
    expect(occurrences.entries.map(({ kind }) => kind)).toEqual(['finds', 'pieces', 'targets']);
  });
  test.each([
    ['{ "format": ', /^It is not JSON/],
    ['{ "format": "x" }', /^It is no export of Pause/],
    ['only a line', /^It is none of the formats/],
    ['{ "format": "pause-export/1", "own": [{ "kind": "readings" }] }', /^own\[0\]\./],
    ['kind,id,date\njar,find-0001,2026-09-14', /^line 2, kind: /],
    ['eventDate,scientificName\nnever,Boletus edulis', /^line 2, eventDate: /],
  ])('what is wrong with it is said, and nothing is taken (%#)', async (text, remark) => {
    const { store } = await opened();
    const { entries, remarks } = await store.dispatch(entriesIn(text));
    expect(entries).toEqual([]);
    expect(remarks[0]).toMatch(remark);
  });
});
