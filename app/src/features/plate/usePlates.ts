import { late } from '../../evaluate/late';

export type Plates = typeof import('@pause/core/plate');

/** What draws plates: the first screen does without. */
export const { load: loadPlates, useIt: usePlates } = late<Plates>(() => import('@pause/core/plate'));
