import { sql } from 'kysely';
import type { Cause } from '@pause/core/pantry/recall';
import type { Db } from '../db';

/** Writes which recalls hold and which do not any more. */

interface Settled {
  readonly of: string;
  readonly stream: string;
  readonly cause: Cause | undefined;
}

/** Keeps what is recalled and why, and forgets what holds again. */
export async function settle(db: Db, settled: readonly Settled[]): Promise<void> {
  const holding = settled.filter(({ cause }) => !cause).map(({ of }) => of);
  if (holding.length > 0) await db.deleteFrom('recalls').where('of', 'in', holding).execute();
  const not = settled.flatMap(({ of, stream, cause }) =>
    cause ? [{ of, stream, cause: JSON.stringify(cause) }] : [],
  );
  if (not.length > 0)
    await db
      .insertInto('recalls')
      .values(not)
      .onConflict((conflict) => conflict.column('of').doUpdateSet({ cause: sql`excluded.cause` }))
      .execute();
}
