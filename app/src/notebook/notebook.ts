import { z } from 'zod';
import { type Entry, type Stamp, latest, summaryOf, applyEntries } from '@pause/core';
import { FindRecord, groupEntries, PageRecord, applyAllToPage, FindSummary } from '@pause/core/notebook';
import { type Device, NotKept, inOrder } from './device';
import { fetchDexie, type Notebook, open, isFull, Person, ownedBy, keyOf } from './tables';

/**
 * The notebook in the browser's own database.
 *
 * @param name of that database, where several devices are in one place
 * @param fetchBase another way to what keeps it, outside a browser
 */
export function notebook(storage: Storage, name = 'pause-notebook', fetchBase = fetchDexie): Device {
  let opened: Promise<Notebook> | undefined;
  const ready = () => {
    opened ??= open(storage, name, fetchBase);
    opened.catch(() => {
      opened = undefined;
    });
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
  const surely = async <T>(work: (all: Notebook) => PromiseLike<T>): Promise<T> => {
    try {
      return await work(await ready());
    } catch (error) {
      throw new NotKept(isFull(error) ? 'full' : 'refused');
    }
  };
  const own = async (all: Notebook, key: string): Promise<unknown> => (await all.own.get(key))?.value;
  const keeper = async (all: Notebook) => Person.safeParse(await own(all, 'person')).data;
  /** The last stamp, made here or received, goes on record with what it came with. */
  const hear = async (all: Notebook, entries: readonly Entry[]) => {
    await heardSince(all, entries, (await own(all, 'stamp')) as Stamp | undefined);
  };
  const heardSince = async (all: Notebook, entries: readonly Entry[], before: Stamp | undefined) => {
    const last = entries.reduce<Stamp | undefined>(
      (stamp, entry) => (entry.stamp ? latest(stamp, entry.stamp) : stamp),
      before,
    );
    if (last !== before) await all.own.put({ key: 'stamp', value: last });
  };
  const keepAll = async (all: Notebook, records: ReadonlyMap<string, FindRecord>) => {
    await all.records.bulkPut([...records.values()]);
    await all.lines.bulkPut([...records.values()].map(summaryOf));
  };
  /**
   * Entries applied to what is kept, not to what this tab knows: another tab may have recorded more of the same
   * find.
   */
  const merge = async (
    all: Notebook,
    entries: readonly { readonly entry: Entry; readonly number?: number | undefined }[],
  ): Promise<string[]> => {
    const grouped = groupEntries(entries.map(({ entry }) => entry));
    const ids = [...grouped.finds.keys()];
    const records = new Map(
      (await all.records.bulkGet(ids)).flatMap((kept) => {
        const record = kept && FindRecord.safeParse(kept).data;
        return record ? [[record.id, record] as const] : [];
      }),
    );
    const pageIds = [...grouped.pages.keys()];
    const pages = new Map(
      (await all.pages.bulkGet(pageIds)).flatMap((kept) => {
        const page = kept && PageRecord.safeParse(kept).data;
        return page ? [[page.id, page] as const] : [];
      }),
    );
    const numbers = new Map(
      entries.flatMap(({ entry: { find }, number }) =>
        find === undefined || number === undefined ? [] : [[find, number] as const],
      ),
    );
    for (const [id, entries] of grouped.finds) {
      const record = applyEntries(records.get(id), entries);
      const number = numbers.get(id);
      if (record) records.set(id, number === undefined ? record : { ...record, number });
    }
    for (const [id, entries] of grouped.pages) {
      const page = applyAllToPage(pages.get(id), entries);
      if (page) pages.set(id, page);
    }
    await keepAll(all, records);
    await all.pages.bulkPut([...pages.values()]);
    return [...ids, ...pageIds];
  };
  return {
    put: async (make) =>
      surely((all) =>
        all.transaction('rw', all.waiting, all.own, async () => {
          const [named, before, person, formerly = []] = (
            await all.own.bulkGet(['device', 'stamp', 'person', 'formerly'])
          ).map((kept) => kept?.value) as [
            string | undefined,
            Stamp | undefined,
            { readonly id: string } | undefined,
            readonly string[] | undefined,
          ];
          const device = named ?? crypto.randomUUID().slice(0, 8);
          const made = make(device, before);
          const entries = person ? made.map((entry) => ownedBy(entry, formerly, person.id)) : made;
          // Asked for side by side: somebody waits for what this comes to.
          await Promise.all([
            all.waiting.bulkPut(entries.map((entry) => ({ key: keyOf(entry), entry }))),
            // What this device stamped last is later than all that it believes.
            heardSince(all, entries, undefined),
            ...(named === undefined ? [all.own.put({ key: 'device', value: device })] : []),
          ]);
          return entries;
        }),
      ),
    settle: async (settled) => {
      await quietly((all) =>
        all.transaction(
          'rw',
          [all.waiting, all.records, all.lines, all.pages, all.refused, all.own],
          async () => {
            const arrived = settled.flatMap((one) => (one.status === 'arrived' ? [one] : []));
            await merge(all, arrived);
            await hear(
              all,
              arrived.map(({ entry }) => entry),
            );
            for (const { stream, seq } of arrived) {
              // What follows directly on what was taken need not be applied again.
              if (stream === undefined || seq === undefined) continue;
              if ((((await own(all, `taken ${stream}`)) as number | undefined) ?? 0) === seq - 1)
                await all.own.put({ key: `taken ${stream}`, value: seq });
            }
            await all.refused.bulkPut(
              settled.flatMap((one) =>
                one.status === 'refused'
                  ? [{ key: keyOf(one.entry), entry: one.entry, reason: one.reason }]
                  : [],
              ),
            );
            await all.waiting.bulkDelete(settled.map(({ entry }) => keyOf(entry)));
          },
        ),
      );
    },
    waiting: async () =>
      inOrder(((await quietly((all) => all.waiting.toArray())) ?? []).map(({ entry }) => entry)),
    refused: async () =>
      ((await quietly((all) => all.refused.toArray())) ?? []).map(({ entry, reason }) => ({ entry, reason })),
    forgetRefused: async () => {
      await quietly((all) => all.refused.clear());
    },
    take: async ({ stream, entries }) =>
      surely((all) =>
        all.transaction('rw', all.records, all.lines, all.pages, all.own, async () => {
          const before = ((await own(all, `taken ${stream}`)) as number | undefined) ?? 0;
          const fresh = entries.filter(({ seq }) => seq > before);
          const last = fresh.at(-1)?.seq ?? before;
          // A number that is missing would never be asked for again.
          if (last !== before + fresh.length) throw new Error(`the stream ${stream} has a gap`);
          const ids = await merge(all, fresh);
          await hear(
            all,
            fresh.map(({ entry }) => entry),
          );
          await all.own.put({ key: `taken ${stream}`, value: last });
          return ids;
        }),
      ),
    taken: async (stream) =>
      z
        .number()
        .catch(0)
        .parse(await quietly((all) => own(all, `taken ${stream}`))),
    record: async (id) => {
      const kept = await quietly((all) => all.records.get(id));
      return kept && FindRecord.safeParse(kept).data;
    },
    list: async () =>
      ((await quietly((all) => all.lines.toArray())) ?? []).flatMap(
        (line) => FindSummary.safeParse(line).data ?? [],
      ),
    pages: async () =>
      ((await quietly((all) => all.pages.toArray())) ?? []).flatMap(
        (page) => PageRecord.safeParse(page).data ?? [],
      ),
    page: async (id) => PageRecord.safeParse(await quietly((all) => all.pages.get(id))).data,
    keepFile: async (name, content) => {
      await surely((all) =>
        content === undefined
          ? all.own.delete(name)
          : all.own.put({ key: name, value: content }).then(() => undefined),
      );
    },
    file: async (name) => quietly((all) => own(all, name)),
    keepPerson: async (person) => {
      await quietly((all) => all.own.put({ key: 'person', value: person }));
    },
    // In one step, so that two windows opened at once on a new device are one person's.
    person: async (otherwise) =>
      (await quietly((all) =>
        all.transaction('rw', all.own, async () => {
          const kept = await keeper(all);
          if (!kept) await all.own.put({ key: 'person', value: otherwise });
          return kept ?? otherwise;
        }),
      )) ?? otherwise,
    adopt: async (person) => {
      await surely((all) =>
        all.transaction('rw', all.waiting, all.own, async () => {
          const [was, before = []] = [
            await keeper(all),
            (await own(all, 'formerly')) as readonly string[] | undefined,
          ];
          const earlier = was && was.id !== person.id ? [...before, was.id] : before;
          await all.own.bulkPut([
            { key: 'person', value: person },
            { key: 'formerly', value: earlier },
          ]);
          const waiting = await all.waiting.toArray();
          await all.waiting.bulkPut(
            waiting.map(({ key, entry }) => ({ key, entry: ownedBy(entry, earlier, person.id) })),
          );
        }),
      );
    },
    clear: async () =>
      surely((all) =>
        all.transaction(
          'rw',
          [all.waiting, all.records, all.lines, all.pages, all.refused, all.own],
          async () => {
            const waiting = await all.waiting.count();
            if (waiting === 0)
              for (const table of [all.records, all.lines, all.pages, all.refused, all.own])
                await table.clear();
            return waiting;
          },
        ),
      ),
  };
}
