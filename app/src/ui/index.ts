export * from './tokens';
export * from './Words';
export * from './Marks';
export { PlateView } from './PlateView';
export { Button, Chip, ChipRow } from './Button';
export { Field, Input } from './Field';
export { Screen, Rule, useTwoPanes, useWide } from './Screen';
export { Loading, Notice } from './Notice';
export { Slide } from './Slide';
