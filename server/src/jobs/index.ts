import { CompiledQuery, sql } from 'kysely';
import PgBoss from 'pg-boss';
import Manager from 'pg-boss/src/manager.js';
import type { Logger } from 'pino';
import { z } from 'zod';
import type { CompiledGuide } from '@pause/core';
import { groupStream } from '../access';
import type { Db } from '../db';
import { answerAsSimulated, EXPERT_ANSWERS_AFTER_SECONDS } from '../demo/expert';
import type { Moved } from '../notebook/entries';
import { sweep, type Objects } from '../pictures';
import { markMoved, markNotebook, recheckAll, recheckHarvests, recheckMoved } from '../recall';

/**
 * Work that nobody waits for, in a queue in the same database: each piece is done once, by whichever server
 * is there, and again if that one was killed over it.
 */
export interface Jobs {
  /** The simulated expert of the demo answers an ask, after a while. */
  readonly expertAnswers: (find: string, ask: string) => Promise<void>;
  /** What a change is about is asked again whether it still holds. */
  readonly recheck: (what: Moved, transaction: Db) => Promise<void>;
  /** Whether it takes up work. */
  readonly running: () => boolean;
  readonly stop: () => Promise<void>;
}

// The queue puts down what became of a job and does not wait for it. Where its database has just gone, nobody
// would hear of that, and a rejection that nobody hears of ends the server. The job is taken up again when it
// has expired; the lost connection is logged by itself.
for (const name of ['complete', 'fail'] as const) {
  const putDown = Manager.prototype[name];
  Manager.prototype[name] = function heard(...given: unknown[]) {
    const done = putDown.apply(this, given);
    done.catch(() => undefined);
    return done;
  };
}

/** The queue writes through this transaction, and what it wrote is there with it or not at all. */
const within = (transaction: Db): PgBoss.Db => ({
  executeSql: async (text, values) => ({
    rows: (await transaction.executeQuery(CompiledQuery.raw(text, values))).rows,
  }),
});

const SWEEP = 'sweep-pictures';
const EXPERT = 'simulated-expert';
const TIDY = 'tidy';
/** Of a notebook: one job waits for it at most, however much is recorded meanwhile. */
const RECHECK = 'recheck-notebook';
/** Of a group whose rules changed. */
const RECHECK_GROUP = 'recheck-group';
const RECHECK_HARVESTS = 'recheck-harvests';
const RECHECK_ALL = 'recheck-all';
const Notebook = z.object({ stream: z.string() });
const Harvests = z.object({ harvests: z.array(z.string()) });
const Answer = z.object({ find: z.string(), ask: z.string() });

/** Of a key one job waits at most: what is sent while it waits is part of it. */
const ONE_WAITS = { policy: 'short' } as const;

export interface JobOptions {
  readonly db: Db;
  readonly databaseUrl: string;
  readonly guide: CompiledGuide;
  readonly log: Logger;
  /** Where whole pictures lie, if not in the database. */
  readonly objects?: Objects | undefined;
  /** How soon another server takes up what a killed one had begun. */
  readonly takenUpAfterSeconds?: number;
  readonly now: () => number;
}

export async function openJobs(options: JobOptions): Promise<Jobs> {
  const { databaseUrl, log, takenUpAfterSeconds = 60 } = options;
  const interval = Math.max(1, Math.min(60, takenUpAfterSeconds));
  const boss = new PgBoss({
    connectionString: databaseUrl,
    max: 3,
    maintenanceIntervalSeconds: interval,
    superviseIntervalSeconds: interval,
  } as PgBoss.ConstructorOptions);
  // A queue that cannot reach its database tries again by itself.
  boss.on('error', (error) => log.warn({ err: error }, 'jobs'));
  await boss.start();
  let running = true;
  boss.on('stopped', () => {
    running = false;
  });
  await workOff(boss, options);
  return {
    ...sending(boss, takenUpAfterSeconds),
    running: () => running,
    stop: () => {
      running = false;
      return boss.stop({ graceful: true, timeout: 2000, wait: true });
    },
  };
}

const PACE = { pollingIntervalSeconds: 1 };
const RETRY = { retryLimit: 20, retryDelay: 1 };

/** Makes the queues, and does what comes into them. */
async function workOff(boss: PgBoss, { db, guide, objects, now }: JobOptions): Promise<void> {
  for (const name of [EXPERT, TIDY, RECHECK_HARVESTS, RECHECK_ALL]) await boss.createQueue(name);
  for (const name of [RECHECK, RECHECK_GROUP]) await boss.createQueue(name, { name, ...ONE_WAITS });
  const work = (name: string, handle: (data: unknown) => Promise<unknown>) =>
    boss.work(name, PACE, async (jobs) => {
      for (const { data } of jobs) await handle(data);
    });
  await work(EXPERT, (data) => {
    const { find, ask } = Answer.parse(data);
    return answerAsSimulated(db, guide, find, ask, now());
  });
  await work(RECHECK, (data) => recheckMoved(db, guide, Notebook.parse(data).stream));
  await work(RECHECK_GROUP, async (data) => {
    const { stream } = Notebook.parse(data);
    await markNotebook(db, stream);
    await recheckMoved(db, guide, stream);
  });
  await work(RECHECK_HARVESTS, (data) => recheckHarvests(db, Harvests.parse(data).harvests));
  await boss.work(RECHECK_ALL, PACE, async () => {
    await recheckAll(db, guide);
  });
  // By another version of the guide something that was collected may no longer hold.
  await boss.send(RECHECK_ALL, { version: guide.version }, { ...RETRY, expireInSeconds: 3600 });
  await boss.work(TIDY, PACE, () => tidy(db));
  await boss.schedule(TIDY, '17 * * * *');
  if (objects) {
    await boss.createQueue(SWEEP);
    await boss.work(SWEEP, PACE, () => sweep(db, objects));
    await boss.schedule(SWEEP, '*/5 * * * *');
  }
}

function sending(boss: PgBoss, expireInSeconds: number): Pick<Jobs, 'expertAnswers' | 'recheck'> {
  return {
    expertAnswers: async (find, ask) => {
      await boss.send(
        EXPERT,
        { find, ask },
        { ...RETRY, singletonKey: ask, startAfter: EXPERT_ANSWERS_AFTER_SECONDS, expireInSeconds },
      );
    },
    recheck: async ({ finds, streams, harvests, groups }, transaction) => {
      const options = { ...RETRY, expireInSeconds, db: within(transaction) };
      await markMoved(transaction, finds);
      for (const stream of streams)
        await boss.send(RECHECK, { stream }, { ...options, singletonKey: stream });
      for (const stream of groups.map(groupStream))
        await boss.send(RECHECK_GROUP, { stream }, { ...options, singletonKey: stream });
      if (harvests.length > 0) await boss.send(RECHECK_HARVESTS, { harvests }, options);
    },
  };
}

/** What is worth nothing any more: sessions and codes that are too old, and counts of minutes long past. */
export async function tidy(db: Db): Promise<void> {
  await sql`delete from session where "expiresAt" < now()`.execute(db);
  await sql`delete from invitations where used_by is null and expires_at < now()`.execute(db);
  await sql`delete from rate_limits where expire is not null and expire < ${Date.now()}`.execute(db);
  await sql`delete from "rateLimit" where "lastRequest" < ${Date.now() - 86_400_000}`.execute(db);
}
