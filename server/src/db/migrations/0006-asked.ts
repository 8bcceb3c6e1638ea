import { sql, type Kysely } from 'kysely';

/**
 * Of every find that was collected: of which version of the guide it was asked last, and what of it a
 * correction could touch, so that only what is touched is asked again.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  // What was practised, how somebody wants to, and lessons are pages too.
  await sql`alter table pages drop constraint pages_kind_check, add constraint pages_kind_check check (kind in ('place', 'eater', 'walk', 'harvest', 'batch', 'portion', 'taste', 'practice', 'learner', 'lesson', 'group'))`.execute(
    db,
  );
  await db.schema
    .createTable('recall_asked')
    .addColumn('find_id', 'text', (c) => c.primaryKey().references('finds.id').onDelete('cascade'))
    .addColumn('version', 'text', (c) => c.notNull())
    .addColumn('target', 'text')
    .addColumn('looks', sql`text[]`, (c) => c.notNull())
    .execute();
  await db.schema
    .createIndex('recall_asked_version')
    .on('recall_asked')
    .columns(['version', 'find_id'])
    .execute();
  await db.schema.alterTable('recall_runs').dropColumn('after').execute();
}
