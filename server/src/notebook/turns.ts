import { tooBusy } from '../problem';

/**
 * Runs a task when all of these names are free, and keeps them until it is done.
 *
 * @throws Problem 503 where too many wait, or for too long
 */
export type Turns = <T>(names: readonly string[], task: () => Promise<T>) => Promise<T>;

export interface TurnLimits {
  /** How many may wait for one name. */
  readonly waiting: number;
  readonly longestMs: number;
}

/**
 * One after the other, by name, within this process: whoever waits for a notebook that somebody else writes
 * into holds no database connection meanwhile, so that everybody else still has one.
 */
export function openTurns({ waiting, longestMs }: TurnLimits): Turns {
  const last = new Map<string, Promise<void>>();
  const lengths = new Map<string, number>();
  const count = (name: string, by: number) => {
    const length = (lengths.get(name) ?? 0) + by;
    if (length > 0) lengths.set(name, length);
    else lengths.delete(name);
    return length;
  };
  const turn = async (name: string): Promise<() => void> => {
    const before = last.get(name) ?? Promise.resolve();
    let release: () => void = () => undefined;
    const mine = new Promise<void>((resolve) => {
      release = resolve;
    });
    const tail = before.then(() => mine);
    last.set(name, tail);
    void tail.then(() => {
      count(name, -1);
      if (last.get(name) === tail) last.delete(name);
    });
    if (count(name, 1) > waiting + 1) {
      release();
      throw tooBusy();
    }
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<boolean>((resolve) => {
      timer = setTimeout(() => resolve(true), longestMs);
    });
    const isLate = await Promise.race([before.then(() => false), late]);
    clearTimeout(timer);
    if (!isLate) return release;
    release();
    throw tooBusy();
  };
  return async (names, task) => {
    const held: (() => void)[] = [];
    try {
      // Always in the same order, so that two never wait for each other.
      for (const name of [...new Set(names)].sort()) held.push(await turn(name));
      return await task();
    } finally {
      for (const release of held) release();
    }
  };
}
