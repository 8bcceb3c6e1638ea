/** Lengths and forms off a picture or a screen, with how far they can be out: pure geometry, no interface. */
export { HELD_WITHIN, lengthOnPicture, PICKED_WITHIN, type Reference } from './length';
export { CARD, lengthOnScreen, rulerFromCard, type Length, type ScreenRuler } from './ruler';
export {
  bladeForm,
  outlineTerm,
  OUTLINE_POINTS,
  OUTLINE_TERMS,
  TOO_CLOSE_TO_TELL,
  type BladeForm,
  type NamedOutline,
  type OutlineTerm,
} from './outline';
export { onPlane, planeFromCard, type Pixel, type PlaneMap } from './plane';
