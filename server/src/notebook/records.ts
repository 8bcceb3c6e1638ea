import { sql } from 'kysely';
import {
  applyEntries,
  FIND_KIND_NAMES,
  FIND_KINDS,
  summaryOf,
  type FindRecord,
  type FindSummary,
} from '@pause/core';
import { type FindEntry, groupEntries, chosenLast, entryFor, type Kind } from '@pause/core/notebook';
import { type Actor, streamsOf } from '../access';
import type { Db } from '../db';
import { inStreams } from './ids';
import { type EntryRow, numbersOf, toEntry, rowsOf, entryRows, streamsThat } from './rows';

/** Finds, folded from their entries. */

/** Rows of finds as records, each with the number that this server gave it. */
function folded(
  rows: readonly EntryRow[],
  seen: (entries: readonly FindEntry[]) => readonly FindEntry[] = (entries) => entries,
): Map<string, FindRecord> {
  const records = new Map<string, FindRecord>();
  const numbers = numbersOf(rows);
  for (const [find, entries] of groupEntries(rows.map(toEntry)).finds) {
    const record = applyEntries(undefined, seen(entries));
    const number = numbers.get(find);
    if (record) records.set(find, number === undefined ? record : { ...record, number });
  }
  return records;
}

/** The same, each as this reader may see it. */
export const foldedFor = (rows: readonly EntryRow[], reader: string) =>
  folded(rows, (entries) => {
    const whole = applyEntries(undefined, entries);
    const placed = whole && chosenLast(whole);
    return placed ? entries.map((entry) => entryFor(entry, placed, reader)) : [];
  });

/** Finds with everything that was ever added to them. */
export async function recordsOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  return folded(await rowsOf(db, finds));
}

/** What a verdict is worked out from. */
const CASE_KINDS: readonly Kind[] = FIND_KIND_NAMES.filter((kind) => FIND_KINDS[kind].isOfCase);

/** Finds with only what a verdict is worked out from. */
export async function casesOf(
  db: Db,
  finds: readonly string[],
  streams: readonly string[],
): Promise<Map<string, FindRecord>> {
  if (finds.length === 0 || streams.length === 0) return new Map();
  return folded(
    await entryRows(db)
      .where('e.stream', 'in', [...streams])
      .where('e.find_id', 'in', [...finds])
      .where('e.kind', 'in', CASE_KINDS)
      .orderBy('e.stream')
      .orderBy('e.seq')
      .execute(),
  );
}

/**
 * The same, of their verdicts only what came out and under which guide: the rest of a verdict is most of a
 * find, and follows from it.
 */
export async function outcomesOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  const rows = await outcomeRows(db, finds);
  return folded(rows.map((row) => ({ ...row, arrival: null, number: null })));
}

export async function outcomeRows(db: Db, finds: readonly string[]): Promise<EntryRow[]> {
  const streams = await streamsThat(db, 'finds', finds);
  if (streams.length === 0) return [];
  const { rows } = await sql<EntryRow>`select e.seq, e.kind, e.find_id, e.page_id, e.stamp,
    case when e.kind = 'verdicts' then jsonb_set(e.body, '{verdict}', jsonb_build_object('outcome',
      e.body->'verdict'->'outcome', 'guide', e.body->'verdict'->'guide')) else e.body end as body,
    case when a.id is not null then jsonb_build_object('at', a.arrival->'at', 'because',
      a.arrival->'because', 'verdict', jsonb_build_object('outcome', a.arrival->'verdict'->'outcome')) end as arrival,
    f.number
    from entries e left join arrivals a on a.id = e.id and e.kind = 'verdicts'
    left join finds f on f.id = e.id and e.kind = 'finds'
    where e.stream = ${inStreams(streams)} and e.find_id = any(${[...finds]}::text[]) order by e.stream, e.seq`.execute(
    db,
  );
  return rows;
}

/** Finds with everything that was ever added to them, each as this reader may see it. */
export async function recordsFor(
  db: Db,
  finds: readonly string[],
  reader: string,
): Promise<Map<string, FindRecord>> {
  return foldedFor(await rowsOf(db, finds), reader);
}

/** Entries of finds after which a list of them ends. */
const MOST_LISTED_BYTES = 4_000_000;

/**
 * The newest finds that a person may see, newest first, each as a line; fewer where very much was told of
 * them.
 */
export async function listFinds(db: Db, actor: Actor, most: number): Promise<FindSummary[]> {
  const { rows: heads } = await sql<{ id: string }>`select id from (
    select id, started_at, number, sum(coalesce(size, 0)) over (order by started_at desc, number desc)
      - coalesce(size, 0) as before
    from (select id, started_at, number, (select sum(bytes) from written
    where of = 'find ' || f.id) as size from finds f
      where stream = any(${streamsOf(actor)}::text[]) order by started_at desc, number desc limit ${most}) as newest
  ) as sized where before < ${MOST_LISTED_BYTES} order by started_at desc, number desc`.execute(db);
  const records = foldedFor(
    await outcomeRows(
      db,
      heads.map(({ id }) => id),
    ),
    actor.person,
  );
  return heads.flatMap(({ id }) => {
    const record = records.get(id);
    return record ? [summaryOf(record)] : [];
  });
}
