import { EventEmitter } from 'node:events';
import { sql } from 'kysely';
import { applyEntries, findsOf, summaryOf, type FindRecord, type FindSummary } from '@pause/core';
import {
  applyAllToPage,
  chosenLast,
  entryFor,
  groupEntries,
  pageEntryFor,
  type Arrival,
  type Edit,
  type Entry,
  type FindEntry,
  type Kind,
  type PageRecord,
  type Placed,
} from '@pause/core/notebook';
import { groupOf, ownStream, streamsOf, type Actor } from '../access';
import type { Db } from '../db';
import { inStreams } from './ids';

/** The channel on which servers tell each other that a stream grew. */
export const CHANNEL = 'pause_streams';

interface EntryRow {
  seq: string;
  kind: Kind;
  find_id: string | null;
  page_id: string | null;
  stamp: string;
  body: unknown;
  arrival: Arrival | null;
  number: number | null;
}

const PERSON = 'person';
const personNews = new EventEmitter().setMaxListeners(0);
/** Hears of people of whose sessions or groups this server changed something. @returns to hear no more */
export function onPersonNews(hear: (person: string) => void): () => void {
  personNews.on(PERSON, hear);
  return () => personNews.off(PERSON, hear);
}

/** An entry as it stands in its row. */
export const toEntry = ({
  kind,
  find_id,
  page_id,
  stamp,
  body,
  arrival,
}: Pick<EntryRow, 'kind' | 'find_id' | 'page_id' | 'stamp' | 'body'> & {
  readonly arrival?: Arrival | null;
}): Entry =>
  ({
    ...(find_id === null ? { page: page_id } : { find: find_id }),
    kind,
    body,
    stamp,
    ...(arrival ? { arrival } : {}),
  }) as Entry;

function entryRows(db: Db) {
  return db
    .selectFrom('entries as e')
    .leftJoin('arrivals as a', (join) => join.onRef('a.id', '=', 'e.id').on('e.kind', '=', 'verdicts'))
    .leftJoin('finds as f', (join) => join.onRef('f.id', '=', 'e.id').on('e.kind', '=', 'finds'))
    .select(['e.seq', 'e.kind', 'e.find_id', 'e.page_id', 'e.stamp', 'e.body', 'a.arrival', 'f.number']);
}

/** The notebooks that finds or pages are in. */
async function streamsThat(db: Db, table: 'finds' | 'pages', ids: readonly string[]): Promise<string[]> {
  const rows =
    ids.length === 0
      ? []
      : await db
          .selectFrom(table)
          .select('stream')
          .distinct()
          .where('id', 'in', [...ids])
          .execute();
  return rows.map(({ stream }) => stream);
}

async function rowsOf(db: Db, finds: readonly string[]): Promise<EntryRow[]> {
  const streams = await streamsThat(db, 'finds', finds);
  return streams.length === 0
    ? []
    : await entryRows(db)
        .where('e.stream', 'in', streams)
        .where('e.find_id', 'in', [...finds])
        .orderBy('e.stream')
        .orderBy('e.seq')
        .execute();
}

const numbersOf = (rows: readonly EntryRow[]) =>
  new Map(
    rows.flatMap(({ find_id, number }) =>
      find_id === null || number === null ? [] : [[find_id, number] as const],
    ),
  );

/** Rows of finds as records, each with the number that this server gave it. */
function folded(
  rows: readonly EntryRow[],
  seen: (entries: readonly FindEntry[]) => readonly FindEntry[] = (entries) => entries,
): Map<string, FindRecord> {
  const records = new Map<string, FindRecord>();
  const numbers = numbersOf(rows);
  for (const [find, entries] of groupEntries(rows.map(toEntry)).finds) {
    const record = applyEntries(undefined, seen(entries));
    const number = numbers.get(find);
    if (record) records.set(find, number === undefined ? record : { ...record, number });
  }
  return records;
}

/** The same, each as this reader may see it. */
const foldedFor = (rows: readonly EntryRow[], reader: string) =>
  folded(rows, (entries) => {
    const whole = applyEntries(undefined, entries);
    const placed = whole && chosenLast(whole);
    return placed ? entries.map((entry) => entryFor(entry, placed, reader)) : [];
  });

/** Pages with everything that was ever told of them. */
export async function pagesOf(db: Db, pages: readonly string[]): Promise<Map<string, PageRecord>> {
  if (pages.length === 0) return new Map();
  const all = await groupPages(db, pages);
  const streams = await streamsThat(db, 'pages', pages);
  if (streams.length === 0) return all;
  const rows = await db
    .selectFrom('entries')
    .select(['kind', 'find_id', 'page_id', 'stamp', 'body'])
    .where('stream', 'in', streams)
    .where('page_id', 'in', [...pages])
    .orderBy('stream')
    .orderBy('seq')
    .execute();
  for (const [id, entries] of groupEntries(rows.map(toEntry)).pages) {
    const page = applyAllToPage(all.get(id), entries);
    if (page) all.set(id, page);
  }
  return all;
}

