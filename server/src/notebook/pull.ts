import { sql } from 'kysely';
import { findsOf } from '@pause/core';
import { type Entry, type Edit, pageEntryFor, entryFor, type Placed } from '@pause/core/notebook';
import { ownStream, type Actor, streamsOf } from '../access';
import type { Db } from '../db';
import { inStreams } from './ids';
import { newestFields } from './pages';
import { entryRows, type EntryRow, toEntry } from './rows';

/** The entries that a device does not have yet, each as its reader may see it. */

/** Bytes of entries after which a page ends. */
const MOST_BYTES = 1_000_000;

export interface Pulled {
  readonly stream: string;
  readonly entries: readonly (Entry & { readonly seq: number; readonly number?: number })[];
  /** How far the stream has got. */
  readonly last: number;
}

/**
 * The next entries of a stream after one that is known already, each as this reader may see it. Their numbers
 * follow one another without gaps.
 */
export async function pull(
  db: Db,
  reader: string,
  stream: string,
  after: number,
  most: number,
): Promise<Pulled> {
  // A page is as long as its entries are small: one at least, and no more than a megabyte of them.
  const {
    rows: [page],
  } = await sql<{ until: string | null }>`select max(seq) as until from (
    select seq, sum(size) over (order by seq) - size as before
    from (
      select e.seq, octet_length(e.body::text) + coalesce(octet_length(a.arrival::text), 0) as size
      from entries e left join arrivals a on a.id = e.id and e.kind = 'verdicts' where e.stream = ${stream}
      and e.seq > ${String(after)} order by e.seq limit ${most}
    ) as next
  ) as sized where before < ${MOST_BYTES}`.execute(db);
  const rows =
    page?.until == null
      ? []
      : ((await entryRows(db)
          .where('e.stream', '=', stream)
          .where('e.seq', '>', String(after))
          .where('e.seq', '<=', page.until)
          .orderBy('e.seq')
          .execute()) as EntryRow[]);
  const head = await db.selectFrom('streams').select('last').where('id', '=', stream).executeTakeFirst();
  // Who sees a place is decided by what was chosen last, also for earlier entries.
  const places =
    stream === ownStream(reader) ? undefined : await placesOf(db, [...findsOf(rows.map(toEntry))]);
  const pages =
    stream === ownStream(reader)
      ? undefined
      : await newestFields(db, [...new Set(rows.flatMap((row) => row.page_id ?? []))], PLACE_CHOICES);
  return {
    stream,
    last: Math.max(Number(head?.last ?? 0), Number(rows.at(-1)?.seq ?? 0)),
    entries: rows.map((row) => {
      const entry = toEntry(row);
      const record = entry.find === undefined ? undefined : places?.get(entry.find);
      const page = entry.page === undefined ? undefined : pages?.get(entry.page);
      const seen =
        entry.find === undefined
          ? page
            ? pageEntryFor(entry, page, reader)
            : entry
          : record
            ? entryFor(entry, record, reader)
            : entry;
      return { ...seen, seq: Number(row.seq), ...(row.number === null ? {} : { number: row.number }) };
    }),
  };
}

/** What decides who sees a place: only what was chosen last. */
const PLACE_CHOICES = ['exactFor', 'others'] as const;

async function placesOf(db: Db, finds: readonly string[]): Promise<Map<string, Placed>> {
  if (finds.length === 0) return new Map();
  const heads = await db
    .selectFrom('finds')
    .select(['id', 'person', 'stream'])
    .where('id', 'in', [...finds])
    .execute();
  const { rows } = await sql<{ find_id: string; stamp: string; body: Edit }>`
    select e.find_id, e.stamp, e.body from unnest(${[...finds]}::text[]) as find (id)
    cross join unnest(${[...PLACE_CHOICES]}::text[]) as wanted (field)
    cross join lateral (select * from entries
    where stream = ${inStreams([...new Set(heads.map(({ stream }) => stream))])} and find_id = find.id
    and kind = 'edits' and body->>'field' = wanted.field
    order by stamp collate "C" desc, id desc limit 1) as e`.execute(db);
  const places = new Map(heads.map(({ id, person }) => [id, { person, edits: [] as Edit[] }]));
  for (const { find_id, body } of rows) places.get(find_id)?.edits.push(body);
  return places;
}

/** How far each stream of a person has got. */
export async function streamEnds(db: Db, actor: Actor): Promise<{ id: string; last: number }[]> {
  const ids = streamsOf(actor);
  const rows = await db.selectFrom('streams').select(['id', 'last']).where('id', 'in', ids).execute();
  return ids.map((id) => ({ id, last: Number(rows.find((row) => row.id === id)?.last ?? 0) }));
}
