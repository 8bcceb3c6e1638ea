import Bowser from 'bowser';
import { sql } from 'kysely';
import type { Db } from '../db';
import { notifyPerson } from '../notebook/news';
import { Problem } from '../problem';
import { record } from './audit';

/** Where somebody is signed in. */

/** Who asks, and in which session. */
export interface Session {
  readonly person: string;
  readonly id: string;
}

export interface SessionView {
  readonly id: string;
  /** The one that asks. */
  readonly current: boolean;
  /** What it is signed in with: "Firefox on Android", as the browser calls itself. */
  readonly device: string;
  readonly since: string;
  /** To the day. */
  readonly lastUsed: string;
}

interface SessionRow {
  readonly id: string;
  readonly createdAt: Date;
  readonly updatedAt: Date;
  readonly userAgent: string | null;
}

export async function sessionsOf(db: Db, { person, id }: Session): Promise<SessionView[]> {
  const { rows } = await sql<SessionRow>`select id, "createdAt", "updatedAt", "userAgent" from session
      where "userId" = ${person} and "expiresAt" > now() order by "updatedAt" desc, id limit 100`.execute(db);
  return rows.map((row) => ({
    id: row.id,
    current: row.id === id,
    device: deviceWords(row.userAgent ?? ''),
    since: row.createdAt.toISOString(),
    lastUsed: row.updatedAt.toISOString(),
  }));
}

function deviceWords(userAgent: string): string {
  if (userAgent === '') return 'Unknown device';
  const { browser, os } = Bowser.parse(userAgent);
  const words = [browser.name, os.name].filter((word) => word !== undefined && word !== '');
  return words.length > 0 ? words.join(' on ') : 'Unknown device';
}

/** Signs out somewhere else. @throws Problem 404 where there is no such session of this person */
export async function endSession(db: Db, person: string, id: string): Promise<void> {
  const { numAffectedRows } =
    await sql`delete from session where id = ${id} and "userId" = ${person}`.execute(db);
  if (!numAffectedRows) throw new Problem(404, 'no-such-session', 'That session has ended already.');
  await record(db, person, 'signed-out-elsewhere');
  await notifyPerson(db, person);
}
