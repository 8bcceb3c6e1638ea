import { sql } from 'kysely';
import { bytesHash, type PictureEntry } from '@pause/core/notebook';
import { mayRead, type Actor } from '../access';
import type { Db } from '../db';
import { entryKey } from '../notebook/ids';
import { invalid, Problem } from '../problem';
import { writtenInto } from './metadata';
import type { Objects } from './objects';

export { openObjects, type Objects, type ObjectSettings } from './objects';

/**
 * The bytes of photos and sketches: sent in parts, taken up again where they broke off, and there once all of
 * them are. The parts are in the database; a whole picture is there too, or in the object store where there
 * is one.
 */

export interface Received {
  readonly received: number;
  readonly size: number;
}

const noSuchPicture = () => new Problem(404, 'no-such-picture', 'There is no such picture.');

async function told(
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
  const one = await told(db, id);
  if (!one || !mayRead(actor, one.stream)) throw noSuchPicture();
  const { rows } =
    await sql`select 1 from entries where stream = ${one.stream} and kind = 'drops' and find_id = ${one.find} and body ->> 'picture' = ${id}`.execute(
      db,
    );
  if (rows.length > 0) throw noSuchPicture();
}

async function soFar(db: Db, id: string): Promise<number> {
  const {
    rows: [row],
  } = await sql<{
    n: number;
  }>`select coalesce((select size from stored_pictures where id = ${id} and dropped_at is null), (select sum(length(bytes)) from picture_parts where picture_id = ${id}), 0)::int as n`.execute(
    db,
  );
  return row?.n ?? 0;
}

/** How much of a picture is here, to go on from there. */
export async function received(db: Db, id: string): Promise<Received> {
  const one = await told(db, id);
  if (!one) throw noSuchPicture();
  return { received: await soFar(db, id), size: one.entry.size };
}

/** Bytes of pictures that one person may have in all notebooks. */
const MOST_OF_ONE_PERSON = 2_000_000_000;
/** Bytes of pictures, among what each person has put on record. */
const PICTURES = 'pictures';

async function countBytes(db: Db, person: string, bytes: number): Promise<number> {
  const {
    rows: [row],
  } = await sql<{
    bytes: string;
  }>`insert into written as w (of, person, entries, bytes) values (${PICTURES}, ${person}, 0, ${String(Math.max(0, bytes))})
    on conflict (of, person) do update set bytes = greatest(0, w.bytes + ${String(bytes)}::bigint) returning bytes`.execute(
    db,
  );
  return Number(row?.bytes ?? 0);
}

/**
 * Takes the next part. The same part again changes nothing.
 *
 * @param objects where whole pictures go; left out: they stay in the database
 * @throws Problem 403 for another's picture, 409 with how much is here where the part does not follow on it,
 * 422 where it is not what was told, or holds what a camera wrote
 */
export async function receive(
  db: Db,
  objects: Objects | undefined,
  actor: Actor,
  id: string,
  from: number,
  bytes: Buffer,
): Promise<Received> {
  const { refused, ...here } = await take(db, objects, actor, id, from, bytes);
  // What was refused is gone by now: it is told once that is certain.
  if (refused !== undefined) throw invalid([{ field: 'body', reason: refused }]);
  return here;
}

function take(
  db: Db,
  objects: Objects | undefined,
  actor: Actor,
  id: string,
  from: number,
  bytes: Buffer,
): Promise<Received & { readonly refused?: string }> {
  return db.transaction().execute(async (transaction) => {
    await sql`select pg_advisory_xact_lock(hashtext(${id}))`.execute(transaction);
    const one = await told(transaction, id);
    if (!one) throw noSuchPicture();
    if (one.person !== actor.person) throw new Problem(403, 'not-yours', 'Only who made a picture sends it.');
    const { size, content } = one.entry;
    const here = await soFar(transaction, id);
    if (from + bytes.length <= here) return { received: here, size };
    if (from !== here)
      throw new Problem(
        409,
        'not-next',
        `from: ${here} bytes are here`,
        [{ field: 'from', reason: `go on from ${here}` }],
        { received: here, size },
      );
    if (bytes.length === 0 || here + bytes.length > size)
      throw invalid([{ field: 'body', reason: `${size - here} bytes are still to come` }]);
    if ((await countBytes(transaction, actor.person, bytes.length)) > MOST_OF_ONE_PERSON)
      throw invalid([
        { field: 'body', reason: 'you have as many pictures at the server as one person may: take some out' },
      ]);
    await transaction
      .insertInto('picture_parts')
      .values({ picture_id: id, find_id: one.find, at_byte: from, bytes })
      .execute();
    if (here + bytes.length < size) return { received: here + bytes.length, size };
    const all = await whole(transaction, id);
    const asTold = bytesHash(all) === content;
    const refused = asTold && one.entry.type !== 'image/svg+xml' ? whyRefused(all) : undefined;
    if (asTold && refused === undefined) {
      if (objects) await moveOut(transaction, objects, id, one.find, all, one.entry.type);
      return { received: size, size };
    }
    // Begun anew: nobody knows which part was wrong.
    await forget(transaction, [id]);
    return { received: 0, size, ...(refused === undefined ? {} : { refused }) };
  });
}

/**
 * Puts a whole picture into the object store. Where that fails, the part that came last is not taken, and is
 * sent again.
 */
async function moveOut(
  db: Db,
  objects: Objects,
  id: string,
  find: string,
  bytes: Buffer,
  type: string,
): Promise<void> {
  await objects.put(id, bytes, type);
  await db.insertInto('stored_pictures').values({ id, find_id: find, size: bytes.length }).execute();
  await db.deleteFrom('picture_parts').where('picture_id', '=', id).execute();
}

/** Looked at whole, so that nothing hides between two parts. */
function whyRefused(bytes: Buffer): string | undefined {
  const written = writtenInto(bytes);
  if (written === undefined) return 'it is no photo';
  return written.length > 0
    ? 'it holds what a camera wrote, which may tell where it was; draw it anew first'
    : undefined;
}

async function whole(db: Db, id: string): Promise<Buffer> {
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
  const one = await told(db, id);
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

/** Taken out again: nobody sees it any more, and its bytes are gone; from the object store within minutes. */
export async function forget(db: Db, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  const { rows } = await sql<{ person: string; bytes: string }>`
    select e.person, sum(p.bytes) as bytes from (
      select picture_id as id, length(bytes) as bytes from picture_parts union all select id, size from stored_pictures where dropped_at is null
    ) as p join entry_ids used on used.key = entry_key('pictures', p.id) join entries e on e.stream = used.stream and e.seq = used.seq where p.id = any(${[...ids]}::text[]) group by 1`.execute(
    db,
  );
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
