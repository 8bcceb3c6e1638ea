import type { Entry } from '@pause/core/notebook';
import type { FieldProblem } from '../problem';
import { aboutOf, isCollecting, MOVES } from './entries';

/** How much may be put on record, so that nobody fills a notebook, a find or a disk for everybody else. */
export interface Quotas {
  /** By one person of one find or page. */
  readonly entries: number;
  readonly bytes: number;
  /** By one person in all notebooks, and by all people in one. In bytes. */
  readonly person: number;
  readonly stream: number;
}
export const QUOTAS: Quotas = {
  entries: 10_000,
  bytes: 16_000_000,
  person: 300_000_000,
  stream: 2_000_000_000,
};

/**
 * How many of these a find may have: by whoever began it, and by everybody else together. What others
 * tell never takes the finder's part. Together they are what a case may hold.
 */
const OF_A_FIND: Readonly<Partial<Record<Entry['kind'], readonly [finder: number, others: number]>>> = {
  pieces: [30, 20],
  readings: [300, 200],
  withdrawals: [300, 200],
  skips: [300, 200],
  targets: [300, 200],
  verdicts: [300, 200],
  pictures: [200, 100],
};
const ofKind = (find: string, kind: string, own: boolean) => `find ${find} ${kind} ${own ? 'own' : 'others'}`;
const ofCollecting = (find: string) => `find ${find} collected`;
const streamKey = (stream: string) => `stream ${stream}`;
/** Under this key is what one person wrote anywhere. It is added up when it is read. */
const ANYWHERE = '';

interface Count {
  entries: number;
  bytes: number;
}
const none = (): Count => ({ entries: 0, bytes: 0 });
const plus = (count: Count, bytes: number): Count => ({
  entries: count.entries + 1,
  bytes: count.bytes + bytes,
});

/** Counts what people add to what is on record. */
export interface Written {
  /** Why there may be no entry more; undefined where there is room. */
  readonly full: (
    person: string,
    entry: Entry,
    stream: string,
    finder: string,
    bytes: number,
  ) => FieldProblem[];
  readonly add: (person: string, entry: Entry, stream: string, finder: string, bytes: number) => void;
  /** Whether somebody has decided to collect this find. */
  readonly isCollected: (find: string) => boolean;
  /** What was added, by key and person, always in the same order. */
  readonly added: () => readonly Addition[];
}
export interface Addition extends Readonly<Count> {
  readonly of: string;
  readonly person: string;
}

export interface Adds {
  readonly person: string;
  readonly entries: readonly Entry[];
}

/** What has to be read of the table `written` before these entries can be counted. */
export interface CountKeys {
  readonly of: readonly string[];
  readonly people: readonly string[];
}
export function countKeysOf(adds: readonly Adds[], streams: readonly string[]): CountKeys {
  const of = new Set(streams.map(streamKey));
  const seen = new Set<string>();
  for (const entry of adds.flatMap(({ entries }) => entries)) {
    const about = aboutOf(entry);
    const { find, kind } = entry;
    if (seen.has(`${about} ${kind}`)) continue;
    seen.add(`${about} ${kind}`);
    of.add(about);
    if (find !== undefined && OF_A_FIND[kind])
      of.add(ofKind(find, kind, true)).add(ofKind(find, kind, false));
    if (find !== undefined && MOVES.includes(kind)) of.add(ofCollecting(find));
  }
  return { of: [...of], people: [...new Set(adds.map(({ person }) => person))] };
}
/**
 * A line of the table `written`, for one person or for all others together. `of` is empty for what a person
 * wrote anywhere.
 */
export interface WrittenRow extends Readonly<Count> {
  readonly of: string;
  readonly person: string | null;
}

