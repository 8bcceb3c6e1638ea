import { sql } from 'kysely';
import { applyEntries, type FindRecord, type Policy } from '@pause/core';
import type { Arrival, Entry, FindEntry, PageRecord, Stamp } from '@pause/core/notebook';
import type { Db } from '../db';
import type { Role } from '../db/schema';
import { sourcesIn } from './checkPage';
import type { Sending } from './entries';
import { groupsOf } from './groupRules';
import { entryKey } from './ids';
import { streamsOfAll, type Scope } from './locks';
import { entriesAt, lookUp, type EntryOnRecord, type UsedId } from './lookup';
import { NAMED_WITH_MORE, namedIn, onRecordOf, pageOutlines, type OnRecord } from './onRecord';
import { countKeysOf, openWritten, type Written } from './quotas';
import { casesOf } from './records';

/**
 * What is on record of everything that a push names, read once its notebooks are held. It grows with every
 * entry that is admitted.
 */
export interface State {
  /** The streams of finds and pages, by "find ID" and "page ID". */
  readonly heads: Map<string, string>;
  /** The same, of what pages come from. */
  readonly sources: ReadonlyMap<string, string>;
  /** What comes from what: parents, by the child. */
  readonly parents: Map<string, readonly string[]>;
  /** Entries with an id that is sent, by `idOf`. */
  readonly known: Map<string, Known>;
  readonly finds: Map<string, OnRecord>;
  readonly pages: Map<string, PageRecord>;
  readonly groups: ReadonlyMap<
    string,
    { readonly policy: Policy; readonly roles: ReadonlyMap<string, Role> }
  >;
  readonly written: Written;
  readonly cases: Cases;
  /** The last number of each stream that is held. */
  readonly last: Map<string, number>;
}

export interface Known {
  readonly hash: string;
  readonly stream: string;
  readonly seq: number;
  readonly stamp: Stamp;
  readonly at: string;
  readonly arrival?: Arrival;
}
export const idOf = (kind: string, id: string) => `${kind} ${id}`;

/** @param last the last number of each stream that is held */
export async function readState(
  db: Db,
  sendings: readonly Sending[],
  scope: Scope,
  last: Map<string, number>,
): Promise<State> {
  const entries = sendings.flatMap((sending) => sending.entries);
  const streams = [...new Set(scope.wanted.flat())];
  const adds = sendings.map((sending) => ({ person: sending.actor.person, entries: sending.entries }));
  const sent = new Set(entries.map((entry) => entryKey(entry.kind, entry.body.id)));
  const named = namedIn(entries);
  const { ids, finds, written } = await lookUp(
    db,
    [...new Set([...sent, ...named.keys()])],
    scope.finds,
    countKeysOf(adds, streams),
  );
  // A name counts only in the notebooks that are held.
  const namedIds = ids.filter(({ key, stream }) => named.has(key) && streams.includes(stream));
  const withMore = (key: string) => NAMED_WITH_MORE.includes(named.get(key)?.[0] ?? '');
  const onRecord = await entriesAt(db, [
    ...new Set([...ids.filter(({ key }) => sent.has(key)), ...namedIds.filter(({ key }) => withMore(key))]),
  ]);
  const isNamed = ({ kind, id, stream }: EntryOnRecord) =>
    named.has(entryKey(kind, id)) && streams.includes(stream);
  const sources = [
    ...new Set(
      entries.flatMap((entry) =>
        entry.kind === 'fields' ? sourcesIn(entry.body.field, entry.body.value) : [],
      ),
    ),
  ];
  const newPages = scope.pageIds.filter((id) => !scope.begun.has(`page ${id}`));
  return {
    // Read again now that nobody else can add to these streams.
    heads: new Map([
      ...scope.begun,
      ...finds.map(({ id, stream }) => [`find ${id}`, stream] as const),
      ...(await streamsOfAll(db, [], newPages)),
    ]),
    sources: await streamsOfAll(db, sources, sources),
    parents: await parentsAbove(db, sources),
    known: knownAmong(onRecord.filter(({ kind, id }) => sent.has(entryKey(kind, id)))),
    finds: await onRecordOf(
      db,
      adds.flatMap(({ person, entries: added }) => added.map((entry) => ({ entry, author: person }))),
      streams,
      {
        heads: finds,
        named: onRecord.filter(isNamed),
        pieces: namedIds.flatMap(({ key, about }: UsedId) =>
          named.get(key)?.[0] === 'pieces' ? [{ id: named.get(key)?.[1] ?? '', about }] : [],
        ),
      },
    ),
    pages: await pageOutlines(db, scope.pageIds),
    groups: await groupsOf(db, streams),
    written: openWritten(written, sendings[0]?.options.quotas),
    cases: await openCases(db, entries, streams),
    last,
  };
}

function knownAmong(rows: readonly EntryOnRecord[]): Map<string, Known> {
  return new Map(
    rows.map((row) => [
      idOf(row.kind, row.id),
      {
        hash: row.content_hash,
        stream: row.stream,
        seq: Number(row.seq),
        stamp: row.stamp,
        at: row.at,
        ...(row.arrival ? { arrival: row.arrival } : {}),
      },
    ]),
  );
}

/** What comes from what, from these on up. */
async function parentsAbove(db: Db, ids: readonly string[]): Promise<Map<string, readonly string[]>> {
  if (ids.length === 0) return new Map();
  const { rows } = await sql<{ child: string; parents: string[] }>`
    with recursive up (id) as (select unnest(${[...ids]}::text[]) union select descents.parent from up
      join descents on descents.child = up.id)
    select child, array_agg(parent) as parents from descents where child in (select id from up) group by child`.execute(
    db,
  );
  return new Map(rows.map(({ child, parents }) => [child, parents]));
}

/** The finds of which a verdict arrives, each with what was added to it in the same push. */
export interface Cases {
  readonly add: (find: string, entry: FindEntry) => void;
  readonly of: (find: string) => FindRecord | undefined;
}
async function openCases(db: Db, entries: readonly Entry[], streams: readonly string[]): Promise<Cases> {
  const judged = [...new Set(entries.flatMap((entry) => (entry.kind === 'verdicts' ? [entry.find] : [])))];
  const records = await casesOf(db, judged, streams);
  const waiting = new Map<string, FindEntry[]>(judged.map((find) => [find, []]));
  return {
    add: (find, entry) => {
      waiting.get(find)?.push(entry);
    },
    of: (find) => {
      const record = applyEntries(records.get(find), waiting.get(find) ?? []);
      waiting.set(find, []);
      if (record) records.set(find, record);
      return record;
    },
  };
}
