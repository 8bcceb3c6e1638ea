import { latePart } from '../latePart';

/** Near names are looked for only where nothing else was found, so their program is fetched then. */
export const DidYouMean = latePart(
  () => import('./DidYouMean').then((program) => program.DidYouMean),
  () => <></>,
);
