import 'fake-indexeddb/auto';
import '../guide';
import { Dexie } from 'dexie';
import { type Entry, nextStamp } from '@pause/core';
import { browserDevice, type Device, NotKept } from '../../src/notebook/device';
import { RECORD, MADE, entry, at, arrived, HERE, setUp } from './kit';

setUp();

describe('what an earlier version or another tab left in it', () => {
  test('a notebook of an earlier version is opened as it was', async () => {
    const {
      contexts: _,
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

  test('a device with an invalid stamp stamps anew, keeps what waits, and fetches the rest again', async () => {
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
    const kept = (from: Device) =>
      from.put((by, last) => [
        { ...entry('skips', `s${Math.random()}`, 4), stamp: nextStamp(last, Date.parse(at(5)), by) },
      ]);
    expect((await kept(device))[0]?.stamp).toMatch(/^2026-09-14T08:00:05\.000Z-0000-/);
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
    expect((await kept(again))[0]?.stamp).toMatch(/^2026-09-14T08:00:05\.000Z-000[0-9]-/);
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

  test('two tabs that wrote to the same find lose nothing of each other', async () => {
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
