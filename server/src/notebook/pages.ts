import { sql } from 'kysely';
import { type PageRecord, groupEntries, applyAllToPage } from '@pause/core/notebook';
import { groupOf } from '../access';
import type { Db } from '../db';
import { inStreams } from './ids';
import { streamsThat, toEntry, type EntryRow } from './rows';

/** Pages, folded from their entries. */

/** Pages with everything that was ever recorded of them. */
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

/** Nobody begins the page of a group; it is there before its first entry. */
async function groupPages(db: Db, pages: readonly string[]): Promise<Map<string, PageRecord>> {
  const groups = await db
    .selectFrom('pages')
    .select('id')
    .where('kind', '=', 'group')
    .where('id', 'in', [...pages])
    .execute();
  return new Map(
    groups.map(({ id }) => [id, { id, kind: 'group', at: '', group: id, changes: [], sightings: [] }]),
  );
}

/** Pages with only the last value of these fields: found without reading all values before. */
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
    select e.kind, e.find_id, e.page_id, e.stamp, e.body from unnest(${[...pages]}::text[]) as page (id)
    cross join unnest(${[...fields]}::text[]) as wanted (field)
    cross join lateral (select * from entries
    where stream = ${inStreams([...new Set(heads.map(({ stream }) => stream))])} and page_id = page.id
    and kind = 'fields' and body->>'field' = wanted.field
    order by stamp collate "C" desc, id desc limit 1) as e`.execute(db);
  const entries = groupEntries(rows.map(toEntry)).pages;
  return new Map(
    heads.map(({ id, kind, person, stream }) => {
      const group = groupOf(stream);
      const page: PageRecord = {
        id,
        kind,
        at: '',
        ...(person === null ? {} : { person }),
        ...(group === undefined ? {} : { group }),
        changes: [],
        sightings: [],
      };
      return [id, applyAllToPage(page, entries.get(id) ?? []) ?? page];
    }),
  );
}
