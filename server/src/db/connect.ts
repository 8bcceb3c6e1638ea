import { Kysely, Migrator, PostgresDialect, type Migration } from 'kysely';
import pg from 'pg';
import * as finds from './migrations/0001-finds';
import type { Database } from './schema';

const MIGRATIONS: Readonly<Record<string, Migration>> = { '0001-finds': finds };

export type Db = Kysely<Database>;

/** Opens a pool; nothing is sent before the first query. `close` with `db.destroy()`. */
export function connect(url: string): Db {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 5000 });
  // A connection that breaks while idle is replaced at the next query; it must not end the process.
  pool.on('error', () => undefined);
  return new Kysely<Database>({ dialect: new PostgresDialect({ pool }) });
}

/** Brings the database to the newest form. @returns the names of what was done now */
export async function migrate(db: Db): Promise<string[]> {
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...MIGRATIONS }) } });
  const { error, results } = await migrator.migrateToLatest();
  if (error) throw error;
  return (results ?? []).filter((r) => r.status === 'Success').map((r) => r.migrationName);
}
