import type { Device } from '../device';
import type { Access } from './access';
import { formerIds, ownerOf } from './own';
import { type Notebook, ownedBy } from './tables';

/** Whose notebook this is. */
type Owner = Pick<Device, 'keepPerson' | 'person' | 'adopt' | 'clear'>;

export function ownerIn({ attempt, attemptOrThrow }: Access): Owner {
  return {
    keepPerson: async (person) => {
      await attempt((all) => all.own.put({ key: 'person', value: person }));
    },
    // In one transaction, so that two windows opened at once on a new device belong to one person.
    person: async (otherwise) =>
      (await attempt((all) =>
        all.transaction('rw', all.own, async () => {
          const kept = await ownerOf(all);
          if (!kept) await all.own.put({ key: 'person', value: otherwise });
          return kept ?? otherwise;
        }),
      )) ?? otherwise,
    adopt: (person) =>
      attemptOrThrow((all) =>
        all.transaction('rw', all.waiting, all.own, async () => {
          const [was, before] = [await ownerOf(all), await formerIds(all)];
          const formerly = was && was.id !== person.id ? [...before, was.id] : before;
          await all.own.bulkPut([
            { key: 'person', value: person },
            { key: 'formerly', value: formerly },
          ]);
          const waiting = await all.waiting.toArray();
          await all.waiting.bulkPut(
            waiting.map(({ key, entry }) => ({ key, entry: ownedBy(entry, formerly, person.id) })),
          );
        }),
      ),
    clear: () =>
      attemptOrThrow((all) => {
        const tables = [all.records, all.lines, all.pages, all.refused, all.own];
        return all.transaction('rw', [all.waiting, ...tables], async () => clearUnlessWaiting(all, tables));
      }),
  };
}

async function clearUnlessWaiting(
  all: Notebook,
  tables: readonly { clear(): PromiseLike<void> }[],
): Promise<number> {
  const waiting = await all.waiting.count();
  if (waiting === 0) for (const table of tables) await table.clear();
  return waiting;
}
