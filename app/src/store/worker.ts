import { update } from './update';
import type { Dispatch } from './store';

/** After so long the waiting one would have taken over. */
const ANSWER_MS = 1500;
let registration: ServiceWorkerRegistration | undefined;

/**
 * Keeps the application on the device, from the first visit on. A newer one is only told of: nobody's check is
 * interrupted by it.
 */
export async function keepApplication(dispatch: Dispatch): Promise<void> {
  if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
  const { Workbox } = await import('workbox-window');
  const workbox = new Workbox('/sw.js');
  workbox.addEventListener('waiting', () => dispatch(update.actions.updateWaits()));
  registration = await workbox.register();
}

/** Lets the newer one take over, and starts it; says so where another window of Pause stands in the way. */
export async function takeNewer(dispatch: Dispatch): Promise<void> {
  const { messageSW } = await import('workbox-window');
  const newer = registration?.waiting;
  if (!newer) return;
  dispatch(update.actions.updateHeldUp(false));
  navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
  const answer: unknown = await Promise.race([
    messageSW(newer, { type: 'take-over' }) as Promise<unknown>,
    new Promise((resolve) => { setTimeout(resolve, ANSWER_MS); }),
  ]);
  if (answer === 'others-open') dispatch(update.actions.updateHeldUp(true));
}
