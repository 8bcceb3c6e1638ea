import { z } from 'zod';
import { GROUP_POLICY } from '@pause/core';
import { groupStream, type Actor } from '../access';
import { record } from '../accounts/audit';
import type { Db } from '../db';
import { notifyPerson } from '../notebook/news';
import { Problem, invalid } from '../problem';
import type { NewGroup } from './bodies';

/** New groups, and how many one person may belong to. */

/** A group with its notebook, and the page of what it agrees on. @returns whether it is new */
export async function putGroup(
  db: Db,
  { id: group, name: called }: z.infer<typeof NewGroup>,
): Promise<boolean> {
  const added = await db
    .insertInto('groups')
    .values({ id: group, name: called, policy: JSON.stringify(GROUP_POLICY) })
    .onConflict((conflict) => conflict.column('id').doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!added) return false;
  const stream = groupStream(group);
  await db
    .insertInto('streams')
    .values({ id: stream, last: 0 })
    .onConflict((conflict) => conflict.column('id').doNothing())
    .execute();
  await db.insertInto('pages').values({ id: group, stream, kind: 'group', person: null }).execute();
  return true;
}

/** @returns whether it is new; the same again is known */
export function makeGroup(db: Db, actor: Actor, made: z.infer<typeof NewGroup>): Promise<boolean> {
  return db.transaction().execute(async (transaction) => {
    if (!actor.groups.some(({ group }) => group === made.id)) await mustHaveRoom(transaction, actor.person);
    if (!(await putGroup(transaction, made))) {
      if (actor.groups.some(({ group }) => group === made.id)) return false;
      throw new Problem(409, 'duplicate-id', `id: "${made.id}" is taken by something else`, [
        { field: 'id', reason: 'this id was used before' },
      ]);
    }
    await transaction
      .insertInto('memberships')
      .values({ group_id: made.id, person: actor.person, role: 'keeper', left_at: null })
      .execute();
    await notifyPerson(transaction, actor.person);
    await record(transaction, actor.person, 'group-made', made.id);
    return true;
  });
}

/**
 * The person first, then groups, then notebooks: in this order everything is held, so that nobody waits for
 * each other.
 */
export async function holdPerson(db: Db, person: string): Promise<void> {
  await db.selectFrom('people').select('id').where('id', '=', person).forUpdate().execute();
}

/** Of how many groups one person is, and how many people one group has, at most. */
const MOST_GROUPS = 50;

export const MOST_MEMBERS = 300;

/** @throws Problem 422 where the person belongs to as many groups as one may */
export async function mustHaveRoom(db: Db, person: string): Promise<void> {
  // Held, so that two requests at once do not both find room.
  await holdPerson(db, person);
  const { count } = await db
    .selectFrom('memberships')
    .select(({ fn }) => fn.countAll<string>().as('count'))
    .where('person', '=', person)
    .where('left_at', 'is', null)
    .executeTakeFirstOrThrow();
  if (Number(count) >= MOST_GROUPS)
    throw invalid([
      { field: 'group', reason: `you belong to ${MOST_GROUPS} groups, which is the most: leave one first` },
    ]);
}
