import type { Verdict } from '../../src';

export const codes = (verdict: Verdict, weight: string) =>
  verdict.reasons.filter((r) => r.weight === weight).map((r) => r.code);
