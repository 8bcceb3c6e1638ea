/** The logbook as a whole: a year at a glance, and everything in open formats out and in. */
export * from './year';
export * from './unfold';
export * from './csv';
export * from './occurrences';
export * from './otherTable';
export { identified, readOccurrences, type ReadFind } from './readOccurrences';
export * from './table';
export * from './readTable';
