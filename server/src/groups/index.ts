import { createHash, randomInt } from 'node:crypto';
import { sql } from 'kysely';
import { z } from 'zod';
import { GROUP_POLICY, taxonContent, TaxonId, type CompiledGuide, type Policy } from '@pause/core';
import type { PageEntry } from '@pause/core/notebook';
import { groupStream, mustBeIn, noSuchGroup, type Actor } from '../access';
import { record } from '../accounts/audit';
import type { Db } from '../db';
import type { Role } from '../db/schema';
import { tellPerson } from '../notebook/read';
import { invalid, Problem } from '../problem';

/** Groups that keep one notebook: who belongs to them, as what, and by which rules they decide. */

const id = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');
const name = z.string().trim().min(1).max(80);
export const RoleName = z.enum(['keeper', 'member', 'young']);
export const NewGroup = z.strictObject({ id, name });
export const NewInvitation = z.strictObject({ role: RoleName, days: z.number().int().min(1).max(30) });
export const InvitationCode = z.strictObject({ code: z.string().trim().min(4).max(40) });
export const NewReview = z.strictObject({
  taxon: TaxonId,
  /** What the keeper read and signs. */
  content: z.string().regex(/^[0-9a-f]{64}$/, '64 hexadecimal digits'),
  note: z.string().trim().min(1).max(500).optional(),
});
export const RoleChange = z.strictObject({ role: RoleName });

export interface GroupView {
  readonly id: string;
  readonly name: string;
  /** What the person who asks is in it. */
  readonly role: Role;
  readonly policy: Policy;
  readonly members: readonly {
    readonly person: string;
    readonly name: string;
    readonly role: Role;
    readonly joinedAt: string;
  }[];
  readonly reviews: readonly {
    readonly taxon: string;
    readonly content: string;
    readonly by: string;
    readonly at: string;
    readonly note?: string;
  }[];
  /** People who belonged to it and whose entries are in its notebook. */
  readonly former: readonly { readonly person: string; readonly name: string }[];
}

export async function groupView(db: Db, actor: Actor, group: string): Promise<GroupView> {
  mustBeIn(actor, group);
  const [view] = await groupViews(db, {
    ...actor,
    groups: actor.groups.filter((membership) => membership.group === group),
  });
  if (!view) throw noSuchGroup(group);
  return view;
}

/** All groups of a person, however many, in three queries. */
export async function groupViews(db: Db, { groups }: Actor): Promise<GroupView[]> {
  if (groups.length === 0) return [];
  const ids = groups.map(({ group }) => group);
  const kept = new Map(
    (await db.selectFrom('groups').selectAll().where('id', 'in', ids).execute()).map((one) => [one.id, one]),
  );
  const people = await db
    .selectFrom('memberships as m')
    .innerJoin('people as p', 'p.id', 'm.person')
    .where('group_id', 'in', ids)
    .select(['m.group_id', 'm.person', 'p.name', 'm.role', 'm.joined_at', 'm.left_at'])
    .orderBy('m.joined_at')
    .orderBy('m.person')
    .execute();
  const reviews = await db
    .selectFrom('reviews')
    .select(['group_id', 'taxon', 'content', 'by', 'at', 'note'])
    .where('group_id', 'in', ids)
    .orderBy('taxon')
    .execute();
  return groups.flatMap(({ group, role }): GroupView[] => {
    const one = kept.get(group);
    if (!one) return [];
    const [own, signed] = [
      people.filter((p) => p.group_id === group),
      reviews.filter((r) => r.group_id === group),
    ];
    return [
      {
        id: one.id,
        name: one.name,
        role,
        policy: withReviews(one.policy, signed),
        reviews: signed.map(({ taxon, content, by, at, note }) => ({
          taxon,
          content,
          by,
          at: at.toISOString(),
          ...(note === null ? {} : { note }),
        })),
        members: own
          .filter((p) => p.left_at === null)
          .map((p) => ({
            person: p.person,
            name: p.name,
            role: p.role,
            joinedAt: p.joined_at.toISOString(),
          })),
        former: own.filter((p) => p.left_at !== null).map((p) => ({ person: p.person, name: p.name })),
      },
    ];
  });
}

/** The rules that a verdict goes by: those chosen, and what was signed. */
export function withReviews(
  policy: Policy,
  reviews: readonly { readonly taxon: TaxonId; readonly content: string }[],
): Policy {
  return reviews.length > 0
    ? { ...policy, reviews: reviews.map(({ taxon, content }) => ({ taxon, content })) }
    : policy;
}

