/**
 * The notebook on the device: the browser's own database, and what the store makes of it without a
 * connection.
 */
import 'fake-indexeddb/auto';
import './guide';
import { Dexie } from 'dexie';
import { nextStamp, type Entry, type FindRecord } from '@pause/core';
import { read, startFind } from '../src/notebook/actions';
import { browserDevice, NotKept, type Device } from '../src/notebook/device';
import { loadFind, loadList, loadMe } from '../src/notebook/open';
import { acknowledgeNotKept, openOutbox } from '../src/notebook/outboxActions';
import { flush } from '../src/notebook/send';
import { rig } from './rig';

const settle = () => new Promise((resolve) => setTimeout(resolve, 20));
const at = (second: number) => new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString();
const entry = (kind: Entry['kind'], id: string, second: number, body: object = {}) =>
  ({
    kind,
    find: 'f',
    body: {
      id,
      ...(kind === 'finds'
        ? { startedAt: at(second), kingdom: 'Fungi', person: 'mirel' }
        : { at: at(second) }),
      ...body,
    },
  }) as unknown as Entry;
const MADE = [
  entry('finds', 'f', 0),
  entry('pieces', 'p', 1, { purpose: 'decide' }),
  entry('targets', 't', 2, { taxon: 'boletus-edulis' }),
];
const RECORD = {
  id: 'f',
  startedAt: at(0),
  kingdom: 'Fungi',
  person: 'mirel',
  pieces: [],
  targets: [],
  told: [],
  edits: [],
  consents: [],
  asks: [],
  reveals: [],
  pictures: [],
  drops: [],
  counted: [],
  context: {},
  readings: [],
  withdrawals: [],
  skips: [],
  verdicts: [],
  decisions: [],
} as unknown as FindRecord;

/** Whoever holds the device. */
const HERE = { id: 'mirel', name: '', demo: false, offsetMs: 0, account: false, groups: [] };
const arrived = (one: Entry) => ({ status: 'arrived' as const, entry: one });

