import type { Entry, Kind, Arrival } from '@pause/core/notebook';
import type { Db } from '../db';

/** Entries as rows of the database. */

export interface EntryRow {
  seq: string;
  kind: Kind;
  find_id: string | null;
  page_id: string | null;
  stamp: string;
  body: unknown;
  arrival: Arrival | null;
  number: number | null;
}

/** An entry as its row has it. */
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

export function entryRows(db: Db) {
  return db
    .selectFrom('entries as e')
    .leftJoin('arrivals as a', (join) => join.onRef('a.id', '=', 'e.id').on('e.kind', '=', 'verdicts'))
    .leftJoin('finds as f', (join) => join.onRef('f.id', '=', 'e.id').on('e.kind', '=', 'finds'))
    .select(['e.seq', 'e.kind', 'e.find_id', 'e.page_id', 'e.stamp', 'e.body', 'a.arrival', 'f.number']);
}

/** The notebooks that finds or pages are in. */
export async function streamsThat(
  db: Db,
  table: 'finds' | 'pages',
  ids: readonly string[],
): Promise<string[]> {
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

export async function rowsOf(db: Db, finds: readonly string[]): Promise<EntryRow[]> {
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

export const numbersOf = (rows: readonly EntryRow[]) =>
  new Map(
    rows.flatMap(({ find_id, number }) =>
      find_id === null || number === null ? [] : [[find_id, number] as const],
    ),
  );
