export * from './schema';
export { caseProblems, parseCase, parseUnnamed, checkValue, CaseError, type CaseProblem } from './parse';
export { viewCase, toLook, type CaseView, type Look } from './view';
