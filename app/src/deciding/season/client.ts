import { proxy, wrap, type Remote } from 'comlink';
import { guide } from '../guide';
import * as here from './look';
import type { LookAgain, Looked, Question } from './look';
import type { SeasonApi } from './worker';

/** Asks the worker that looks ahead; without workers the same functions do it here. */

let remote: Remote<SeasonApi> | undefined;
let broken = false;

/** The guide that this thread read through. */
const taken = () => ({ raw: guide.guide, version: guide.version });

async function ask<T>(
  away: (api: Remote<SeasonApi>) => Promise<T>,
  instead: () => T | Promise<T>,
): Promise<T> {
  if (!remote && !broken && typeof Worker !== 'undefined') {
    try {
      const worker = new Worker(new URL('./worker.ts', window.location.href));
      worker.addEventListener('error', () => {
        broken = true;
        remote = undefined;
      });
      remote = wrap<SeasonApi>(worker);
      remote.takeGuide(taken()).catch(() => {
        broken = true;
        remote = undefined;
      });
    } catch {
      broken = true;
    }
  }
  if (remote) {
    try {
      return await away(remote);
    } catch {
      // What it could not do is done here, or says here what is wrong.
    }
  }
  here.takeGuide(taken());
  return instead();
}

export function lookAhead(question: Question, progress: (share: number) => void): Promise<Looked> {
  return ask(
    (api) => api.lookAhead(question, proxy(progress)),
    () => here.lookAhead(question, progress),
  );
}
export function stopLooking(): Promise<void> {
  return ask(
    (api) => api.stopLooking(),
    () => here.stopLooking(),
  );
}
export function lookAgain(
  question: Question,
  walks: readonly (readonly string[])[],
  risk: number,
): Promise<LookAgain[]> {
  return ask(
    (api) => api.lookAgain(question, walks, risk),
    () => here.lookAgain(question, walks, risk),
  );
}
