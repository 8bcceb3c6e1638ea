import { sql } from 'kysely';
import type { PageEntry } from '@pause/core/notebook';
import { groupStream } from '../access';
import { record } from '../accounts/audit';
import type { Db } from '../db';

/** The rules of a group, as the entries of its notebook make them. */

type GroupField = Extract<PageEntry, { kind: 'fields' }>;

/**
 * What a keeper recorded of the group's name and rules is part of them, field by field: what was recorded last
 * stands, whenever it arrived.
 */
export async function settleGroups(db: Db, person: string, fields: readonly GroupField[]): Promise<void> {
  for (const group of new Set(fields.map(({ page }) => page))) {
    const rows = await sql<{ field: string; value: unknown }>`
      select distinct on (body ->> 'field') body ->> 'field' as field, body -> 'value' as value from entries
      where stream = ${groupStream(group)} and page_id = ${group} and kind = 'fields'
      order by body ->> 'field', stamp collate "C" desc, id collate "C" desc`.execute(db);
    const { policy, name: called } = await db
      .selectFrom('groups')
      .select(['policy', 'name'])
      .where('id', '=', group)
      .forUpdate()
      .executeTakeFirstOrThrow();
    const settled = new Map<string, unknown>(Object.entries({ ...policy, name: called }));
    for (const { field, value } of rows.rows) {
      if (value !== null) settled.set(field, value);
      else settled.delete(field);
    }
    const { name: now, ...rules } = Object.fromEntries(settled);
    await db
      .updateTable('groups')
      .set({ name: now as string, policy: JSON.stringify(rules) })
      .where('id', '=', group)
      .execute();
  }
  for (const { page, body } of fields)
    await record(db, person, 'group-changed', page, { field: body.field, value: body.value });
}
