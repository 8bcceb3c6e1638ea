import type { FindRecord, FindSummary } from '@pause/core';
import type { Entry } from './entries';
import type { Person } from './slices';

/**
 * What this device keeps of the notebook, so that it is whole without a connection. The store is only the working
 * copy: an entry is here before the screen says so.
 */
export interface Device {
  /** Keeps entries that wait to be sent, all or none; rejects where the device does not take them. */
  put(entries: readonly Entry[]): Promise<void>;
  /** An entry no longer waits: it arrived at the server, and becomes part of its kept find in the same step, or it was refused there, and does not. */
  settle(entry: Entry, outcome: 'arrived' | 'refused'): Promise<void>;
  /** What waits, in the order in which it was made. */
  waiting(): Promise<Entry[]>;
  /** A find as the server has it; what waits is laid over it whenever it is opened. */
  keepRecord(record: FindRecord): Promise<void>;
  record(id: string): Promise<FindRecord | undefined>;
  keepList(finds: readonly FindSummary[]): Promise<void>;
  list(): Promise<readonly FindSummary[] | undefined>;
  keepPerson(person: Person): Promise<void>;
  person(): Promise<Person | undefined>;
}

/** The device did not take what should be kept. */
export class NotKept extends Error {
  constructor(readonly why: 'full' | 'refused') {
    super(why === 'full' ? 'This device’s storage is full.' : 'This browser does not let Pause keep anything.');
    this.name = 'NotKept';
  }
}

const ORDER: readonly Entry['kind'][] = ['finds', 'pieces', 'targets', 'contexts', 'readings', 'withdrawals', 'skips', 'verdicts', 'decisions'];
const madeAt = (entry: Entry) => (entry.kind === 'finds' ? entry.body.startedAt : entry.body.at);

export function inOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((a, b) => {
    const [x, y] = [madeAt(a), madeAt(b)];
    return x < y ? -1 : x > y ? 1 : ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind);
  });
}
/** What the device does where what keeps its notebook could not even be fetched. */
const nothingKept: Device = {
  put: () => Promise.reject(new NotKept('refused')),
  settle: () => Promise.resolve(),
  waiting: () => Promise.resolve([]),
  keepRecord: () => Promise.resolve(),
  record: () => Promise.resolve(undefined),
  keepList: () => Promise.resolve(),
  list: () => Promise.resolve(undefined),
  keepPerson: () => Promise.resolve(),
  person: () => Promise.resolve(undefined),
};

/** The notebook in the browser's own database. What keeps it is fetched when the first is asked of it, and again where that failed. */
export function browserDevice(storage: Storage): Device {
  let opened: Promise<Device> | undefined;
  const device = () => {
    opened ??= import('./notebook').then((m) => m.notebook(storage));
    return opened.catch(() => {
      opened = undefined;
      return nothingKept;
    });
  };
  return {
    put: async (entries) => (await device()).put(entries),
    settle: async (entry, outcome) => (await device()).settle(entry, outcome),
    waiting: async () => (await device()).waiting(),
    keepRecord: async (record) => (await device()).keepRecord(record),
    record: async (id) => (await device()).record(id),
    keepList: async (finds) => (await device()).keepList(finds),
    list: async () => (await device()).list(),
    keepPerson: async (person) => (await device()).keepPerson(person),
    person: async () => (await device()).person(),
  };
}
