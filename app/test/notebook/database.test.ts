import 'fake-indexeddb/auto';
import '../guide';
import { nextStamp } from '@pause/core';
import { browserDevice, NotKept, type Device } from '../../src/notebook/device';
import { MADE, arrived, RECORD, at, HERE, entry, setUp } from './kit';

setUp();

describe('in the browser’s own database', () => {
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

  test('what the server answers is kept whole or not at all', async () => {
    const device = browserDevice(localStorage);
    await device.put(() => MADE);
    const fails = jest.spyOn(IDBObjectStore.prototype, 'delete').mockImplementation(() => {
      throw new DOMException('the storage broke off', 'UnknownError');
    });
    await device.settle(MADE.map(arrived));
    fails.mockRestore();
    expect(await device.record('f')).toBeUndefined();
    expect(await device.waiting()).toEqual(MADE);
  });

  test('what others recorded is taken once, in order, and never past a gap', async () => {
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

  test('what was recorded without an account becomes the account’s, and a device can be emptied', async () => {
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

  test('entries of a window that does not know the account yet are the account’s, too', async () => {
    const [one, other] = [browserDevice(localStorage), browserDevice(localStorage)];
    // Opened at once on a new device, both windows are one person's.
    const [here, there] = await Promise.all([one.person(HERE), other.person({ ...HERE, id: 'other' })]);
    expect(there).toEqual(here);
    await one.adopt({ ...HERE, id: 'jorun', account: true });
    const recorded = await other.put(() => [
      entry('finds', 'f', 0, { person: here.id }),
      entry('readings', 'r', 1, { by: '' }),
      entry('readings', 's', 2, { by: 'tam' }),
    ]);
    expect(
      recorded.map(({ body }) => ('person' in body ? body.person : 'by' in body ? body.by : undefined)),
    ).toEqual(['jorun', 'jorun', 'tam']);
    expect(await one.waiting()).toEqual(recorded);
  });
});