/**
 * A keeper signs what the guide says of a taxon.
 *
 * @throws Problem 409 where the guide here says something else by now
 */
export async function signReview(
  db: Db,
  actor: Actor,
  group: string,
  review: z.infer<typeof NewReview>,
  guide: CompiledGuide,
): Promise<void> {
  const taxon = guide.taxon(review.taxon);
  if (!taxon) throw invalid([{ field: 'taxon', reason: `"${review.taxon}" is not a taxon of the guide` }]);
  if (taxonContent(taxon) !== review.content) {
    throw new Problem(409, 'other-content', 'content: the guide here says something else of this taxon', [
      { field: 'content', reason: 'read it again, then sign what it says now' },
    ]);
  }
  const row = {
    content: review.content,
    by: actor.person,
    at: new Date().toISOString(),
    note: review.note ?? null,
  };
  await db.transaction().execute(async (transaction) => {
    await transaction
      .insertInto('reviews')
      .values({ group_id: group, taxon: review.taxon, ...row })
      .onConflict((conflict) => conflict.columns(['group_id', 'taxon']).doUpdateSet(row))
      .execute();
    await record(transaction, actor.person, 'reviewed', group, {
      taxon: review.taxon,
      content: review.content,
    });
  });
}

/** A signature is taken back. */
export async function unsignReview(db: Db, actor: Actor, group: string, taxon: string): Promise<void> {
  const { numDeletedRows } = await db
    .deleteFrom('reviews')
    .where('group_id', '=', group)
    .where('taxon', '=', taxon as TaxonId)
    .executeTakeFirst();
  if (numDeletedRows === 0n) throw new Problem(404, 'no-such-review', 'Nobody has signed this taxon here.');
  await record(db, actor.person, 'review-taken-back', group, { taxon });
}

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
    await tellPerson(transaction, actor.person);
    await record(transaction, actor.person, 'group-made', made.id);
    return true;
  });
}

/**
 * The person first, then groups, then notebooks: in this order everything is held, so that nobody waits for
 * each other.
 */
async function holdPerson(db: Db, person: string): Promise<void> {
  await db.selectFrom('people').select('id').where('id', '=', person).forUpdate().execute();
}

/** Of how many groups one person is, and how many people one group has, at most. */
const MOST_GROUPS = 50;
const MOST_MEMBERS = 300;

/** @throws Problem 422 where the person belongs to as many groups as one may */
async function mustHaveRoom(db: Db, person: string): Promise<void> {
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

type GroupField = Extract<PageEntry, { kind: 'fields' }>;
/**
 * What a keeper told of the group's name and rules is part of them, field by field: what was told last
 * stands, whenever it arrived.
 */
export async function settleGroups(db: Db, person: string, told: readonly GroupField[]): Promise<void> {
  for (const group of new Set(told.map(({ page }) => page))) {
    const rows = await sql<{ field: string; value: unknown }>`
      select distinct on (body ->> 'field') body ->> 'field' as field, body -> 'value' as value from entries
      where stream = ${groupStream(group)} and page_id = ${group} and kind = 'fields' order by body ->> 'field', stamp collate "C" desc, id collate "C" desc`.execute(
      db,
    );
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
  for (const { page, body } of told)
    await record(db, person, 'group-changed', page, { field: body.field, value: body.value });
}

/** Letters that are not taken for others when read aloud or off a wet screen. */
const LETTERS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';
const CODE_LENGTH = 10;
const DAY_MS = 86_400_000;
const plain = (code: string) => code.toUpperCase().replace(/[^A-Z0-9]/g, '');
const codeHash = (code: string) => createHash('sha256').update(plain(code)).digest('hex');

/** A code that lets one person in, once. Only its hash is kept. */
export async function invite(
  db: Db,
  actor: Actor,
  group: string,
  { role, days }: z.infer<typeof NewInvitation>,
): Promise<{ code: string; expiresAt: string }> {
  const letters = Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)] ?? 'A').join(
    '',
  );
  const code = `${letters.slice(0, CODE_LENGTH / 2)}-${letters.slice(CODE_LENGTH / 2)}`;
  const expiresAt = new Date(Date.now() + days * DAY_MS).toISOString();
  await db
    .insertInto('invitations')
    .values({
      code_hash: codeHash(code),
      group_id: group,
      role,
      by: actor.person,
      expires_at: expiresAt,
      used_by: null,
    })
    .execute();
  await record(db, actor.person, 'invited', group, { role });
  return { code, expiresAt };
}

