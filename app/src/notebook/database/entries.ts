import type { Entry } from '@pause/core';
import { type Device, type Heard, inOrder, type Settled } from '../device';
import type { Access } from './access';
import { merge } from './merge';
import { deviceName, formerIds, keepLastStamp, keepTaken, lastStamp, ownerOf, takenOf } from './own';
import { keyOf, type Notebook, ownedBy } from './tables';

/** Entries: made here and waiting to be sent, sent, refused, and received from the server. */
type Entries = Pick<Device, 'put' | 'settle' | 'waiting' | 'refused' | 'forgetRefused' | 'take' | 'taken'>;

// Dexie keeps a transaction open across an `await` only where the function it is given is itself `async`.
export function entriesIn({ attempt, attemptOrThrow }: Access): Entries {
  return {
    put: (make) =>
      attemptOrThrow((all) => all.transaction('rw', all.waiting, all.own, async () => putEntries(all, make))),
    settle: async (settled) => {
      await attempt((all) =>
        all.transaction(
          'rw',
          [all.waiting, all.records, all.lines, all.pages, all.refused, all.own],
          async () => settleEntries(all, settled),
        ),
      );
    },
    waiting: async () =>
      inOrder(((await attempt((all) => all.waiting.toArray())) ?? []).map(({ entry }) => entry)),
    refused: async () =>
      ((await attempt((all) => all.refused.toArray())) ?? []).map(({ entry, reason }) => ({ entry, reason })),
    forgetRefused: async () => {
      await attempt((all) => all.refused.clear());
    },
    take: (heard) =>
      attemptOrThrow((all) =>
        all.transaction('rw', all.records, all.lines, all.pages, all.own, async () =>
          takeEntries(all, heard),
        ),
      ),
    taken: async (stream) => (await attempt((all) => takenOf(all, stream))) ?? 0,
  };
}

async function putEntries(all: Notebook, make: Parameters<Device['put']>[0]): Promise<readonly Entry[]> {
  // Read side by side: somebody waits for the answer.
  const [named, before, owner, formerly] = await Promise.all([
    deviceName(all),
    lastStamp(all),
    ownerOf(all),
    formerIds(all),
  ]);
  const device = named ?? crypto.randomUUID().slice(0, 8);
  const made = make(device, before);
  const entries = owner ? made.map((entry) => ownedBy(entry, formerly, owner.id)) : made;
  await Promise.all([
    all.waiting.bulkPut(entries.map((entry) => ({ key: keyOf(entry), entry }))),
    // What is stamped here is later than every stamp before it.
    keepLastStamp(all, entries, undefined),
    ...(named === undefined ? [all.own.put({ key: 'device', value: device })] : []),
  ]);
  return entries;
}

async function settleEntries(all: Notebook, settled: readonly Settled[]): Promise<void> {
  const arrived = settled.filter((one) => one.status === 'arrived');
  const refused = settled.filter((one) => one.status === 'refused');
  await merge(all, arrived);
  await keepLastStamp(
    all,
    arrived.map(({ entry }) => entry),
    await lastStamp(all),
  );
  for (const { stream, seq } of arrived) {
    // An entry that directly follows what was taken need not be fetched again.
    if (stream === undefined || seq === undefined) continue;
    if ((await takenOf(all, stream)) === seq - 1) await keepTaken(all, stream, seq);
  }
  await all.refused.bulkPut(refused.map(({ entry, reason }) => ({ key: keyOf(entry), entry, reason })));
  await all.waiting.bulkDelete(settled.map(({ entry }) => keyOf(entry)));
}

async function takeEntries(all: Notebook, { stream, entries }: Heard): Promise<string[]> {
  const before = await takenOf(all, stream);
  const fresh = entries.filter(({ seq }) => seq > before);
  const last = fresh.at(-1)?.seq ?? before;
  // A number that is missing would never be asked for again.
  if (last !== before + fresh.length) throw new Error(`the stream ${stream} has a gap`);
  const ids = await merge(all, fresh);
  await keepLastStamp(
    all,
    fresh.map(({ entry }) => entry),
    await lastStamp(all),
  );
  await keepTaken(all, stream, last);
  return ids;
}
