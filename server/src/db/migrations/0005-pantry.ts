import { sql, type Kysely } from 'kysely';

/** What is made of what was taken, what becomes of it, what comes from what, and what is recalled. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table pages drop constraint pages_kind_check, add constraint pages_kind_check check (kind in ('place', 'eater', 'walk', 'harvest', 'batch', 'portion', 'taste', 'group'))`.execute(
    db,
  );
  // Made of the entries, so that what descends from something is found without reading them all.
  await db.schema
    .createTable('descents')
    .addColumn('child', 'text', (c) => c.notNull())
    .addColumn('parent', 'text', (c) => c.notNull())
    .addPrimaryKeyConstraint('descents_pkey', ['child', 'parent'])
    .execute();
  await db.schema.createIndex('descents_of_parent').on('descents').column('parent').execute();
  await sql`insert into descents (child, parent) select distinct on (page_id) page_id, body->>'value' from entries
    where kind = 'fields' and body->>'of' = 'harvest' and body->>'field' = 'find' and body->>'value' is not null order by page_id, stamp desc on conflict do nothing`.execute(
    db,
  );
  await db.schema
    .createTable('recalls')
    .addColumn('of', 'text', (c) => c.primaryKey())
    .addColumn('stream', 'text', (c) => c.notNull().references('streams.id'))
    .addColumn('cause', 'jsonb', (c) => c.notNull())
    .addColumn('at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .execute();
  // How far every find that was collected has been asked again of a guide.
  await db.schema
    .createTable('recall_runs')
    .addColumn('version', 'text', (c) => c.primaryKey())
    .addColumn('total', 'integer', (c) => c.notNull())
    .addColumn('done', 'integer', (c) => c.notNull().defaultTo(0))
    .addColumn('after', 'text', (c) => c.notNull().defaultTo(''))
    .addColumn('began_at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .addColumn('finished_at', 'timestamptz')
    .execute();
  await sql`create index entries_collected on entries (find_id) where kind = 'decisions' and body->>'choice' = 'collect'`.execute(
    db,
  );
}
