import type { Thunk } from './store';

/**
 * Leaves nothing of the notebook on this device, pictures too, and tells the other windows; does nothing
 * where entries still wait.
 *
 * @returns how many wait
 */
export function emptyDevice(): Thunk<Promise<number>> {
  return async (_, __, { album, device, emptied }) => {
    const waiting = await device.clear();
    if (waiting > 0) return waiting;
    await (await album()).clear().catch(() => undefined);
    emptied();
    return 0;
  };
}