export function openWritten(rows: readonly WrittenRow[], quotas: Quotas = QUOTAS): Written {
  const counts = countsOf(rows);
  return {
    full: (person, entry, stream, finder, bytes) =>
      fullOf(counts, quotas, { person, entry, stream, finder, bytes }),
    add: (person, entry, stream, finder, bytes) => {
      const of = [aboutOf(entry), streamKey(stream), ANYWHERE];
      if (entry.find !== undefined && OF_A_FIND[entry.kind])
        of.push(ofKind(entry.find, entry.kind, finder === person));
      if (entry.find !== undefined && isCollecting(entry)) of.push(ofCollecting(entry.find));
      for (const one of of) counts.count(one, person, bytes);
    },
    isCollected: (find) => counts.ofAll(ofCollecting(find)).entries > 0,
    added: counts.added,
  };
}

interface Counts {
  readonly of: (key: string, person: string) => Count;
  readonly ofAll: (key: string) => Count;
  readonly count: (key: string, person: string, bytes: number) => void;
  readonly added: () => Addition[];
}

function countsOf(rows: readonly WrittenRow[]): Counts {
  // By key and person; and by key for all people together.
  const byEach = new Map<string, Count>();
  const byKey = new Map<string, Count>();
  const key = (of: string, person: string) => `${person}\n${of}`;
  for (const { of, person, entries, bytes } of rows) {
    if (person !== null) byEach.set(key(of, person), { entries, bytes });
    const before = byKey.get(of) ?? none();
    byKey.set(of, { entries: before.entries + entries, bytes: before.bytes + bytes });
  }
  const added = new Map<string, Addition>();
  const countOf = (of: string, person: string): Count => byEach.get(key(of, person)) ?? none();
  const countOfAll = (of: string): Count => byKey.get(of) ?? none();
  return {
    of: countOf,
    ofAll: countOfAll,
    count: (of, person, bytes) => {
      byEach.set(key(of, person), plus(countOf(of, person), bytes));
      byKey.set(of, plus(countOfAll(of), bytes));
      if (of !== ANYWHERE)
        added.set(key(of, person), { of, person, ...plus(added.get(key(of, person)) ?? none(), bytes) });
    },
    added: () =>
      [...added.values()].sort((a, b) => (`${a.of}\n${a.person}` < `${b.of}\n${b.person}` ? -1 : 1)),
  };
}

interface Wanted {
  readonly person: string;
  readonly entry: Entry;
  readonly stream: string;
  readonly finder: string;
  readonly bytes: number;
}

/** Which quota an entry would exceed: of its find or page, of its kind, of its author, or of the notebook. */
function fullOf(counts: Counts, quotas: Quotas, wanted: Wanted): FieldProblem[] {
  const { person, entry, stream, bytes } = wanted;
  const field = entry.find === undefined ? 'page' : 'find';
  const before = counts.of(aboutOf(entry), person);
  if (before.entries >= quotas.entries)
    return [
      {
        field,
        reason: `you put ${quotas.entries} entries on record of it already, which is the most: begin another`,
      },
    ];
  if (before.bytes + bytes > quotas.bytes)
    return [{ field, reason: `what you put on record of it is as large as it may be: begin another` }];
  const tooMany = tooManyOfKind(counts, wanted);
  if (tooMany.length > 0) return tooMany;
  if (counts.of(ANYWHERE, person).bytes + bytes > quotas.person)
    return [{ field: 'by', reason: 'you put as much on record as one person may' }];
  return counts.ofAll(streamKey(stream)).bytes + bytes > quotas.stream
    ? [{ field: 'group', reason: 'this notebook holds as much as it may' }]
    : [];
}

function tooManyOfKind(counts: Counts, { person, entry, finder }: Wanted): FieldProblem[] {
  const most = OF_A_FIND[entry.kind];
  if (entry.find === undefined || !most) return [];
  const own = finder === person;
  const allowed = own ? most[0] : most[1];
  if (counts.ofAll(ofKind(entry.find, entry.kind, own)).entries < allowed) return [];
  return [
    {
      field: 'kind',
      reason:
        `there are ${allowed} ${entry.kind} on this find ` +
        `already${own ? '' : ' by others than the finder'}, which is the most: begin another find`,
    },
  ];
}
