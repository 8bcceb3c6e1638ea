import { applyEntry, summaryOf, type FindRecord, type FindSummary } from '@pause/core';
import { entryFor, type Arrival, type Entry, type Kind } from '@pause/core/notebook';
import { sql } from 'kysely';
import { ownStream, streamsOf, type Actor } from '../access';
import type { Db } from '../db';

/** The channel on which servers tell each other that a stream grew. */
export const CHANNEL = 'pause_streams';

interface EntryRow {
  seq: string;
  kind: Kind;
  find_id: string;
  stamp: string;
  body: unknown;
  arrival: Arrival | null;
  number: number | null;
}

const toEntry = ({ kind, find_id, stamp, body, arrival }: EntryRow): Entry => (
  { find: find_id, kind, body, stamp, ...(arrival ? { arrival } : {}) } as Entry
);

function entryRows(db: Db) {
  return db.selectFrom('entries as e')
    .leftJoin('arrivals as a', (join) => join.onRef('a.id', '=', 'e.id').on('e.kind', '=', 'verdicts'))
    .leftJoin('finds as f', (join) => join.onRef('f.id', '=', 'e.id').on('e.kind', '=', 'finds'))
    .select(['e.seq', 'e.kind', 'e.find_id', 'e.stamp', 'e.body', 'a.arrival', 'f.number']);
}

async function rowsOf(db: Db, finds: readonly string[]): Promise<EntryRow[]> {
  return finds.length === 0 ? [] : await entryRows(db).where('e.find_id', 'in', [...finds]).orderBy('e.stream').orderBy('e.seq').execute();
}

function folded(rows: readonly EntryRow[], seen: (entry: Entry, find: string) => Entry | undefined): Map<string, FindRecord> {
  const records = new Map<string, FindRecord>();
  for (const row of rows) {
    const entry = seen(toEntry(row), row.find_id);
    const record = entry && applyEntry(records.get(row.find_id), entry);
    if (record) records.set(row.find_id, row.number === null ? record : { ...record, number: row.number });
  }
  return records;
}

/** Finds with everything that was ever added to them. */
export async function recordsOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  return folded(await rowsOf(db, finds), (entry) => entry);
}

/** The same, each as this reader may see it. */
export async function recordsFor(db: Db, finds: readonly string[], reader: string): Promise<Map<string, FindRecord>> {
  const rows = await rowsOf(db, finds);
  const whole = folded(rows, (entry) => entry);
  return folded(rows, (entry, find) => {
    const record = whole.get(find);
    return record && entryFor(entry, record, reader);
  });
}

export interface Pulled {
  readonly stream: string;
  readonly entries: readonly (Entry & { readonly seq: number; readonly number?: number })[];
  /** How far the stream has got. */
  readonly last: number;
}

/** The next entries of a stream after one that is known already, each as this reader may see it. Their numbers follow one another without gaps. */
export async function pull(db: Db, reader: string, stream: string, after: number, most: number): Promise<Pulled> {
  const rows = await entryRows(db).where('e.stream', '=', stream).where('e.seq', '>', String(after)).orderBy('e.seq').limit(most).execute() as EntryRow[];
  const head = await db.selectFrom('streams').select('last').where('id', '=', stream).executeTakeFirst();
  // Who is told a place is decided by what was chosen last, also for what was told before.
  const places = stream === ownStream(reader) ? undefined : await placesOf(db, [...new Set(rows.map((row) => row.find_id))]);
  return {
    stream,
    last: Math.max(Number(head?.last ?? 0), Number(rows.at(-1)?.seq ?? 0)),
    entries: rows.map((row) => {
      const entry = toEntry(row);
      const record = places?.get(row.find_id);
      return { ...(record ? entryFor(entry, record, reader) : entry), seq: Number(row.seq), ...(row.number === null ? {} : { number: row.number }) };
    }),
  };
}

/** Only what decides who is told the place of finds. */
async function placesOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  const records = new Map<string, FindRecord>();
  if (finds.length === 0) return records;
  const rows = await db.selectFrom('entries').select(['seq', 'kind', 'find_id', 'stamp', 'body']).where('find_id', 'in', [...finds]).where('kind', 'in', ['finds', 'edits']).orderBy('seq').execute();
  for (const row of rows) {
    const record = applyEntry(records.get(row.find_id), toEntry({ ...row, arrival: null, number: null }));
    if (record) records.set(row.find_id, record);
  }
  return records;
}

/** The newest finds that a person may see, newest first, each as a line. */
export async function listFinds(db: Db, actor: Actor, most: number): Promise<FindSummary[]> {
  const heads = await db.selectFrom('finds').select('id').where('stream', 'in', streamsOf(actor)).orderBy('started_at', 'desc').orderBy('number', 'desc').limit(most).execute();
  const records = await recordsFor(db, heads.map(({ id }) => id), actor.person);
  return heads.flatMap(({ id }) => {
    const record = records.get(id);
    return record ? [summaryOf(record)] : [];
  });
}

/** How far each stream of a person has got. */
export async function streamEnds(db: Db, actor: Actor): Promise<{ id: string; last: number }[]> {
  const ids = streamsOf(actor);
  const rows = await db.selectFrom('streams').select(['id', 'last']).where('id', 'in', ids).execute();
  return ids.map((id) => ({ id, last: Number(rows.find((row) => row.id === id)?.last ?? 0) }));
}

/** Tells every server that these streams grew, once the transaction is through. */
export async function tellStreams(db: Db, ends: ReadonlyMap<string, number>): Promise<void> {
  for (const [stream, last] of ends) await sql`select pg_notify(${CHANNEL}, ${JSON.stringify({ stream, last })})`.execute(db);
}

