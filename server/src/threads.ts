import { join } from 'node:path';
import { Piscina } from 'piscina';
import { invalid, tooBusy, type FieldProblem } from './problem';

/**
 * Set where the server is a build: its threads stand beside it, compiled, and nothing is compiled while it
 * runs.
 */
declare const PAUSE_BUILD: boolean | undefined;

/**
 * The program of a thread: the file of that name beside the one that asks, or its part of a build.
 *
 * @param folder of the module that asks, in the sources
 */
function threadProgram(
  folder: string,
  name: string,
): { readonly filename: string; readonly execArgv: string[] } {
  return typeof PAUSE_BUILD === 'undefined'
    ? { filename: join(folder, 'worker.ts'), execArgv: ['--import', 'tsx'] }
    : { filename: join(import.meta.dirname, `${name}.mjs`), execArgv: [] };
}

const WAITING_AT_MOST = 64;
const KEPT_MS = 600_000;
/**
 * Threads of one program. Beyond the least there are, they start when they are needed, and end when nothing
 * was asked of them for a while.
 *
 * @param folder of the module that asks, in the sources
 * @param data what each has from the start
 */
export function openThreads<Task, Done extends object>(
  folder: string,
  name: string,
  data: unknown,
  { least = 0, most }: { readonly least?: number; readonly most: number },
): Piscina<Task, Done | ThreadRefusal> {
  return new Piscina<Task, Done | ThreadRefusal>({
    ...threadProgram(folder, name),
    workerData: data,
    minThreads: least,
    maxThreads: most,
    maxQueue: WAITING_AT_MOST,
    idleTimeout: KEPT_MS,
  });
}

/** What a thread answers to what is not as it should be. */
export interface ThreadRefusal {
  readonly refused: readonly FieldProblem[];
}

/**
 * Has a task done in a thread.
 *
 * @throws Problem 422 with what it refused, 503 where there was no room or no time, or whoever asked is gone
 */
export async function inThread<Task, Done extends object>(
  pool: Piscina<Task, Done | ThreadRefusal>,
  task: Task,
  longestMs: number,
  signal?: AbortSignal,
): Promise<Done> {
  const late = AbortSignal.timeout(longestMs);
  const answer = await pool
    .run(task, { signal: signal ? AbortSignal.any([late, signal]) : late })
    .catch((error: unknown) => {
      throw isBusy(error) ? tooBusy() : error;
    });
  if ('refused' in answer) throw invalid(answer.refused);
  return answer;
}

/** Piscina says by errors that a thread had no room or no time. */
const isBusy = (error: unknown): boolean =>
  error instanceof Error && (error.name === 'AbortError' || /queue/i.test(error.message));
