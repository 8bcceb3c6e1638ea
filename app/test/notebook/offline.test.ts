import 'fake-indexeddb/auto';
import '../guide';
import { startFind, read } from '../../src/notebook/actions';
import { loadMe, loadFind } from '../../src/notebook/open';
import { openOutbox, acknowledgeNotKept } from '../../src/notebook/outboxActions';
import { loadList } from '../../src/notebook/repository/finds';
import { flush } from '../../src/notebook/send';
import { rig, until } from '../rig';
import { START, ridgesOf } from '../rig/started';
import { setUp } from './kit';

setUp();

describe('without a connection', () => {
  /** One find made and sent, then the tab closed and the server gone. */
  async function gone() {
    const it = rig();
    await it.store.dispatch(loadMe());
    const id = (await it.store.dispatch(startFind(START)))!;
    await it.atRest();
    await it.store.dispatch(loadList());
    it.server.away = true;
    const store = it.open();
    await store.dispatch(openOutbox());
    await store.dispatch(loadMe());
    return { ...it, store, id };
  }

  test('person, log and find are there, and a find can be begun and answered', async () => {
    const { store, id } = await gone();
    expect(store.getState().me).toMatchObject({ status: 'ready', person: { name: 'Mirel Aschkar' } });
    await store.dispatch(loadList());
    expect(store.getState().list).toMatchObject({ status: 'ready', items: [{ id }] });
    await store.dispatch(loadFind(id));
    expect(store.getState().finds[id]).toMatchObject({
      status: 'ready',
      record: { targets: [{ taxon: 'cantharellus-cibarius' }] },
    });
    const other = (await store.dispatch(startFind(START)))!;
    await store.dispatch(read(other, ridgesOf(store.getState().finds[other]!.record!.pieces[0]!.id)));
    await store.dispatch(loadList());
    expect(store.getState().list.items.map((f) => [f.id, f.readings])).toEqual([
      [other, 1],
      [id, 0],
    ]);
    expect(store.getState().outbox).toMatchObject({ away: true });
  });

  test('what was recorded there arrives when the server is back, once, and stays on the device', async () => {
    const { store, id, server, records, waiting, onDevice, sent } = await gone();
    await store.dispatch(loadFind(id));
    const piece = store.getState().finds[id]!.record!.pieces[0]!.id;
    await store.dispatch(read(id, ridgesOf(piece)));
    expect(await waiting()).toHaveLength(1);
    // What was sent right away has found nobody by now.
    await until(() => store.getState().outbox.away && !store.getState().outbox.sending);
    server.away = false;
    await store.dispatch(flush());
    expect(records.get(id)?.readings).toHaveLength(1);
    expect(sent.filter((e) => e.kind === 'readings')).toHaveLength(1);
    expect([await waiting(), (await onDevice(id))?.readings.length]).toEqual([[], 1]);
  });

  test('a find whose entries went while it was not open is whole on the device all the same', async () => {
    const { store, id, server, waiting, onDevice, open } = await gone();
    await store.dispatch(loadFind(id));
    await store.dispatch(read(id, ridgesOf(store.getState().finds[id]!.record!.pieces[0]!.id)));
    const reopened = open();
    await reopened.dispatch(openOutbox());
    server.away = false;
    await reopened.dispatch(loadMe());
    expect(reopened.getState().finds[id]).toBeUndefined();
    expect([await waiting(), (await onDevice(id))?.readings.length]).toEqual([[], 1]);
  });
});

test('a device that is full says so; the answer is not on the screen, and can be recorded again', async () => {
  const it = rig();
  await it.store.dispatch(loadMe());
  const id = (await it.store.dispatch(
    startFind({ kingdom: 'Fungi', bodyPlan: 'cantharelloid', context: {} } as never),
  ))!;
  const piece = it.store.getState().finds[id]!.record!.pieces[0]!.id;
  const tell = () =>
    it.store.dispatch(
      read(id, { piece, character: 'hymenophore' as never, value: { kind: 'cant-tell' }, sureness: 'sure' }),
    );
  it.storage.full = true;
  expect(await tell()).toBeUndefined();
  expect(it.store.getState().outbox.notKept).toBe('This device’s storage is full.');
  expect(it.store.getState().finds[id]?.record?.readings).toEqual([]);
  it.storage.full = false;
  it.store.dispatch(acknowledgeNotKept());
  expect(await tell()).toBeDefined();
  expect(it.store.getState().outbox.notKept).toBeUndefined();
  expect(it.store.getState().finds[id]?.record?.readings).toHaveLength(1);
});
