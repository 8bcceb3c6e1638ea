import { createHash, randomInt } from 'node:crypto';
import { sql } from 'kysely';
import { z } from 'zod';
import type { Actor } from '../access';
import { record } from '../accounts/audit';
import type { Db } from '../db';
import type { Role } from '../db/schema';
import { notifyPerson } from '../notebook/news';
import { invalid, Problem } from '../problem';
import type { NewInvitation, InvitationCode } from './bodies';
import { holdPerson, mustHaveRoom, MOST_MEMBERS } from './making';
import { holdGroup } from './members';

/** Invitations: made, listed, revoked and accepted. */

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
    await notifyPerson(transaction, actor.person);
    return { group };
  });
}
