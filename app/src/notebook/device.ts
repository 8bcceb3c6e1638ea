import {
  FIND_KIND_NAMES,
  type Entry,
  type FindRecord,
  type FindSummary,
  type PageRecord,
  type Stamp,
} from '@pause/core';
import { t } from '../text/en/notebook';
import type { Person } from './slices';

/** An entry that the server did not take, and why. */
export interface Refusal {
  readonly entry: Entry;
  readonly reason: string;
}
/** What became of an entry that was sent. */
export type Settled =
  | { readonly status: 'arrived'; readonly entry: Entry; readonly stream?: string; readonly seq?: number }
  | { readonly status: 'refused'; readonly entry: Entry; readonly reason: string };

/** The next entries of a stream, as the server numbered them. */
export interface Heard {
  readonly stream: string;
  readonly entries: readonly {
    readonly entry: Entry;
    readonly seq: number;
    readonly number?: number | undefined;
  }[];
}

/**
 * Weather of a station near by and a map, as they were loaded here; which of the group's warnings and of what
 * no longer stands were read; a person's own steps when gathering; and what was typed onto sheets for whoever
 * treats somebody.
 */
export type DeviceFile = 'weather' | 'map' | 'warned' | 'steps' | 'recalled' | 'sheets';

/**
 * What this device keeps of the notebook, so that it is whole without a connection. The store is only the
 * working copy: an entry is here before the screen says so.
 */
export interface Device {
  /**
   * Makes entries that wait to be sent, and keeps them, all or none, in one step with what this device calls
   * itself in stamps and the last stamp of everything recorded or received here; rejects where the device does
   * not take them. What names nobody as its author, or whom this notebook belonged to before it was an
   * account's, names its keeper from now on. @returns what was kept
   */
  put(make: (device: string, last: Stamp | undefined) => readonly Entry[]): Promise<readonly Entry[]>;
  /**
   * Entries no longer wait: what arrived becomes part of its kept find in the same step; what was refused
   * does not, and is kept with the reason.
   */
  settle(all: readonly Settled[]): Promise<void>;
  /** What waits, in the order in which it was made. */
  waiting(): Promise<Entry[]>;
  refused(): Promise<readonly Refusal[]>;
  /** What was refused has been read. */
  forgetRefused(): Promise<void>;
  /**
   * Takes what the server sent of a stream, with how far that goes, in one step; rejects where the device
   * does not take it.
   *
   * @returns the finds and pages it is of
   */
  take(heard: Heard): Promise<readonly string[]>;
  /** How far each stream was taken. */
  taken(stream: string): Promise<number>;
  record(id: string): Promise<FindRecord | undefined>;
  /** A line for every find here. */
  list(): Promise<readonly FindSummary[]>;
  /** Every page that is no find. */
  pages(): Promise<readonly PageRecord[]>;
  page(id: string): Promise<PageRecord | undefined>;
  /**
   * Something of this device's own, of which nothing goes to the server; `undefined` forgets it. Rejects
   * where the device does not take it.
   */
  keepFile(name: DeviceFile, content: unknown): Promise<void>;
  file(name: DeviceFile): Promise<unknown>;
  keepPerson(person: Person): Promise<void>;
  /** Who keeps this notebook; where nobody does yet, `otherwise` does from now on. */
  person(otherwise: Person): Promise<Person>;
  /**
   * The account whose notebook this is from now on: what was recorded here without one, or is yet to be recorded by a
   * window that has not heard of it, becomes its own. Rejects where the device does not take it.
   */
  adopt(person: Person): Promise<void>;
  /**
   * Forgets everything of the notebook, in one step; nothing of it where entries still wait.
   *
   * @returns how many wait
   */
  clear(): Promise<number>;
}

/** The device did not take what should be kept. */
export class NotKept extends Error {
  constructor(readonly why: 'full' | 'refused') {
    super(why === 'full' ? t.storageIsFull : t.browserKeepsNothing);
    this.name = 'NotKept';
  }
}

/** In a tie: pages first, then the kinds of a find as one needs the other. */
const ORDER: readonly Entry['kind'][] = ['pages', 'fields', 'sightings', ...FIND_KIND_NAMES];
const madeAt = (entry: Entry) =>
  entry.stamp ?? (entry.kind === 'finds' ? entry.body.startedAt : entry.body.at);

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
  refused: () => Promise.resolve([]),
  forgetRefused: () => Promise.resolve(),
  take: () => Promise.reject(new NotKept('refused')),
  taken: () => Promise.resolve(0),
  record: () => Promise.resolve(undefined),
  list: () => Promise.resolve([]),
  pages: () => Promise.resolve([]),
  page: () => Promise.resolve(undefined),
  keepFile: () => Promise.reject(new NotKept('refused')),
  file: () => Promise.resolve(undefined),
  keepPerson: () => Promise.resolve(),
  person: (otherwise) => Promise.resolve(otherwise),
  adopt: () => Promise.resolve(),
  clear: () => Promise.resolve(0),
};

/**
 * The notebook in the browser's own database. What keeps it is fetched when the first is asked of it, and
 * again where that failed.
 */
export function browserDevice(storage: Storage): Device {
  let opened: Promise<Device> | undefined;
  const device = () => {
    opened ??= import('./outside').then(async (m) => {
      await m.readBitByBit();
      return m.notebookDatabase(storage);
    });
    return opened.catch(() => {
      opened = undefined;
      return nothingKept;
    });
  };
  return new Proxy(nothingKept, {
    get:
      (_, name: keyof Device) =>
      async (...given: never[]) =>
        ((await device())[name] as (...all: never[]) => unknown)(...given),
  });
}