describe('in the browser’s own database', () => {
  beforeEach(async () => {
    localStorage.clear();
    for (const name of await Dexie.getDatabaseNames()) await Dexie.delete(name);
  });

  test('what waits comes back in the order in which it was made, in another tab too', async () => {
    await browserDevice(localStorage).put(() => [...MADE].reverse());
    const again = browserDevice(localStorage);
    expect(await again.waiting()).toEqual(MADE);
    await again.settle([arrived(MADE[0]!), arrived(MADE[1]!)]);
    expect(await browserDevice(localStorage).waiting()).toEqual([MADE[2]]);
    expect(await again.record('f')).toEqual({
      ...RECORD,
      pieces: [{ id: 'p', startedAt: at(1), purpose: 'decide' }],
    });
    await again.settle([{ status: 'refused', entry: MADE[2]!, reason: 'taxon: unknown' }]);
    expect(await again.waiting()).toEqual([]);
    expect((await again.record('f'))?.targets).toEqual([]);
    expect(await browserDevice(localStorage).refused()).toEqual([
      { entry: MADE[2], reason: 'taxon: unknown' },
    ]);
    await again.forgetRefused();
    expect(await browserDevice(localStorage).refused()).toEqual([]);
  });

  test('what others told is taken once, in order, and never past a gap', async () => {
    const device = browserDevice(localStorage);
    const numbered = MADE.map((one, index) => ({
      entry: one,
      seq: index + 1,
      ...(index === 0 ? { number: 7 } : {}),
    }));
    expect(await device.take({ stream: 'g:one', entries: numbered.slice(0, 2) })).toEqual(['f']);
    expect(await device.take({ stream: 'g:one', entries: numbered })).toEqual(['f']);
    expect([await device.taken('g:one'), await device.taken('g:two')]).toEqual([3, 0]);
    expect(await device.record('f')).toMatchObject({
      number: 7,
      pieces: [{ id: 'p' }],
      targets: [{ taxon: 'boletus-edulis' }],
    });
    await expect(
      device.take({ stream: 'g:one', entries: [{ entry: MADE[0]!, seq: 5 }] }),
    ).rejects.toBeInstanceOf(NotKept);
    expect(await device.taken('g:one')).toBe(3);
    expect(await device.list()).toMatchObject([{ id: 'f', number: 7, target: 'boletus-edulis' }]);
    // Its own, sent meanwhile, follow directly; another's in between is asked for.
    await device.settle([
      { ...arrived(MADE[1]!), stream: 'g:one', seq: 4 },
      { ...arrived(MADE[2]!), stream: 'g:one', seq: 6 },
    ]);
    expect(await device.taken('g:one')).toBe(4);
  });

  test('what was told without an account becomes the account’s, and a device can be emptied', async () => {
    const device = browserDevice(localStorage);
    expect(await device.person(HERE)).toEqual(HERE);
    await device.put(() => MADE);
    await device.adopt({ ...HERE, id: 'jorun', account: true });
    expect(
      (await device.waiting()).map((one) => ('person' in one.body ? one.body.person : undefined)),
    ).toEqual(['jorun', undefined, undefined]);
    expect(await device.person(HERE)).toMatchObject({ id: 'jorun', account: true });
    const clock = async (of: Device) => {
      const seen: unknown[] = [];
      await of.put((...known) => {
        seen.push(...known);
        return [];
      });
      return seen;
    };
    const [name] = await clock(device);
    expect(name).toMatch(/^[0-9a-f]{8}$/);
    const [entry] = await device.put((by, last) => [
      { ...MADE[1]!, stamp: nextStamp(last, Date.parse('2026-09-14T08:00:01Z'), by) },
    ]);
    expect(entry?.stamp).toBe(`2026-09-14T08:00:01.000Z-0000-${name as string}`);
    expect(await clock(browserDevice(localStorage))).toEqual([name, entry?.stamp]);
    // What waits would be lost.
    expect([await device.clear(), (await device.waiting()).length]).toEqual([3, 3]);
    await device.settle((await device.waiting()).map(arrived));
    expect((await device.list()).length).toBe(1);
    expect(await device.clear()).toBe(0);
    expect([
      await device.waiting(),
      await device.list(),
      await device.person({ ...HERE, id: 'next' }),
    ]).toEqual([[], [], { ...HERE, id: 'next' }]);
  });

  test('what a window tells that has not heard of the account, or told before anybody knew whose notebook it is, is the account’s too', async () => {
    const [one, other] = [browserDevice(localStorage), browserDevice(localStorage)];
    // Opened at once on a new device, both windows are one person's.
    const [here, there] = await Promise.all([one.person(HERE), other.person({ ...HERE, id: 'other' })]);
    expect(there).toEqual(here);
    await one.adopt({ ...HERE, id: 'jorun', account: true });
    const told = await other.put(() => [
      entry('finds', 'f', 0, { person: here.id }),
      entry('readings', 'r', 1, { by: '' }),
      entry('readings', 's', 2, { by: 'tam' }),
    ]);
    expect(
      told.map(({ body }) => ('person' in body ? body.person : 'by' in body ? body.by : undefined)),
    ).toEqual(['jorun', 'jorun', 'tam']);
    expect(await one.waiting()).toEqual(told);
  });

  test('a notebook of an earlier version is opened as it was', async () => {
    const {
      told: _,
      edits: _e,
      consents: _c,
      asks: _a,
      reveals: _r,
      pictures: _p,
      drops: _d,
      counted: _n,
      ...earlier
    } = RECORD;
    const before = new Dexie('pause-notebook');
    before.version(1).stores({ waiting: 'key', records: 'id', own: 'key' });
    await before.open();
    await before.table('records').put({ ...earlier, context: { condition: 'fresh' } });
    await before.table('waiting').put({ key: 'pieces:p', entry: MADE[1] });
    before.close();
    const device = browserDevice(localStorage);
    expect(await device.record('f')).toEqual({ ...RECORD, context: { condition: 'fresh' } });
    expect(await device.list()).toMatchObject([{ id: 'f' }]);
    expect(await device.waiting()).toEqual([MADE[1]]);
  });

  test('a device that heard of a stamp that tells no time tells again, keeps what waits, and fetches the rest anew', async () => {
    const device = browserDevice(localStorage);
    await device.put(() => MADE);
    const poison = {
      ...entry('targets', 'u', 3, { taxon: 'boletus-edulis' }),
      stamp: '9999-99-99T99:99:99.999Z-0000-x',
    } as Entry;
    await device.take({
      stream: 'g:one',
      entries: [
        { entry: MADE[0]!, seq: 1 },
        { entry: poison, seq: 2 },
      ],
    });
    const told = (from: Device) =>
      from.put((by, last) => [
        { ...entry('skips', `s${Math.random()}`, 4), stamp: nextStamp(last, Date.parse(at(5)), by) },
      ]);
    expect((await told(device))[0]?.stamp).toMatch(/^2026-09-14T08:00:05\.000Z-0000-/);
    // As an earlier version left it.
    const raw = await new Dexie('pause-notebook').open();
    await raw.table('own').put({ key: 'stamp', value: poison.stamp });
    raw.close();
    const again = browserDevice(localStorage);
    expect([await again.taken('g:one'), await again.list(), (await again.waiting()).length]).toEqual([
      0,
      [],
      4,
    ]);
    expect((await told(again))[0]?.stamp).toMatch(/^2026-09-14T08:00:05\.000Z-000[0-9]-/);
    await again.take({ stream: 'g:one', entries: [{ entry: MADE[0]!, seq: 1 }] });
    expect(await again.record('f')).toMatchObject({ id: 'f' });
  });

  test('the same entry twice is one entry', async () => {
    const device = browserDevice(localStorage);
    await device.put(() => MADE);
    await device.put(() => [MADE[0]!]);
    expect(await device.waiting()).toHaveLength(3);
  });

  test('what an earlier version kept is taken over, and nothing of it is lost to nonsense beside it', async () => {
    localStorage.setItem('pause:waiting:finds:f', JSON.stringify(MADE[0]));
    localStorage.setItem('pause:waiting:pieces:p', JSON.stringify(MADE[1]));
    localStorage.setItem('pause:waiting:readings:x', '{');
    localStorage.setItem('another', 'thing');
    expect(await browserDevice(localStorage).waiting()).toEqual(MADE.slice(0, 2));
    expect(Object.keys(localStorage)).toEqual(['another']);
  });

  test('two tabs that told of the same find lose nothing of each other', async () => {
    const [one, other] = [browserDevice(localStorage), browserDevice(localStorage)];
    await one.settle([arrived(MADE[0]!)]);
    await Promise.all([one.put(() => [MADE[1]!]), other.put(() => [MADE[2]!])]);
    await Promise.all([one.settle([arrived(MADE[1]!)]), other.settle([arrived(MADE[2]!)])]);
    expect(await one.record('f')).toMatchObject({
      pieces: [{ id: 'p' }],
      targets: [{ taxon: 'boletus-edulis' }],
    });
  });

  test('who it is comes back; what is no record is not believed', async () => {
    const device = browserDevice(localStorage);
    expect([await device.list(), await device.record('f')]).toEqual([[], undefined]);
    const person = { id: 'mirel', name: 'Mirel', demo: true, offsetMs: 5, account: true, groups: [] };
    await device.keepPerson(person);
    expect(await device.person(HERE)).toEqual(person);
    const raw = new Dexie('pause-notebook');
    await raw.open();
    await raw.table('records').put({ ...RECORD, kingdom: 'Animalia' });
    raw.close();
    expect(await device.record('f')).toBeUndefined();
  });

  test('a browser that keeps nothing says so, and what only spares a question stays silent', async () => {
    const real = globalThis.indexedDB;
    Object.defineProperty(Dexie.dependencies, 'indexedDB', {
      value: {
        open: () => {
          throw new DOMException('no', 'SecurityError');
        },
      },
      configurable: true,
      writable: true,
    });
    const device = browserDevice(localStorage);
    await expect(device.put(() => MADE)).rejects.toEqual(new NotKept('refused'));
    expect(await device.waiting()).toEqual([]);
    Object.defineProperty(Dexie.dependencies, 'indexedDB', {
      value: real,
      configurable: true,
      writable: true,
    });
    await device.put(() => MADE);
    expect(await device.waiting()).toEqual(MADE);
  });
});

