import { hash } from 'node:crypto';
import { sql, type RawBuilder } from 'kysely';

/**
 * Under what an entry is known, whichever notebook it is in: as PostgreSQL's `entry_key(kind, id)` works it
 * out.
 */
export function entryKey(kind: string, id: string): string {
  return hash('sha256', `${kind} ${id}`, 'hex').slice(0, 32);
}

/**
 * Notebooks as a list in a query. Named in every query that can name them: only their partitions are read
 * then.
 */
export const inStreams = (streams: readonly string[]): RawBuilder<unknown> =>
  sql`any(${[...streams]}::text[])`;
