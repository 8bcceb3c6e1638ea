import type { Table } from 'dexie';
import type { z } from 'zod';
import { applyEntries, type Entry, summaryOf } from '@pause/core';
import { applyAllToPage, FindRecord, groupEntries, PageRecord } from '@pause/core/notebook';
import type { Notebook } from './tables';

export interface Numbered {
  readonly entry: Entry;
  /** The number of the find, if the server gave it one. */
  readonly number?: number | undefined;
}

/**
 * Applies entries to the finds and pages in the database. They are read anew, because another window may have
 * recorded more of the same find.
 *
 * @returns the ids of the finds and pages that were changed
 */
export async function merge(all: Notebook, entries: readonly Numbered[]): Promise<string[]> {
  const { finds, pages } = groupEntries(entries.map(({ entry }) => entry));
  const numbers = new Map(
    entries.flatMap(({ entry: { find }, number }) =>
      find === undefined || number === undefined ? [] : [[find, number] as const],
    ),
  );
  const records = (await readKept(all.records, [...finds.keys()], FindRecord)).flatMap(([id, before]) => {
    const record = applyEntries(before, finds.get(id) ?? []);
    const number = numbers.get(id);
    return record ? [number === undefined ? record : { ...record, number }] : [];
  });
  const changedPages = (await readKept(all.pages, [...pages.keys()], PageRecord)).flatMap(
    ([id, before]) => applyAllToPage(before, pages.get(id) ?? []) ?? [],
  );
  await all.records.bulkPut(records);
  await all.lines.bulkPut(records.map(summaryOf));
  await all.pages.bulkPut(changedPages);
  return [...finds.keys(), ...pages.keys()];
}

/** What a table keeps under these ids; `undefined` where it keeps nothing, or nothing that can be read. */
async function readKept<S extends z.ZodType>(table: Table<unknown, string>, ids: string[], schema: S) {
  const kept = await table.bulkGet(ids);
  return ids.map((id, i) => [id, schema.safeParse(kept[i]).data] as const);
}
