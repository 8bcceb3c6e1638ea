import 'fake-indexeddb/auto';
import { Dexie } from 'dexie';
import type { Entry } from '@pause/core';
import { notebookDatabase } from '../../src/notebook/database';
import type { Person } from '../../src/notebook/slices';

/** A device: the application's own code over a database in memory, which can be full. */

const storage = { full: false };
const { put } = Object.getOwnPropertyDescriptors(IDBObjectStore.prototype);
jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...given) {
  if (storage.full) throw new DOMException('full', 'QuotaExceededError');
  return put.value!.apply(this, given);
});

const EMPTY_STORAGE = { length: 0 } as Storage;
let devices = 0;

export function deviceInMemory() {
  storage.full = false;
  const name = `device-${(devices += 1)}`;
  const database = notebookDatabase(EMPTY_STORAGE, name, () => Promise.resolve(Dexie));
  /** What the person does between the device being asked for what waits and its answer. */
  const beforeAnswer: (() => Promise<unknown>)[] = [];

  /** The same database, opened beside the application. */
  const raw = async () => {
    const opened = new Dexie(name);
    await opened.open();
    return opened;
  };
  const own = async (key: string): Promise<unknown> =>
    ((await (await raw()).table('own').get(key)) as { value: unknown } | undefined)?.value;

  return {
    device: {
      ...database,
      waiting: async () => {
        const waiting = await database.waiting();
        for (const act of beforeAnswer.splice(0)) await act();
        return waiting;
      },
    },
    beforeAnswer,
    storage,
    /** The entries that wait on the device. */
    waiting: (): Promise<Entry[]> => database.waiting(),
    /** A find as it is on the device. */
    onDevice: (find: string) => database.record(find),
    /** How many finds are on the device. */
    findsOnDevice: async () => (await database.list()).length,
    owner: async () => (await own('person')) as Person | undefined,
    /** The device heard of a stamp. */
    hear: async (stamp: string) => {
      await (await raw()).table('own').put({ key: 'stamp', value: stamp });
    },
    /** The device loses everything, also what it calls itself. */
    wipe: async () => {
      for (const table of (await raw()).tables) await table.clear();
    },
  };
}
