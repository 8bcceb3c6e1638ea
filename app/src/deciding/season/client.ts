import { proxy } from 'comlink';
import { workerOrHere } from '../workerOrHere';
import * as here from './look';
import type { LookAgain, Looked, Question } from './look';
import type { SeasonApi } from './worker';

const ask = workerOrHere<SeasonApi>(() => new Worker(new URL('./worker.ts', window.location.href)), here);

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
