export { isSmelled, State, StateCharacter, MeasureCharacter, CountCharacter, Character } from './character';
export { harms, Statement, Harm, Part, Caution, Phenology, Need, Regrowth, Benefit, Taxon } from './taxon';
export {
  slug,
  text,
  TaxonId,
  CharacterId,
  StateId,
  StageId,
  Kingdom,
  HarmGrade,
  SharedCause,
  ObservationMethod,
  Damage,
  Route,
  CautionFor,
  LengthUnit,
  Minded,
} from './ids';
export { Reader, BodyPlan, Guide } from './schema';
export { parseGuide } from './parse';
export { GuideError, fieldPath, type GuideProblem } from './problem';
export { compileGuide } from './compile';
export { causesIn, causesOf, CAUSE_BIT, CAUSE_SETS, SHARED_CAUSES } from './causes';
export { isConfirmed, union, READINGS_NEEDED } from './known';
export {
  statesIn,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type GuideTables,
  type Known,
  type StateMask,
} from './compiled';
export { GRADES } from './grades';
export { isCollectable, wantedStages } from './collectable';
export { DAMAGE_SECONDS, effortOf, HANDLING_SECONDS, harmlessFirst } from './effort';
export { millimetres } from './units';
