import { sql } from 'kysely';
import {
  canonicalJson,
  CaseError,
  compileGuide,
  parseGuide,
  standing,
  type CompiledGuide,
  type FindRecord,
  type Reading,
} from '@pause/core';
import { changeBetween, movedBy, type GuideChange } from '@pause/core/questions';
import { causeOf, collectedOn, strayCauses, type Cause } from '@pause/core/recall';
import { streamsOf, type Actor } from '../access';
import type { Db } from '../db';
import { MOVES } from '../notebook/entries';
import { groupsOf } from '../notebook/groupRules';
import { outcomesOf, pagesOf } from '../notebook/read';

/**
 * Finding everything again: which finds and harvests no longer stand, kept as they become known, and all that
 * descends from them.
 */

const AT_ONCE = 500;

interface Settled {
  readonly of: string;
  readonly stream: string;
  readonly cause: Cause | undefined;
}
/** Keeps what no longer stands and why, and forgets what stands again. */
async function settle(db: Db, settled: readonly Settled[]): Promise<void> {
  const stands = settled.filter(({ cause }) => !cause).map(({ of }) => of);
  if (stands.length > 0) await db.deleteFrom('recalls').where('of', 'in', stands).execute();
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

/** Asks finds again of this guide and the rules of their groups. */
export async function recheckFinds(db: Db, guide: CompiledGuide, finds: readonly string[]): Promise<void> {
  if (finds.length === 0) return;
  const heads = await db
    .selectFrom('finds')
    .select(['id', 'stream'])
    .where('id', 'in', [...finds])
    .execute();
  const [records, groups] = [
    await outcomesOf(db, finds),
    await groupsOf(db, [...new Set(heads.map(({ stream }) => stream))]),
  ];
  const asked = heads.flatMap(({ id, stream }) => {
    const record = records.get(id);
    return record
      ? [
          {
            record,
            of: id,
            stream,
            cause: causeUnder(() => causeOf(record, guide, groups.get(stream)?.policy), id),
          },
        ]
      : [];
  });
  await settle(db, asked);
  const rows = asked.flatMap(({ record }) => (collectedOn(record) ? [askedNow(record, guide.version)] : []));
  if (rows.length === 0) return;
  await db
    .insertInto('recall_asked')
    .values(rows)
    .onConflict((conflict) =>
      conflict.column('find_id').doUpdateSet({
        version: sql`excluded.version`,
        target: sql`excluded.target`,
        looks: sql`excluded.looks`,
        asked_at: sql`now()`,
      }),
    )
    .execute();
}

/**
 * Asks finds again of which something was told. While servers with different guides run beside each other,
 * one that was asked of a newer one is asked of that again: what a correction called back does not come to
 * stand by the older guide.
 */
export async function recheckTold(db: Db, guide: CompiledGuide, finds: readonly string[]): Promise<void> {
  if (finds.length === 0) return;
  const rows = await db
    .selectFrom('recall_asked as asked')
    .innerJoin('guides as theirs', 'theirs.version', 'asked.version')
    .leftJoin('guides as own', (join) => join.on('own.version', '=', guide.version))
    .select(['asked.find_id', 'theirs.version', 'theirs.document'])
    .where('asked.find_id', 'in', [...finds])
    .where('theirs.version', '<>', guide.version)
    .whereRef('theirs.received_at', '>', 'own.received_at')
    .execute();
  const newer = new Map(rows.map(({ version, document }) => [version, document]));
  for (const [version, document] of newer)
    await recheckFinds(
      db,
      compileGuide(parseGuide(document)),
      rows.filter((row) => row.version === version).map(({ find_id }) => find_id),
    );
  const there = new Set(rows.map(({ find_id }) => find_id));
  await recheckFinds(
    db,
    guide,
    finds.filter((find) => !there.has(find)),
  );
}

const askedNow = ({ id, targets, readings, skips }: FindRecord, version: string) => ({
  find_id: id,
  version,
  target: targets.at(-1)?.taxon ?? null,
  looks: [...new Set([...readings.map(lookOf), ...skips.map(({ character }) => character)])],
});
/** A reading as far as it says what was seen: many finds have it in common. */
const lookOf = ({ character, value }: Pick<Reading, 'character' | 'value'>) =>
  `${character} ${canonicalJson(value)}`;
function readingOf(look: string): Reading | undefined {
  const cut = look.indexOf(' ');
  return cut < 0
    ? undefined
    : ({
        id: '',
        piece: '',
        character: look.slice(0, cut),
        value: JSON.parse(look.slice(cut + 1)) as Reading['value'],
        sureness: 'sure',
        by: '',
        at: '',
      } as Reading);
}

/** What this guide cannot read any more does not stand on it. */
function causeUnder(ask: () => Cause | undefined, of: string): Cause | undefined {
  try {
    return ask();
  } catch (error) {
    if (error instanceof CaseError)
      return { code: 'verdict', of, because: 'guide', outcome: 'pause', grade: 'deadly' };
    throw error;
  }
}

/** Looks whether a stray that was found in a harvest puts it in question. */
export async function recheckHarvests(db: Db, harvests: readonly string[]): Promise<void> {
  if (harvests.length === 0) return;
  const told = await db
    .selectFrom('pages')
    .select('person')
    .distinct()
    .where('id', 'in', [...harvests])
    .where('kind', '=', 'harvest')
    .execute();
  const people = told.flatMap(({ person }) => person ?? []);
  if (people.length === 0) return;
  // What lay in one bag with it is in question too: everything that the same ones took is looked at.
  const heads = await db
    .selectFrom('pages')
    .select(['id', 'stream'])
    .where('person', 'in', people)
    .where('kind', '=', 'harvest')
    .execute();
  const pages = await pagesOf(
    db,
    heads.map(({ id }) => id),
  );
  const causes = strayCauses(
    [...pages.values()].map((page) => {
      const { on, bag, sorting } = standing(page, 'harvest');
      return { id: page.id, person: page.person ?? '', on, bag, grades: sorting?.grades ?? [] };
    }),
  );
  const before = new Set(
    (
      await db
        .selectFrom('recalls')
        .select('of')
        .where(
          'of',
          'in',
          heads.map(({ id }) => id),
        )
        .execute()
    ).map(({ of }) => of),
  );
  const causeOfOne = new Map(causes.map((cause) => [cause.of, cause]));
  await settle(
    db,
    heads.flatMap(({ id, stream }) =>
      causeOfOne.has(id) || before.has(id) ? [{ of: id, stream, cause: causeOfOne.get(id) }] : [],
    ),
  );
}

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
  await sql`insert into recall_asked (find_id, version, looks) select distinct find_id, '', '{}'::text[] from entries where kind = 'decisions' and body->>'choice' = 'collect' on conflict do nothing`.execute(
    db,
  );
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
  }>`select count(*)::int as total, (count(*) filter (where version = ${version}))::int as done from recall_asked`.execute(
    db,
  );
  return counted ?? { total: 0, done: 0 };
}

