export {
  ANSWER_VALUES,
  canBeOdd,
  Character,
  checkAnswer,
  compare,
  individualValue,
  isColour,
  isDrawn,
  isNumber,
  isPossible,
  isUsual,
  overlap,
  see,
  State,
  stateOf,
  Statement,
  statesIn,
  statesOfCharacter,
  typicallySeen,
  typicalValue,
  union,
  usualValues,
  withError,
  type AnswerValue,
  type Known,
  type Relation,
  type Seen,
  type SeenNumber,
  type SeenStates,
  type StateMask,
} from './kinds';
export { isSmelled } from './smelled';
export {
  preparationsOf,
  harms,
  type Harm,
  type Part,
  type Caution,
  type Phenology,
  type Need,
  type Regrowth,
  type Benefit,
  type Taxon,
} from './taxon';
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
  type ObservationMethod,
  type Damage,
  type Route,
  type CautionFor,
  type LengthUnit,
  Minded,
} from './ids';
export { type Reader, type BodyPlan, Guide } from './schema';
export { type GuideProblem } from './problem';
export { compileGuide } from './compile';
export { causesIn, CAUSE_BIT, CAUSE_SETS, SHARED_CAUSES } from './causes';
export { isConfirmed, READINGS_NEEDED } from './confirmed';
export {
  causesOf,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type GuideTables,
} from './compiled';
export { GRADES } from './grades';
export { isCollectable, wantedStages } from './collectable';
export { DAMAGE_SECONDS, effortOf, HANDLING_SECONDS, harmlessFirst } from './effort';
export { millimetres } from './units';
