import { request } from 'node:http';
import { Dexie } from 'dexie';
import { canonicalJson, type FindRecord, type TaxonId } from '@pause/core';
import type { Evaluator } from '../../app/src/deciding/client';
import { read, startFind, changeContext, write } from '../../app/src/notebook/actions';
import { notebookDatabase } from '../../app/src/notebook/database';
import type { Device } from '../../app/src/notebook/device';
import { http } from '../../app/src/notebook/http';
import { loadFind, loadMe } from '../../app/src/notebook/open';
import { openOutbox } from '../../app/src/notebook/outboxActions';
import { loadList } from '../../app/src/notebook/repository/finds';
import { makeStore, type Store } from '../../app/src/notebook/store';
import { syncAll } from '../../app/src/notebook/sync';

/**
 * A device as it is in the hand: the application's own store and notebook, over a connection that can be made
 * to fail.
 */

/** What happens to the next request. */
export type Fault = 'refused' | 'cut-request' | 'answer-lost' | 'twice' | 'late-again';

export class SimulatedDevice {
  private store: Store;
  private dead = { yes: false };
  /** Readings that the application said were kept. */
  readonly acknowledged = new Set<string>();
  /** Milliseconds by which this device's clock is wrong. */
  clockOff = 0;
  /** Faults for the next requests, in order. */
  readonly faults: Fault[] = [];
  online = true;

  /** @param forgetful keeps nothing of what it receives, to see that it would be noticed */
  constructor(
    readonly name: string,
    private readonly url: string,
    private readonly cookie: string,
    private readonly forgetful = false,
  ) {
    this.store = this.open();
  }

  /** The browser's database of this device stays; everything else is new. */
  private open(): Store {
    const dead = { yes: false };
    this.dead = dead;
    return makeStore({
      api: http((path, init) => (dead.yes ? never() : this.send(path, init))),
      device: mortal(
        {
          ...notebookDatabase(NO_STORAGE, `pause-${this.name}`, DEXIE),
          ...(this.forgetful
            ? { put: (make: Parameters<Device['put']>[0]) => Promise.resolve(make('forgetful', undefined)) }
            : {}),
        },
        dead,
      ),
      album: never,
      evaluator: NO_EVALUATOR,
      clock: () => Date.now() + this.clockOff,
      drawn: () => Promise.resolve(),
      emptied: () => undefined,
    });
  }

  /** The tab is gone in the middle of whatever it did; what it had asked of database and server goes on. */
  async killTab(): Promise<void> {
    this.dead.yes = true;
    this.store = this.open();
    await this.store.dispatch(openOutbox());
    await this.store.dispatch(loadMe());
  }

  async begin(): Promise<void> {
    await this.store.dispatch(openOutbox());
    await this.store.dispatch(loadMe());
  }

  private async send(path: string, init: RequestInit): Promise<Response> {
    if (!this.online) throw new TypeError('no connection');
    const fault = init.method === 'POST' ? this.faults.shift() : undefined;
    const go = () =>
      fetch(this.url + path, {
        ...init,
        headers: { ...(init.headers as Record<string, string> | undefined), cookie: this.cookie },
      });
    if (fault === 'refused') throw new TypeError('no connection');
    if (fault === 'cut-request') {
      await this.sendHalf(path, typeof init.body === 'string' ? init.body : '');
      throw new TypeError('cut in the middle');
    }
    if (fault === 'answer-lost') {
      await (await go()).arrayBuffer().catch(() => undefined);
      throw new TypeError('the answer was lost');
    }
    if (fault === 'twice')
      void go()
        .then(
          (r) => r.arrayBuffer(),
          () => undefined,
        )
        .catch(() => undefined);
    // The same arrives once more after other things have.
    if (fault === 'late-again')
      setTimeout(
        () =>
          void go()
            .then(
              (r) => r.arrayBuffer(),
              () => undefined,
            )
            .catch(() => undefined),
        400,
      );
    return go();
  }

