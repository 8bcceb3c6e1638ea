import { sql } from 'kysely';
import { neededBy, type Kingdom } from '@pause/core';
import type { Entry, FindEntry, PageRecord } from '@pause/core/notebook';
import type { Db } from '../db';
import { entryKey, inStreams } from './ids';
import type { EntryOnRecord, FindHead } from './lookup';
import { newestFields } from './pages';

/**
 * Of a find, only what is needed to check more entries of it, however long it is: what the entries name, and
 * who looked at it.
 */
export interface OnRecord {
  readonly person: string;
  readonly kingdom: Kingdom;
  readonly pieces: { readonly id: string }[];
  /** Those that are named; and who else looked, each once, where that matters. */
  readonly readings: { readonly id?: string; readonly by: string; readonly blind?: boolean | undefined }[];
  readonly verdicts: { readonly id: string; readonly outcome: string }[];
  readonly consents: { readonly verdict: string }[];
  readonly pictures: { readonly id: string; readonly by: string }[];
  readonly asks: { readonly by: string; readonly of: string; readonly here: boolean }[];
  readonly reveals: { readonly by: string }[];
}

const begun = (person: string, kingdom: Kingdom): OnRecord => ({
  person,
  kingdom,
  pieces: [],
  readings: [],
  verdicts: [],
  consents: [],
  pictures: [],
  asks: [],
  reveals: [],
});

/** An entry, and who tells it. */
interface Recorded<E = FindEntry> {
  readonly entry: E;
  readonly author: string;
}
/** Whether it matters who else looked at the find. */
const asksWhoLooked = ({ entry, author }: Recorded) =>
  entry.kind === 'readings' &&
  (entry.body.blind === true || entry.body.together !== undefined || entry.body.by !== author);
const isOfFind = (recorded: Recorded<Entry>): recorded is Recorded => recorded.entry.find !== undefined;
const of = (entries: readonly FindEntry[]) => [...new Set(entries.map(({ find }) => find))];

/** The ids that entries of finds name, by their key. */
export function namedIn(entries: readonly Entry[]): Map<string, readonly [kind: string, id: string]> {
  return new Map(
    entries
      .flatMap((entry) => {
        const named = entry.find === undefined ? undefined : neededBy(entry.kind, entry.body);
        return named ? [named] : [];
      })
      .map((named) => [entryKey(...named), named]),
  );
}
/** The kinds of which more is asked than whether they are there. */
export const NAMED_WITH_MORE = ['readings', 'pictures', 'verdicts'];

export interface FindsOnRecord {
  readonly heads: readonly FindHead[];
  /** The pieces that are named and that are there, with "find ID". */
  readonly pieces: readonly { readonly id: string; readonly about: string }[];
  /** What is on record of the readings, pictures and verdicts that are named. */
  readonly named: readonly EntryOnRecord[];
}

/** @param streams those of the finds @returns by the id of the find; none for a find that has not begun */
export async function onRecordOf(
  db: Db,
  all: readonly Recorded<Entry>[],
  streams: readonly string[],
  { heads, pieces, named }: FindsOnRecord,
): Promise<Map<string, OnRecord>> {
  const ofFinds = all.filter(isOfFind);
  const entries = ofFinds.map(({ entry }) => entry);
  const found = new Map(
    heads
      .filter(({ stream }) => streams.includes(stream))
      .map(({ id, person, kingdom }) => [id, begun(person, kingdom)]),
  );
  for (const { id, about } of pieces) found.get(about.slice('find '.length))?.pieces.push({ id });
  for (const { kind, id, find_id, by, blind, outcome } of named) {
    const record = found.get(find_id ?? '');
    if (kind === 'readings') record?.readings.push({ id, by, blind: blind ?? undefined });
    if (kind === 'pictures') record?.pictures.push({ id, by });
    if (kind === 'verdicts') record?.verdicts.push({ id, outcome });
  }
  await addConsents(db, found, entries, streams);
  await addWhoLooked(
    db,
    found,
    ofFinds.filter(asksWhoLooked).map(({ entry }) => entry),
    streams,
  );
  return found;
}

/** Adds the consents to the verdicts that these entries decide to collect on. */
async function addConsents(
  db: Db,
  found: ReadonlyMap<string, OnRecord>,
  entries: readonly FindEntry[],
  streams: readonly string[],
): Promise<void> {
  const chosen = entries.flatMap((entry) =>
    entry.kind === 'decisions' && entry.body.choice === 'collect' ? (entry.body.verdict ?? []) : [],
  );
  if (chosen.length === 0) return;
  const { rows } = await sql<{
    find_id: string;
    verdict: string;
  }>`select find_id, body->>'verdict' as verdict from entries
      where stream = ${inStreams(streams)} and find_id = any(${of(entries)}::text[]) and kind = 'consents'
      and body->>'verdict' = any(${chosen}::text[])`.execute(db);
  for (const { find_id, verdict } of rows) found.get(find_id)?.consents.push({ verdict });
}

/** Adds who read, was asked and revealed on the finds of these entries. */
async function addWhoLooked(
  db: Db,
  found: ReadonlyMap<string, OnRecord>,
  entries: readonly FindEntry[],
  streams: readonly string[],
): Promise<void> {
  if (entries.length === 0) return;
  const { rows } = await sql<{
    find_id: string;
    kind: string;
    by: string;
    of: string;
    here: boolean | null;
    blind: boolean | null;
  }>`
      select distinct find_id, kind, body->>'by' as by, body->>'of' as of,
        (body->>'here')::boolean as here, (body->>'blind')::boolean as blind from entries
      where stream = ${inStreams(streams)} and find_id = any(${of(entries)}::text[])
      and kind in ('readings', 'asks', 'reveals')`.execute(db);
  for (const { find_id, kind, by, of, here, blind } of rows) {
    const record = found.get(find_id);
    if (kind === 'readings') record?.readings.push({ by, blind: blind ?? undefined });
    if (kind === 'asks') record?.asks.push({ by, of, here: here === true });
    if (kind === 'reveals') record?.reveals.push({ by });
  }
}

/**
 * Notes an entry that was added, so that the next ones may name it.
 *
 * @returns the record, begun where the entry begins it
 */
export function noted(record: OnRecord | undefined, entry: FindEntry): OnRecord | undefined {
  if (entry.kind === 'finds') return record ?? begun(entry.body.person, entry.body.kingdom);
  if (!record) return undefined;
  switch (entry.kind) {
    case 'pieces':
      record.pieces.push(entry.body);
      break;
    case 'readings':
      record.readings.push(entry.body);
      break;
    case 'verdicts':
      record.verdicts.push({ id: entry.body.id, outcome: entry.body.verdict.outcome });
      break;
    case 'consents':
      record.consents.push(entry.body);
      break;
    case 'pictures':
      record.pictures.push(entry.body);
      break;
    case 'asks':
      record.asks.push(entry.body);
      break;
    case 'reveals':
      record.reveals.push(entry.body);
      break;
    default:
  }
  return record;
}

/** What decides who may tell something of a page, and what it comes from. */
const FIELDS_FOR_CHECKS = ['exactFor', 'others', 'find', 'from', 'of'] as const;

/** Pages with only what is needed to check more entries of them, however many entries they have. */
export async function pageOutlines(db: Db, pages: readonly string[]): Promise<Map<string, PageRecord>> {
  return newestFields(db, pages, FIELDS_FOR_CHECKS);
}
