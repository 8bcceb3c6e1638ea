import { after } from '../lib/breath';
import { t } from '../text/en/notebook';
import { loadList, show, showFind } from './repository/finds';
import { me, finds } from './slices';
import type { Thunk } from './store';

/** Opening what the device keeps: who is signed in, and a find. */

/** An id that nobody else makes. */
export function newId(): string {
  return crypto.randomUUID();
}

/**
 * All that a connection is for; see `sync.ts`, which is fetched when it is first wanted.
 *
 * @returns whether the server was reached
 */
export function syncAll(): Thunk<Promise<boolean>> {
  return async (dispatch) => {
    const outside = await import('./outside').catch(() => undefined);
    return outside ? dispatch(outside.syncAll()) : false;
  };
}

/** Who keeps this notebook, as this device knows it. Without an account it is whoever holds the device. */
export function openMe(): Thunk<Promise<void>> {
  return (dispatch, _, { device, running }) => {
    const open = async () => {
      dispatch(me.actions.meLoading());
      dispatch(
        me.actions.meLoaded(
          await device.person({
            id: newId(),
            name: '',
            demo: false,
            offsetMs: 0,
            account: false,
            groups: [],
          }),
        ),
      );
    };
    running.opening ??= open();
    return running.opening;
  };
}

/** Who keeps this notebook: as this device knows it at once, then as the server does. */
export function loadMe(): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    await dispatch(openMe());
    const synced = dispatch(syncAll());
    void Promise.race([synced.catch(() => undefined), after(ASKED_MS)]).then(async () => {
      // Where the log is on show, it is there before anything says that it is empty.
      if (getState().list.status !== 'idle') await dispatch(loadList());
      dispatch(me.actions.serverAsked());
    });
    await synced;
  };
}

/** So long nobody waits for the server before the notebook is shown as this device knows it. */
const ASKED_MS = 3000;

/** A find, as this device knows it; where it does not, the server is asked first. */
export function loadFind(id: string): Thunk<Promise<void>> {
  return async (dispatch, getState, { device }) => {
    dispatch(finds.actions.findLoading(id));
    // Warm up the write path, so that the first answer is fast.
    device.put(() => []).catch(() => undefined);
    if (await dispatch(showFind(id))) return;
    const reached = await dispatch(syncAll());
    if (await dispatch(showFind(id))) return;
    if (reached || getState().me.person?.account === false) dispatch(show(id, undefined));
    else dispatch(finds.actions.findFailed({ id, error: t.notOnThisDevice }));
  };
}

/** Who records something here; nobody as long as the device has not answered, see `Device.put`. */
export const person = (): Thunk<string> => (_, getState) => getState().me.person?.id ?? '';