/**
 * Finds of which something was told since they were asked last are asked again: whoever was to do it may have
 * been killed.
 */
async function askMissed(db: Db): Promise<void> {
  await sql`update recall_asked set version = '' where exists (
    select 1 from entries where entries.find_id = recall_asked.find_id and entries.kind = any(${[...MOVES]}::text[]) and entries.received_at > recall_asked.asked_at)`.execute(
    db,
  );
}

/**
 * Marks finds that were collected as to be asked again. The mark stays until that was done, whoever is
 * killed.
 */
export async function markMoved(db: Db, finds: readonly string[]): Promise<void> {
  if (finds.length === 0) return;
  await sql`insert into recall_asked (find_id, version, looks, moved_at) select id, '', '{}'::text[], clock_timestamp() from unnest(${[...finds]}::text[]) as moved (id)
    on conflict (find_id) do update set moved_at = excluded.moved_at`.execute(db);
}

/** The rules of a group changed: every find of its notebook that was collected is to be asked again. */
export async function markNotebook(db: Db, stream: string): Promise<void> {
  await sql`update recall_asked set moved_at = clock_timestamp() from finds where finds.id = recall_asked.find_id and finds.stream = ${stream}`.execute(
    db,
  );
}

const MOVED_AT_ONCE = 50;
/**
 * Asks those finds of a notebook again that are marked. What is told of one meanwhile marks it anew, and it
 * is asked once more.
 */
export async function recheckMoved(db: Db, guide: CompiledGuide, stream: string): Promise<void> {
  // Whoever is writing into the notebook has marked what they moved, or has not yet looked whether somebody
  // is asking.
  await sql`select 1 from streams where id = ${stream} for share`.execute(db);
  for (;;) {
    const { rows } = await sql<{
      id: string;
      moved: string;
    }>`select f.id, a.moved_at::text as moved from finds f join recall_asked a on a.find_id = f.id and a.moved_at is not null
      where f.stream = ${stream} order by f.id limit ${MOVED_AT_ONCE}`.execute(db);
    if (rows.length === 0) return;
    await recheckTold(
      db,
      guide,
      rows.map(({ id }) => id),
    );
    await sql`update recall_asked a set moved_at = null from unnest(${rows.map(({ id }) => id)}::text[], ${rows.map(({ moved }) => moved)}::text[]) as done (id, moved)
      where a.find_id = done.id and a.moved_at = done.moved::timestamptz`.execute(db);
  }
}

/** Takes finds over into this version that nothing in it can touch. */
async function passOver(db: Db, guide: CompiledGuide): Promise<void> {
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
    const targets = [...new Set([...change.targets, ...change.said.map(({ taxon }) => taxon)])];
    await sql`update recall_asked set version = ${guide.version} where version = ${version} and not looks && ${moved}::text[] and target is not null and target <> all(${targets}::text[])`.execute(
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
    with recursive outside (id) as (
      -- What something of theirs comes from, where they do not read it themselves: of a group that they left, say.
      select d.parent from descents d join pages p on p.id = d.child where p.stream = any(${streams})
        and not exists (select 1 from pages where pages.id = d.parent and pages.stream = any(${streams})) and not exists (select 1 from finds where finds.id = d.parent and finds.stream = any(${streams}))
      union
      select descents.parent from outside join descents on descents.child = outside.id
    ), down (root, id) as (
      select "of", "of" from recalls where stream = any(${streams}) or "of" in (select id from outside)
      union
      select down.root, descents.child from down join descents on descents.parent = down.id
    ), theirs as (
      select down.root, down.id from down
      where exists (select 1 from pages where pages.id = down.id and pages.stream = any(${streams})) or exists (select 1 from finds where finds.id = down.id and finds.stream = any(${streams}))
    )
    select recalls."of", recalls.cause, array_agg(theirs.id order by theirs.id) as ids from theirs join recalls on recalls."of" = theirs.root group by recalls."of", recalls.cause order by recalls."of"`.execute(
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
