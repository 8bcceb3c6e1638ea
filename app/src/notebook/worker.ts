import { z } from 'zod';
import type { Dispatch, Store } from './store';
import { update } from './update';

/** After so long the waiting one would have taken over. */
const ANSWER_MS = 1500;
let registration: ServiceWorkerRegistration | undefined;

/**
 * As long the page is left to whoever opened it: getting ready for later takes a phone's strength too. No
 * longer, though it be in use: nobody knows when the connection ends.
 */
const REST_MS = 1000;
export async function rested(): Promise<void> {
  await new Promise((resolve) => {
    setTimeout(resolve, REST_MS);
  });
  if ('requestIdleCallback' in window)
    await new Promise((resolve) => {
      requestIdleCallback(resolve, { timeout: REST_MS });
    });
}

/**
 * Keeps the application on the device, from the first visit on. A newer one is only offered: nobody's check
 * is interrupted by it. Where a browser has nothing to keep it in, the other screens are fetched at least.
 */
export async function keepApplication(dispatch: Dispatch): Promise<void> {
  if (process.env.NODE_ENV !== 'production') return;
  try {
    const { Workbox } = await import('workbox-window');
    const workbox = new Workbox('/sw.js');
    workbox.addEventListener('waiting', () => dispatch(update.actions.updateWaits()));
    registration = await workbox.register();
  } catch {
    registration = undefined;
  }
  const later = document.querySelector<HTMLTemplateElement>('template#later');
  if (!registration && later) document.head.append(later.content);
}

/** Lets the newer one take over, and starts it; says so where another window of Pause is in the way. */
export async function takeNewer(dispatch: Dispatch): Promise<void> {
  const { messageSW } = await import('workbox-window');
  const newer = registration?.waiting;
  if (!newer) return;
  dispatch(update.actions.updateHeldUp(false));
  navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), {
    once: true,
  });
  const answer: unknown = await Promise.race([
    messageSW(newer, { type: 'take-over' }) as Promise<unknown>,
    new Promise((resolve) => {
      setTimeout(resolve, ANSWER_MS);
    }),
  ]);
  if (answer === 'others-open') dispatch(update.actions.updateHeldUp(true));
}

const Grew = z.object({ stream: z.string(), last: z.number() });

/** What an earlier version kept elsewhere goes into the notebook. */
export async function takeOverEarlier(store: Store): Promise<void> {
  const { takeOverCounts } = await import('./outside');
  await store.dispatch(takeOverCounts(window.localStorage));
}

/** Hears of what others tell as soon as the server knows of it, for as long as somebody is signed in. */
export function followServer(store: Store): void {
  let source: EventSource | undefined;
  const follow = () => {
    const { person, signedOut } = store.getState().me;
    const wanted = person?.account === true && signedOut !== true;
    if (!wanted) {
      source?.close();
      source = undefined;
    } else if (!source || source.readyState === EventSource.CLOSED) {
      source = new EventSource('/api/v1/sync/events');
      source.addEventListener('grew', ({ data }: MessageEvent<string>) => {
        void import('./outside').then((outside) =>
          store.dispatch(outside.streamGrew(Grew.safeParse(JSON.parse(data)).data)),
        );
      });
    }
  };
  follow();
  let was = store.getState().me;
  store.subscribe(() => {
    const { me } = store.getState();
    if (me !== was) follow();
    was = me;
  });
}
