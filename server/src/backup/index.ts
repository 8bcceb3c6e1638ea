import { applyEntry, canonicalJson, contentHash, type CompiledGuide, type FindRecord } from '@pause/core';
import { applyToPage, type PageRecord } from '@pause/core/notebook';
import { groupOf, groupStream } from '../access';
import type { Db } from '../db';
import { withReviews } from '../groups';
import { decideRecord, hashOf, toEntry } from '../notebook';
import { Problem } from '../problem';

/** What a notebook comes to, to compare a copy with what it was made of. */
export interface Digest {
  readonly streams: number;
  readonly finds: number;
  /** Places, eaters, walks and groups that something was told of. */
  readonly pages: number;
  readonly entries: number;
  readonly readings: number;
  readonly verdicts: number;
  /** SHA-256 over the content of every entry, in order. */
  readonly content: string;
  /** SHA-256 over the verdict that every find gives by this guide and its group's rules. */
  readonly recomputed: string;
  /** What is not as it must be: gaps, entries that are not what was told, entries of no find. */
  readonly problems: readonly string[];
}

/** Goes through everything on record: nothing may be missing, nothing changed, and every find is decided anew. */
export async function digest(db: Db, guide: CompiledGuide): Promise<Digest> {
  const rows = await db.selectFrom('entries').select(['stream', 'seq', 'kind', 'id', 'find_id', 'page_id', 'stamp', 'body', 'content_hash']).orderBy('stream').orderBy('seq').execute();
  const streams = await db.selectFrom('streams').selectAll().orderBy('id').execute();
  const [groups, reviews] = [await db.selectFrom('groups').select(['id', 'policy']).execute(), await db.selectFrom('reviews').select(['group_id', 'taxon', 'content']).orderBy('taxon').execute()];
  const problems: string[] = [];
  const ends = new Map<string, number>();
  const records = new Map<string, FindRecord>();
  const pages = new Map<string, PageRecord>();
  const streamOf = new Map<string, string>();
  for (const row of rows) {
    const seq = Number(row.seq);
    if (seq !== (ends.get(row.stream) ?? 0) + 1) problems.push(`${row.stream}: ${seq} does not follow ${ends.get(row.stream) ?? 0}`);
    ends.set(row.stream, seq);
    const entry = toEntry(row);
    if (hashOf(entry) !== row.content_hash) problems.push(`${row.kind} ${row.id} is not what was told`);
    if (entry.find === undefined) {
      const page = applyToPage(pages.get(entry.page), entry);
      if (page) pages.set(entry.page, page);
      else problems.push(`${row.kind} ${row.id} is of no page`);
      continue;
    }
    const record = applyEntry(records.get(entry.find), entry);
    if (!record) problems.push(`${row.kind} ${row.id} is of no find`);
    else records.set(entry.find, record);
    streamOf.set(entry.find, row.stream);
  }
  for (const { id, last } of streams) if ((ends.get(id) ?? 0) !== Number(last)) problems.push(`${id} ends at ${ends.get(id) ?? 0} and says ${last}`);
  const policies = new Map(groups.map(({ id, policy }) => [groupStream(id), withReviews(policy, reviews.filter((r) => r.group_id === id))]));
  const verdicts = [...records].sort(([a], [b]) => (a < b ? -1 : 1)).map(([id, record]) => {
    const stream = streamOf.get(id) ?? '';
    try {
      return [id, decideRecord(record, guide, groupOf(stream) === undefined ? undefined : policies.get(stream)).verdict];
    } catch (error) {
      // A find that has no name or no piece yet gives none.
      if (error instanceof Problem) return [id, null];
      throw error;
    }
  });
  return {
    streams: streams.length, finds: records.size, pages: pages.size, entries: rows.length, readings: rows.filter((r) => r.kind === 'readings').length, verdicts: rows.filter((r) => r.kind === 'verdicts').length,
    content: contentHash(rows.map((row) => [row.stream, row.seq, row.kind, row.content_hash])), recomputed: contentHash(JSON.parse(canonicalJson(verdicts))), problems,
  };
}

/** How a copy differs from what it was made of; nothing where it is whole. */
export function differences(before: Digest, after: Digest): string[] {
  const counted = (['streams', 'finds', 'pages', 'entries', 'readings', 'verdicts'] as const).flatMap((name) => (before[name] === after[name] ? [] : [`${name}: ${before[name]} before, ${after[name]} now`]));
  return [
    ...counted,
    ...(before.content === after.content ? [] : ['what was told is not the same']),
    ...(before.recomputed === after.recomputed ? [] : ['decided anew, some find gives another verdict']),
    ...after.problems,
  ];
}
