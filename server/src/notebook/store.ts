import { sql } from 'kysely';
import type { Kingdom, PageKind } from '@pause/core';
import type { Db } from '../db';
import { entryKey } from './ids';
import { CHANNEL } from './news';
import type { Addition } from './quotas';

/** Writes what a push adds. */

export type Row = Record<
  'stream' | 'kind' | 'id' | 'about' | 'person' | 'stamp' | 'body' | 'content_hash',
  string
> &
  Record<'find_id' | 'page_id', string | null> & { seq: number };

export interface Additions {
  readonly rows: Row[];
  readonly finds: { id: string; stream: string; person: string; started_at: string; kingdom: Kingdom }[];
  readonly pages: { id: string; stream: string; kind: PageKind; person: string }[];
  readonly arrivals: { id: string; find_id: string; arrival: string }[];
  /** Parents of what comes from something else, by the child. */
  readonly descends: Map<string, readonly string[]>;
}
export const noAdditions = (): Additions => ({
  rows: [],
  finds: [],
  pages: [],
  arrivals: [],
  descends: new Map(),
});

export async function store(
  db: Db,
  { rows, finds, pages, arrivals, descends }: Additions,
  counts: readonly Addition[],
): Promise<void> {
  if (rows.length === 0) return;
  if (finds.length > 0) await db.insertInto('finds').values(finds).execute();
  if (pages.length > 0) await db.insertInto('pages').values(pages).execute();
  await storeRows(db, rows, counts);
  if (arrivals.length > 0) await db.insertInto('arrivals').values(arrivals).execute();
  await storeDescents(db, descends);
}

/**
 * Entries, their ids, how much was written, and how far each stream has got: one statement however many they
 * are, each column an array. Every server hears how far the streams have got, once the transaction is
 * through.
 */
async function storeRows(db: Db, rows: readonly Row[], counts: readonly Addition[]): Promise<void> {
  const column = (name: keyof Row) => rows.map((row) => row[name]);
  const ends = new Map(rows.map((row) => [row.stream, row.seq]));
  const [streams, seqs] = [column('stream'), column('seq')];
  await sql`with used as (
      insert into entry_ids (key, stream, seq, about)
      select * from unnest(${rows.map(({ kind, id }) => entryKey(kind, id))}::uuid[], ${streams}::text[],
      ${seqs}::bigint[], ${column('about')}::text[])
    ), kept as (
      insert into entries (stream, seq, kind, id, find_id, page_id, person, stamp, body, content_hash, form)
      select *, 1 from unnest(${streams}::text[], ${seqs}::bigint[], ${column('kind')}::text[],
      ${column('id')}::text[], ${column('find_id')}::text[],
        ${column('page_id')}::text[], ${column('person')}::text[], ${column('stamp')}::text[],
          ${column('body')}::jsonb[], ${column('content_hash')}::text[])
    ), counted as (
      insert into written (of, person, entries, bytes)
      select * from unnest(${counts.map(({ of }) => of)}::text[],
      ${counts.map(({ person }) => person)}::text[], ${counts.map(({ entries }) => entries)}::int[],
        ${counts.map(({ bytes }) => bytes)}::bigint[])
      on conflict (of, person) do update set entries = written.entries + excluded.entries,
        bytes = written.bytes + excluded.bytes
    ), grown as (
      update streams set last = ends.last
        from unnest(${[...ends.keys()]}::text[], ${[...ends.values()]}::bigint[]) as ends (id, last)
        where streams.id = ends.id
      returning streams.id, streams.last
    )
    select pg_notify(${CHANNEL}, '{"stream":'::text || to_json(id)::text || ',"last":'::text 
      || last::text || '}'::text) from grown`.execute(db);
}

async function storeDescents(db: Db, descends: ReadonlyMap<string, readonly string[]>): Promise<void> {
  if (descends.size === 0) return;
  await db
    .deleteFrom('descents')
    .where('child', 'in', [...descends.keys()])
    .execute();
  const rows = [...descends].flatMap(([child, parents]) => parents.map((parent) => ({ child, parent })));
  if (rows.length > 0) await db.insertInto('descents').values(rows).execute();
}
