import { latePart } from '../latePart';

/** What stands side by side, fetched when a screen first shows it. */
const loading = () => import('./Differences');
export const Drawings = latePart(() => loading().then((m) => m.Drawings));
export const Differences = latePart(() => loading().then((m) => m.Differences));
