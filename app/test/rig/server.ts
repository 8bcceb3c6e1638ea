import { applyEntry, type Entry, type FindRecord } from '@pause/core';
import { guide } from '../../src/deciding/guide';
import { Away, Refused, type Api, type Group } from '../../src/notebook/api';

/** A server in memory that can be away, refuse, or know nobody. It keeps the stream of one person. */
export function serverInMemory() {
  const records = new Map<string, FindRecord>();
  const stream: { entry: Entry; seq: number }[] = [];
  const sent: Entry[] = [];
  const server = {
    away: false,
    refuse: undefined as Entry['kind'] | undefined,
    refuseWhole: undefined as ((entries: readonly Entry[]) => Refused | undefined) | undefined,
    signedIn: true,
    demo: true,
    groups: [] as Group[],
    who: 'mirel',
    now: '2026-09-14T07:40:00.000Z',
    guideVersion: guide.version,
    newerFrom: undefined as number | undefined,
    partsLeft: Infinity,
    /** What the person does while the server is asked who it is, or to do something with the account. */
    meanwhile: undefined as (() => void) | undefined,
    /** Another device recorded something, and the server has it. */
    receive: (entry: Entry) => {
      stream.push({ entry, seq: stream.length + 1 });
      const record = entry.find === undefined ? undefined : applyEntry(records.get(entry.find), entry);
      if (record) records.set(record.id, record);
    },
  };
  const answer = <T>(make: () => T): Promise<T> =>
    server.away
      ? Promise.reject(new Away('away'))
      : new Promise((resolve) => {
          resolve(make());
        });
  const mustBeSignedIn = () => {
    if (!server.signedIn) throw new Refused(401, 'not-signed-in', 'Sign in first.');
  };
  /** Requests about the account. */
  const asked: string[] = [];
  const bytes = new Map<string, number[]>();
  const parts: [string, number][] = [];
  const sizeOf = (id: string) =>
    [...records.values()].flatMap((r) => r.pictures).find((p) => p.id === id)?.size ?? 0;

  const take = (entry: Entry) => {
    const [by] = 'person' in entry.body ? [entry.body.person] : 'by' in entry.body ? [entry.body.by] : [];
    if (by !== undefined && by !== server.who)
      return { status: 'refused', reason: `person: "${by}" is not who is signed in` } as const;
    if (server.refuse === entry.kind) return { status: 'refused', reason: 'value.unit: missing' } as const;
    const known = stream.find((one) => one.entry.kind === entry.kind && one.entry.body.id === entry.body.id);
    if (!known) {
      sent.push(entry);
      server.receive(entry);
    }
    return {
      status: 'arrived',
      stream: `p:${server.who}`,
      seq: known?.seq ?? stream.length,
      stamp: entry.stamp!,
    } as const;
  };

  const api: Api = {
    me: () =>
      answer(() => {
        mustBeSignedIn();
        server.meanwhile?.();
        return {
          id: server.who,
          name: 'Mirel Aschkar',
          demo: server.demo,
          now: server.now,
          guide: { id: 'ostrel', version: server.guideVersion },
          groups: server.groups,
          streams: [{ id: `p:${server.who}`, last: stream.length }],
        };
      }),
    about: () => answer(() => ({ demo: server.demo, now: server.now })),
    push: (entries) =>
      answer(() => {
        mustBeSignedIn();
        const whole = server.refuseWhole?.(entries);
        if (whole) throw whole;
        return entries.map(take);
      }),
    pull: (_, after) =>
      answer(() => {
        mustBeSignedIn();
        const page = stream
          .slice(after, after + 50)
          .filter(({ seq }) => seq < (server.newerFrom ?? Infinity));
        return { entries: page, last: stream.length, newer: server.newerFrom !== undefined };
      }),
    received: (id) => answer(() => ({ received: bytes.get(id)?.length ?? 0, size: sizeOf(id) })),
    sendPart: (id, from, part) => {
      // The connection breaks off after so many parts.
      if (server.partsLeft-- <= 0) server.away = true;
      return answer(() => {
        if (from === (bytes.get(id)?.length ?? 0)) bytes.set(id, [...(bytes.get(id) ?? []), ...part]);
        parts.push([id, from]);
        return { received: bytes.get(id)?.length ?? 0, size: sizeOf(id) };
      });
    },
    picture: (id) =>
      answer(() => {
        const held = bytes.get(id);
        if (!held) throw new Refused(404, 'not-here-yet', 'This picture is still on its way.');
        return new Blob([new Uint8Array(held)]);
      }),
    ask: async (method, path) => {
      await answer(() => {
        asked.push(`${method} ${path}`);
        server.meanwhile?.();
      });
      // Such an answer takes its time.
      await new Promise((resolve) => {
        setTimeout(resolve, 5);
      });
      return undefined;
    },
  };
  return { api, server, records, stream, sent, asked, bytes, parts };
}
