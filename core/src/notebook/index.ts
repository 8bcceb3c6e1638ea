/** The notebook that several devices write: entries, their order, and who may see a place. */
export * from './entry';
export * from './stamp';
export * from './place';
export * from './find/record';
export * from './page';
export { bytesHash } from '../lib/canonical';
