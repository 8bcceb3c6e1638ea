import type { Dexie, Table } from 'dexie';
import { z } from 'zod';
import { type Entry, isTime, type Stamp, summaryOf } from '@pause/core';
import { FindRecord, FindSummary, PageRecord } from '@pause/core/notebook';
import type { Group } from '../api';
import type { Refusal } from '../device';

/** The tables of the device's database, and opening it. */

export const Person = z.object({
  id: z.string(),
  name: z.string(),
  demo: z.boolean(),
  offsetMs: z.number(),
  account: z.boolean().default(true),
  groups: z
    .array(z.custom<Group>((value) => typeof value === 'object' && value !== null && 'members' in value))
    .default([]),
});

export const keyOf = (entry: Entry) => `${entry.kind}:${entry.body.id}`;

interface Waiting {
  readonly key: string;
  readonly entry: Entry;
}

type Own = { readonly key: string; readonly value: unknown };

export type Notebook = Dexie & {
  readonly waiting: Table<Waiting, string>;
  readonly records: Table<FindRecord, string>;
  readonly lines: Table<FindSummary, string>;
  readonly pages: Table<PageRecord, string>;
  readonly refused: Table<Refusal & { readonly key: string }, string>;
  readonly own: Table<Own, string>;
};

/** An earlier version kept what waits in the browser's plain storage, under keys that begin so. */
const EARLIER = 'pause:waiting:';

// Pictures have it too: what two late programs share would otherwise be fetched before the first screen.
export const fetchDexie = async (): Promise<typeof Dexie> => (await import('dexie')).Dexie;

/**
 * An earlier version took over stamps that tell no time, and what had one won over everything for good. Where
 * this device heard of one, what it took from the server is forgotten and fetched again; what waits to be
 * sent stays.
 */
async function heal(notebook: Notebook): Promise<void> {
  await notebook.transaction(
    'rw',
    [notebook.records, notebook.lines, notebook.pages, notebook.own],
    async () => {
      const kept = await notebook.own.get('stamp');
      if (kept === undefined || isTime(kept.value as Stamp)) return;
      await Promise.all([
        notebook.records.clear(),
        notebook.lines.clear(),
        notebook.pages.clear(),
        notebook.own.delete('stamp'),
        notebook.own.where('key').startsWith('taken ').delete(),
      ]);
    },
  );
}

export async function open(storage: Storage, name: string, fetchBase: typeof fetchDexie): Promise<Notebook> {
  const Base = await fetchBase();
  // A phone that dies takes nothing along: what is kept is on its storage before the screen shows it.
  const notebook = new Base(name, { chromeTransactionDurability: 'strict' }) as Notebook;
  notebook.version(1).stores({ waiting: 'key', records: 'id', own: 'key' });
  notebook
    .version(2)
    .stores({ waiting: 'key', records: 'id', lines: 'id', refused: 'key', own: 'key' })
    .upgrade(async (all) => {
      const records = (await all.table('records').toArray()).flatMap(
        (kept) => FindRecord.safeParse(kept).data ?? [],
      );
      await all.table('lines').bulkPut(records.map(summaryOf));
      await all.table('own').delete('list');
    });
  notebook.version(3).stores({ pages: 'id' });
  await notebook.open();
  await heal(notebook);
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

export const isFull = (error: unknown): boolean => {
  const { name, inner } = error as { name?: string; inner?: { name?: string } };
  return name === 'QuotaExceededError' || inner?.name === 'QuotaExceededError';
};

/**
 * What tells whose something is, in an entry made by somebody whom this notebook belonged to earlier, or
 * before anybody knew whose it is.
 */
export function ownedBy(entry: Entry, formerly: readonly string[], to: string): Entry {
  const earlier = Object.entries(entry.body).filter(
    ([name, value]) =>
      (name === 'by' || name === 'person') && (value === '' || formerly.includes(value as string)),
  );
  return earlier.length === 0
    ? entry
    : ({
        ...entry,
        body: { ...entry.body, ...Object.fromEntries(earlier.map(([name]) => [name, to])) },
      } as Entry);
}
