import { latePart } from '../../../components/latePart';

/** What stands side by side, fetched when a screen first shows it. */
export const SideBySide = latePart(() => import('./SideBySide').then((m) => m.SideBySide));
