import { sql, type Kysely } from 'kysely';

/**
 * Which kinds of page there are is a table that every start fills (`migrate`), so that a new kind needs no
 * migration of its own.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('page_kinds')
    .addColumn('kind', 'text', (c) => c.primaryKey())
    .execute();
  await sql`insert into page_kinds (kind) select distinct kind from pages`.execute(db);
  await sql`alter table pages drop constraint pages_kind_check,
    add constraint pages_kind_known foreign key (kind) references page_kinds (kind)`.execute(db);
}
