import { sql } from 'kysely';
import type { Db } from '../db';
import { recordsFor } from '../notebook';
import { inThread, openThreads } from '../threads';
import type { Asked, Read } from './worker';

/**
 * Reads a find for somebody. One as people have it is read where the request is served; one of thousands of
 * entries takes a second to fold and to write out, and goes to a thread of its own, which starts when it is
 * first needed.
 */
export interface Reading {
  /**
   * @returns JSON of the find as this reader may see it; none where there is no such find.
   * @throws Problem 503 where too many long ones are asked for
   */
  readonly find: (db: Db, find: string, reader: string, signal: AbortSignal) => Promise<string | undefined>;
  readonly stop: () => Promise<void>;
}

/** Entries that are read in about ten milliseconds. */
const MOST_HERE = 500;
const LONGEST_MS = 15_000;
const here = typeof __dirname === 'string' ? __dirname : import.meta.dirname;

export function openReading(databaseUrl: string): Reading {
  const threads = openThreads<Asked, Read>(here, 'reading', databaseUrl, { most: 1 });
  return {
    find: async (db, find, reader, signal) => {
      const {
        rows: [written],
      } = await sql<{
        entries: string;
      }>`select coalesce(sum(entries), 0) as entries from written where of = ${`find ${find}`}`.execute(db);
      if (Number(written?.entries ?? 0) > MOST_HERE)
        return (await inThread(threads, { find, reader }, LONGEST_MS, signal)).json;
      const record = (await recordsFor(db, [find], reader)).get(find);
      return record && JSON.stringify(record);
    },
    stop: () => threads.destroy(),
  };
}
