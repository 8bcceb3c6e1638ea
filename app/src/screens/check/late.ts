import { latePart } from '../../components/latePart';

/** Where others are warned of it: fetched when a find first turns out to be what nobody collects. */
export const WarnOthers = latePart(() => import('./WarnOthers').then((m) => m.WarnOthers));
