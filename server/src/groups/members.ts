import { z } from 'zod';
import { type Actor, mustBeIn } from '../access';
import { record } from '../accounts/audit';
import type { Db } from '../db';
import { notifyPerson } from '../notebook/news';
import { Problem } from '../problem';
import type { RoleChange } from './bodies';

/** Who belongs to a group, and as what. */

/** Held until the transaction ends: who belongs to a group changes one after the other. */
export async function holdGroup(db: Db, group: string): Promise<void> {
  await db.selectFrom('groups').select('id').where('id', '=', group).forUpdate().execute();
}

const lastKeeper = () =>
  new Problem(409, 'last-keeper', 'Somebody must keep the group: make another member its keeper first.');

async function keepersBut(
  db: Db,
  group: string,
  person: string,
): Promise<{ keepers: number; others: number }> {
  const rest = await db
    .selectFrom('memberships')
    .select('role')
    .where('group_id', '=', group)
    .where('left_at', 'is', null)
    .where('person', '!=', person)
    .execute();
  return { keepers: rest.filter(({ role }) => role === 'keeper').length, others: rest.length };
}

/**
 * A member leaves, or a keeper removes one. What they recorded stays.
 *
 * @throws Problem 409 where nobody would keep the group
 */
export function leave(db: Db, actor: Actor, group: string, person: string): Promise<void> {
  mustBeIn(actor, group, person === actor.person ? 'member' : 'keeper');
  return db.transaction().execute((transaction) => leaveWithin(transaction, actor, group, person));
}

async function leaveWithin(db: Db, actor: Actor, group: string, person: string): Promise<void> {
  await holdGroup(db, group);
  const { keepers, others } = await keepersBut(db, group, person);
  if (others > 0 && keepers === 0) throw lastKeeper();
  const { numUpdatedRows } = await db
    .updateTable('memberships')
    .set({ left_at: new Date().toISOString() })
    .where('group_id', '=', group)
    .where('person', '=', person)
    .where('left_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows === 0n) throw new Problem(404, 'no-such-member', `There is no member "${person}".`);
  await record(db, actor.person, person === actor.person ? 'left' : 'removed', group, { person });
  await notifyPerson(db, person);
}

/** Leaves every group, as far as each allows. */
export async function leaveAll(db: Db, actor: Actor): Promise<void> {
  for (const { group } of [...actor.groups].sort((a, b) => (a.group < b.group ? -1 : 1)))
    await leaveWithin(db, actor, group, actor.person);
}

/** A keeper makes a member something else; handing over is making another one a keeper. */
export function changeRole(
  db: Db,
  actor: Actor,
  group: string,
  person: string,
  { role }: z.infer<typeof RoleChange>,
): Promise<void> {
  return db.transaction().execute(async (transaction) => {
    await holdGroup(transaction, group);
    if (role !== 'keeper' && (await keepersBut(transaction, group, person)).keepers === 0) throw lastKeeper();
    const { numUpdatedRows } = await transaction
      .updateTable('memberships')
      .set({ role })
      .where('group_id', '=', group)
      .where('person', '=', person)
      .where('left_at', 'is', null)
      .executeTakeFirst();
    if (numUpdatedRows === 0n) throw new Problem(404, 'no-such-member', `There is no member "${person}".`);
    await record(transaction, actor.person, 'role-changed', group, { person, role });
    await notifyPerson(transaction, person);
  });
}
