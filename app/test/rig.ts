import type { FindRecord } from '@pause/core';
import { inPlace } from '../src/evaluate/client';
import { Away, Refused, type Api } from '../src/store/api';
import { applyEntry, type Entry } from '../src/store/entries';
import type { Keep } from '../src/store/keep';
import { makeStore } from '../src/store/store';

/** A server in memory that can be away, or refuse. */
export function rig() {
  const records = new Map<string, FindRecord>();
  const sent: Entry[] = [];
  const kept = new Map<string, Entry>();
  const server = { away: false, refuse: undefined as Entry['kind'] | undefined };
  const api: Api = {
    me: () => Promise.resolve({ id: 'mirel', name: 'Mirel Aschkar', demo: true, now: '2026-09-14T07:40:00.000Z', guide: { id: 'ostrel', version: 'x' } }),
    finds: () => Promise.resolve([]),
    find: (id) => {
      if (server.away) return Promise.reject(new Away('away'));
      const record = records.get(id);
      return record ? Promise.resolve(record) : Promise.reject(new Refused(404, 'no-such-find', 'There is no such find.'));
    },
    send: (entry) => {
      if (server.away) return Promise.reject(new Away('away'));
      if (server.refuse === entry.kind) return Promise.reject(new Refused(422, 'invalid', 'value.unit: missing'));
      sent.push(entry);
      const record = applyEntry(records.get(entry.find), entry);
      if (record) records.set(entry.find, record);
      return Promise.resolve();
    },
  };
  const keep: Keep = {
    put: (entry) => kept.set(entry.body.id + entry.kind, entry),
    drop: (entry) => kept.delete(entry.body.id + entry.kind),
    all: () => [...kept.values()],
  };
  const open = () => makeStore({ api, keep, evaluator: inPlace, clock: () => Date.UTC(2030, 0, 1) });
  return { server, sent, kept, records, open, store: open() };
}
