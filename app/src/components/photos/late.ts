import { latePart } from '../latePart';

/** Photos and sketches, fetched when a screen first shows them. */
export const Pictures = latePart(() => import('./Pictures').then((m) => m.Pictures));
/** Paper to draw on. */
export const SketchPad = latePart(() => import('./SketchPad').then((m) => m.SketchPad));
