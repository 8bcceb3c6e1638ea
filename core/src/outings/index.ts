/** Before setting out: what a place allows, who eats along, and the sheet of a walk. */
export * from './picking';
export * from './household';
export * from './neighbours';
export * from './walk';
export * from './near';
export * from './ground';
