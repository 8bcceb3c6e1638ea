import { sql } from 'kysely';
import type { Entry } from '@pause/core/notebook';
import { actorOf, ownStream, type Membership } from '../access';
import type { Db } from '../db';
import { leaveAll } from '../groups';
import { notifyPerson } from '../notebook/news';
import { toEntry } from '../notebook/rows';
import { invalid } from '../problem';
import { record } from './audit';

/** Everything that belongs to a person, and what they recorded in the notebooks of groups. */
export interface PersonExport {
  readonly format: 'pause-export/1';
  readonly person: { readonly id: string; readonly name: string; readonly email?: string };
  readonly groups: readonly Membership[];
  /** Of the person's own notebook, whole. */
  readonly own: readonly Entry[];
  /** What this person recorded in the notebooks of groups. */
  readonly inGroups: readonly Entry[];
}

export async function exportPerson(db: Db, person: string): Promise<PersonExport> {
  const [{ name }, user, { groups }, rows] = [
    await db.selectFrom('people').select('name').where('id', '=', person).executeTakeFirstOrThrow(),
    await db.selectFrom('user').select('email').where('id', '=', person).executeTakeFirst(),
    await actorOf(db, person),
    await db
      .selectFrom('entries')
      .select(['stream', 'find_id', 'page_id', 'kind', 'stamp', 'body', 'person'])
      .where((where) => where.or([where('stream', '=', ownStream(person)), where('person', '=', person)]))
      .orderBy('stream')
      .orderBy('seq')
      .execute(),
  ];
  const entries = (own: boolean) =>
    rows.filter((row) => (row.stream === ownStream(person)) === own).map((row) => toEntry(row));
  return {
    format: 'pause-export/1',
    person: { id: person, name, ...(user ? { email: user.email } : {}) },
    groups,
    own: entries(true),
    inGroups: entries(false),
  };
}

const GONE = 'Someone who left';

/**
 * Deletes a person: account, sessions, and the notebook of their own. What they recorded in the notebooks of
 * groups stays there, without their name.
 *
 * @throws Problem 422 where somebody would be left without a keeper
 */
export async function deletePerson(db: Db, person: string, name: string): Promise<void> {
  await db.transaction().execute(async (transaction) => {
    const kept = await transaction
      .selectFrom('people')
      .select('name')
      .where('id', '=', person)
      .forUpdate()
      .executeTakeFirstOrThrow();
    if (kept.name !== name)
      throw invalid([{ field: 'name', reason: 'write your name as it stands in the notebook' }]);
    await leaveAll(transaction, await actorOf(transaction, person));
    await sql`select erase_notebook(${person})`.execute(transaction);
    await transaction.deleteFrom('user').where('id', '=', person).execute();
    await transaction
      .updateTable('people')
      .set({ name: GONE, left_at: new Date() })
      .where('id', '=', person)
      .execute();
    await record(transaction, person, 'account-deleted');
    await notifyPerson(transaction, person);
  });
}
