import {
  applyEntry,
  findsOf,
  summaryOf,
  type Entry,
  type FindRecord,
  type PageRecord,
  type Stamp,
} from '@pause/core';
import { applyToPage } from '@pause/core/notebook';
import { inPlace, type Evaluator } from '../src/deciding/client';
import { guide } from '../src/deciding/guide';
import { Away, Refused, type Api, type Group } from '../src/notebook/api';
import { inOrder, NotKept, type Device, type DeviceFile, type Refusal } from '../src/notebook/device';
import type { Album, Picture } from '../src/notebook/pictures';
import type { Person } from '../src/notebook/slices';
import { makeStore } from '../src/notebook/store';

const ofFind = (records: ReadonlyMap<string, FindRecord>, entry: Entry) =>
  entry.find === undefined ? undefined : applyEntry(records.get(entry.find), entry);

/** A server in memory that can be away, refuse, or know nobody; one person's stream is all it keeps. */
export function rig(evaluator: Evaluator = inPlace) {
  const onServer = new Map<string, FindRecord>();
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
    /** What another device told, as the server has it. */
    told: (entry: Entry) => {
      stream.push({ entry, seq: stream.length + 1 });
      const record = ofFind(onServer, entry);
      if (record) onServer.set(record.id, record);
    },
  };
  const here = <T>(answer: () => T): Promise<T> =>
    server.away
      ? Promise.reject(new Away('away'))
      : new Promise((resolve, reject) => {
          try {
            resolve(answer());
          } catch (error) {
            reject(error);
          }
        });
  const signedIn = () => {
    if (!server.signedIn) throw new Refused(401, 'not-signed-in', 'Sign in first.');
  };
  /** What was wanted of the account. */
  const asked: string[] = [];
  const bytes = new Map<string, number[]>();
  const parts: [string, number][] = [];
  const sizeOf = (id: string) =>
    [...onServer.values()].flatMap((r) => r.pictures).find((p) => p.id === id)?.size ?? 0;
  const api: Api = {
    me: () =>
      here(() => {
        signedIn();
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
    about: () => here(() => ({ demo: server.demo, now: server.now })),
    push: (entries) =>
      here(() => {
        signedIn();
        const whole = server.refuseWhole?.(entries);
        if (whole) throw whole;
        return entries.map((entry) => {
          const [by] =
            'person' in entry.body ? [entry.body.person] : 'by' in entry.body ? [entry.body.by] : [];
          if (by !== undefined && by !== server.who)
            return { status: 'refused', reason: `person: "${by}" is not who is signed in` } as const;
          if (server.refuse === entry.kind)
            return { status: 'refused', reason: 'value.unit: missing' } as const;
          const known = stream.find(
            (one) => one.entry.kind === entry.kind && one.entry.body.id === entry.body.id,
          );
          if (!known) {
            sent.push(entry);
            server.told(entry);
          }
          return {
            status: 'arrived',
            stream: `p:${server.who}`,
            seq: known?.seq ?? stream.length,
            stamp: entry.stamp!,
          } as const;
        });
      }),
    pull: (_, after) =>
      here(() => {
        signedIn();
        const page = stream
          .slice(after, after + 50)
          .filter(({ seq }) => seq < (server.newerFrom ?? Infinity));
        return { entries: page, last: stream.length, newer: server.newerFrom !== undefined };
      }),
    received: (id) => here(() => ({ received: bytes.get(id)?.length ?? 0, size: sizeOf(id) })),
    sendPart: (id, from, part) => {
      // The connection breaks off after so many parts.
      if (server.partsLeft-- <= 0) server.away = true;
      return here(() => {
        if (from === (bytes.get(id)?.length ?? 0)) bytes.set(id, [...(bytes.get(id) ?? []), ...part]);
        parts.push([id, from]);
        return { received: bytes.get(id)?.length ?? 0, size: sizeOf(id) };
      });
    },
    picture: (id) =>
      here(() => {
        const held = bytes.get(id);
        if (!held) throw new Refused(404, 'not-here-yet', 'This picture is still on its way.');
        return new Blob([new Uint8Array(held)]);
      }),
    ask: (method, path) =>
      here(() => {
        asked.push(`${method} ${path}`);
        server.meanwhile?.();
        // Such an answer takes its time.
      }).then(
        () =>
          new Promise((resolve) => {
            setTimeout(resolve, 5);
          }),
      ),
  };
  const pictures = new Map<string, Picture>();
  const album: Album = {
    keep: (picture) => {
      pictures.set(picture.id, picture);
      return Promise.resolve();
    },
    drop: (id) => {
      pictures.delete(id);
      return Promise.resolve();
    },
    of: (find) => Promise.resolve([...pictures.values()].filter((p) => p.find === find)),
    unsent: () => Promise.resolve([...pictures.values()].filter((p) => p.told === true && p.sent !== true)),
    markSent: (id) => {
      pictures.set(id, { ...pictures.get(id)!, sent: true });
      return Promise.resolve();
    },
    clear: () => {
      pictures.clear();
      return Promise.resolve();
    },
  };
  const kept = new Map<string, Entry>();
  const records = new Map<string, FindRecord>();
  const own: {
    person?: Person;
    formerly: string[];
    taken: number;
    files: Partial<Record<DeviceFile, unknown>>;
    last?: Stamp;
    refused: Refusal[];
  } = { formerly: [''], taken: 0, refused: [], files: {} };
  const storage = { full: false };
  const keyOf = (entry: Entry) => entry.body.id + entry.kind;
  /** With who keeps the notebook in place of who did before. */
  const theirs = (entry: Entry) =>
    own.formerly.reduce(
      (all, from) =>
        JSON.parse(
          JSON.stringify(all)
            .replaceAll(`"by":"${from}"`, `"by":"${own.person!.id}"`)
            .replaceAll(`"person":"${from}"`, `"person":"${own.person!.id}"`),
        ) as Entry,
      entry,
    );
  /** What the person does between the device being asked for what waits and its answer. */
  const beforeAnswer: (() => void)[] = [];
  const pages = new Map<string, PageRecord>();
  const lay = (entry: Entry) => {
    const record = ofFind(records, entry);
    if (record) records.set(record.id, record);
    const page = entry.page === undefined ? undefined : applyToPage(pages.get(entry.page), entry);
    if (page) pages.set(page.id, page);
  };
  const device: Device = {
    put: (make) => {
      if (storage.full) return Promise.reject(new NotKept('full'));
      const entries = make('karrow', own.last).map(theirs);
      for (const entry of entries) {
        kept.set(keyOf(entry), entry);
        own.last = entry.stamp!;
      }
      return Promise.resolve(entries);
    },
    settle: (all) => {
      for (const one of all) {
        if (one.status === 'arrived') lay(one.entry);
        else own.refused.push({ entry: one.entry, reason: one.reason });
        if (one.status === 'arrived' && one.seq === own.taken + 1) own.taken += 1;
        kept.delete(keyOf(one.entry));
      }
      return Promise.resolve();
    },
    waiting: async () => {
      const waiting = inOrder([...kept.values()]);
      for (const tell of beforeAnswer.splice(0)) {
        tell();
        await new Promise((resolve) => {
          setTimeout(resolve, 5);
        });
      }
      return waiting;
    },
    refused: () => Promise.resolve(own.refused),
    forgetRefused: () => {
      own.refused = [];
      return Promise.resolve();
    },
    take: ({ entries }) => {
      if (storage.full) return Promise.reject(new NotKept('full'));
      for (const { entry, seq } of entries) {
        lay(entry);
        own.taken = Math.max(own.taken, seq);
      }
      return Promise.resolve([
        ...findsOf(entries.map(({ entry }) => entry)),
        ...new Set(entries.flatMap(({ entry }) => entry.page ?? [])),
      ]);
    },
    taken: () => Promise.resolve(own.taken),
    record: (id) => Promise.resolve(records.get(id)),
    list: () => Promise.resolve([...records.values()].map(summaryOf)),
    pages: () => Promise.resolve([...pages.values()]),
    page: (id) => Promise.resolve(pages.get(id)),
    keepFile: (name, content) => {
      own.files[name] = content;
      return Promise.resolve();
    },
    file: (name) => Promise.resolve(own.files[name]),
    keepPerson: (person) => {
      own.person = person;
      return Promise.resolve();
    },
    person: (otherwise) => Promise.resolve((own.person ??= otherwise)),
    adopt: (person) => {
      own.formerly.push(own.person!.id);
      own.person = person;
      for (const [key, entry] of kept) kept.set(key, theirs(entry));
      return Promise.resolve();
    },
    clear: () => {
      if (kept.size > 0) return Promise.resolve(kept.size);
      records.clear();
      delete own.person;
      Object.assign(own, { formerly: [''], taken: 0 });
      return Promise.resolve(0);
    },
  };
  /** Each time that other windows were told: whether the device was empty by then. */
  const emptied: boolean[] = [];
  let time = Date.UTC(2030, 0, 1);
  const open = () =>
    makeStore({
      api,
      device,
      album: () => Promise.resolve(album),
      evaluator,
      clock: () => {
        time += 1;
        return time;
      },
      drawn: () => Promise.resolve(),
      emptied: () => {
        emptied.push(Object.keys(own.person ?? {}).length === 0 && kept.size === 0);
      },
    });
  return {
    server,
    emptied,
    asked,
    beforeAnswer,
    storage,
    sent,
    kept,
    here: records,
    own,
    records: onServer,
    stream,
    pictures,
    bytes,
    parts,
    open,
    store: open(),
  };
}
