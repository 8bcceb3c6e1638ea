export * from './schema';
export { parseGuide, GuideError, fieldPath, type GuideProblem } from './parse';
export {
  compileGuide, causesIn, statesIn, CAUSE_BIT, SHARED_CAUSES,
  type CompiledCharacter, type CompiledGuide, type CompiledTaxon, type GuideTables, type Known, type StateMask,
} from './compile';
export { millimetres } from './units';
