/** Whole taxa, from what is stated of them: sketched in millimetres, then put onto a sheet in ink and wash. */
export {
  individualPlate,
  pairPlates,
  taxonPlate,
  SHEET,
  type AtStage,
  type Part,
  type TaxonPlate,
} from './taxon';
export type { Detail } from './ink';
