import type { Entry } from './entries';

/**
 * Entries that wait to be sent, kept in the browser one by one, so that a closed tab loses nothing and two tabs
 * do not overwrite each other.
 */
export interface Keep {
  put(entry: Entry): void;
  drop(entry: Entry): void;
  /** What was kept, in the order in which it was made. */
  all(): Entry[];
}

const PREFIX = 'pause:waiting:';
const ORDER: readonly Entry['kind'][] = ['finds', 'pieces', 'targets', 'contexts', 'readings', 'withdrawals', 'skips', 'verdicts', 'decisions'];

const madeAt = (entry: Entry) => (entry.kind === 'finds' ? entry.body.startedAt : entry.body.at);

export function inOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((a, b) => {
    const [x, y] = [madeAt(a), madeAt(b)];
    return x < y ? -1 : x > y ? 1 : ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind);
  });
}

export function browserKeep(storage: Storage): Keep {
  const key = (entry: Entry) => `${PREFIX}${entry.kind}:${entry.body.id}`;
  return {
    put: (entry) => storage.setItem(key(entry), JSON.stringify(entry)),
    drop: (entry) => storage.removeItem(key(entry)),
    all: () => inOrder(Object.keys(storage).filter((k) => k.startsWith(PREFIX)).flatMap((k) => {
      try {
        return [JSON.parse(storage.getItem(k) ?? '') as Entry];
      } catch {
        return [];
      }
    })),
  };
}
