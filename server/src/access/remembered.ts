import { LRUCache } from 'lru-cache';

/**
 * Who asks, kept for a few seconds, so that not every request asks the database. What became of somebody's
 * sessions or groups is forgotten at once.
 */
export interface Remembered<T> {
  /**
   * What is known by this key; found out, and kept, where nothing is. Nothing is kept of what is not there.
   */
  readonly by: (key: string, find: () => Promise<T | undefined>) => Promise<T | undefined>;
  readonly forget: (person: string) => void;
}

const KEPT_MS = 5000;
const MOST = 20_000;

export function openRemembered<T extends object>(personOf: (known: T) => string): Remembered<T> {
  const known = new LRUCache<string, T>({ max: MOST, ttl: KEPT_MS });
  // What was being found out when somebody was forgotten may be of before.
  let forgotten = 0;
  return {
    by: async (key, find) => {
      const kept = known.get(key);
      if (kept) return kept;
      const before = forgotten;
      const found = await find();
      if (found && forgotten === before) known.set(key, found);
      return found;
    },
    forget: (person) => {
      forgotten += 1;
      for (const [key, one] of known.entries()) if (personOf(one) === person) known.delete(key);
    },
  };
}
