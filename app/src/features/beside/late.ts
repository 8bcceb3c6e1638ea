import { lazy } from 'react';

/** What stands side by side, fetched when a screen first shows it. */
const loading = () => import('./Differences');
export const Drawings = lazy(() => loading().then((m) => ({ default: m.Drawings })));
export const Differences = lazy(() => loading().then((m) => ({ default: m.Differences })));
