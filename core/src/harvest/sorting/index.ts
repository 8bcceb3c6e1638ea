/** Looking again at home, piece by piece: how likely a dangerous one is still among the others. */
export * from './strays';
