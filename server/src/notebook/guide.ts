import { sql } from 'kysely';
import type { CompiledGuide } from '@pause/core';
import type { Db } from '../db';

/** Keeps this version of the guide, so that verdicts can name it. */
export async function keepGuide(db: Db, guide: CompiledGuide): Promise<void> {
  await db
    .insertInto('guides')
    .values({ version: guide.version, id: guide.guide.id, document: JSON.stringify(guide.guide) })
    .onConflict((conflict) => conflict.column('version').doNothing())
    .execute();
}

/** Resolves when the database answers. */
export async function ping(db: Db): Promise<void> {
  await sql`select 1`.execute(db);
}
