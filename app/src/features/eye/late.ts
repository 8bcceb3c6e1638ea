import { lazy } from 'react';

/** Photos and sketches, fetched when a screen first shows them. */
export const Pictures = lazy(() => import('./Pictures').then((m) => ({ default: m.Pictures })));
