/** Learning the pairs: specimens that never existed, walks in the practice wood, what somebody confuses, and when to look at what again. */
export * from './specimen';
export * from './walk';
export * from './confusion';
export * from './repeat';
