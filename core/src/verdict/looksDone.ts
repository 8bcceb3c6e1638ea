import type { Verdict } from './decide';

/** Reasons that no look at the specimen mends: its place, who eats it, and who else has to look. */
const BESIDE_LOOKS: ReadonlySet<string> = new Set([
  'context-missing',
  'ask-for-eater',
  'not-traced',
  'second-look-missing',
  'not-earned',
  'name-open',
]);

/** Whether it stays at pause only for what no look at the specimen mends. */
export function looksAreDone({ outcome, reasons }: Pick<Verdict, 'outcome' | 'reasons'>): boolean {
  return (
    outcome === 'pause' && reasons.every(({ weight, code }) => weight !== 'pause' || BESIDE_LOOKS.has(code))
  );
}
