import { setImmediate as letOthers } from 'node:timers/promises';
import type { CompiledGuide } from '@pause/core';
import { Piscina } from 'piscina';
import { judgeHere, type Judge } from '../notebook/judge';
import { inThread, threadProgram, type ThreadRefusal } from '../threads';
import type { Reached, Told } from './worker';

/**
 * Works out what this server reaches where verdicts arrive. A find as people look at it is decided where the push is served; one of very many readings
 * takes seconds, and goes to a thread of its own, which starts when it is first needed.
 */
export interface Judging {
  readonly judge: Judge;
  readonly stop: () => Promise<void>;
}

/** A find of so many looks takes about as long as a push does besides. */
const MOST_HERE = 60;
const LONGEST_MS = 10_000;
const WAITING_AT_MOST = 32;
const KEPT_MS = 600_000;
// Under Node's module loader there is no `__dirname`; under the test runner's there is nothing else.
const here = typeof __dirname === 'string' ? __dirname : import.meta.dirname;

export function openJudging(guide: CompiledGuide): Judging {
  const pool = new Piscina<Told, Reached | ThreadRefusal>({
    ...threadProgram(here, 'judging'), workerData: guide.guide, minThreads: 0, maxThreads: 1, maxQueue: WAITING_AT_MOST, idleTimeout: KEPT_MS,
  });
  const atOnce = judgeHere(guide);
  return {
    judge: async (verdict, record, policy, at) => {
      if (record.readings.length + record.skips.length <= MOST_HERE) {
        await letOthers();
        return atOnce(verdict, record, policy, at);
      }
      return (await inThread(pool, { verdict, record, policy, at }, LONGEST_MS)).arrival;
    },
    stop: () => pool.destroy(),
  };
}
