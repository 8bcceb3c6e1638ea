import { clientsClaim } from 'workbox-core';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/** The part of a service worker's world that is used here. */
interface Worker {
  readonly clients: {
    matchAll(of: { type: 'window'; includeUncontrolled: boolean }): Promise<readonly unknown[]>;
  };
  skipWaiting(): Promise<void>;
  addEventListener(
    type: 'message',
    listener: (event: MessageEvent<{ readonly type?: string }>) => void,
  ): void;
}
declare const self: Worker;
/** Every file of the built application, named by the build. */
declare const FILES: PrecacheEntry[];

// The whole application with its fonts and its guide is kept at once: nobody knows where the connection ends.
precacheAndRoute(FILES);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));
cleanupOutdatedCaches();
clientsClaim();

self.addEventListener('message', (event) => {
  if (event.data.type !== 'take-over') return;
  void self.clients.matchAll({ type: 'window', includeUncontrolled: true }).then((windows) => {
    // Another window may be in the middle of a check, and its files would be gone.
    if (windows.length > 1) event.ports[0]?.postMessage('others-open');
    else void self.skipWaiting();
  });
});
