import { CaseError, standing, type CompiledGuide } from '@pause/core';
import { causeOf, strayCauses, type Cause } from '@pause/core/recall';
import { sql } from 'kysely';
import { streamsOf, type Actor } from '../access';
import type { Db } from '../db';
import { groupsOf } from '../notebook/push';
import { pagesOf, recordsOf } from '../notebook/read';

/** Finding everything again: which finds and harvests no longer stand, kept as they become known, and all that descends from them. */

const AT_ONCE = 200;

async function settle(db: Db, of: string, stream: string, cause: Cause | undefined): Promise<void> {
  if (!cause) {
    await db.deleteFrom('recalls').where('of', '=', of).execute();
    return;
  }
  await db.insertInto('recalls').values({ of, stream, cause: JSON.stringify(cause) })
    .onConflict((conflict) => conflict.column('of').doUpdateSet({ cause: JSON.stringify(cause) })).execute();
}

/** Asks finds again of this guide and the rules of their groups. */
export async function recheckFinds(db: Db, guide: CompiledGuide, finds: readonly string[]): Promise<void> {
  if (finds.length === 0) return;
  const heads = await db.selectFrom('finds').select(['id', 'stream']).where('id', 'in', [...finds]).execute();
  const [records, groups] = [await recordsOf(db, finds), await groupsOf(db, [...new Set(heads.map(({ stream }) => stream))])];
  for (const { id, stream } of heads) {
    const record = records.get(id);
    if (record) await settle(db, id, stream, causeUnder(() => causeOf(record, guide, groups.get(stream)?.policy), id));
  }
}

/** What this guide cannot read any more does not stand on it. */
function causeUnder(ask: () => Cause | undefined, of: string): Cause | undefined {
  try {
    return ask();
  } catch (error) {
    if (error instanceof CaseError) return { code: 'verdict', of, because: 'guide', outcome: 'pause', grade: 'deadly' };
    throw error;
  }
}

/** Looks whether a stray that was found in a harvest puts it in question. */
export async function recheckHarvests(db: Db, harvests: readonly string[]): Promise<void> {
  if (harvests.length === 0) return;
  const told = await db.selectFrom('pages').select('person').distinct().where('id', 'in', [...harvests]).where('kind', '=', 'harvest').execute();
  const people = told.flatMap(({ person }) => person ?? []);
  if (people.length === 0) return;
  // What lay in one bag with it is in question too: everything that the same ones took is looked at.
  const heads = await db.selectFrom('pages').select(['id', 'stream']).where('person', 'in', people).where('kind', '=', 'harvest').execute();
  const pages = await pagesOf(db, heads.map(({ id }) => id));
  const causes = strayCauses([...pages.values()].map((page) => { const { on, bag, sorting } = standing(page, 'harvest'); return { id: page.id, person: page.person ?? '', on, bag, grades: sorting?.grades ?? [] }; }));
  const before = new Set((await db.selectFrom('recalls').select('of').where('of', 'in', heads.map(({ id }) => id)).execute()).map(({ of }) => of));
  for (const { id, stream } of heads) {
    const cause = causes.find(({ of }) => of === id);
    if (cause || before.has(id)) await settle(db, id, stream, cause);
  }
}

export interface Progress {
  readonly done: number;
  readonly total: number;
}

/**
 * Asks every find that was ever collected again, under a version of the guide that has not been asked yet. Killed, it goes on where it was; done once, it is not done again.
 *
 * @returns how many there were
 */
export async function recheckAll(db: Db, guide: CompiledGuide, onProgress: (progress: Progress) => void = () => undefined): Promise<number> {
  const { version } = guide;
  const { rows: [counted] } = await sql<{ total: string }>`select count(distinct find_id) as total from entries where kind = 'decisions' and body->>'choice' = 'collect'`.execute(db);
  await db.insertInto('recall_runs').values({ version, total: Number(counted?.total ?? 0), finished_at: null }).onConflict((conflict) => conflict.column('version').doNothing()).execute();
  let run = await db.selectFrom('recall_runs').selectAll().where('version', '=', version).executeTakeFirstOrThrow();
  while (run.finished_at === null) {
    const { rows } = await sql<{ find_id: string }>`select distinct find_id from entries where kind = 'decisions' and body->>'choice' = 'collect' and find_id > ${run.after} order by find_id limit ${AT_ONCE}`.execute(db);
    const ids = rows.map(({ find_id }) => find_id);
    await recheckFinds(db, guide, ids);
    const done = run.done + ids.length;
    const ended = ids.length < AT_ONCE;
    await db.updateTable('recall_runs').set({ done, after: ids.at(-1) ?? run.after, total: Math.max(run.total, done), finished_at: ended ? new Date().toISOString() : null }).where('version', '=', version).execute();
    onProgress({ done, total: Math.max(run.total, done) });
    run = await db.selectFrom('recall_runs').selectAll().where('version', '=', version).executeTakeFirstOrThrow();
  }
  return run.done;
}

export interface RecallTold {
  readonly cause: Cause;
  /** What descends from it, of all that this person may read; with itself, where they may read that. */
  readonly ids: readonly string[];
}
export interface RecallsTold {
  readonly recalls: readonly RecallTold[];
  /** How far asking again has got, while it goes on. */
  readonly run?: Progress;
}

/** Everything that no longer stands and concerns this person: theirs, and their groups'. */
export async function recallsFor(db: Db, actor: Actor, version: string): Promise<RecallsTold> {
  const streams = streamsOf(actor);
  const { rows } = await sql<{ of: string; cause: Cause; ids: string[] }>`
    with recursive down (root, id) as (
      select "of", "of" from recalls
      union
      select down.root, descents.child from down join descents on descents.parent = down.id
    ), theirs as (
      select down.root, down.id from down
      where exists (select 1 from pages where pages.id = down.id and pages.stream = any(${streams})) or exists (select 1 from finds where finds.id = down.id and finds.stream = any(${streams}))
    )
    select recalls."of", recalls.cause, array_agg(theirs.id order by theirs.id) as ids from theirs join recalls on recalls."of" = theirs.root group by recalls."of", recalls.cause order by recalls."of"`.execute(db);
  const run = await db.selectFrom('recall_runs').select(['done', 'total']).where('version', '=', version).where('finished_at', 'is', null).executeTakeFirst();
  return { recalls: rows.map(({ cause, ids }) => ({ cause, ids })), ...(run ? { run } : {}) };
}
