import { sql, type Kysely } from 'kysely';

/**
 * When a find that was collected was asked last: what was told of it since, and never asked again, is found.
 * Of those asked before nobody knows: they are asked once more.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table recall_asked add column asked_at timestamptz not null default 'epoch'`.execute(db);
  await sql`alter table recall_asked alter column asked_at set default now()`.execute(db);
}