  private sendHalf(path: string, body: string): Promise<void> {
    return new Promise((resolve) => {
      const { hostname, port } = new URL(this.url);
      const bytes = Buffer.from(body);
      const sending = request({
        hostname,
        port,
        path: `/api/v1${path.replace(/^\/api\/v1/, '')}`,
        method: 'POST',
        headers: { 'content-type': 'application/json', 'content-length': bytes.length, cookie: this.cookie },
      });
      sending.on('error', () => resolve());
      sending.write(bytes.subarray(0, Math.ceil(bytes.length / 2)), () => {
        sending.destroy();
        resolve();
      });
    });
  }

  /** Begins a find in the group's notebook. @returns its id, unless it was not kept */
  async find(taxon: string, group: string): Promise<string | undefined> {
    return this.store.dispatch(
      startFind({ kingdom: 'Fungi', bodyPlan: 'agaricoid', target: taxon as TaxonId, group, context: {} }),
    );
  }

  /** Reads something on the first piece of a find, if this device knows it by now. */
  async readOn(find: string, character: string, state: string): Promise<void> {
    await this.store.dispatch(loadFind(find));
    const piece = this.store.getState().finds[find]?.record?.pieces[0]?.id;
    if (piece === undefined) return;
    const id = await this.store.dispatch(
      read(find, {
        piece,
        character: character as never,
        value: { kind: 'states', states: [state as never] },
        sureness: 'sure',
      }),
    );
    if (id !== undefined) this.acknowledged.add(id);
  }

  /** Tells something that others may tell otherwise at the same time. */
  async edit(find: string, text: string): Promise<void> {
    await this.store.dispatch(loadFind(find));
    const record = this.store.getState().finds[find]?.record;
    if (!record) return;
    await this.store.dispatch(write(find, { field: 'note', value: text }));
    await this.store.dispatch(changeContext(find, { condition: text.length % 2 === 0 ? 'fresh' : 'wilted' }));
  }

  /** Sends and fetches until nothing waits. @returns whether it got there */
  async settle(): Promise<boolean> {
    for (let attempt = 0; attempt < 40; attempt += 1) {
      await this.store.dispatch(syncAll());
      const { waiting, away } = this.store.getState().outbox;
      if (waiting.length === 0 && !away) return true;
      await new Promise((resolve) => {
        setTimeout(resolve, 50);
      });
    }
    return false;
  }

  sync(): Promise<boolean> {
    return this.store.dispatch(syncAll());
  }

  get refused(): readonly string[] {
    return this.store.getState().outbox.refused.map(({ entry, reason }) => `${entry.kind}: ${reason}`);
  }

  /** Every find of the notebook as it is on this device, as text. */
  async everything(): Promise<Map<string, string>> {
    await this.store.dispatch(loadList());
    const device = notebookDatabase(NO_STORAGE, `pause-${this.name}`, DEXIE);
    const all = new Map<string, string>();
    for (const { id } of this.store.getState().list.items) {
      const record = await device.record(id);
      if (record) all.set(id, comparable(record));
    }
    return all;
  }
}

/** A record without the number that only the server gives. */
export function comparable({ number: _, ...record }: FindRecord): string {
  return canonicalJson(record);
}

const NO_STORAGE = {
  length: 0,
  getItem: () => null,
  setItem: () => undefined,
  removeItem: () => undefined,
  clear: () => undefined,
  key: () => null,
} as Storage;
const DEXIE = () => Promise.resolve(Dexie);
const never = () => new Promise<never>(() => undefined);
/** Nothing is decided here; that is tested elsewhere. */
const NO_EVALUATOR: Evaluator = { judge: never, planOf: never, effects: never };

const gone = (dead: { readonly yes: boolean }) => dead.yes;
/**
 * A device's database seen from a tab: once the tab is gone nobody hears its answers, though what was asked
 * is done.
 */
function mortal(device: Device, dead: { yes: boolean }): Device {
  return Object.fromEntries(
    Object.entries(device).map(([name, work]) => [
      name,
      async (...given: unknown[]) => {
        if (dead.yes) return never();
        const answer: unknown = await (work as (...all: unknown[]) => Promise<unknown>)(...given);
        return gone(dead) ? never() : answer;
      },
    ]),
  ) as unknown as Device;
}
