import { sql, type Kysely } from 'kysely';

/**
 * Pages of the notebook that are no finds: places, eaters, walks, and what a group agreed on. Their entries
 * stand among the others.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('pages')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('stream', 'text', (c) => c.notNull().references('streams.id'))
    .addColumn('kind', 'text', (c) => c.notNull().check(sql`kind in ('place', 'eater', 'walk', 'group')`))
    // Nobody in particular keeps the page of a group.
    .addColumn('person', 'text', (c) => c.references('people.id'))
    .execute();
  await db.schema.createIndex('pages_of_stream').on('pages').column('stream').execute();
  await sql`alter table entries alter column find_id drop not null, add column page_id text, add constraint entries_of_one check (num_nonnulls(find_id, page_id) = 1)`.execute(
    db,
  );
  await sql`create index entries_of_page on entries (page_id, seq) where page_id is not null`.execute(db);
  await sql`insert into streams (id) select 'g:' || id from groups on conflict do nothing`.execute(db);
  await sql`insert into pages (id, stream, kind) select id, 'g:' || id, 'group' from groups`.execute(db);
  await sql`create trigger pages_never_changed before update or delete on pages for each row execute function refuse_change_unless_erased()`.execute(
    db,
  );
  await sql`create trigger pages_never_emptied before truncate on pages for each statement execute function refuse_change()`.execute(
    db,
  );
}
