import type { LengthUnit } from './ids';

const PER_UNIT: Readonly<Record<LengthUnit, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4 };

/**
 * A length in millimetres, the one unit inside the core. 1 in = 25.4 mm exactly (international yard, 1959).
 */
export function millimetres(value: number, unit: LengthUnit): number {
  return value * PER_UNIT[unit];
}
