import { setImmediate as letOthers } from 'node:timers/promises';
import type { CompiledGuide } from '@pause/core';
import { judgeHere, type Judge } from '../notebook/judge';
import { inThread, openThreads } from '../threads';
import type { Reached, Question } from './worker';

/**
 * Works out what this server reaches where verdicts arrive. A find as people look at it is decided where the
 * push is served; one of very many readings takes seconds, and goes to a thread of its own, which starts when
 * it is first needed.
 */
export interface Judging {
  readonly judge: Judge;
  readonly stop: () => Promise<void>;
}

/** A find of so many looks takes about as long as a push does besides. */
const MOST_HERE = 60;
const LONGEST_MS = 10_000;
// Under Node's module loader there is no `__dirname`; under the test runner's there is nothing else.
const here = typeof __dirname === 'string' ? __dirname : import.meta.dirname;

export function openJudging(guide: CompiledGuide): Judging {
  const threads = openThreads<Question, Reached>(here, 'judging', guide.guide, { most: 1 });
  const atOnce = judgeHere(guide);
  return {
    judge: async (verdict, record, policy, at) => {
      if (record.readings.length + record.skips.length <= MOST_HERE) {
        await letOthers();
        return atOnce(verdict, record, policy, at);
      }
      return (await inThread(threads, { verdict, record, policy, at }, LONGEST_MS)).arrival;
    },
    stop: () => threads.destroy(),
  };
}
