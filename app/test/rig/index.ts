import { inPlace, type Evaluator } from '../../src/deciding/client';
import { album } from '../../src/notebook/pictures';
import { makeStore, type Store } from '../../src/notebook/store';
import { deviceInMemory } from './device';
import { serverInMemory } from './server';

/** The application's store, on a device and with a server that are both in memory. */
export function rig(evaluator: Evaluator = inPlace) {
  const { api, ...atServer } = serverInMemory();
  const { device, ...onDevice } = deviceInMemory();
  /** Each time that other windows heard of it: how many finds and entries were left by then. */
  const emptied: Promise<readonly [number, number]>[] = [];
  let time = Date.UTC(2030, 0, 1);
  /** Opens the application in a window. */
  const open = () =>
    makeStore({
      api,
      device,
      album: () => Promise.resolve(album),
      evaluator,
      clock: () => {
        time += 1;
        return time;
      },
      drawn: () => Promise.resolve(),
      emptied: () => {
        emptied.push(
          Promise.all([onDevice.findsOnDevice(), onDevice.waiting().then((waiting) => waiting.length)]),
        );
      },
    });
  const store = open();
  return {
    ...atServer,
    ...onDevice,
    emptied,
    open,
    store,
    /** Resolves once nothing is under way in a window: what was added is judged, and sent where it can be. */
    atRest: (of: Store = store) => until(() => isAtRest(of)),
  };
}

function isAtRest(store: Store): boolean {
  const { finds, me, outbox } = store.getState();
  const judged = Object.values(finds).every(
    ({ change, evaluated, evaluation, fault }) => !evaluation || fault !== undefined || evaluated === change,
  );
  const sends = me.person?.account === true && me.signedOut !== true && !outbox.away;
  return judged && !outbox.sending && !(sends && outbox.waiting.length > 0);
}

const LONGEST_MS = 5000;

/** Waits until something holds. @throws Error where it does not within five seconds */
export async function until(holds: () => boolean): Promise<void> {
  for (const end = Date.now() + LONGEST_MS; !holds();) {
    if (Date.now() > end) throw new Error('what was waited for did not happen');
    await new Promise((resolve) => {
      setTimeout(resolve, 1);
    });
  }
}
