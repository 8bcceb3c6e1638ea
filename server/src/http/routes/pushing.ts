import type { Response } from 'express';
import { EXPERT } from '../../demo/expert';
import type { PushOptions } from '../../notebook';
import { abortSignalOf } from './parameters';
import type { Services } from './types';

/** What every push is given. */
export function pushOptions({ guide, clock, jobs, judging }: Services, response: Response): PushOptions {
  return {
    guide,
    now: clock.now(),
    asked: async (find, ask, of) => {
      if (of === EXPERT.id) await jobs.expertAnswers(find, ask);
    },
    recheck: jobs.recheck,
    judge: judging.judge,
    signal: abortSignalOf(response),
  };
}
