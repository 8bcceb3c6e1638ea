import { EventEmitter } from 'node:events';
import { sql } from 'kysely';
import type { Db } from '../db';

/** How servers hear that a notebook grew, or that somebody's sessions or groups changed. */

/** The channel on which servers tell each other that a stream grew. */
export const CHANNEL = 'pause_streams';

export const PERSON = 'person';
export const personNews = new EventEmitter().setMaxListeners(0);

/** Hears of people of whose sessions or groups this server changed something. @returns to hear no more */
export function onPersonNews(hear: (person: string) => void): () => void {
  personNews.on(PERSON, hear);
  return () => personNews.off(PERSON, hear);
}

/**
 * Tells this server at once, and every other once the transaction is through, that something became of a
 * person's sessions or groups.
 */
export async function notifyPerson(db: Db, person: string): Promise<void> {
  personNews.emit(PERSON, person);
  await sql`select pg_notify(${CHANNEL}, ${JSON.stringify({ person })})`.execute(db);
}
