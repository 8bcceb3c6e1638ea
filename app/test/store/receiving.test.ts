/** What other devices recorded. */
import '../guide';
import type { Entry } from '@pause/core';
import { changeContext, startFind } from '../../src/notebook/actions';
import { loadFind, loadMe } from '../../src/notebook/open';
import { loadList } from '../../src/notebook/repository/finds';
import { syncAll } from '../../src/notebook/sync';
import { START, started } from '../rig/started';

describe('what others recorded', () => {
  const other = (it: Awaited<ReturnType<typeof started>>, kind: string, second: number, body: object) =>
    it.server.receive({
      find: it.id,
      kind,
      body: {
        id: `other-${second}`,
        at: new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString(),
        ...body,
      },
      stamp: new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString() + '-0000-tollar',
    } as unknown as Entry);

  test('is fetched, shown and judged, in an open find and in the log', async () => {
    const it = await started();
    await it.store.dispatch(loadList());
    other(it, 'readings', 1, {
      piece: it.piece,
      character: 'hymenophore',
      value: { kind: 'states', states: ['ridges'] },
      sureness: 'sure',
      by: 'jorun',
    });
    await it.store.dispatch(syncAll());
    await it.atRest();
    expect(it.find().record?.readings.map((r) => r.by)).toEqual(['jorun']);
    expect(
      it.find().evaluation?.verdict.rows.find((r) => r.taxon === 'cortinarius-rubellus')?.bars,
    ).toHaveLength(1);
    expect(it.store.getState().list.items[0]?.readings).toBe(1);
  });

  test('of two devices that were apart, each keeps what the other recorded beside its own', async () => {
    const it = await started();
    it.server.away = true;
    await it.store.dispatch(changeContext(it.id, { condition: 'fresh' }));
    other(it, 'contexts', 2, { context: { part: 'fruiting-body' }, changed: ['part'] });
    it.server.away = false;
    await it.store.dispatch(syncAll());
    expect(it.find().record?.context).toMatchObject({ condition: 'fresh', part: 'fruiting-body' });
    expect(it.records.get(it.id)?.context).toEqual(it.find().record?.context);
  });

  test('with a newer application is reported, and what came before it is here', async () => {
    const it = await started();
    other(it, 'skips', 3, { piece: it.piece, character: 'latex' });
    it.server.newerFrom = it.stream.length + 1;
    other(it, 'skips', 4, { piece: it.piece, character: 'smell' });
    await it.store.dispatch(syncAll());
    expect(it.find().record?.skips.map((s) => s.character)).toEqual(['latex']);
    expect(it.store.getState().outbox.newerVersion).toBe(true);
    it.server.newerFrom = undefined;
    await it.store.dispatch(syncAll());
    expect(it.find().record?.skips).toHaveLength(2);
    expect(it.store.getState().outbox.newerVersion).toBe(false);
  });

  test('that this device has no room for is reported, and fetched when there is room', async () => {
    const it = await started();
    other(it, 'skips', 3, { piece: it.piece, character: 'latex' });
    it.storage.full = true;
    await it.store.dispatch(syncAll());
    expect(it.store.getState().outbox.notTaken).toBe('This device’s storage is full.');
    it.storage.full = false;
    await it.store.dispatch(syncAll());
    expect(it.find().record?.skips).toHaveLength(1);
    expect(it.store.getState().outbox.notTaken).toBeUndefined();
  });
});

test('a wiped device fetches the whole notebook, says how far it is, and is usable meanwhile', async () => {
  const it = await started();
  for (let n = 0; n < 330; n += 1)
    it.server.receive({
      find: it.id,
      kind: 'skips',
      body: {
        id: `skip-of-old-${n}`,
        at: new Date(Date.UTC(2026, 8, 14, 8, 0, n % 60, n)).toISOString(),
        piece: it.piece,
        character: `character-${n}`,
      },
    } as unknown as Entry);
  await it.wipe();
  const wiped = it.open();
  const shown: string[] = [];
  wiped.subscribe(() => {
    const { fetching } = wiped.getState().outbox;
    if (fetching) shown.push(`${fetching.here} of ${fetching.all}`);
  });
  const fetching = wiped.dispatch(loadMe());
  const other = await wiped.dispatch(startFind(START));
  expect(other).toBeDefined();
  await fetching;
  await wiped.dispatch(loadList());
  // What was begun meanwhile has been sent, and counts too.
  expect(shown).toEqual(expect.arrayContaining(['0 of 334', '100 of 338', '300 of 338']));
  expect(wiped.getState().outbox.fetching).toBeUndefined();
  await wiped.dispatch(loadFind(it.id));
  expect(wiped.getState().finds[it.id]?.record?.skips).toHaveLength(330);
  expect(
    wiped
      .getState()
      .list.items.map((line) => line.id)
      .sort(),
  ).toEqual([it.id, other].sort());
});
