import { sql } from 'kysely';
import type { Entry } from '@pause/core/notebook';
import type { Db } from '../db';
import { type FieldProblem } from '../problem';
import { inStreams } from './ids';

/** How much may be put on record, so that nobody fills a notebook, a find or a disk for everybody else. */
export interface Quotas {
  /** By one person of one find or page. */
  readonly entries: number;
  readonly bytes: number;
  /** By one person in all notebooks, and by all people in one. In bytes. */
  readonly person: number;
  readonly stream: number;
}
export const QUOTAS: Quotas = { entries: 10_000, bytes: 16_000_000, person: 300_000_000, stream: 2_000_000_000 };

/**
 * How many of these a find may have: told by whoever began it, and by everybody else together. What others tell never takes the finder's part.
 * Together they are what a case may hold.
 */
const OF_A_FIND: Readonly<Partial<Record<Entry['kind'], readonly [finder: number, others: number]>>> = {
  pieces: [30, 20], readings: [300, 200], withdrawals: [300, 200], skips: [300, 200], targets: [300, 200], verdicts: [300, 200], pictures: [200, 100],
};
const ofKind = (find: string, kind: string, own: boolean) => `${find} ${kind} ${own ? 'own' : 'others'}`;

/** What an entry is of, so that a find and a page never pass for each other. */
export const aboutOf = (entry: Entry) => (entry.find === undefined ? `page ${entry.page}` : `find ${entry.find}`);
const streamKey = (stream: string) => `stream ${stream}`;

interface Count { entries: number; bytes: number }

/** Counts what people add to what is on record. */
export interface Written {
  /** What stands against one entry more; nothing where there is room. */
  readonly full: (person: string, entry: Entry, stream: string, finder: string, bytes: number) => FieldProblem[];
  readonly add: (person: string, entry: Entry, stream: string, finder: string, bytes: number) => void;
  readonly keep: (transaction: Db) => Promise<void>;
}

export interface Adds {
  readonly person: string;
  readonly entries: readonly Entry[];
}
const none = (): Count => ({ entries: 0, bytes: 0 });

export async function writtenBy(db: Db, adds: readonly Adds[], streams: readonly string[], quotas: Quotas = QUOTAS): Promise<Written> {
  const all = adds.flatMap(({ entries }) => entries);
  const people = [...new Set(adds.map(({ person }) => person))];
  const keys = [...new Set([...all.map(aboutOf), ...streams.map(streamKey)])];
  const { rows } = await sql<{ of: string; person: string | null; entries: string; bytes: string }>`
    select of, case when person = any(${people}::text[]) then person end as person, sum(entries) as entries, sum(bytes) as bytes from written where of = any(${keys}::text[]) group by 1, 2
    union all select '', person, 0, coalesce(sum(bytes), 0) from written where person = any(${people}::text[]) and of like 'stream %' group by person`.execute(db);
  // By what it is of and by whom; and of all people together.
  const byEach = new Map<string, Count>();
  const bytesOf = new Map<string, number>();
  const key = (of: string, person: string) => `${person}\n${of}`;
  for (const row of rows) {
    if (row.person !== null) byEach.set(key(row.of, row.person), { entries: Number(row.entries), bytes: Number(row.bytes) });
    if (row.of !== '') bytesOf.set(row.of, (bytesOf.get(row.of) ?? 0) + Number(row.bytes));
  }
  const kinds = await kindsOf(db, all, streams);
  const added = new Map<string, { readonly of: string; readonly person: string; readonly count: Count }>();
  const countOf = (of: string, person: string): Count => byEach.get(key(of, person)) ?? none();
  const more = (of: string, person: string, bytes: number) => {
    const add = (count: Count) => ({ entries: count.entries + 1, bytes: count.bytes + bytes });
    byEach.set(key(of, person), add(countOf(of, person)));
    if (of !== '') added.set(key(of, person), { of, person, count: add(added.get(key(of, person))?.count ?? none()) });
  };
  return {
    full: (person, entry, stream, finder, bytes) => {
      const field = entry.find === undefined ? 'page' : 'find';
      const count = countOf(aboutOf(entry), person);
      if (count.entries >= quotas.entries) return [{ field, reason: `you put ${quotas.entries} entries on record of it already, which is the most: begin another` }];
      if (count.bytes + bytes > quotas.bytes) return [{ field, reason: `what you put on record of it is as large as it may be: begin another` }];
      const most = OF_A_FIND[entry.kind];
      if (entry.find !== undefined && most) {
        const own = finder === person;
        const [there, allowed] = [kinds.get(ofKind(entry.find, entry.kind, own)) ?? 0, own ? most[0] : most[1]];
        if (there >= allowed) return [{ field: 'kind', reason: `there are ${allowed} ${entry.kind} on this find already${own ? '' : ' by others than the finder'}, which is the most: begin another find` }];
      }
      if (countOf('', person).bytes + bytes > quotas.person) return [{ field: 'by', reason: 'you put as much on record as one person may' }];
      return (bytesOf.get(streamKey(stream)) ?? 0) + bytes > quotas.stream ? [{ field: 'group', reason: 'this notebook holds as much as it may' }] : [];
    },
    add: (person, entry, stream, finder, bytes) => {
      for (const of of [aboutOf(entry), streamKey(stream), '']) more(of, person, bytes);
      bytesOf.set(streamKey(stream), (bytesOf.get(streamKey(stream)) ?? 0) + bytes);
      if (entry.find === undefined) return;
      const kind = ofKind(entry.find, entry.kind, finder === person);
      kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
    },
    keep: async (transaction) => {
      if (added.size === 0) return;
      const counts = [...added.values()].sort((a, b) => (`${a.of}\n${a.person}` < `${b.of}\n${b.person}` ? -1 : 1));
      await sql`insert into written (of, person, entries, bytes)
        select of, person, entries, bytes from unnest(${counts.map(({ of }) => of)}::text[], ${counts.map(({ person }) => person)}::text[], ${counts.map(({ count }) => count.entries)}::int[], ${counts.map(({ count }) => count.bytes)}::bigint[]) as added (of, person, entries, bytes)
        on conflict (of, person) do update set entries = written.entries + excluded.entries, bytes = written.bytes + excluded.bytes`.execute(transaction);
    },
  };
}

/** How many of the kinds that are counted each find has, by its finder and by others. */
async function kindsOf(db: Db, entries: readonly Entry[], streams: readonly string[]): Promise<Map<string, number>> {
  const counted = entries.filter(({ find, kind }) => find !== undefined && OF_A_FIND[kind] !== undefined);
  if (counted.length === 0) return new Map();
  const { rows } = await sql<{ find_id: string; kind: string; own: boolean; count: string }>`
    select e.find_id, e.kind, e.person = f.person as own, count(*) as count from entries e join finds f on f.id = e.find_id
    where e.stream = ${inStreams(streams)} and e.find_id = any(${[...new Set(counted.map(({ find }) => find))]}::text[]) and e.kind = any(${[...new Set(counted.map(({ kind }) => kind))]}::text[]) group by 1, 2, 3`.execute(db);
  return new Map(rows.map(({ find_id, kind, own, count }) => [ofKind(find_id, kind, own), Number(count)]));
}
