import { sql } from 'kysely';
import { compileGuide, type CompiledGuide } from '@pause/core';
import { parseGuide } from '@pause/core/guide/parse';
import { changeBetween, type GuideChange, movedBy } from '@pause/core/questions';
import type { Db } from '../db';
import { MOVES } from '../notebook/entries';
import { AT_ONCE, readingOf, recheckFinds } from './finds';

/** Decides everything again once for each version of the guide. */

export interface Progress {
  readonly done: number;
  readonly total: number;
}

/**
 * Asks every find that was ever collected again, of a version of the guide that it was not asked of yet. What
 * the difference between two versions cannot touch stays as it was, without being read. Killed, it goes on
 * where it was; done once, it is not done again.
 *
 * @returns how many were collected
 */
export async function recheckAll(
  db: Db,
  guide: CompiledGuide,
  onProgress: (progress: Progress) => void = () => undefined,
): Promise<number> {
  const { version } = guide;
  await sql`insert into recall_asked (find_id, version, looks) select distinct find_id, '', '{}'::text[]
    from entries where kind = 'decisions' and body->>'choice' = 'collect' on conflict do nothing`.execute(db);
  await askMissed(db);
  await passOver(db, guide);
  let progress = await progressOf(db, version);
  const begun = { ...progress, finished_at: null };
  await db
    .insertInto('recall_runs')
    .values({ version, ...begun })
    .onConflict((conflict) => conflict.column('version').doUpdateSet(begun))
    .execute();
  while (progress.done < progress.total) {
    const rows = await db
      .selectFrom('recall_asked')
      .select('find_id')
      .where('version', '<>', version)
      .orderBy('find_id')
      .limit(AT_ONCE)
      .execute();
    const ids = rows.map(({ find_id }) => find_id);
    await recheckFinds(db, guide, ids);
    // Whatever could not be read is not asked for ever.
    await db
      .updateTable('recall_asked')
      .set({ version, asked_at: sql`now()` })
      .where('find_id', 'in', ids)
      .where('version', '<>', version)
      .execute();
    progress = await progressOf(db, version);
    await db.updateTable('recall_runs').set(progress).where('version', '=', version).execute();
    onProgress(progress);
  }
  await db
    .updateTable('recall_runs')
    .set({ finished_at: new Date().toISOString() })
    .where('version', '=', version)
    .where('finished_at', 'is', null)
    .execute();
  return progress.total;
}

async function progressOf(db: Db, version: string): Promise<Progress> {
  const {
    rows: [counted],
  } = await sql<{
    total: number;
    done: number;
  }>`select count(*)::int as total, (count(*) filter (where version = ${version}))::int as done
    from recall_asked`.execute(db);
  return counted ?? { total: 0, done: 0 };
}

/**
 * Finds to which something was added since they were decided last are decided again: whoever was to do it may have
 * been killed.
 */
async function askMissed(db: Db): Promise<void> {
  await sql`update recall_asked set version = '' where exists (
    select 1 from entries where entries.find_id = recall_asked.find_id
    and entries.kind = any(${[...MOVES]}::text[]) and entries.received_at > recall_asked.asked_at)`.execute(
    db,
  );
}

/** Takes finds over into this version that nothing in it can touch. */
export async function passOver(db: Db, guide: CompiledGuide): Promise<void> {
  const older = await db
    .selectFrom('guides')
    .select(['version', 'document'])
    .where('version', '<>', guide.version)
    .where('version', 'in', (of) => of.selectFrom('recall_asked').select('version'))
    .execute();
  for (const { version, document } of older) {
    const change = changeBetween(compileGuide(parseGuide(document)), guide);
    if (change.everything) continue;
    const { rows } = await sql<{
      look: string;
    }>`select distinct unnest(looks) as look from recall_asked where version = ${version}`.execute(db);
    const moved = rows.map(({ look }) => look).filter((look) => moves(change, look));
    const targets = [...new Set([...change.targets, ...change.changed.map(({ taxon }) => taxon)])];
    await sql`update recall_asked set version = ${guide.version} where version = ${version}
      and not looks && ${moved}::text[] and target is not null and target <> all(${targets}::text[])`.execute(
      db,
    );
  }
}

/**
 * Whether a find with this look may stand otherwise after the change. What was skipped moves only what asks
 * it otherwise.
 */
function moves(change: GuideChange, look: string): boolean {
  const reading = readingOf(look);
  if (!reading) return change.characters.has(look);
  const moved = movedBy(change, reading);
  return moved === 'all' || moved.length > 0;
}
