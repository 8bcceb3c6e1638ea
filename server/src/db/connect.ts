import { Kysely, Migrator, PostgresDialect, sql, type Migration } from 'kysely';
import pg from 'pg';
import { PAGE_KINDS } from '@pause/core/notebook';
import * as finds from './migrations/0001-finds';
import * as notebook from './migrations/0002-notebook';
import * as pages from './migrations/0003-pages';
import * as harvests from './migrations/0004-harvests';
import * as pantry from './migrations/0005-pantry';
import * as asked from './migrations/0006-asked';
import * as stamps from './migrations/0007-stamps';
import * as askedAt from './migrations/0008-asked-at';
import * as written from './migrations/0009-written';
import * as letters from './migrations/0010-letters';
import * as partitions from './migrations/0011-partitions';
import * as counted from './migrations/0012-counted';
import * as pageKinds from './migrations/0013-page-kinds';
import { preparing } from './prepared';
import type { Database } from './schema';

const MIGRATIONS: Readonly<Record<string, Migration>> = {
  '0001-finds': finds,
  '0002-notebook': notebook,
  '0003-pages': pages,
  '0004-harvests': harvests,
  '0005-pantry': pantry,
  '0006-asked': asked,
  '0007-stamps': stamps,
  '0008-asked-at': askedAt,
  '0009-written': written,
  '0010-letters': letters,
  '0011-partitions': partitions,
  '0012-counted': counted,
  '0013-page-kinds': pageKinds,
};

export type Db = Kysely<Database>;

export interface ConnectOptions {
  /** Connections at most. */
  readonly max?: number;
  /**
   * How long a statement, a wait for a lock, and a transaction in which nothing happens may take; left out:
   * as long as they do.
   */
  readonly statementMs?: number;
  readonly lockMs?: number;
  readonly idleMs?: number;
}
export const POOL_SIZE = 10;
/** For requests, which nobody may hold up: whoever holds a lock, or stops half-way, is ended. */
export const SERVING: ConnectOptions = { statementMs: 20_000, lockMs: 8000, idleMs: 30_000 };

/**
 * Compiling a question costs more than answering any of these: a recursion that finds nothing took a second.
 */
const NO_COMPILING = '-c jit=off';

/** Opens a pool; nothing is sent before the first query. `close` with `db.destroy()`. */
export function connect(
  url: string,
  { max = POOL_SIZE, statementMs = 0, lockMs = 0, idleMs = 0 }: ConnectOptions = {},
): Db {
  const pool = new pg.Pool({
    connectionString: url,
    max,
    connectionTimeoutMillis: 5000,
    statement_timeout: statementMs,
    lock_timeout: lockMs,
    idle_in_transaction_session_timeout: idleMs,
    options: NO_COMPILING,
  });
  // A connection that breaks while idle is replaced at the next query; it must not end the process.
  pool.on('error', () => undefined);
  // Nor one that breaks while it is in use: whoever uses it hears of it from the query.
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = new Kysely<Database>({ dialect: new PostgresDialect({ pool: preparing(pool) }) });
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

/** Whether the database has the form that this server knows. */
export async function isMigrated(db: Db): Promise<boolean> {
  const { rows } = await sql<{ name: string }>`select name from kysely_migration`.execute(db);
  return (
    rows.length === Object.keys(MIGRATIONS).length &&
    rows.every(({ name }) => Object.hasOwn(MIGRATIONS, name))
  );
}

/** A database that a newer server brought to a form that this one does not know. */
export class NewerDatabase extends Error {
  constructor(names: readonly string[]) {
    super(
      `This database was brought to a newer form (${names.join(', ')}) than this server knows. Start a ` +
        `newer Pause, or restore a copy from before.`,
    );
    this.name = 'NewerDatabase';
  }
}
async function refuseNewer(db: Db): Promise<void> {
  const {
    rows: [known],
  } = await sql<{ there: boolean }>`select to_regclass('kysely_migration') is not null as there`.execute(db);
  if (known?.there !== true) return;
  const { rows } = await sql<{ name: string }>`select name from kysely_migration order by name`.execute(db);
  const newer = rows.flatMap(({ name }) => (Object.hasOwn(MIGRATIONS, name) ? [] : [name]));
  if (newer.length > 0) throw new NewerDatabase(newer);
}

/**
 * Brings the database to the newest form, and lets it know which kinds of page there are.
 *
 * @returns the names of what was done now
 * @throws NewerDatabase where it is of a newer server's form
 */
export async function migrate(db: Db): Promise<string[]> {
  await refuseNewer(db);
  const migrator = new Migrator({
    db,
    provider: { getMigrations: () => Promise.resolve({ ...MIGRATIONS }) },
  });
  const { error, results } = await migrator.migrateToLatest();
  if (error) throw error;
  await sql`insert into page_kinds (kind) select unnest(${PAGE_KINDS}::text[]) on conflict do nothing`.execute(
    db,
  );
  return (results ?? []).filter((r) => r.status === 'Success').map((r) => r.migrationName);
}
