import type { Request } from 'express';
import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { poolOf, type Db } from '../db';
import { Problem } from '../problem';
import type { Pace } from './routes';

/**
 * How often something may be done in a minute. `missed`: what one address asks for without being signed in,
 * or that is not there.
 */
export type Counted = Pace | 'missed';
const A_MINUTE: Readonly<Record<Counted, number>> = { usual: 3000, heavy: 300, guessable: 10, missed: 600 };
/**
 * So many uses are counted in the memory of this process before the database hears of them at once: several
 * servers share one ceiling, and most requests ask the database nothing. What is rare is counted there every
 * time.
 */
const AT_ONCE: Readonly<Record<Counted, number>> = { usual: 100, heavy: 20, guessable: 1, missed: 20 };
const SECONDS = 60;

/** Counts every use, and refuses with 429 what is too often. */
export interface Limits {
  /** @throws Problem 429 */
  readonly count: (counted: Counted, who: string) => Promise<void>;
  /**
   * Refuses who was too often already, without counting and without asking the database.
   *
   * @throws Problem 429
   */
  readonly refuse: (counted: Counted, who: string) => Promise<void>;
}

export function openLimits(db: Db): Limits {
  const kinds = Object.keys(A_MINUTE) as Counted[];
  const shared = new Map(
    kinds.map((kind) => [
      kind,
      new RateLimiterPostgres({
        storeClient: poolOf(db),
        storeType: 'pool',
        tableName: 'rate_limits',
        tableCreated: true,
        keyPrefix: kind,
        points: A_MINUTE[kind],
        duration: SECONDS,
        clearExpiredByTimeout: false,
        inMemoryBlockOnConsumed: A_MINUTE[kind] + 1,
      }),
    ]),
  );
  const own = new Map(
    kinds.map((kind) => [kind, new RateLimiterMemory({ points: A_MINUTE[kind], duration: SECONDS })]),
  );
  const count: Limits['count'] = async (kind, who) => {
    try {
      const here = await own.get(kind)?.consume(who);
      const step = AT_ONCE[kind];
      if ((here?.consumedPoints ?? 0) % step === 0) await shared.get(kind)?.consume(who, step);
    } catch (error) {
      if (error instanceof RateLimiterRes) throw tooOften(error.msBeforeNext);
      throw error;
    }
  };
  return {
    count,
    refuse: async (kind, who) => {
      const here = await own.get(kind)?.get(who);
      if (here && here.consumedPoints >= A_MINUTE[kind] && here.msBeforeNext > 0)
        throw tooOften(here.msBeforeNext);
    },
  };
}

const tooOften = (ms: number) =>
  new Problem(429, 'too-often', `Too often. Try again in ${Math.ceil(ms / 1000)} seconds.`, [], {
    seconds: Math.ceil(ms / 1000),
  });

const FREE_TRIES = 5;
const REMEMBERED_SECONDS = 3600;
const LONGEST_SECONDS = 300;

/**
 * Passwords that are tried, counted by account wherever they come from: after a few, each makes the next one
 * wait longer.
 */
export interface Tries {
  /**
   * Counts a try before it is made, so that many at once are counted too.
   *
   * @throws Problem 429 while the account has to wait
   */
  readonly begin: (account: string) => Promise<void>;
  readonly succeeded: (account: string) => Promise<void>;
}
export function openTries(db: Db): Tries {
  const store = {
    storeClient: poolOf(db),
    storeType: 'pool',
    tableName: 'rate_limits',
    tableCreated: true,
    clearExpiredByTimeout: false,
  };
  const tried = new RateLimiterPostgres({
    ...store,
    keyPrefix: 'tried',
    points: 1_000_000,
    duration: REMEMBERED_SECONDS,
  });
  const waits = new RateLimiterPostgres({
    ...store,
    keyPrefix: 'waits',
    points: 1,
    duration: LONGEST_SECONDS,
  });
  return {
    begin: async (account) => {
      const waiting = await waits.get(account);
      if (waiting !== null && waiting.msBeforeNext > 0 && waiting.consumedPoints > 1)
        throw tooOften(waiting.msBeforeNext);
      const { consumedPoints } = await tried.penalty(account, 1);
      if (consumedPoints > FREE_TRIES)
        await waits.block(account, Math.min(LONGEST_SECONDS, 2 ** (consumedPoints - FREE_TRIES)));
    },
    succeeded: async (account) => {
      await tried.delete(account);
      await waits.delete(account);
    },
  };
}

const LETTERS_AN_HOUR = 5;
/** Letters to one address, whoever asks for them: nobody can fill somebody's mailbox through this server. */
export interface LetterLimit {
  /** Counts one letter. @returns whether it may be sent */
  readonly allows: (address: string) => Promise<boolean>;
}
export function letterLimit(db: Db): LetterLimit {
  const sent = new RateLimiterPostgres({
    storeClient: poolOf(db),
    storeType: 'pool',
    tableName: 'rate_limits',
    tableCreated: true,
    clearExpiredByTimeout: false,
    keyPrefix: 'letters',
    points: LETTERS_AN_HOUR,
    duration: 3600,
  });
  return {
    allows: async (address) => {
      try {
        await sent.consume(address.toLowerCase());
        return true;
      } catch (error) {
        if (error instanceof RateLimiterRes) return false;
        throw error;
      }
    },
  };
}

/** One person, or one place where nobody is signed in. */
export const countedAs = (request: Request, person: string) => (person === '' ? fromOf(request) : person);
export const fromOf = (request: Request) => `from ${request.ip ?? ''}`;
