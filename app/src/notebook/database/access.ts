import { NotKept } from '../device';
import { type fetchDexie, isFull, type Notebook, open } from './tables';

/** The database, opened when it is first needed, and opened again where that failed. */
export interface Access {
  /** For what only saves a request to the server. @returns undefined where the database fails */
  readonly attempt: <T>(work: (all: Notebook) => PromiseLike<T>) => Promise<T | undefined>;
  /** @throws NotKept where the database fails */
  readonly attemptOrThrow: <T>(work: (all: Notebook) => PromiseLike<T>) => Promise<T>;
}

export function accessTo(storage: Storage, name: string, fetchBase: typeof fetchDexie): Access {
  let opened: Promise<Notebook> | undefined;
  const ready = () => {
    opened ??= open(storage, name, fetchBase);
    opened.catch(() => {
      opened = undefined;
    });
    return opened;
  };
  return {
    attempt: async (work) => {
      try {
        return await work(await ready());
      } catch {
        return undefined;
      }
    },
    attemptOrThrow: async (work) => {
      try {
        return await work(await ready());
      } catch (error) {
        throw new NotKept(isFull(error) ? 'full' : 'refused');
      }
    },
  };
}
