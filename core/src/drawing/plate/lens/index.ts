/** Small marks enlarged round a whole, and the parts of a specimen with their names. */
export { lensedPlate, lensMarks, type Lens, type LensedPlate } from './lensed';
export { specimenPlate, type Callout, type SpecimenPlate, type Touchable } from './specimen';
