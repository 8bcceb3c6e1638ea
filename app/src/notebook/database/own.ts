import { z } from 'zod';
import { type Entry, latest, Stamp } from '@pause/core';
import { Person, type Notebook } from './tables';

/** What the device keeps about itself, each under a key of its own. */

async function read<S extends z.ZodType>(
  all: Notebook,
  key: string,
  schema: S,
): Promise<z.output<S> | undefined> {
  return schema.safeParse((await all.own.get(key))?.value).data;
}

export const ownerOf = (all: Notebook) => read(all, 'person', Person);

/** Ids that the owner had before this device belonged to an account. */
export const formerIds = async (all: Notebook): Promise<readonly string[]> =>
  (await read(all, 'formerly', z.array(z.string()))) ?? [];

/** What this device calls itself in stamps. */
export const deviceName = (all: Notebook) => read(all, 'device', z.string());

/** The last stamp made or received here. */
export const lastStamp = (all: Notebook) => read(all, 'stamp', Stamp);

/** The number of the last entry taken of a stream; 0 where none was. */
export const takenOf = async (all: Notebook, stream: string): Promise<number> =>
  (await read(all, `taken ${stream}`, z.number())) ?? 0;

export async function keepTaken(all: Notebook, stream: string, seq: number): Promise<void> {
  await all.own.put({ key: `taken ${stream}`, value: seq });
}

/** Keeps the latest of these stamps, where it is later than `before`. */
export async function keepLastStamp(
  all: Notebook,
  entries: readonly Entry[],
  before: Stamp | undefined,
): Promise<void> {
  const last = entries.reduce<Stamp | undefined>(
    (stamp, entry) => (entry.stamp ? latest(stamp, entry.stamp) : stamp),
    before,
  );
  if (last !== before) await all.own.put({ key: 'stamp', value: last });
}
