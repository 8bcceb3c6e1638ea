export * from './schema';
export { parseCase, checkValue, CaseError, type CaseProblem } from './parse';
export { viewCase, toLook, type CaseView, type Look } from './view';
