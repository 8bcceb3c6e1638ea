/** Pages of the notebook that are not finds: places, eaters, walks, and what groups agreed on. */
export * from './schema';
export * from './fields';
export * from './placeFields';
export * from './people';
export * from './harvest';
export * from './geometry';
export * from './shape';
export * from './fold';
export * from './currentFields';
export * from './pantry';
export * from './practice';
