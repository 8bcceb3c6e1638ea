import { FindRecord, FindSummary, PageRecord } from '@pause/core/notebook';
import type { Device } from '../device';
import { accessTo } from './access';
import { entriesIn } from './entries';
import { ownerIn } from './owner';
import { fetchDexie } from './tables';

/**
 * The notebook in the browser's own database.
 *
 * @param name of that database, where several devices are in one place
 * @param fetchBase another way to fetch Dexie, outside a browser
 */
export function notebookDatabase(storage: Storage, name = 'pause-notebook', fetchBase = fetchDexie): Device {
  const access = accessTo(storage, name, fetchBase);
  const { attempt, attemptOrThrow } = access;
  return {
    ...entriesIn(access),
    ...ownerIn(access),
    record: async (id) => FindRecord.safeParse(await attempt((all) => all.records.get(id))).data,
    list: async () =>
      ((await attempt((all) => all.lines.toArray())) ?? []).flatMap(
        (line) => FindSummary.safeParse(line).data ?? [],
      ),
    page: async (id) => PageRecord.safeParse(await attempt((all) => all.pages.get(id))).data,
    pages: async () =>
      ((await attempt((all) => all.pages.toArray())) ?? []).flatMap(
        (page) => PageRecord.safeParse(page).data ?? [],
      ),
    keepFile: (name, content) =>
      attemptOrThrow(async (all) => {
        if (content === undefined) await all.own.delete(name);
        else await all.own.put({ key: name, value: content });
      }),
    file: async (name) => (await attempt((all) => all.own.get(name)))?.value,
  };
}