/** Nobody begins the page of a group; it is there before anything is told of it. */
async function groupPages(db: Db, pages: readonly string[]): Promise<Map<string, PageRecord>> {
  const groups = await db
    .selectFrom('pages')
    .select('id')
    .where('kind', '=', 'group')
    .where('id', 'in', [...pages])
    .execute();
  return new Map(
    groups.map(({ id }) => [id, { id, kind: 'group', at: '', group: id, told: [], sightings: [] }]),
  );
}

/** Pages with only what was told last of these fields: found without reading all that was told before. */
export async function newestFields(
  db: Db,
  pages: readonly string[],
  fields: readonly string[],
): Promise<Map<string, PageRecord>> {
  if (pages.length === 0) return new Map();
  const heads = await db
    .selectFrom('pages')
    .select(['id', 'kind', 'person', 'stream'])
    .where('id', 'in', [...pages])
    .execute();
  const { rows } = await sql<Pick<EntryRow, 'kind' | 'find_id' | 'page_id' | 'stamp' | 'body'>>`
    select e.kind, e.find_id, e.page_id, e.stamp, e.body from unnest(${[...pages]}::text[]) as page (id) cross join unnest(${[...fields]}::text[]) as wanted (field)
    cross join lateral (select * from entries where stream = ${inStreams([...new Set(heads.map(({ stream }) => stream))])} and page_id = page.id and kind = 'fields' and body->>'field' = wanted.field order by stamp collate "C" desc, id desc limit 1) as e`.execute(
    db,
  );
  const told = groupEntries(rows.map(toEntry)).pages;
  return new Map(
    heads.map(({ id, kind, person, stream }) => {
      const group = groupOf(stream);
      const page: PageRecord = {
        id,
        kind,
        at: '',
        ...(person === null ? {} : { person }),
        ...(group === undefined ? {} : { group }),
        told: [],
        sightings: [],
      };
      return [id, applyAllToPage(page, told.get(id) ?? []) ?? page];
    }),
  );
}

/** Finds with everything that was ever added to them. */
export async function recordsOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  return folded(await rowsOf(db, finds));
}

/** What a verdict is worked out from. */
const CASE_KINDS: readonly Kind[] = [
  'finds',
  'pieces',
  'targets',
  'contexts',
  'readings',
  'withdrawals',
  'skips',
];
/** Finds with only what a verdict is worked out from. */
export async function casesOf(
  db: Db,
  finds: readonly string[],
  streams: readonly string[],
): Promise<Map<string, FindRecord>> {
  if (finds.length === 0 || streams.length === 0) return new Map();
  return folded(
    await entryRows(db)
      .where('e.stream', 'in', [...streams])
      .where('e.find_id', 'in', [...finds])
      .where('e.kind', 'in', CASE_KINDS)
      .orderBy('e.stream')
      .orderBy('e.seq')
      .execute(),
  );
}

/**
 * The same, of their verdicts only what came out and under which guide: the rest of a verdict is most of a
 * find, and follows from it.
 */
export async function outcomesOf(db: Db, finds: readonly string[]): Promise<Map<string, FindRecord>> {
  const rows = await outcomeRows(db, finds);
  return folded(rows.map((row) => ({ ...row, arrival: null, number: null })));
}

async function outcomeRows(db: Db, finds: readonly string[]): Promise<EntryRow[]> {
  const streams = await streamsThat(db, 'finds', finds);
  if (streams.length === 0) return [];
  const { rows } = await sql<EntryRow>`select e.seq, e.kind, e.find_id, e.page_id, e.stamp,
    case when e.kind = 'verdicts' then jsonb_set(e.body, '{verdict}', jsonb_build_object('outcome', e.body->'verdict'->'outcome', 'guide', e.body->'verdict'->'guide')) else e.body end as body,
    case when a.id is not null then jsonb_build_object('at', a.arrival->'at', 'because', a.arrival->'because', 'verdict', jsonb_build_object('outcome', a.arrival->'verdict'->'outcome')) end as arrival,
    f.number
    from entries e left join arrivals a on a.id = e.id and e.kind = 'verdicts' left join finds f on f.id = e.id and e.kind = 'finds'
    where e.stream = ${inStreams(streams)} and e.find_id = any(${[...finds]}::text[]) order by e.stream, e.seq`.execute(
    db,
  );
  return rows;
}

/** Finds with everything that was ever added to them, each as this reader may see it. */
export async function recordsFor(
  db: Db,
  finds: readonly string[],
  reader: string,
): Promise<Map<string, FindRecord>> {
  return foldedFor(await rowsOf(db, finds), reader);
}

/** Bytes of entries after which a page ends. */
const MOST_BYTES = 1_000_000;

export interface Pulled {
  readonly stream: string;
  readonly entries: readonly (Entry & { readonly seq: number; readonly number?: number })[];
  /** How far the stream has got. */
  readonly last: number;
}

/**
 * The next entries of a stream after one that is known already, each as this reader may see it. Their numbers
 * follow one another without gaps.
 */
