import type { Db } from '../db';

/** What is kept of sign-ins and of changes to who may do what. */
export type Happening =
  | 'account-made'
  | 'account-deleted'
  | 'signed-in'
  | 'signed-out-everywhere'
  | 'signed-out-elsewhere'
  | 'password-changed'
  | 'password-reset'
  | 'address-confirmed'
  | 'group-made'
  | 'group-changed'
  | 'invited'
  | 'invitation-revoked'
  | 'joined'
  | 'left'
  | 'removed'
  | 'role-changed'
  | 'reviewed'
  | 'review-taken-back';

export async function record(
  db: Db,
  person: string,
  what: Happening,
  object?: string,
  detail?: Readonly<Record<string, unknown>>,
): Promise<void> {
  await db
    .insertInto('audit')
    .values({ person, what, object: object ?? null, detail: detail ? JSON.stringify(detail) : null })
    .execute();
}
