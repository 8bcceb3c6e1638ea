/**
 * Drawings computed from what decides: pure geometry, no interface. A door of its own, so that a screen loads
 * it when it draws.
 */
export { answerPlate, ANSWER } from './answer';
export { pathData, boxOfMarks, linesOf, type Fill, type Ink, type Mark, type Plate } from './mark';
export { boxOf, inside, seeded, type Box, type Line, type Point } from './geometry';
export { bladeOutline, halfWidth, OUTLINES, veins, type Margin, type Outline, type Venation } from './leaf';
export { labels, type Label } from './label';
export { individual, type Individual } from './build';
export * from './plate';
