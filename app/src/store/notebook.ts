import { FindRecord, FindSummary } from '@pause/core';
import type { Dexie, Table } from 'dexie';
import { z } from 'zod';
import { inOrder, NotKept, type Device } from './device';
import { applyEntry, type Entry } from './entries';
import { Person } from './slices';

const keyOf = (entry: Entry) => `${entry.kind}:${entry.body.id}`;

interface Waiting {
  readonly key: string;
  readonly entry: Entry;
}
interface Own {
  readonly key: 'person' | 'list';
  readonly value: unknown;
}
type Notebook = Dexie & { readonly waiting: Table<Waiting, string>; readonly records: Table<FindRecord, string>; readonly own: Table<Own, string> };

/** An earlier version kept what waits in the browser's plain storage, under keys that begin so. */
const EARLIER = 'pause:waiting:';

async function open(storage: Storage): Promise<Notebook> {
  // Pictures have it too: what two late programs share would otherwise be fetched before the first screen.
  const { Dexie: Base } = await import('dexie');
    // A phone that dies takes nothing along: what is kept is on its storage before anything is said of it.
  const notebook = new Base('pause-notebook', { chromeTransactionDurability: 'strict' }) as Notebook;
  notebook.version(1).stores({ waiting: 'key', records: 'id', own: 'key' });
  await notebook.open();
  const earlier = Object.keys(storage).filter((key) => key.startsWith(EARLIER));
  const taken = earlier.flatMap((key): Waiting[] => {
    try {
      const entry = JSON.parse(storage.getItem(key) ?? '') as Entry;
      return [{ key: keyOf(entry), entry }];
    } catch {
      return [];
    }
  });
  await notebook.waiting.bulkPut(taken);
  for (const key of earlier) storage.removeItem(key);
  return notebook;
}

const isFull = (error: unknown): boolean => {
  const { name, inner } = error as { name?: string; inner?: { name?: string } };
  return name === 'QuotaExceededError' || inner?.name === 'QuotaExceededError';
};

/** The notebook in the browser's own database. */
export function notebook(storage: Storage): Device {
  let opened: Promise<Notebook> | undefined;
  const ready = () => {
    opened ??= open(storage);
    opened.catch(() => { opened = undefined; });
    return opened;
  };
  /** What only spares asking the server again may fail without a word. */
  const quietly = async <T>(work: (all: Notebook) => PromiseLike<T>): Promise<T | undefined> => {
    try {
      return await work(await ready());
    } catch {
      return undefined;
    }
  };
  return {
    put: async (entries) => {
      try {
        await (await ready()).waiting.bulkPut(entries.map((entry) => ({ key: keyOf(entry), entry })));
      } catch (error) {
        throw new NotKept(isFull(error) ? 'full' : 'refused');
      }
    },
    settle: async (entry, outcome) => {
      await quietly((all) => all.transaction('rw', all.waiting, all.records, async () => {
        // Laid over what is kept, not over what this tab knows: another tab may have told more of the same find.
        const record = outcome === 'arrived' ? applyEntry(await all.records.get(entry.find), entry) : undefined;
        if (record) await all.records.put(record);
        await all.waiting.delete(keyOf(entry));
      }));
    },
    waiting: async () => inOrder((await quietly((all) => all.waiting.toArray()) ?? []).map(({ entry }) => entry)),
    keepRecord: async (record) => { await quietly((all) => all.records.put(record)); },
    record: async (id) => {
      const kept = await quietly((all) => all.records.get(id));
      return kept && FindRecord.safeParse(kept).data;
    },
    keepList: async (finds) => { await quietly((all) => all.own.put({ key: 'list', value: finds })); },
    list: async () => z.array(FindSummary).safeParse((await quietly((all) => all.own.get('list')))?.value).data,
    keepPerson: async (person) => { await quietly((all) => all.own.put({ key: 'person', value: person })); },
    person: async () => Person.safeParse((await quietly((all) => all.own.get('person')))?.value).data,
  };
}
