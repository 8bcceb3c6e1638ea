export {
  isSmelled, harms, slug, text, TaxonId, CharacterId, StateId, StageId, Kingdom, HarmGrade, SharedCause, ObservationMethod, Damage, Route, CautionFor, LengthUnit,
  State, StateCharacter, MeasureCharacter, CountCharacter, Character, Statement, Harm, Part, Caution, Phenology, Need, Regrowth, Benefit, Taxon, BodyPlan, Guide,
} from './schema';
export { parseGuide, GuideError, fieldPath, type GuideProblem } from './parse';
export {
  compileGuide, causesIn, statesIn, CAUSE_BIT, SHARED_CAUSES,
  type CompiledCharacter, type CompiledGuide, type CompiledTaxon, type GuideTables, type Known, type StateMask,
} from './compile';
export { GRADES } from './grades';
export { millimetres } from './units';
