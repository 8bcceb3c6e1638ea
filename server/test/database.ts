import { type KyselyPlugin, sql } from 'kysely';
import { connect, migrate, type Db } from '../src/db';

/**
 * A database of its own for a test file, in the cluster that the test command started (TEST_DATABASE_URL).
 * Files that share a name do not meet in it: each worker has its own.
 */
export async function freshDatabase(
  base: string,
): Promise<{ url: string; db: Db; close: () => Promise<void> }> {
  const cluster = process.env.TEST_DATABASE_URL;
  if (!cluster) throw new Error('TEST_DATABASE_URL is not set; run scripts/test');
  const name = `${base}_${process.env.JEST_WORKER_ID ?? '1'}`;
  const admin = connect(cluster);
  await sql`drop database if exists ${sql.id(name)} with (force)`.execute(admin);
  await sql`create database ${sql.id(name)}`.execute(admin);
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  const db = connect(url.href);
  await migrate(db);
  return {
    url: url.href,
    db,
    close: async () => {
      await db.destroy();
      await sql`drop database if exists ${sql.id(name)} with (force)`.execute(admin);
      await admin.destroy();
    },
  };
}

/** Counts the rows that queries bring from the database: use `db.withPlugin(counter.plugin)`. */
export function rowCounter(): { readonly plugin: KyselyPlugin; readonly read: () => number } {
  let rows = 0;
  return {
    plugin: {
      transformQuery: ({ node }) => node,
      transformResult: ({ result }) => {
        rows += result.rows.length;
        return Promise.resolve(result);
      },
    },
    read: () => rows,
  };
}
