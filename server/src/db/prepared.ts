import type { PostgresPool, PostgresPoolClient } from 'kysely';
import type pg from 'pg';

/**
 * Statements that are asked again and again are prepared: PostgreSQL reads and plans them once a connection.
 * Most of what a short statement costs is that.
 */

/** A statement has a name from this many uses on, in this process. */
const OFTEN = 5;
/** So many have one at most: lists of every length make statements without end. */
const MOST = 400;
/** Where the columns are not named, the answer changes with the table, and a prepared statement may not. */
const ALL_COLUMNS = /(?:select|returning)\s+\*|\.\*/i;

const uses = new Map<string, number>();
const names = new Map<string, string>();

/** @returns the name under which a statement is prepared; none for what is asked seldom */
export function statementName(text: string): string | undefined {
  const known = names.get(text);
  if (known !== undefined || names.size >= MOST) return known;
  const used = (uses.get(text) ?? 0) + 1;
  if (used < OFTEN || ALL_COLUMNS.test(text)) {
    if (uses.size >= MOST * 10) uses.clear();
    uses.set(text, used);
    return undefined;
  }
  uses.delete(text);
  const name = `pause_${names.size}`;
  names.set(text, name);
  return name;
}

const wrapped = new WeakMap<pg.PoolClient, PostgresPoolClient>();
function preparingClient(client: pg.PoolClient): PostgresPoolClient {
  const known = wrapped.get(client);
  if (known) return known;
  const query = (text: unknown, values?: readonly unknown[]) => {
    const name = typeof text === 'string' ? statementName(text) : undefined;
    return name === undefined
      ? client.query(text as string, values as unknown[])
      : client.query({ name, text: text as string, values: values as unknown[] });
  };
  const own = {
    query,
    release: (destroy?: boolean) => client.release(destroy),
  } as unknown as PostgresPoolClient;
  wrapped.set(client, own);
  return own;
}

/** The pool, for a dialect that knows nothing of prepared statements. */
export function preparing(pool: pg.Pool): PostgresPool {
  return { connect: async () => preparingClient(await pool.connect()), end: () => pool.end() };
}
