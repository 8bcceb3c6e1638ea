import type { Db } from '../db';
import type { Role } from '../db/schema';
import { Problem } from '../problem';

/** Who may do what: everything that is asked of the server is allowed or refused here. */

export interface Membership {
  readonly group: string;
  readonly role: Role;
}
/** Whoever asks, signed in. */
export interface Actor {
  readonly person: string;
  readonly groups: readonly Membership[];
}

export const ownStream = (person: string) => `p:${person}`;
export const groupStream = (group: string) => `g:${group}`;
export const groupOf = (stream: string) => (stream.startsWith('g:') ? stream.slice(2) : undefined);

/** A person with the groups they belong to now. */
export async function actorOf(db: Db, person: string): Promise<Actor> {
  const groups = await db
    .selectFrom('memberships')
    .select(['group_id as group', 'role'])
    .where('person', '=', person)
    .where('left_at', 'is', null)
    .orderBy('joined_at')
    .execute();
  return { person, groups };
}

export function roleIn(actor: Actor, group: string): Role | undefined {
  return actor.groups.find((membership) => membership.group === group)?.role;
}

/** The streams a person may read and write: their own, and those of their groups. */
export function streamsOf(actor: Actor): string[] {
  return [ownStream(actor.person), ...actor.groups.map(({ group }) => groupStream(group))];
}

/** What is not one's own is not there: nobody learns from a refusal that it exists. */
export function mayRead(actor: Actor, stream: string): boolean {
  return streamsOf(actor).includes(stream);
}

export const notSignedIn = () => new Problem(401, 'not-signed-in', 'Sign in first.');
export const noSuchFind = (id: string) => new Problem(404, 'no-such-find', `There is no find "${id}".`);
export const noSuchPage = (id: string) => new Problem(404, 'no-such-page', `There is no page "${id}".`);
export const noSuchGroup = (id: string) => new Problem(404, 'no-such-group', `There is no group "${id}".`);
const keepersOnly = () => new Problem(403, 'keepers-only', 'Only a keeper of the group may do this.');

/**
 * @throws Problem 404 unless the person belongs to the group, 403 unless as its keeper where that is needed
 */
export function mustBeIn(actor: Actor, group: string, as: 'member' | 'keeper' = 'member'): Role {
  const role = roleIn(actor, group);
  if (!role) throw noSuchGroup(group);
  if (as === 'keeper' && role !== 'keeper') throw keepersOnly();
  return role;
}

/** @throws Problem 404 unless there is such a find and the person may read it */
export async function mustRead(db: Db, actor: Actor, find: string): Promise<{ stream: string }> {
  const head = await db.selectFrom('finds').select('stream').where('id', '=', find).executeTakeFirst();
  if (!head || !mayRead(actor, head.stream)) throw noSuchFind(find);
  return head;
}