const noSuchCode = () =>
  invalid([
    {
      field: 'code',
      reason: 'this code does not open a group; it may have been used or taken back, or be too old',
    },
  ]);

export interface InvitationView {
  /** To take it back by; the code itself is not kept. */
  readonly id: string;
  readonly role: Role;
  readonly by: string;
  readonly expiresAt: string;
}
const INVITATION_ID_LENGTH = 16;

/** Invitations that still let somebody in, those that end first first. */
export async function invitationsOf(db: Db, group: string): Promise<InvitationView[]> {
  const rows = await db
    .selectFrom('invitations as i')
    .innerJoin('memberships as m', (join) =>
      join.onRef('m.group_id', '=', 'i.group_id').onRef('m.person', '=', 'i.by'),
    )
    .select(['i.code_hash', 'i.role', 'i.by', 'i.expires_at'])
    .where('i.group_id', '=', group)
    .where('i.used_by', 'is', null)
    .where('i.expires_at', '>', sql<Date>`now()`)
    .where('m.left_at', 'is', null)
    .where('m.role', '=', 'keeper')
    .orderBy('i.expires_at')
    .execute();
  return rows.map(({ code_hash, role, by, expires_at }) => ({
    id: code_hash.slice(0, INVITATION_ID_LENGTH),
    role,
    by,
    expiresAt: expires_at.toISOString(),
  }));
}

/** An invitation that nobody has used is taken back. @throws Problem 404 where there is none */
export async function revokeInvitation(db: Db, actor: Actor, group: string, id: string): Promise<void> {
  const { numDeletedRows } = await db
    .deleteFrom('invitations')
    .where('group_id', '=', group)
    .where('used_by', 'is', null)
    .where(sql<string>`left(code_hash, ${INVITATION_ID_LENGTH})`, '=', id)
    .executeTakeFirst();
  if (numDeletedRows === 0n)
    throw new Problem(404, 'no-such-invitation', 'There is no such invitation, or it was used.');
  await record(db, actor.person, 'invitation-revoked', group);
}

/** @throws Problem 422 for a code that is not known, was used, or is too old: nobody learns which */
export function accept(
  db: Db,
  actor: Actor,
  { code }: z.infer<typeof InvitationCode>,
): Promise<{ group: string }> {
  return db.transaction().execute(async (transaction) => {
    await holdPerson(transaction, actor.person);
    const invitation = await transaction
      .selectFrom('invitations')
      .selectAll()
      .where('code_hash', '=', codeHash(code))
      .forUpdate()
      .executeTakeFirst();
    if (invitation?.used_by === actor.person) return { group: invitation.group_id };
    if (!invitation || invitation.used_by !== null || invitation.expires_at.getTime() < Date.now()) {
      throw noSuchCode();
    }
    const { group_id: group, role } = invitation;
    await holdGroup(transaction, group);
    // What somebody may no longer give, nobody takes.
    const maker = await transaction
      .selectFrom('memberships')
      .select('role')
      .where('group_id', '=', group)
      .where('person', '=', invitation.by)
      .where('left_at', 'is', null)
      .executeTakeFirst();
    if (maker?.role !== 'keeper') throw noSuchCode();
    const members = await transaction
      .selectFrom('memberships')
      .select('person')
      .where('group_id', '=', group)
      .where('left_at', 'is', null)
      .execute();
    if (!members.some(({ person }) => person === actor.person)) {
      await mustHaveRoom(transaction, actor.person);
      if (members.length >= MOST_MEMBERS)
        throw invalid([
          { field: 'code', reason: `this group has ${MOST_MEMBERS} members, which is the most` },
        ]);
    }
    await transaction
      .updateTable('invitations')
      .set({ used_by: actor.person })
      .where('code_hash', '=', invitation.code_hash)
      .execute();
    // Who belongs to it already keeps the role they have.
    await transaction
      .insertInto('memberships')
      .values({ group_id: group, person: actor.person, role, left_at: null })
      .onConflict((conflict) =>
        conflict
          .columns(['group_id', 'person'])
          .doUpdateSet({ role, left_at: null })
          .where('memberships.left_at', 'is not', null),
      )
      .execute();
    await record(transaction, actor.person, 'joined', group, { role });
    await tellPerson(transaction, actor.person);
    return { group };
  });
}

/** Held until the transaction ends: who belongs to a group changes one after the other. */
async function holdGroup(db: Db, group: string): Promise<void> {
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
 * A member leaves, or a keeper removes one. What they told stays.
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
  await tellPerson(db, person);
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
    await tellPerson(transaction, person);
  });
}
