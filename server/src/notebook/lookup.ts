import { sql } from 'kysely';
import type { Kingdom } from '@pause/core';
import type { Arrival, Kind, Stamp } from '@pause/core/notebook';
import type { Db } from '../db';
import { inStreams } from './ids';
import type { CountKeys, WrittenRow } from './quotas';

/** What is read of the database to check a push: by keys, in two statements, however long the finds are. */

/** Where an id was used. */
export interface UsedId {
  readonly key: string;
  readonly stream: string;
  readonly seq: number;
  /** "find ID" or "page ID". */
  readonly about: string;
}
export interface FindHead {
  readonly id: string;
  readonly stream: string;
  readonly person: string;
  readonly kingdom: Kingdom;
}
export interface Looked {
  readonly ids: readonly UsedId[];
  readonly finds: readonly FindHead[];
  readonly written: readonly WrittenRow[];
}

/** @param keys of `entryKey`, as hexadecimal digits */
export async function lookUp(
  db: Db,
  keys: readonly string[],
  finds: readonly string[],
  { of, people }: CountKeys,
): Promise<Looked> {
  const {
    rows: [found],
  } = await sql<{
    ids: [string, string, number, string][] | null;
    finds: FindHead[] | null;
    written: WrittenRow[] | null;
  }>`select
    (select json_agg(json_build_array(key, stream, seq, about)) from entry_ids
      where key = any(${[...keys]}::uuid[])) as ids,
    (select json_agg(json_build_object('id', id, 'stream', stream, 'person', person, 'kingdom', kingdom))
      from finds where id = any(${[...finds]}::text[])) as finds,
    (select json_agg(counted) from (
      select of, case when person = any(${[...people]}::text[]) then person end as person,
        sum(entries) as entries, sum(bytes) as bytes from written where of = any(${[...of]}::text[]) group by 1, 2
      union all select '', person, 0, coalesce(sum(bytes), 0) from written
      where person = any(${[...people]}::text[]) and of like 'stream %' group by person
    ) as counted) as written`.execute(db);
  return {
    ids: (found?.ids ?? []).map(([key, stream, seq, about]) => ({
      key: key.replaceAll('-', ''),
      stream,
      seq,
      about,
    })),
    finds: found?.finds ?? [],
    written: found?.written ?? [],
  };
}

/** Of an entry on record, what later entries are checked against. */
export interface EntryOnRecord {
  readonly kind: Kind;
  readonly id: string;
  readonly find_id: string | null;
  readonly content_hash: string;
  readonly stream: string;
  readonly seq: string;
  readonly stamp: Stamp;
  readonly at: string;
  readonly by: string;
  readonly blind: boolean | null;
  readonly outcome: string;
  readonly arrival: Arrival | null;
}

export async function entriesAt(db: Db, places: readonly UsedId[]): Promise<EntryOnRecord[]> {
  if (places.length === 0) return [];
  const streams = places.map(({ stream }) => stream);
  const { rows } = await sql<EntryOnRecord>`
    select e.kind, e.id, e.find_id, e.content_hash, e.stream, e.seq, e.stamp,
      coalesce(e.body->>'at', e.body->>'startedAt') as at,
      e.body->>'by' as by, (e.body->>'blind')::boolean as blind,
      case when e.kind = 'verdicts' then e.body->'verdict'->>'outcome' end as outcome, a.arrival
    from unnest(${streams}::text[], ${places.map(({ seq }) => seq)}::bigint[]) as place (stream, seq)
    join entries e on e.stream = place.stream and e.seq = place.seq and e.stream = ${inStreams([...new Set(streams)])}
    left join arrivals a on a.id = e.id and e.kind = 'verdicts'`.execute(db);
  return rows;
}
