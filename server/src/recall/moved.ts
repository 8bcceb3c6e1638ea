import { sql } from 'kysely';
import type { CompiledGuide } from '@pause/core';
import type { Db } from '../db';
import { recheckAfterEntries } from './finds';

/** Finds of which something changed: marked in the transaction that changed it, decided again by a job. */

/**
 * Marks finds that were collected as to be asked again. The mark stays until that was done, whoever is
 * killed.
 */
export async function markMoved(db: Db, finds: readonly string[]): Promise<void> {
  if (finds.length === 0) return;
  await sql`insert into recall_asked (find_id, version, looks, moved_at)
    select id, '', '{}'::text[], clock_timestamp() from unnest(${[...finds]}::text[]) as moved (id)
    on conflict (find_id) do update set moved_at = excluded.moved_at`.execute(db);
}

/** The rules of a group changed: every find of its notebook that was collected is to be asked again. */
export async function markNotebook(db: Db, stream: string): Promise<void> {
  await sql`update recall_asked set moved_at = clock_timestamp() from finds
    where finds.id = recall_asked.find_id and finds.stream = ${stream}`.execute(db);
}

const MOVED_AT_ONCE = 50;

/**
 * Decides those finds of a notebook again that are marked. What is added to one meanwhile marks it anew, and it
 * is asked once more.
 */
export async function recheckMoved(db: Db, guide: CompiledGuide, stream: string): Promise<void> {
  // Whoever is writing into the notebook has marked what they moved, or has not yet looked whether somebody
  // is asking.
  await sql`select 1 from streams where id = ${stream} for share`.execute(db);
  for (;;) {
    const { rows } = await sql<{
      id: string;
      moved: string;
    }>`select f.id, a.moved_at::text as moved from finds f join recall_asked a on a.find_id = f.id
      and a.moved_at is not null
      where f.stream = ${stream} order by f.id limit ${MOVED_AT_ONCE}`.execute(db);
    if (rows.length === 0) return;
    await recheckAfterEntries(
      db,
      guide,
      rows.map(({ id }) => id),
    );
    await sql`update recall_asked a set moved_at = null
      from unnest(${rows.map(({ id }) => id)}::text[], ${rows.map(({ moved }) => moved)}::text[]) as done (id, moved)
      where a.find_id = done.id and a.moved_at = done.moved::timestamptz`.execute(db);
  }
}
