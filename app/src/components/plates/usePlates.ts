import { late } from '../../lib/late';

export type Plates = typeof import('@pause/core/drawing');

/** What draws plates: the first screen does without. */
export const {
  load: loadPlates,
  useIt: usePlates,
  useNeeded: useNeededPlates,
} = late<Plates>(() => import('@pause/core/drawing'));
