import { sql, type Kysely } from 'kysely';

/** What was taken of a find is a page of its own. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table pages drop constraint pages_kind_check, add constraint pages_kind_check check (kind in ('place', 'eater', 'walk', 'harvest', 'group'))`.execute(
    db,
  );
}
