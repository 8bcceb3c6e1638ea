import { sql, type Kysely } from 'kysely';

/** What the demo's simulated mailbox holds. A server with a mail server of its own keeps no letter. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('simulated_letters')
    .addColumn('id', 'bigint', (c) => c.generatedAlwaysAsIdentity().primaryKey())
    .addColumn('at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .addColumn('to', 'text', (c) => c.notNull())
    .addColumn('subject', 'text', (c) => c.notNull())
    .addColumn('text', 'text', (c) => c.notNull())
    .execute();
}
