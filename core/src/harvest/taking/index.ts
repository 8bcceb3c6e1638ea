/** How much to take, and how: need, patch, permission, basket and hands. */
export * from './amount';
export * from './count';
export * from './matrix';
export * from './life';
export * from './patch';
export * from './need';
export * from './ceilings';
export * from './manner';
