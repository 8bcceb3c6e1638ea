import type { CompiledGuide } from '@pause/core';
import type { Asked } from '@pause/core/questions';
import { inThread, openThreads } from '../threads';
import type { Question, Answered } from './worker';

/**
 * Answers to what is asked of the core, worked out in threads of their own, so that a long plan keeps nobody
 * waiting.
 */
export interface Questions {
  /** @throws Problem 422 naming the field, or 503 if too many ask or it takes too long */
  readonly ask: (asked: Asked, body: unknown, signal?: AbortSignal) => Promise<unknown>;
  readonly stop: () => Promise<void>;
}

const LONGEST_MS = 30_000;
const THREADS = 2;
// Under Node's module loader there is no `__dirname`; under the test runner's there is nothing else.
const here = typeof __dirname === 'string' ? __dirname : import.meta.dirname;

export function openQuestions(guide: CompiledGuide): Questions {
  const threads = openThreads<Question, Answered>(here, 'questions', guide.guide, {
    least: 1,
    most: THREADS,
  });
  return {
    ask: async (asked, body, signal) => (await inThread(threads, { asked, body }, LONGEST_MS, signal)).answer,
    stop: () => threads.destroy(),
  };
}
