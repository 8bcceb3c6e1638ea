import type { Request } from 'express';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { poolOf, type Db } from '../db';
import { Problem } from '../problem';
import type { Pace } from './routes';

/** How many points a minute: counted in the database, so that several servers count together. */
const A_MINUTE: Readonly<Record<Pace, number>> = { usual: 3000, heavy: 300, guessable: 10 };

export type Limits = (pace: Pace, who: string) => Promise<void>;

/** Counts every use, and refuses with 429 what is too often. */
export function openLimits(db: Db): Limits {
  const counted = new Map(Object.entries(A_MINUTE).map(([pace, points]) => [pace, new RateLimiterPostgres({
    storeClient: poolOf(db), storeType: 'pool', tableName: 'rate_limits', tableCreated: true, keyPrefix: pace, points, duration: 60, clearExpiredByTimeout: false,
  })]));
  return async (pace, who) => {
    try {
      await counted.get(pace)?.consume(who);
    } catch (error) {
      if (error instanceof RateLimiterRes) throw new Problem(429, 'too-often', `Too often. Try again in ${Math.ceil(error.msBeforeNext / 1000)} seconds.`);
      throw error;
    }
  };
}

/** One person, or one place where nobody is signed in. */
export const countedAs = (request: Request, person: string) => (person === '' ? `from ${request.ip ?? ''}` : person);
