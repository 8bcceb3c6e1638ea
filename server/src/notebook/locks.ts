import { sql } from 'kysely';
import { LRUCache } from 'lru-cache';
import { findsOf } from '@pause/core';
import { mayRead, notSignedIn } from '../access';
import type { Db } from '../db';
import { aboutOf, streamOfNew, type Sending } from './entries';

/** Which notebooks a push writes to, and how it holds them until its transaction ends. */

export interface Scope {
  /** The streams of finds and pages that were there already. A find never moves. */
  readonly begun: ReadonlyMap<string, string>;
  readonly finds: readonly string[];
  readonly pageIds: readonly string[];
  /** The streams that each sending writes to. */
  readonly wanted: readonly (readonly string[])[];
}

/** Reads which finds and pages are there, and from it which notebooks several sendings write to. */
export async function scopeOf(db: Db, sendings: readonly Sending[]): Promise<Scope> {
  const entries = sendings.flatMap((one) => one.entries);
  const finds = [...findsOf(entries)];
  const pageIds = [...new Set(entries.flatMap((entry) => entry.page ?? []))];
  const begun = await streamsKept(db, finds, pageIds);
  const wanted = sendings.map((sending) => [
    ...new Set(
      sending.entries.flatMap((entry) => {
        const stream = begun.get(aboutOf(entry)) ?? streamOfNew(entry, sending.actor.person);
        return stream !== undefined && mayRead(sending.actor, stream) ? [stream] : [];
      }),
    ),
  ]);
  return { begun, finds, pageIds, wanted };
}

/**
 * Finds and pages never move to another stream, so where they are is kept in memory. Only a deleted account
 * takes its own away, and that account is held before anything is written.
 */
const kept = new WeakMap<Db, LRUCache<string, string>>();
const MOST_KEPT = 50_000;
async function streamsKept(
  db: Db,
  finds: readonly string[],
  pages: readonly string[],
): Promise<Map<string, string>> {
  const streams = kept.get(db) ?? new LRUCache<string, string>({ max: MOST_KEPT });
  kept.set(db, streams);
  const read = await streamsOfAll(
    db,
    finds.filter((id) => !streams.has(`find ${id}`)),
    pages.filter((id) => !streams.has(`page ${id}`)),
  );
  for (const [about, stream] of read) streams.set(about, stream);
  return new Map(
    [...finds.map((id) => `find ${id}`), ...pages.map((id) => `page ${id}`)].flatMap((about) => {
      const stream = streams.get(about) ?? read.get(about);
      return stream === undefined ? [] : [[about, stream] as const];
    }),
  );
}

/** The streams of those finds and pages that are there, by "find ID" and "page ID". */
export async function streamsOfAll(
  db: Db,
  finds: readonly string[],
  pages: readonly string[],
): Promise<Map<string, string>> {
  const of = async (table: 'finds' | 'pages', ids: readonly string[]) =>
    ids.length === 0
      ? []
      : (
          await sql<{
            id: string;
            stream: string;
          }>`select id, stream from ${sql.table(table)} where id = any(${[...ids]}::text[])`.execute(db)
        ).rows;
  const [foundFinds, foundPages] = [await of('finds', finds), await of('pages', pages)];
  return new Map([
    ...foundFinds.map(({ id, stream }) => [`find ${id}`, stream] as const),
    ...foundPages.map(({ id, stream }) => [`page ${id}`, stream] as const),
  ]);
}

/**
 * Holds the person, so that their account can't be deleted meanwhile. Deleting an account holds the person
 * first and the notebooks afterwards, and so does a push: neither can wait for the other for ever.
 *
 * @throws Problem 401 where the account was deleted
 */
export async function holdPerson(db: Db, person: string): Promise<void> {
  const there = await db
    .selectFrom('people')
    .select('left_at')
    .where('id', '=', person)
    .forShare()
    .executeTakeFirst();
  if (!there || there.left_at !== null) throw notSignedIn();
}

/**
 * Holds streams, and makes those that are not there. Always in the same order, so that two pushes do not wait
 * for each other.
 *
 * @returns the last number of each
 */
export async function hold(db: Db, streams: readonly string[]): Promise<Map<string, number>> {
  if (streams.length === 0) return new Map();
  const held = async () => {
    const { rows } = await sql<{
      id: string;
      last: string;
    }>`select id, last from streams where id = any(${[...streams]}::text[]) order by id for no key update`.execute(
      db,
    );
    return new Map(rows.map(({ id, last }) => [id, Number(last)]));
  };
  const there = await held();
  if (there.size === streams.length) return there;
  await db
    .insertInto('streams')
    .values(streams.filter((id) => !there.has(id)).map((id) => ({ id, last: 0 })))
    .onConflict((conflict) => conflict.column('id').doNothing())
    .execute();
  return held();
}

export interface Held {
  /** Of those asked for, the people with an account that nobody else holds. */
  readonly people: ReadonlySet<string>;
  /** The last number of each stream that nobody else holds. */
  readonly last: Map<string, number>;
}

/**
 * Holds those people and streams that nobody else holds, and waits for none. A stream that is not there yet
 * is not held either.
 */
export async function holdFree(db: Db, people: readonly string[], streams: readonly string[]): Promise<Held> {
  const { rows } = await sql<{ person: string | null; stream: string | null; last: string | null }>`
    with present as materialized (select id from people where id = any(${[...people]}::text[])
      and left_at is null order by id for share skip locked),
      free as materialized (select id, last from streams where id = any(${[...streams]}::text[])
        order by id for no key update skip locked)
    select id as person, null as stream, null::bigint as last from present 
    union all select null, id, last from free`.execute(db);
  return {
    people: new Set(rows.flatMap(({ person }) => person ?? [])),
    last: new Map(
      rows.flatMap(({ stream, last }) => (stream === null ? [] : [[stream, Number(last)] as const])),
    ),
  };
}
