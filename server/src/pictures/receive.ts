import { sql } from 'kysely';
import { bytesHash } from '@pause/core/notebook';
import type { Actor } from '../access';
import type { Db } from '../db';
import { invalid, Problem } from '../problem';
import { countBytes } from './bytes';
import { writtenInto } from './metadata';
import type { Objects } from './objects';
import { type Received, pictureEntry, noSuchPicture, soFar, whole } from './show';
import { forget } from './sweep';

/** Takes pictures in parts, and checks them whole. */

/** Bytes of pictures that one person may have in all notebooks. */
const MOST_OF_ONE_PERSON = 2_000_000_000;

/**
 * Takes the next part. The same part again changes nothing.
 *
 * @param objects where whole pictures go; left out: they stay in the database
 * @throws Problem 403 for another's picture, 409 with how much is here where the part does not follow on it,
 * 422 where it is not what was announced, or holds what a camera wrote
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
  // What was refused is deleted by now: the answer waits until that is certain.
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
    const one = await pictureEntry(transaction, id);
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
    const asAnnounced = bytesHash(all) === content;
    const refused = asAnnounced && one.entry.type !== 'image/svg+xml' ? whyRefused(all) : undefined;
    if (asAnnounced && refused === undefined) {
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
