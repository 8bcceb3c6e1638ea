import { useApp } from '../notebook/store';
import { latePart } from './latePart';

const UpdateOffer = latePart(() => import('./UpdateOffer').then((m) => m.UpdateOffer));

/** A newer Pause, if one is there. */
export function UpdateLine() {
  return useApp((state) => state.update.waiting) ? <UpdateOffer /> : null;
}
