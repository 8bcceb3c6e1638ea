import { Kysely, Migrator, PostgresDialect, type Migration } from 'kysely';
import pg from 'pg';
import * as finds from './migrations/0001-finds';
import * as notebook from './migrations/0002-notebook';
import * as pages from './migrations/0003-pages';
import * as harvests from './migrations/0004-harvests';
import * as pantry from './migrations/0005-pantry';
import * as asked from './migrations/0006-asked';
import * as stamps from './migrations/0007-stamps';
import * as askedAt from './migrations/0008-asked-at';
import type { Database } from './schema';

const MIGRATIONS: Readonly<Record<string, Migration>> = { '0001-finds': finds, '0002-notebook': notebook, '0003-pages': pages, '0004-harvests': harvests, '0005-pantry': pantry, '0006-asked': asked, '0007-stamps': stamps, '0008-asked-at': askedAt };

export type Db = Kysely<Database>;

/** Opens a pool; nothing is sent before the first query. `close` with `db.destroy()`. */
export function connect(url: string): Db {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 5000 });
  // A connection that breaks while idle is replaced at the next query; it must not end the process.
  pool.on('error', () => undefined);
  // Nor one that breaks while it is in use: whoever uses it hears of it from the query.
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = new Kysely<Database>({ dialect: new PostgresDialect({ pool }) });
  pools.set(db, pool);
  return db;
}

const pools = new WeakMap<Db, pg.Pool>();
/** The pool behind a database that `connect` opened, for libraries that want one. */
export function poolOf(db: Db): pg.Pool {
  const pool = pools.get(db);
  if (!pool) throw new TypeError('this database was not opened by connect');
  return pool;
}

/** Brings the database to the newest form. @returns the names of what was done now */
export async function migrate(db: Db): Promise<string[]> {
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...MIGRATIONS }) } });
  const { error, results } = await migrator.migrateToLatest();
  if (error) throw error;
  return (results ?? []).filter((r) => r.status === 'Success').map((r) => r.migrationName);
}
