import { createHash, type Hash } from 'node:crypto';
import { sql } from 'kysely';
import { canonicalJson, type CompiledGuide } from '@pause/core';
import { groupOf, groupStream } from '../access';
import type { Db } from '../db';
import { withReviews } from '../groups';
import { decideRecord, hashOf, recordsOf, toEntry } from '../notebook';
import { Problem } from '../problem';

/** What a notebook comes to, to compare a copy with what it was made of. */
export interface Digest {
  readonly streams: number;
  readonly finds: number;
  /** Places, eaters, walks and groups that have entries. */
  readonly pages: number;
  readonly entries: number;
  readonly readings: number;
  readonly verdicts: number;
  /** SHA-256 over the content of every entry, in order. */
  readonly content: string;
  /** SHA-256 over the verdict that every find gives by this guide and its group's rules. */
  readonly recomputed: string;
  /** What is not as it must be: gaps, entries that are not what was recorded, entries of no find. */
  readonly problems: readonly string[];
}

const ENTRIES_AT_ONCE = 2000;
const FINDS_AT_ONCE = 200;

/** The SHA-256 of a list's canonical JSON, item by item, so that a long list need not be in memory. */
function hashOfList(): { readonly add: (item: unknown) => void; readonly end: () => string } {
  const hash: Hash = createHash('sha256').update('[');
  let first = true;
  return {
    add: (item) => {
      hash.update(`${first ? '' : ','}${canonicalJson(item)}`);
      first = false;
    },
    end: () => hash.update(']').digest('hex'),
  };
}

/**
 * Goes through everything on record, a part at a time: nothing may be missing, nothing changed, and every
 * find is decided anew.
 */
export async function digest(db: Db, guide: CompiledGuide): Promise<Digest> {
  const problems: string[] = [];
  const { content, entries, readings, verdicts } = await readEntries(db, problems);
  const { finds, recomputed } = await decideAll(db, guide, problems);
  const [{ streams }, { pages }] = [
    await db
      .selectFrom('streams')
      .select(({ fn }) => fn.countAll<string>().as('streams'))
      .executeTakeFirstOrThrow(),
    (await sql<{ pages: string }>`select count(distinct page_id) as pages from entries`.execute(db))
      .rows[0] ?? { pages: '0' },
  ];
  for (const [table, column] of [
    ['finds', 'find_id'],
    ['pages', 'page_id'],
  ] as const) {
    const { rows } = await sql<{ id: string; count: string }>`
      select ${sql.ref(column)} as id, count(*) as count from entries where ${sql.ref(column)} is not null
      and not exists (select 1 from ${sql.table(table)} as begun
      where begun.id = ${sql.ref(`entries.${column}`)}) group by 1`.execute(db);
    for (const { id, count } of rows) problems.push(`${count} entries are of "${id}", which never began`);
  }
  return {
    streams: Number(streams),
    finds,
    pages: Number(pages),
    entries,
    readings,
    verdicts,
    content,
    recomputed,
    problems,
  };
}

async function readEntries(
  db: Db,
  problems: string[],
): Promise<Pick<Digest, 'content' | 'entries' | 'readings' | 'verdicts'>> {
  const content = hashOfList();
  let [entries, readings, verdicts] = [0, 0, 0];
  const streams = await db
    .selectFrom('streams')
    .selectAll()
    .orderBy(sql`id collate "C"`)
    .execute();
  for (const { id, last } of streams) {
    let end = 0;
    for (;;) {
      const rows = await db
        .selectFrom('entries')
        .select(['stream', 'seq', 'kind', 'id', 'find_id', 'page_id', 'stamp', 'body', 'content_hash'])
        .where('stream', '=', id)
        .where('seq', '>', String(end))
        .orderBy('seq')
        .limit(ENTRIES_AT_ONCE)
        .execute();
      for (const row of rows) {
        const seq = Number(row.seq);
        if (seq !== end + 1) problems.push(`${id}: ${seq} does not follow ${end}`);
        end = seq;
        if (hashOf(toEntry(row)) !== row.content_hash)
          problems.push(`${row.kind} ${row.id} is not what was told`);
        content.add([row.stream, row.seq, row.kind, row.content_hash]);
        entries += 1;
        if (row.kind === 'readings') readings += 1;
        if (row.kind === 'verdicts') verdicts += 1;
      }
      if (rows.length < ENTRIES_AT_ONCE) break;
    }
    if (end !== Number(last)) problems.push(`${id} ends at ${end} and says ${last}`);
  }
  return { content: content.end(), entries, readings, verdicts };
}

async function decideAll(
  db: Db,
  guide: CompiledGuide,
  problems: string[],
): Promise<Pick<Digest, 'finds' | 'recomputed'>> {
  const [groups, reviews] = [
    await db.selectFrom('groups').select(['id', 'policy']).execute(),
    await db.selectFrom('reviews').select(['group_id', 'taxon', 'content']).orderBy('taxon').execute(),
  ];
  const policies = new Map(
    groups.map(({ id, policy }) => [
      groupStream(id),
      withReviews(
        policy,
        reviews.filter((r) => r.group_id === id),
      ),
    ]),
  );
  const recomputed = hashOfList();
  let [finds, after] = [0, ''];
  for (;;) {
    const heads = await db
      .selectFrom('finds')
      .select(['id', 'stream'])
      .where(sql<string>`id collate "C"`, '>', after)
      .orderBy(sql`id collate "C"`)
      .limit(FINDS_AT_ONCE)
      .execute();
    const records = await recordsOf(
      db,
      heads.map(({ id }) => id),
    );
    for (const { id, stream } of heads) {
      after = id;
      const record = records.get(id);
      if (!record) {
        problems.push(`there are no entries of the find "${id}"`);
        continue;
      }
      finds += 1;
      try {
        recomputed.add([
          id,
          decideRecord(record, guide, groupOf(stream) === undefined ? undefined : policies.get(stream))
            .verdict,
        ]);
      } catch (error) {
        // A find that has no name or no piece yet gives none.
        if (!(error instanceof Problem)) throw error;
        recomputed.add([id, null]);
      }
    }
    if (heads.length < FINDS_AT_ONCE) return { finds, recomputed: recomputed.end() };
  }
}

/** How a copy differs from what it was made of; nothing where it is whole. */
export function differences(before: Digest, after: Digest): string[] {
  const counted = (['streams', 'finds', 'pages', 'entries', 'readings', 'verdicts'] as const).flatMap(
    (name) => (before[name] === after[name] ? [] : [`${name}: ${before[name]} before, ${after[name]} now`]),
  );
  return [
    ...counted,
    ...(before.content === after.content ? [] : ['what was told is not the same']),
    ...(before.recomputed === after.recomputed ? [] : ['decided anew, some find gives another verdict']),
    ...after.problems,
  ];
}
