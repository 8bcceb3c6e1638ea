import type { SharedCause } from './ids';

/** Causes for which several readings go wrong together. */

export const CAUSE_BIT: Readonly<Record<SharedCause, number>> = {
  colour: 1,
  smell: 2,
  number: 4,
  absence: 8,
  outline: 16,
};

export const SHARED_CAUSES: readonly SharedCause[] = ['colour', 'smell', 'number', 'absence', 'outline'];

/** Number of sets of shared causes: each is a number below it. */
export const CAUSE_SETS = 1 << SHARED_CAUSES.length;

/** Shared causes (as bits) on which a reading of these states rests, besides those of its character. */
export function causesOfStates(
  { stateCauses }: { readonly stateCauses: readonly { readonly states: number; readonly cause: number }[] },
  states: number,
): number {
  return stateCauses.reduce((causes, one) => ((one.states & states) !== 0 ? causes | one.cause : causes), 0);
}

/** The shared causes in a bit set, in fixed order. */
export function causesIn(mask: number): SharedCause[] {
  return SHARED_CAUSES.filter((cause) => (mask & CAUSE_BIT[cause]) !== 0);
}
