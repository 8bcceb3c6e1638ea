import { sql, type Kysely } from 'kysely';

/** Days that a month has never had. */
const NO_SUCH_DAY = '^....-(02-3[01]|0[469]-31|11-31)';
const AN_INSTANT =
  '^(19[7-9][0-9]|20[0-9][0-9])-(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])T([01][0-9]|2[0-3]):[0-5][0-9]:[0-5][0-9]\\.[0-9]{3}Z-';

/**
 * Entries whose stamp tells no time won over everything and silenced every device that heard of them: they
 * are stamped with when they arrived.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table entries disable trigger entries_never_changed`.execute(db);
  await sql`update entries set stamp = to_char(received_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') || '-0000-server'
    where stamp !~ ${AN_INSTANT} or stamp ~ ${NO_SUCH_DAY}`.execute(db);
  await sql`alter table entries enable trigger entries_never_changed`.execute(db);
}
