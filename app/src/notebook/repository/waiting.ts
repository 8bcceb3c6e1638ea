import type { Entry } from '@pause/core';
import { isSame } from '../outboxSlice';
import type { Outside, State, Thunk } from '../store';

/**
 * Reads from the device, together with the entries that wait to be sent.
 *
 * While the device answers, an entry may be added or may arrive at the server. It counts either way: an entry that
 * is read twice changes nothing, and one that is missed would be gone from the screen.
 */
export function readWithWaiting<T>(
  read: (device: Outside['device']) => Promise<T>,
): Thunk<Promise<{ readonly kept: T; readonly waiting: readonly Entry[] }>> {
  return async (_, getState, { device }) => {
    const before = getState().outbox.waiting;
    const kept = await read(device);
    return { kept, waiting: either(before, getState().outbox) };
  };
}

function either(before: readonly Entry[], { waiting, refused }: State['outbox']): readonly Entry[] {
  if (before === waiting) return waiting;
  const gone = [...waiting, ...refused.map(({ entry }) => entry)];
  return [...before.filter((entry) => !gone.some((other) => isSame(entry, other))), ...waiting];
}
