/**
 * The reasoning of Pause: pure functions over a guide and a case.
 * No interface, no network, no clock and no randomness that is not passed in.
 */
export * from './canonical';
export { colourDistance, oklab, NEAR, type Oklab } from './colour';
export * from './guide';
export * from './case';
export * from './relation';
export * from './season/expected';
export * from './settle';
export * from './bars';
export * from './target';
export { Policy, GROUP_POLICY, taxonContent } from './policy';
export { asksForTracing, cautionsFor } from './context';
export * from './verdict';
export * from './next';
export * from './plan';
export { partings, type Parting } from './part';
export { applyEntry, blindAsk, caseOf, contextOf, countOf, entriesOf, findsOf, mayBeBlind, edited, summaryOf, unnamedOf } from './find';
export type { Ask, Choice, Decision, Edit, FindRecord, FindSummary, Position } from './find';
export { heard, nextStamp, type Stamp } from './notebook/stamp';
export type { Entry, FindEntry, PageEntry } from './notebook/entry';
export { fieldHistory, standing } from './page/standing';
export type { FieldsOf, PageKind, PageRecord, Sighting } from './page';
