import { sql } from 'kysely';
import type { PictureEntry } from '@pause/core/notebook';
import { type Actor, mayRead } from '../access';
import type { Db } from '../db';
import { entryKey } from '../notebook/ids';
import { Problem } from '../problem';
import type { Objects } from './objects';

/** Whether a picture is there, for whom, and its bytes. */

export interface Received {
  readonly received: number;
  readonly size: number;
}

export const noSuchPicture = () => new Problem(404, 'no-such-picture', 'There is no such picture.');

export async function pictureEntry(
  db: Db,
  id: string,
): Promise<{ stream: string; find: string; person: string; entry: PictureEntry } | undefined> {
  const row = await db
    .selectFrom('entry_ids as used')
    .innerJoin('entries as e', (join) =>
      join.onRef('e.stream', '=', 'used.stream').onRef('e.seq', '=', 'used.seq'),
    )
    .select(['e.stream', 'e.find_id', 'e.person', 'e.body'])
    .where('used.key', '=', entryKey('pictures', id))
    .executeTakeFirst();
  return (
    row && {
      stream: row.stream,
      find: row.find_id ?? '',
      person: row.person,
      entry: row.body as PictureEntry,
    }
  );
}

/**
 * @throws Problem 404 unless there is such a picture, of a find that the person may read, and it was not
 * taken out again
 */
export async function mustView(db: Db, actor: Actor, id: string): Promise<void> {
  const one = await pictureEntry(db, id);
  if (!one || !mayRead(actor, one.stream)) throw noSuchPicture();
  const { rows } = await sql`select 1 from entries where stream = ${one.stream} and kind = 'drops'
      and find_id = ${one.find} and body ->> 'picture' = ${id}`.execute(db);
  if (rows.length > 0) throw noSuchPicture();
}

export async function soFar(db: Db, id: string): Promise<number> {
  const {
    rows: [row],
  } = await sql<{
    n: number;
  }>`select coalesce((select size from stored_pictures where id = ${id}
    and dropped_at is null), (select sum(length(bytes)) from picture_parts
    where picture_id = ${id}), 0)::int as n`.execute(db);
  return row?.n ?? 0;
}

/** How much of a picture is here, to go on from there. */
export async function received(db: Db, id: string): Promise<Received> {
  const one = await pictureEntry(db, id);
  if (!one) throw noSuchPicture();
  return { received: await soFar(db, id), size: one.entry.size };
}

export async function whole(db: Db, id: string): Promise<Buffer> {
  const parts = await db
    .selectFrom('picture_parts')
    .select('bytes')
    .where('picture_id', '=', id)
    .orderBy('at_byte')
    .execute();
  return Buffer.concat(parts.map(({ bytes }) => bytes));
}

/** @throws Problem 404 while not all of it is here, 503 where the object store does not answer */
export async function picture(
  db: Db,
  objects: Objects | undefined,
  id: string,
): Promise<{ type: string; bytes: Buffer }> {
  const one = await pictureEntry(db, id);
  const stored = await db
    .selectFrom('stored_pictures')
    .select('id')
    .where('id', '=', id)
    .where('dropped_at', 'is', null)
    .executeTakeFirst();
  const bytes = stored && objects ? await objects.get(id) : await whole(db, id);
  if (!one || bytes.length !== one.entry.size)
    throw new Problem(404, 'not-here-yet', 'This picture is still on its way.');
  return { type: one.entry.type, bytes };
}
