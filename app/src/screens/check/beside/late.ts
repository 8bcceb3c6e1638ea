import { latePart } from '../../../components/latePart';

/** What is shown side by side, fetched when a screen first shows it. */
export const SideBySide = latePart(() => import('./SideBySide').then((m) => m.SideBySide));
