import type { Db } from '../db';
import type { Letter } from '.';

/**
 * The simulated mailbox of the demo: it keeps what a mail server would send, for anybody who uses the demo to
 * read.
 */

const KEPT = 30;

export interface KeptLetter extends Letter {
  readonly id: string;
  readonly at: string;
}

export async function keepLetter(db: Db, { to, subject, text }: Letter): Promise<void> {
  await db.insertInto('simulated_letters').values({ to, subject, text }).execute();
  const oldest = db.selectFrom('simulated_letters').select('id').orderBy('id', 'desc').offset(KEPT);
  await db.deleteFrom('simulated_letters').where('id', 'in', oldest).execute();
}

/** The newest first. */
export async function keptLetters(db: Db): Promise<KeptLetter[]> {
  const rows = await db
    .selectFrom('simulated_letters')
    .select(['id', 'at', 'to', 'subject', 'text'])
    .orderBy('id', 'desc')
    .execute();
  return rows.map(({ at, ...letter }) => ({ ...letter, at: at.toISOString() }));
}
