/** What is in the pantry: batches with all that they come from, how much is left, and what jars say. */
export type * from '../notebook/page/pantry';
export * from './descent';
export * from './left';
export * from './label';
