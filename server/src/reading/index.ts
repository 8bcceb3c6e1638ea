import { Piscina } from 'piscina';
import { sql } from 'kysely';
import type { Db } from '../db';
import { recordsFor } from '../notebook';
import { inThread, threadProgram, type ThreadRefusal } from '../threads';
import type { Asked, Read } from './worker';

/**
 * Reads a find for somebody. One as people have it is read where the request is served; one of thousands of entries takes a second to fold and to write
 * out, and goes to a thread of its own, which starts when it is first needed.
 */
export interface Reading {
  /** @returns JSON of the find as this reader may see it; none where there is no such find. @throws Problem 503 where too many long ones are asked for */
  readonly find: (db: Db, find: string, reader: string, gone: AbortSignal) => Promise<string | undefined>;
  readonly stop: () => Promise<void>;
}

/** Entries that are read in about ten milliseconds. */
const MOST_HERE = 500;
const LONGEST_MS = 15_000;
const WAITING_AT_MOST = 32;
const KEPT_MS = 600_000;
const here = typeof __dirname === 'string' ? __dirname : import.meta.dirname;

export function openReading(databaseUrl: string): Reading {
  const pool = new Piscina<Asked, Read | ThreadRefusal>({
    ...threadProgram(here, 'reading'), workerData: databaseUrl, minThreads: 0, maxThreads: 1, maxQueue: WAITING_AT_MOST, idleTimeout: KEPT_MS,
  });
  return {
    find: async (db, find, reader, gone) => {
      const { rows: [written] } = await sql<{ entries: string }>`select coalesce(sum(entries), 0) as entries from written where of = ${`find ${find}`}`.execute(db);
      if (Number(written?.entries ?? 0) > MOST_HERE) return (await inThread(pool, { find, reader }, LONGEST_MS, gone)).json;
      const record = (await recordsFor(db, [find], reader)).get(find);
      return record && JSON.stringify(record);
    },
    stop: () => pool.destroy(),
  };
}
