import { hash } from 'node:crypto';
import { canonicalJson, FIND_KIND_NAMES, FIND_KINDS, type CompiledGuide } from '@pause/core';
import type { Arrival, Entry, Stamp } from '@pause/core/notebook';
import { groupStream, noSuchFind, noSuchPage, ownStream, type Actor } from '../access';
import type { Db } from '../db';
import type { Problem } from '../problem';
import type { Judge } from './judge';
import type { Quotas } from './quotas';

/** What a push is made of, and what its entries say of themselves. */

/** What became of one entry. */
export type Pushed =
  | {
      readonly status: 'added' | 'known';
      readonly stream: string;
      readonly seq: number;
      readonly stamp: Stamp;
      readonly arrival?: Arrival;
      readonly number?: number;
      /** When it was made by the server's clock, where the clock of the device was wrong. */
      readonly at?: string;
    }
  | { readonly status: 'refused'; readonly problem: Problem };

export interface PushOptions {
  readonly guide: CompiledGuide;
  /** Now, by the server's clock, in milliseconds. */
  readonly now: number;
  /** Hears of asks once they are on record. */
  readonly asked?: (find: string, ask: string, of: string) => Promise<void>;
  /**
   * Puts it into the queue in the same transaction: what is on record is decided again, whichever process is
   * killed.
   */
  readonly recheck?: (what: Moved, transaction: Db) => Promise<void>;
  /** Works out what this server reaches where a verdict arrives. */
  readonly judge?: Judge;
  /** Aborted when whoever sent this is gone: then nothing is put on record for them. */
  readonly signal?: AbortSignal;
  readonly quotas?: Quotas;
}

/**
 * Something of these changed that may change whether a verdict holds: collected finds with their notebooks,
 * harvests with strays, and groups with other rules.
 */
export interface Moved {
  readonly finds: readonly string[];
  readonly streams: readonly string[];
  readonly harvests: readonly string[];
  readonly groups: readonly string[];
}
/** The kinds of entry that can change the verdict on a find, or what was decided on it. */
export const MOVES: readonly Entry['kind'][] = FIND_KIND_NAMES.filter(
  (kind) => FIND_KINDS[kind].movesDecision,
);

/** What one device sends, of one person. */
export interface Sending {
  readonly actor: Actor;
  readonly entries: readonly Entry[];
  readonly options: PushOptions;
}

export const isCollecting = (entry: Entry) => entry.kind === 'decisions' && entry.body.choice === 'collect';
export const begins = (entry: Entry) => entry.kind === 'finds' || entry.kind === 'pages';
/** The find or the page that an entry belongs to. Neither passes for the other. */
export const aboutOf = (entry: Entry) =>
  entry.find === undefined ? `page ${entry.page}` : `find ${entry.find}`;
export const notThere = (entry: Entry) =>
  entry.find === undefined ? noSuchPage(entry.page) : noSuchFind(entry.find);
/** The notebook in which a find or a page begins. */
export const streamOfNew = (entry: Entry, person: string) =>
  entry.kind === 'finds' || entry.kind === 'pages'
    ? entry.body.group === undefined
      ? ownStream(person)
      : groupStream(entry.body.group)
    : undefined;

export const timeField = (entry: Entry) => (entry.kind === 'finds' ? 'startedAt' : 'at');
export const timeOf = (entry: Entry): string =>
  entry.kind === 'finds' ? entry.body.startedAt : entry.body.at;
export const withTime = (entry: Entry, at: string): Entry =>
  ({ ...entry, body: { ...entry.body, [timeField(entry)]: at } }) as Entry;

/** The same as `contentHash`, by Node.js' own and faster SHA-256. */
const hashOfContent = (content: unknown) => hash('sha256', canonicalJson(content), 'hex');
export const hashOf = (entry: Entry) =>
  hashOfContent(
    begins(entry)
      ? entry.body
      : { ...entry.body, ...(entry.find === undefined ? { page: entry.page } : { find: entry.find }) },
  );

/**
 * The largest entry, in characters of its JSON: a verdict on a long guide is less than half of it. The photos
 * of a lesson go with it.
 */
const MOST_CHARACTERS = 64 * 1024;
const MOST_CHARACTERS_OF_PHOTOS = 900 * 1024;
export const mostCharacters = (entry: Entry) =>
  entry.kind === 'fields' && entry.body.of === 'lesson' && entry.body.field === 'photos'
    ? MOST_CHARACTERS_OF_PHOTOS
    : MOST_CHARACTERS;
