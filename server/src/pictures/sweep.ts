import { sql } from 'kysely';
import type { Db } from '../db';
import { countBytes } from './bytes';
import type { Objects } from './objects';

/** Removes pictures that were taken out again. */

/** Taken out again: nobody sees it any more, and its bytes are gone; from the object store within minutes. */
export async function forget(db: Db, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  const { rows } = await sql<{ person: string; bytes: string }>`
    select e.person, sum(p.bytes) as bytes from (
      select picture_id as id, length(bytes) as bytes from picture_parts union all select id, size
      from stored_pictures where dropped_at is null
    ) as p join entry_ids used on used.key = entry_key('pictures', p.id)
      join entries e on e.stream = used.stream and e.seq = used.seq where p.id = any(${[...ids]}::text[])
      group by 1`.execute(db);
  await db
    .updateTable('stored_pictures')
    .set({ dropped_at: sql`now()` })
    .where('id', 'in', [...ids])
    .where('dropped_at', 'is', null)
    .execute();
  await db
    .deleteFrom('picture_parts')
    .where('picture_id', 'in', [...ids])
    .execute();
  for (const { person, bytes } of rows) await countBytes(db, person, -Number(bytes));
}

const SWEPT_AT_ONCE = 500;

/** Removes from the object store what was taken out. Killed or refused, it goes on at the next time. */
export async function sweep(db: Db, objects: Objects): Promise<void> {
  const rows = await db
    .selectFrom('stored_pictures')
    .select('id')
    .where('dropped_at', 'is not', null)
    .orderBy('dropped_at')
    .limit(SWEPT_AT_ONCE)
    .execute();
  for (const { id } of rows) {
    await objects.remove(id);
    await db.deleteFrom('stored_pictures').where('id', '=', id).where('dropped_at', 'is not', null).execute();
  }
}
