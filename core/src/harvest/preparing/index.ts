/**
 * Making it ready and making it keep: what may be made of a part, what is done to it first, and the sums of a
 * kitchen. No dose and no cure.
 */
export * from './kitchen';
export * from './spirit';
export * from './liquid';
export * from './drying';
export * from './timer';
export * from './method';
export * from './keep';
export * from './yields';
export * from './steps';
export * from './step';
