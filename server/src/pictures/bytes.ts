import { sql } from 'kysely';
import type { Db } from '../db';

/** How many bytes of pictures each person has put on record. */

/** Bytes of pictures, among what each person has put on record. */
const PICTURES = 'pictures';

export async function countBytes(db: Db, person: string, bytes: number): Promise<number> {
  const {
    rows: [row],
  } = await sql<{
    bytes: string;
  }>`insert into written as w (of, person, entries, bytes)
    values (${PICTURES}, ${person}, 0, ${String(Math.max(0, bytes))})
    on conflict (of, person) do update set bytes = greatest(0, w.bytes + ${String(bytes)}::bigint)
    returning bytes`.execute(db);
  return Number(row?.bytes ?? 0);
}
