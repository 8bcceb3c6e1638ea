import { applyEntry, summaryOf, type FindEntry, type FindRecord } from '@pause/core';
import { FindSummary } from '@pause/core/notebook';
import { inOrder } from '../src/notebook/device';

const at = (second: number) => new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString();
const entries = [
  { kind: 'finds', find: 'f', body: { id: 'f', startedAt: at(0), kingdom: 'Fungi', person: 'mirel' } },
  { kind: 'pieces', find: 'f', body: { id: 'p', at: at(1), purpose: 'decide' } },
  { kind: 'targets', find: 'f', body: { id: 't', at: at(2), taxon: 'boletus-edulis' } },
  { kind: 'contexts', find: 'f', body: { id: 'c', at: at(3), context: { condition: 'fresh' } } },
  {
    kind: 'readings',
    find: 'f',
    body: {
      id: 'r',
      piece: 'p',
      character: 'hymenophore',
      value: { kind: 'states', states: ['pores'] },
      sureness: 'sure',
      by: 'mirel',
      at: at(4),
    },
  },
  { kind: 'withdrawals', find: 'f', body: { id: 'w', at: at(5), reading: 'r' } },
  { kind: 'skips', find: 'f', body: { id: 's', at: at(6), piece: 'p', character: 'latex' } },
  { kind: 'verdicts', find: 'f', body: { id: 'v', at: at(7), verdict: { outcome: 'pause' } } },
  { kind: 'decisions', find: 'f', body: { id: 'd', at: at(8), verdict: 'v', choice: 'later', by: 'mirel' } },
] as unknown as FindEntry[];

const all = (list: readonly FindEntry[], from?: FindRecord) =>
  list.reduce<FindRecord | undefined>(applyEntry, from);

test('entries make a record', () => {
  expect(all(entries)).toMatchObject({
    id: 'f',
    pieces: [{ id: 'p', startedAt: at(1) }],
    targets: [{ taxon: 'boletus-edulis' }],
    context: { condition: 'fresh' },
    readings: [{ id: 'r' }],
    withdrawals: [{ reading: 'r' }],
    skips: [{ character: 'latex' }],
    verdicts: [{ id: 'v' }],
    decisions: [{ choice: 'later' }],
  });
});

test('laid over a record that holds them already, they change nothing', () => {
  const once = all(entries);
  expect(all(entries, once)).toEqual(once);
});

test('an entry of a find that is not there is left out', () => {
  expect(all(entries.slice(1))).toBeUndefined();
});

test('of two entries of one moment, the find comes before what belongs to it', () => {
  const [find, piece] = entries;
  const same = { ...piece!, body: { ...piece!.body, at: at(0) } } as FindEntry;
  expect(inOrder([same, find!])).toEqual([find, same]);
});

test('the line of the log tells the newest name, verdict and decision', () => {
  const record = all([
    ...entries,
    {
      kind: 'targets',
      find: 'f',
      body: { id: 't2', at: at(9), taxon: 'boletus-satanas' },
    } as unknown as FindEntry,
  ])!;
  expect(summaryOf(record)).toEqual({
    id: 'f',
    startedAt: at(0),
    kingdom: 'Fungi',
    person: 'mirel',
    readings: 1,
    target: 'boletus-satanas',
    outcome: 'pause',
    choice: 'later',
  });
  expect(
    FindSummary.parse(summaryOf({ ...record, number: 7, placeNote: 'Under the beeches' })),
  ).toMatchObject({ number: 7, placeNote: 'Under the beeches' });
});
