import { applyEntry, findsOf, summaryOf, type FindRecord, type FindSummary } from '@pause/core';
import { applyToPage, entryFor, pageEntryFor, type Arrival, type Entry, type FindEntry, type Kind, type PageEntry, type PageRecord } from '@pause/core/notebook';
import { sql } from 'kysely';
import { ownStream, streamsOf, type Actor } from '../access';
import type { Db } from '../db';

/** The channel on which servers tell each other that a stream grew. */
export const CHANNEL = 'pause_streams';

interface EntryRow {
  seq: string;
  kind: Kind;
  find_id: string | null;
  page_id: string | null;
  stamp: string;
  body: unknown;
  arrival: Arrival | null;
  number: number | null;
}

/** An entry as it stands in its row. */
export const toEntry = ({ kind, find_id, page_id, stamp, body, arrival }: Pick<EntryRow, 'kind' | 'find_id' | 'page_id' | 'stamp' | 'body'> & { readonly arrival?: Arrival | null }): Entry => (
  { ...(find_id === null ? { page: page_id } : { find: find_id }), kind, body, stamp, ...(arrival ? { arrival } : {}) } as Entry
);

function entryRows(db: Db) {
  return db.selectFrom('entries as e')
    .leftJoin('arrivals as a', (join) => join.onRef('a.id', '=', 'e.id').on('e.kind', '=', 'verdicts'))
    .leftJoin('finds as f', (join) => join.onRef('f.id', '=', 'e.id').on('e.kind', '=', 'finds'))
    .select(['e.seq', 'e.kind', 'e.find_id', 'e.page_id', 'e.stamp', 'e.body', 'a.arrival', 'f.number']);
}

async function rowsOf(db: Db, finds: readonly string[]): Promise<EntryRow[]> {
  return finds.length === 0 ? [] : await entryRows(db).where('e.find_id', 'in', [...finds]).orderBy('e.stream').orderBy('e.seq').execute();
}

function folded(rows: readonly EntryRow[], seen: (entry: FindEntry) => FindEntry | undefined): Map<string, FindRecord> {
  const records = new Map<string, FindRecord>();
  for (const row of rows) {
    const told = toEntry(row);
    if (told.find === undefined) continue;
    const entry = seen(told);
    const record = entry && applyEntry(records.get(told.find), entry);
    if (record) records.set(told.find, row.number === null ? record : { ...record, number: row.number });
  }
  return records;
}

/** Pages with everything that was ever told of them. */
export async function pagesOf(db: Db, pages: readonly string[]): Promise<Map<string, PageRecord>> {
  const all = new Map<string, PageRecord>();
  if (pages.length === 0) return all;
  // Nobody begins the page of a group; it is there before anything is told of it.
  const groups = await db.selectFrom('pages').select('id').where('kind', '=', 'group').where('id', 'in', [...pages]).execute();
  for (const { id } of groups) all.set(id, { id, kind: 'group', at: '', group: id, told: [], sightings: [] });
  const rows = await db.selectFrom('entries').select(['kind', 'find_id', 'page_id', 'stamp', 'body']).where('page_id', 'in', [...pages]).orderBy('stream').orderBy('seq').execute();
  for (const row of rows) {
    const entry = toEntry(row) as PageEntry;
    const page = applyToPage(all.get(entry.page), entry);
    if (page) all.set(entry.page, page);
  }
  return all;
}

/** Finds with everything that was ever added to them. */
export async function recordsOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  return folded(await rowsOf(db, finds), (entry) => entry);
}

/** The same, of their verdicts only what came out and under which guide: the rest of a verdict is most of a find, and follows from it. */
export async function outcomesOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  if (finds.length === 0) return new Map();
  const { rows } = await sql<Omit<EntryRow, 'arrival' | 'number'>>`select seq, kind, find_id, page_id, stamp,
    case when kind = 'verdicts' then jsonb_set(body, '{verdict}', jsonb_build_object('outcome', body->'verdict'->'outcome', 'guide', body->'verdict'->'guide')) else body end as body
    from entries where find_id = any(${finds}::text[]) order by stream, seq`.execute(db);
  return folded(rows.map((row) => ({ ...row, arrival: null, number: null })), (entry) => entry);
}

/** The same, each as this reader may see it. */
export async function recordsFor(db: Db, finds: readonly string[], reader: string): Promise<Map<string, FindRecord>> {
  const rows = await rowsOf(db, finds);
  const whole = folded(rows, (entry) => entry);
  return folded(rows, (entry) => {
    const record = whole.get(entry.find);
    return record && entryFor(entry, record, reader);
  });
}

/** Bytes of entries after which a page ends. */
const MOST_BYTES = 1_000_000;

export interface Pulled {
  readonly stream: string;
  readonly entries: readonly (Entry & { readonly seq: number; readonly number?: number })[];
  /** How far the stream has got. */
  readonly last: number;
}

/** The next entries of a stream after one that is known already, each as this reader may see it. Their numbers follow one another without gaps. */
export async function pull(db: Db, reader: string, stream: string, after: number, most: number): Promise<Pulled> {
  // A page is as long as its entries are small: one at least, and no more than a megabyte of them.
  const { rows: [page] } = await sql<{ until: string | null }>`select max(seq) as until from (
    select seq, sum(size) over (order by seq) - size as before
    from (
      select e.seq, octet_length(e.body::text) + coalesce(octet_length(a.arrival::text), 0) as size
      from entries e left join arrivals a on a.id = e.id and e.kind = 'verdicts' where e.stream = ${stream} and e.seq > ${String(after)} order by e.seq limit ${most}
    ) as next
  ) as sized where before < ${MOST_BYTES}`.execute(db);
  const rows = page?.until == null ? [] : await entryRows(db).where('e.stream', '=', stream).where('e.seq', '>', String(after)).where('e.seq', '<=', page.until).orderBy('e.seq').execute() as EntryRow[];
  const head = await db.selectFrom('streams').select('last').where('id', '=', stream).executeTakeFirst();
  // Who is told a place is decided by what was chosen last, also for what was told before.
  const places = stream === ownStream(reader) ? undefined : await placesOf(db, [...findsOf(rows.map(toEntry))]);
  const pages = stream === ownStream(reader) ? undefined : await pagesOf(db, [...new Set(rows.flatMap((row) => row.page_id ?? []))]);
  return {
    stream,
    last: Math.max(Number(head?.last ?? 0), Number(rows.at(-1)?.seq ?? 0)),
    entries: rows.map((row) => {
      const entry = toEntry(row);
      const record = entry.find === undefined ? undefined : places?.get(entry.find);
      const page = entry.page === undefined ? undefined : pages?.get(entry.page);
      const seen = entry.find === undefined ? (page ? pageEntryFor(entry, page, reader) : entry) : record ? entryFor(entry, record, reader) : entry;
      return { ...seen, seq: Number(row.seq), ...(row.number === null ? {} : { number: row.number }) };
    }),
  };
}

/** Only what decides who is told the place of finds. */
async function placesOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  const records = new Map<string, FindRecord>();
  if (finds.length === 0) return records;
  const rows = await db.selectFrom('entries').select(['seq', 'kind', 'find_id', 'page_id', 'stamp', 'body']).where('find_id', 'in', [...finds]).where('kind', 'in', ['finds', 'edits']).orderBy('seq').execute();
  for (const row of rows) {
    const entry = toEntry(row) as FindEntry;
    const record = applyEntry(records.get(entry.find), entry);
    if (record) records.set(entry.find, record);
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