export async function pull(
  db: Db,
  reader: string,
  stream: string,
  after: number,
  most: number,
): Promise<Pulled> {
  // A page is as long as its entries are small: one at least, and no more than a megabyte of them.
  const {
    rows: [page],
  } = await sql<{ until: string | null }>`select max(seq) as until from (
    select seq, sum(size) over (order by seq) - size as before
    from (
      select e.seq, octet_length(e.body::text) + coalesce(octet_length(a.arrival::text), 0) as size
      from entries e left join arrivals a on a.id = e.id and e.kind = 'verdicts' where e.stream = ${stream} and e.seq > ${String(after)} order by e.seq limit ${most}
    ) as next
  ) as sized where before < ${MOST_BYTES}`.execute(db);
  const rows =
    page?.until == null
      ? []
      : ((await entryRows(db)
          .where('e.stream', '=', stream)
          .where('e.seq', '>', String(after))
          .where('e.seq', '<=', page.until)
          .orderBy('e.seq')
          .execute()) as EntryRow[]);
  const head = await db.selectFrom('streams').select('last').where('id', '=', stream).executeTakeFirst();
  // Who is told a place is decided by what was chosen last, also for what was told before.
  const places =
    stream === ownStream(reader) ? undefined : await placesOf(db, [...findsOf(rows.map(toEntry))]);
  const pages =
    stream === ownStream(reader)
      ? undefined
      : await newestFields(db, [...new Set(rows.flatMap((row) => row.page_id ?? []))], PLACE_CHOICES);
  return {
    stream,
    last: Math.max(Number(head?.last ?? 0), Number(rows.at(-1)?.seq ?? 0)),
    entries: rows.map((row) => {
      const entry = toEntry(row);
      const record = entry.find === undefined ? undefined : places?.get(entry.find);
      const page = entry.page === undefined ? undefined : pages?.get(entry.page);
      const seen =
        entry.find === undefined
          ? page
            ? pageEntryFor(entry, page, reader)
            : entry
          : record
            ? entryFor(entry, record, reader)
            : entry;
      return { ...seen, seq: Number(row.seq), ...(row.number === null ? {} : { number: row.number }) };
    }),
  };
}

/** What decides who is told a place: only what was chosen last. */
const PLACE_CHOICES = ['exactFor', 'others'] as const;

async function placesOf(db: Db, finds: readonly string[]): Promise<Map<string, Placed>> {
  if (finds.length === 0) return new Map();
  const heads = await db
    .selectFrom('finds')
    .select(['id', 'person', 'stream'])
    .where('id', 'in', [...finds])
    .execute();
  const { rows } = await sql<{ find_id: string; stamp: string; body: Edit }>`
    select e.find_id, e.stamp, e.body from unnest(${[...finds]}::text[]) as find (id) cross join unnest(${[...PLACE_CHOICES]}::text[]) as wanted (field)
    cross join lateral (select * from entries where stream = ${inStreams([...new Set(heads.map(({ stream }) => stream))])} and find_id = find.id and kind = 'edits' and body->>'field' = wanted.field order by stamp collate "C" desc, id desc limit 1) as e`.execute(
    db,
  );
  const places = new Map(heads.map(({ id, person }) => [id, { person, edits: [] as Edit[] }]));
  for (const { find_id, body } of rows) places.get(find_id)?.edits.push(body);
  return places;
}

/** What was told of finds after which a list of them ends. */
const MOST_LISTED_BYTES = 4_000_000;

/**
 * The newest finds that a person may see, newest first, each as a line; fewer where very much was told of
 * them.
 */
export async function listFinds(db: Db, actor: Actor, most: number): Promise<FindSummary[]> {
  const { rows: heads } = await sql<{ id: string }>`select id from (
    select id, started_at, number, sum(coalesce(size, 0)) over (order by started_at desc, number desc) - coalesce(size, 0) as before
    from (select id, started_at, number, (select sum(bytes) from written where of = 'find ' || f.id) as size from finds f
      where stream = any(${streamsOf(actor)}::text[]) order by started_at desc, number desc limit ${most}) as newest
  ) as sized where before < ${MOST_LISTED_BYTES} order by started_at desc, number desc`.execute(db);
  const records = foldedFor(
    await outcomeRows(
      db,
      heads.map(({ id }) => id),
    ),
    actor.person,
  );
  return heads.flatMap(({ id }) => {
    const record = records.get(id);
    return record ? [summaryOf(record)] : [];
  });
}

/** How far each stream of a person has got. */
export async function streamEnds(db: Db, actor: Actor): Promise<{ id: string; last: number }[]> {
  const ids = streamsOf(actor);
  const rows = await db.selectFrom('streams').select(['id', 'last']).where('id', 'in', ids).execute();
  return ids.map((id) => ({ id, last: Number(rows.find((row) => row.id === id)?.last ?? 0) }));
}

/**
 * Tells this server at once, and every other once the transaction is through, that something became of a
 * person's sessions or groups.
 */
export async function tellPerson(db: Db, person: string): Promise<void> {
  personNews.emit(PERSON, person);
  await sql`select pg_notify(${CHANNEL}, ${JSON.stringify({ person })})`.execute(db);
}
