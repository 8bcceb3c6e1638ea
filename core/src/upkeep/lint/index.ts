import type { CompiledGuide } from '../../guide';
import type { LintFinding } from './finding';
import { lintPairs } from './pairs';
import { sharedSignatures } from './signature';
import { lintTaxa } from './taxa';
import { sharedNames, unused } from './words';

export type { LintFinding } from './finding';
export { separation } from './pairs';

/** Lints a compiled guide. Findings come in a fixed order; weak ones first. */
export function lint(guide: CompiledGuide): LintFinding[] {
  const findings: LintFinding[] = [
    ...lintPairs(guide),
    ...sharedSignatures(guide),
    ...lintTaxa(guide),
    ...unused(guide),
    ...sharedNames(guide),
    {
      level: 'note',
      code: 'unreviewed',
      taxa: guide.taxa.filter((t) => t.taxon.review.reviewedBy === null).length,
    },
  ];
  return [...findings.filter((f) => f.level === 'weak'), ...findings.filter((f) => f.level === 'note')];
}
