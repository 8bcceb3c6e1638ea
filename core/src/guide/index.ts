export {
  isSmelled, harms, slug, text, TaxonId, CharacterId, StateId, StageId, Kingdom, HarmGrade, SharedCause, ObservationMethod, Damage, Route, CautionFor, LengthUnit,
  State, StateCharacter, MeasureCharacter, CountCharacter, Character, Statement, Reader, Harm, Part, Caution, Phenology, Need, Regrowth, Benefit, Taxon, BodyPlan, Guide,
} from './schema';
export { parseGuide, GuideError, fieldPath, type GuideProblem } from './parse';
export {
  compileGuide, causesIn, causesOf, isConfirmed, statesIn, union, CAUSE_BIT, CAUSE_SETS, READINGS_NEEDED, SHARED_CAUSES,
  type CompiledCharacter, type CompiledGuide, type CompiledTaxon, type GuideTables, type Known, type StateMask,
} from './compile';
export { GRADES } from './grades';
export { isCollectable, wantedStages } from './collectable';
export { DAMAGE_SECONDS, effortOf, HANDLING_SECONDS, harmlessFirst } from './effort';
export { millimetres } from './units';
