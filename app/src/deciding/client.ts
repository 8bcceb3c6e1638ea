import { wrap, type Remote } from 'comlink';
import type { AnswerEffect, AskedPlan, Case, CharacterId } from '@pause/core';
import * as here from './evaluate';
import type { Judgement } from './evaluate';
import type { GuideFile } from './guide';
import type { EvaluationApi } from './worker';

/** Deciding, away from the thread that draws. */
export interface Evaluator {
  judge(find: Case): Promise<Judgement>;
  planOf(find: Case): Promise<AskedPlan>;
  effects(find: Case, character: CharacterId): Promise<AnswerEffect[]>;
}

/** Without workers (in tests, in very old browsers) the same functions run here. */
export const inPlace: Evaluator = {
  judge: (find) => Promise.resolve(here.judge(find)),
  planOf: (find) => Promise.resolve(here.planOf(find)),
  effects: (find, character) => Promise.resolve(here.effects(find, character)),
};

/** An old phone takes half a second; a worker that says nothing for so long hangs. */
const WORKER_SILENT_MS = 6000;
const afterwards = () =>
  new Promise<never>((_, reject) => {
    setTimeout(() => reject(new Error('the worker does not answer')), WORKER_SILENT_MS);
  });

/**
 * An evaluator in a worker, which begins when it is first asked or started, and is given the guide first. A
 * worker that is lost is replaced once by this thread, so that no answer is lost.
 */
export function workerEvaluator(guide: GuideFile): Evaluator & { readonly begin: () => void } {
  if (typeof Worker === 'undefined') return { ...inPlace, begin: () => undefined };
  let begun = false;
  let remote: Remote<EvaluationApi> | undefined;
  let tellLoss: () => void = () => undefined;
  const loss = new Promise<never>((_, reject) => {
    tellLoss = () => reject(new Error('the worker was lost'));
  });
  loss.catch(() => undefined);
  const begin = () => {
    if (begun) return;
    begun = true;
    try {
      const worker = new Worker(new URL('./worker.ts', window.location.href));
      worker.addEventListener('error', () => {
        remote = undefined;
        tellLoss();
      });
      remote = wrap<EvaluationApi>(worker);
      // Messages keep their order, so nothing is asked of the worker before it has the guide.
      remote.takeGuide(guide).catch(() => {
        remote = undefined;
      });
    } catch {
      // No worker is to be had here: this thread does it.
    }
  };
  const ask = async <T>(
    away: (api: Remote<EvaluationApi>) => Promise<T>,
    instead: () => Promise<T>,
  ): Promise<T> => {
    begin();
    if (!remote) return instead();
    try {
      return await Promise.race([away(remote), loss, afterwards()]);
    } catch {
      // The worker is gone, or could not do it: the same functions do it here, or say what is wrong.
      return instead();
    }
  };
  return {
    begin,
    judge: (find) =>
      ask(
        (api) => api.judge(find),
        () => inPlace.judge(find),
      ),
    planOf: (find) =>
      ask(
        (api) => api.planOf(find),
        () => inPlace.planOf(find),
      ),
    effects: (find, character) =>
      ask(
        (api) => api.effects(find, character),
        () => inPlace.effects(find, character),
      ),
  };
}
