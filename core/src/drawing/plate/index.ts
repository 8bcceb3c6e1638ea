/** Whole taxa, from what is stated of them: sketched in millimetres, then put onto a sheet in ink and wash. */
export { individualPlate, pairPlates, taxonPlate, type AtStage } from './taxon';
export { SHEET, type Part, type TaxonPlate } from './sheet';
export {
  lensedPlate,
  lensMarks,
  specimenPlate,
  type Callout,
  type Lens,
  type LensedPlate,
  type SpecimenPlate,
  type Touchable,
} from './lens';
export { writtenPlate, type WrittenMark, type WrittenPlate } from './written';
export { tellingCharacters } from './telling';
export type { Detail } from './ink';
