import { latePart } from '../latePart';

/** Photos and sketches, fetched when a screen first shows them. */
export const Pictures = latePart(() => import('./Pictures').then((m) => m.Pictures));
