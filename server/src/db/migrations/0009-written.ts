import { sql, type Kysely } from 'kysely';

/**
 * How much each person has put on record, so that nobody fills a disk; and what was written last into a
 * field, found without reading all that was written before.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  // `of` is a stream, a find or a page, by the name of its kind: "stream g:1", "find a1", "page b1".
  await db.schema
    .createTable('written')
    .addColumn('of', 'text', (c) => c.notNull())
    .addColumn('person', 'text', (c) => c.notNull().references('people.id'))
    .addColumn('entries', 'integer', (c) => c.notNull())
    .addColumn('bytes', 'bigint', (c) => c.notNull())
    .addPrimaryKeyConstraint('written_key', ['of', 'person'])
    .execute();
  for (const [kind, id] of [
    ['stream', 'stream'],
    ['find', 'find_id'],
    ['page', 'page_id'],
  ] as const) {
    await sql`insert into written (of, person, entries, bytes)
      select ${kind} || ' ' || ${sql.ref(id)}, person, count(*), sum(octet_length(body::text)) from entries where ${sql.ref(id)} is not null group by 1, 2`.execute(
      db,
    );
  }
  await sql`create index written_of_person on written (person) where of like 'stream %'`.execute(db);
  await sql`drop index entries_of_find`.execute(db);
  await sql`create index entries_of_find on entries (find_id, kind, (body->>'field'), (stamp collate "C")) where find_id is not null`.execute(
    db,
  );
  await sql`drop index entries_of_page`.execute(db);
  await sql`create index entries_of_page on entries (page_id, kind, (body->>'field'), (stamp collate "C")) where page_id is not null`.execute(
    db,
  );
  await applicationRole(db);
  await sql`alter table people add column left_at timestamptz`.execute(db);
  await sql`update people set left_at = now() where name = 'Someone who left'`.execute(db);
}

/**
 * The application comes to ask as a role that owns nothing. What only a deleted account may do, whoever owns
 * the tables does for it.
 */
async function applicationRole(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('application_role')
    .addColumn('only', 'boolean', (c) =>
      c
        .primaryKey()
        .defaultTo(true)
        .check(sql`"only"`),
    )
    .addColumn('password', 'text', (c) => c.notNull())
    .execute();
  await sql`
    create function erase_notebook(who text) returns void language plpgsql security definer set search_path = public, pg_temp as $$
    declare notebook text := 'p:' || who;
    begin
      perform set_config('pause.erasing', 'a person', true);
      delete from written where of = 'stream ' || notebook or of in (select 'find ' || id from finds where stream = notebook union all select 'page ' || id from pages where stream = notebook);
      delete from picture_parts where find_id in (select id from finds where stream = notebook);
      delete from arrivals where find_id in (select id from finds where stream = notebook);
      delete from recalls where stream = notebook;
      delete from descents where child in (select id from pages where stream = notebook);
      delete from entries where stream = notebook;
      delete from finds where stream = notebook;
      delete from pages where stream = notebook;
      delete from streams where id = notebook;
      perform set_config('pause.erasing', '', true);
    end $$`.execute(db);
  await sql`revoke execute on function erase_notebook(text) from public`.execute(db);
}
