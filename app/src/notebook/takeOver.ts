import { z } from 'zod';
import type { Entry } from '@pause/core';
import { add, now } from './add';
import { newId, person } from './open';
import { keptAs } from './own';
import type { Thunk } from './store';

/** Pieces gone through were counted in the browser's plain storage by an earlier version. */
const KEY = 'pause:counts';
const Earlier = z.record(
  z.string(),
  z.object({ passed: z.number().int().min(0).max(2000), strays: z.number().int().min(0).max(2000) }),
);

/** What was counted then goes into the notebook, once; what cannot be read is left where it is. */
export function takeOverCounts(storage: Storage): Thunk<Promise<void>> {
  return async (dispatch) => {
    if (storage.getItem(KEY) === null) return;
    const counts = keptAs<z.infer<typeof Earlier> | undefined>(storage, KEY, Earlier, undefined);
    if (!counts) return;
    const entry = (find: string, result: 'passed' | 'stray') =>
      ({
        kind: 'counts',
        find,
        body: { id: newId(), at: dispatch(now()), by: dispatch(person()), result },
      }) as Entry;
    const entries = Object.entries(counts).flatMap(([find, { passed, strays }]) => [
      ...Array.from({ length: passed }, () => entry(find, 'passed')),
      ...Array.from({ length: strays }, () => entry(find, 'stray')),
    ]);
    if (entries.length === 0 || (await dispatch(add(...entries)))) storage.removeItem(KEY);
  };
}
