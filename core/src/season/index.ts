/**
 * What can be found where and when: warmth summed over days, rain and frost, corrected by height, slope, shade, and
 * what was seen there.
 */
export { expectedHere, type Expected } from '../verdict';
export * from './site';
export * from './warmth';
export * from './scenario';
export * from './window';
export * from './learn';
export * from './rain';
export * from './predict';
export * from './spread';
export * from './thisSeason';
export * from './onset';
export * from './visits';
export * from './week';
