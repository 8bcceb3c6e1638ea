import type { LintFinding } from '@pause/core/questions';

/** A finding as a sentence: what is wrong, where, and what would mend it. */
export function sayFinding(finding: LintFinding): string {
  switch (finding.code) {
    case 'few-bars':
      return (
        `${finding.target} against ${finding.taxon}, ${finding.stage}: a typical specimen gives ` +
        `${finding.most} bars that share no cause, ${finding.need} are needed. ${mend(finding)}`
      );
    case 'cannot-collect':
      return (
        `${finding.taxon}, ${finding.part}, ${finding.stages.join(', ')}: no set of checks ends in ` +
        `collect. Take the stage away from the part, add statements about what it could be taken for, or declare a ` +
        `near-double.`
      );
    case 'few-statements':
      return `${finding.taxon}: ${finding.have} statements, ${finding.need} are wanted. Add what references agree on.`;
    case 'core-unstated':
      return (
        `${finding.taxon} / ${finding.character}: every dangerous taxon of its body plan states this, ` +
        `at all its stages. State it, or the others stay unbarred for want of it.`
      );
    case 'contradicts-plan':
      return (
        `${finding.taxon} / ${finding.character}: usual ${finding.states.join(', ')} contradicts its ` +
        `body plan. Correct the statement, or the body plan.`
      );
    case 'signature-shared':
      return (
        `${finding.target}, ${finding.stage}: ${finding.taxon} can show its whole signature. ` +
        (finding.parted.length > 0
          ? `Add a mark that parts them: ${finding.parted.join(', ')}.`
          : 'Nothing that is stated parts them: state more of either, or declare a near-double.')
      );
    case 'unconfirmed':
      return (
        `${finding.taxon}: fewer than two readings support what is said of ` +
        `${finding.characters.join(', ')}; it gives no bar. Let somebody read it who has not seen the guide.`
      );
    case 'range-wide':
      return (
        `${finding.taxon} / ${finding.character}: the outer range is so wide that it says hardly ` +
        `anything. Narrow it, or leave it out.`
      );
    case 'unused-character':
      return `${finding.character}: no taxon states it. State it, or leave the character out.`;
    case 'unused-state':
      return (
        `${finding.character} / ${finding.state}: no taxon shows it. Leave the state out, unless it is ` +
        `there to be ruled out.`
      );
    case 'name-means-two':
      return (
        `"${finding.name}" means ${finding.taxa.join(' and ')}. Whoever searches it is warned; nothing ` +
        `has to be mended.`
      );
    case 'unreviewed':
      return `${finding.taxa} taxa were reviewed by nobody. Let local experts review them, the deadly pairs first.`;
  }
}

function mend({ unstated }: { readonly unstated: readonly string[] }): string {
  return unstated.length > 0
    ? `State of the second, if references agree: ${unstated.join(', ')}.`
    : 'Everything that can be asked is stated of both: narrow what is usual for the first, take a stage ' +
        'away at which it is collected, or declare a near-double.';
}
