import { sql, type CreateTableBuilder, type Kysely } from 'kysely';

/** Finds and all that is added to them. What was read, judged and decided can be added to, never changed. */

const NEVER_CHANGED = [
  'guides',
  'finds',
  'pieces',
  'targets',
  'contexts',
  'readings',
  'withdrawals',
  'skips',
  'verdicts',
  'decisions',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('people')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('name', 'text', (c) => c.notNull())
    .execute();

  await db.schema
    .createTable('demo_clock')
    .addColumn('only', 'boolean', (c) =>
      c
        .primaryKey()
        .defaultTo(true)
        .check(sql`"only"`),
    )
    .addColumn('offset_ms', 'bigint', (c) => c.notNull())
    .execute();

  await db.schema
    .createTable('guides')
    .addColumn('version', 'text', (c) => c.primaryKey())
    .addColumn('id', 'text', (c) => c.notNull())
    .addColumn('document', 'jsonb', (c) => c.notNull())
    .addColumn('received_at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .execute();

  const appended = <T extends string>(table: CreateTableBuilder<T>) =>
    table
      .addColumn('id', 'text', (c) => c.primaryKey())
      .addColumn('content_hash', 'text', (c) => c.notNull())
      .addColumn('received_at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`));

  await appended(db.schema.createTable('finds'))
    .addColumn('number', 'integer', (c) => c.generatedAlwaysAsIdentity().unique())
    .addColumn('started_at', 'timestamptz', (c) => c.notNull())
    .addColumn('kingdom', 'text', (c) => c.notNull().check(sql`kingdom in ('Fungi', 'Plantae')`))
    .addColumn('body_plan', 'text')
    .addColumn('place_note', 'text')
    .addColumn('person', 'text', (c) => c.notNull().references('people.id'))
    .execute();

  const ofFind = (name: string) =>
    appended(db.schema.createTable(name))
      .addColumn('find_id', 'text', (c) => c.notNull().references('finds.id'))
      .addColumn('at', 'timestamptz', (c) => c.notNull());

  await ofFind('pieces')
    .addColumn('purpose', 'text', (c) => c.notNull().check(sql`purpose in ('decide', 'compare')`))
    .addUniqueConstraint('pieces_of_find', ['find_id', 'id'])
    .execute();
  await ofFind('targets')
    .addColumn('taxon', 'text', (c) => c.notNull())
    .execute();
  await ofFind('contexts')
    .addColumn('context', 'jsonb', (c) => c.notNull())
    .execute();
  await ofFind('readings')
    .addColumn('piece_id', 'text', (c) => c.notNull())
    .addColumn('character', 'text', (c) => c.notNull())
    .addColumn('value', 'jsonb', (c) => c.notNull())
    .addColumn('sureness', 'text', (c) => c.notNull().check(sql`sureness in ('sure', 'fairly', 'guess')`))
    .addColumn('by', 'text', (c) => c.notNull().references('people.id'))
    .addColumn('blind', 'boolean')
    .addColumn('note', 'text')
    .addUniqueConstraint('readings_of_find', ['find_id', 'id'])
    .addForeignKeyConstraint('readings_piece', ['find_id', 'piece_id'], 'pieces', ['find_id', 'id'])
    .execute();
  await ofFind('withdrawals')
    .addColumn('reading_id', 'text', (c) => c.notNull().unique())
    .addForeignKeyConstraint('withdrawals_reading', ['find_id', 'reading_id'], 'readings', ['find_id', 'id'])
    .execute();
  await ofFind('skips')
    .addColumn('piece_id', 'text', (c) => c.notNull())
    .addColumn('character', 'text', (c) => c.notNull())
    .addForeignKeyConstraint('skips_piece', ['find_id', 'piece_id'], 'pieces', ['find_id', 'id'])
    .execute();
  await ofFind('verdicts')
    .addColumn('guide_version', 'text', (c) => c.notNull().references('guides.version'))
    .addColumn('outcome', 'text', (c) => c.notNull().check(sql`outcome in ('leave', 'pause', 'collect')`))
    .addColumn('find_case', 'jsonb', (c) => c.notNull())
    .addColumn('verdict', 'jsonb', (c) => c.notNull())
    .addUniqueConstraint('verdicts_of_find', ['find_id', 'id'])
    .execute();
  await ofFind('decisions')
    .addColumn('verdict_id', 'text', (c) => c.notNull())
    .addColumn('choice', 'text', (c) => c.notNull().check(sql`choice in ('collect', 'leave', 'later')`))
    .addColumn('reason', 'text')
    .addColumn('by', 'text', (c) => c.notNull().references('people.id'))
    .addForeignKeyConstraint('decisions_verdict', ['find_id', 'verdict_id'], 'verdicts', ['find_id', 'id'])
    .execute();

  for (const table of [
    'pieces',
    'targets',
    'contexts',
    'readings',
    'withdrawals',
    'skips',
    'verdicts',
    'decisions',
  ]) {
    await db.schema.createIndex(`${table}_by_find`).on(table).columns(['find_id', 'at']).execute();
  }

  await sql`
    create function refuse_change() returns trigger language plpgsql as $$
    begin
      raise exception '% are only added to, never changed or removed', tg_table_name
        using errcode = 'restrict_violation';
    end $$`.execute(db);
  for (const table of NEVER_CHANGED) {
    await sql`
      create trigger ${sql.raw(`${table}_never_changed`)} before update or delete on ${sql.table(table)}
      for each row execute function refuse_change()`.execute(db);
    await sql`
      create trigger ${sql.raw(`${table}_never_emptied`)} before truncate on ${sql.table(table)}
      for each statement execute function refuse_change()`.execute(db);
  }
}
