import { summaryOf, type FindRecord, type FindSummary } from '@pause/core';
import { inPlace, type Evaluator } from '../src/evaluate/client';
import { Away, Refused, type Api } from '../src/store/api';
import { applyEntry, type Entry } from '../src/store/entries';
import { inOrder, NotKept, type Device } from '../src/store/device';
import type { Person } from '../src/store/slices';
import { makeStore } from '../src/store/store';

/** A server in memory that can be away, or refuse. */
export function rig(evaluator: Evaluator = inPlace) {
  const onServer = new Map<string, FindRecord>();
  const sent: Entry[] = [];
  const server = { away: false, refuse: undefined as Entry['kind'] | undefined };
  const api: Api = {
    me: () => (server.away ? Promise.reject(new Away('away')) : Promise.resolve({ id: 'mirel', name: 'Mirel Aschkar', demo: true, now: '2026-09-14T07:40:00.000Z', guide: { id: 'ostrel', version: 'x' } })),
    finds: () => (server.away ? Promise.reject(new Away('away')) : Promise.resolve([...onServer.values()].map(summaryOf))),
    find: (id) => {
      if (server.away) return Promise.reject(new Away('away'));
      const record = onServer.get(id);
      return record ? Promise.resolve(record) : Promise.reject(new Refused(404, 'no-such-find', 'There is no such find.'));
    },
    send: (entry) => {
      if (server.away) return Promise.reject(new Away('away'));
      if (server.refuse === entry.kind) return Promise.reject(new Refused(422, 'invalid', 'value.unit: missing'));
      sent.push(entry);
      const record = applyEntry(onServer.get(entry.find), entry);
      if (record) onServer.set(entry.find, record);
      return Promise.resolve();
    },
  };
  const kept = new Map<string, Entry>();
  const here = new Map<string, FindRecord>();
  const own: { list?: readonly FindSummary[]; person?: Person } = {};
  const storage = { full: false };
  const device: Device = {
    put: (entries) => {
      if (storage.full) return Promise.reject(new NotKept('full'));
      for (const entry of entries) kept.set(entry.body.id + entry.kind, entry);
      return Promise.resolve();
    },
    settle: (entry, outcome) => {
      const record = outcome === 'arrived' ? applyEntry(here.get(entry.find), entry) : undefined;
      if (record) here.set(record.id, record);
      kept.delete(entry.body.id + entry.kind);
      return Promise.resolve();
    },
    waiting: () => Promise.resolve(inOrder([...kept.values()])),
    keepRecord: (record) => { here.set(record.id, record); return Promise.resolve(); },
    record: (id) => Promise.resolve(here.get(id)),
    keepList: (finds) => { own.list = finds; return Promise.resolve(); },
    list: () => Promise.resolve(own.list),
    keepPerson: (person) => { own.person = person; return Promise.resolve(); },
    person: () => Promise.resolve(own.person),
  };
  const open = () => makeStore({ api, device, evaluator, clock: () => Date.UTC(2030, 0, 1) });
  return { server, storage, sent, kept, here, own, records: onServer, open, store: open() };
}