describe('without a connection', () => {
  const START = {
    kingdom: 'Fungi',
    bodyPlan: 'cantharelloid',
    target: 'cantharellus-cibarius',
    context: {},
  } as unknown as Parameters<typeof startFind>[0];
  const ridges = (piece: string) => ({
    piece: piece as never,
    character: 'hymenophore' as never,
    value: { kind: 'states' as const, states: ['ridges' as never] },
    sureness: 'sure' as const,
  });

  /** One find made and sent, then the tab closed and the server gone. */
  async function gone() {
    const it = rig();
    await it.store.dispatch(loadMe());
    const id = (await it.store.dispatch(startFind(START)))!;
    await settle();
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
    await store.dispatch(read(other, ridges(store.getState().finds[other]!.record!.pieces[0]!.id)));
    await store.dispatch(loadList());
    expect(store.getState().list.items.map((f) => [f.id, f.readings])).toEqual([
      [other, 1],
      [id, 0],
    ]);
    expect(store.getState().outbox).toMatchObject({ away: true });
  });

  test('what was told there arrives when the server is back, once, and stays on the device', async () => {
    const { store, id, server, records, here, kept, sent } = await gone();
    await store.dispatch(loadFind(id));
    const piece = store.getState().finds[id]!.record!.pieces[0]!.id;
    await store.dispatch(read(id, ridges(piece)));
    expect(kept.size).toBe(1);
    // What was sent right away has found nobody by now.
    await settle();
    server.away = false;
    await store.dispatch(flush());
    expect(records.get(id)?.readings).toHaveLength(1);
    expect(sent.filter((e) => e.kind === 'readings')).toHaveLength(1);
    expect([kept.size, here.get(id)?.readings.length]).toEqual([0, 1]);
  });

  test('a find whose entries went while it was not open is whole on the device all the same', async () => {
    const { store, id, server, here, kept, open } = await gone();
    await store.dispatch(loadFind(id));
    await store.dispatch(read(id, ridges(store.getState().finds[id]!.record!.pieces[0]!.id)));
    here.set(id, { ...here.get(id)!, readings: [] });
    const reopened = open();
    await reopened.dispatch(openOutbox());
    server.away = false;
    await reopened.dispatch(loadMe());
    expect(reopened.getState().finds[id]).toBeUndefined();
    expect([kept.size, here.get(id)?.readings.length]).toEqual([0, 1]);
  });
});

test('a device that is full says so; the answer is not on the screen, and can be told again', async () => {
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
