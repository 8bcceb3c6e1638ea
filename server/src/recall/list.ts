import { sql } from 'kysely';
import type { Cause } from '@pause/core/pantry/recall';
import { type Actor, streamsOf } from '../access';
import type { Db } from '../db';
import type { Progress } from './all';

/** The recalls that a person may see. */

export interface RecallEntry {
  readonly cause: Cause;
  /** What descends from it, of all that this person may read; with itself, where they may read that. */
  readonly ids: readonly string[];
}

export interface RecallList {
  readonly recalls: readonly RecallEntry[];
  /** How far asking again has got, while it goes on. */
  readonly run?: Progress;
}

/** Everything recalled that concerns this person: theirs, and their groups'. */
export async function recallsFor(db: Db, actor: Actor, version: string): Promise<RecallList> {
  const streams = streamsOf(actor);
  const { rows } = await sql<{ of: string; cause: Cause; ids: string[] }>`
    with recursive outside (id) as (
      -- What something of theirs comes from, where they do not read it themselves: of a group that they left, say.
      select d.parent from descents d join pages p on p.id = d.child where p.stream = any(${streams})
        and not exists (select 1 from pages where pages.id = d.parent and pages.stream = any(${streams}))
        and not exists (select 1 from finds where finds.id = d.parent and finds.stream = any(${streams}))
      union
      select descents.parent from outside join descents on descents.child = outside.id
    ), down (root, id) as (
      select "of", "of" from recalls where stream = any(${streams}) or "of" in (select id from outside)
      union
      select down.root, descents.child from down join descents on descents.parent = down.id
    ), theirs as (
      select down.root, down.id from down
      where exists (select 1 from pages where pages.id = down.id
      and pages.stream = any(${streams})) or exists (select 1 from finds where finds.id = down.id
      and finds.stream = any(${streams}))
    )
    select recalls."of", recalls.cause, array_agg(theirs.id order by theirs.id) as ids from theirs
    join recalls on recalls."of" = theirs.root group by recalls."of", recalls.cause order by recalls."of"`.execute(
    db,
  );
  const run = await db
    .selectFrom('recall_runs')
    .select(['done', 'total'])
    .where('version', '=', version)
    .where('finished_at', 'is', null)
    .executeTakeFirst();
  return { recalls: rows.map(({ cause, ids }) => ({ cause, ids })), ...(run ? { run } : {}) };
}
