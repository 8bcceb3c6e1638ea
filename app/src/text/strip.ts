import {
  type ContextField,
  type Verdict,
  type AskedPlan,
  type Plan,
  lacksOnlySecondLooks,
  type Reason,
} from '@pause/core';
import { t } from './en/strip';
import { factLine, listed } from './messages';
import { timeWords, lowerFirst, characterName, upper, numberWord } from './names';
import { reasonWords, passedOver } from './reasons';

/** The one line of a verdict. */

const MISSING: Readonly<Record<ContextField, string>> = {
  stages: t.stage,
  condition: t.condition,
  part: t.part,
  use: t.use,
  permission: t.permission,
  contamination: t.whatSpoilsThePlace,
  protection: t.protection,
  tracedToBase: t.tracedToOneBase,
};

/** While place and condition are being answered: what leaving one out costs. */
export function aroundLine(verdict: Verdict): string {
  const missing = [
    ...new Set(
      verdict.reasons.flatMap((r) =>
        r.code === 'context-missing'
          ? [MISSING[r.field]]
          : r.code === 'not-traced'
            ? [MISSING.tracedToBase]
            : [],
      ),
    ),
  ];
  if (verdict.outcome !== 'pause' || missing.length === 0) return stripLine(verdict);
  return t.stillOpenEachAloneKeeps(listed(missing), missing.length);
}

/** The one line of the decision strip: what is in the way, or that nothing recorded is. */
export function stripLine(verdict: Verdict, plan?: AskedPlan | Plan): string {
  const soFar = beforeSecondLooks(verdict, plan) ?? howFar(verdict)?.line;
  if (soFar === undefined) return oneLine(verdict);
  const more = plan?.feasible === true && plan.seconds > 0 && verdict.outcome === 'pause';
  return more ? t.allOfItAbout(soFar, timeWords(plan.seconds)) : soFar;
}

/** Where only second looks are missing, and something else is asked before them: what that is. */
function beforeSecondLooks(verdict: Verdict, plan: AskedPlan | Plan | undefined): string | undefined {
  const [first] = plan?.feasible === true ? plan.checks : [];
  if (!first || !lacksOnlySecondLooks(verdict)) return undefined;
  const again = verdict.reasons.some(
    (reason) => reason.code === 'look-again' && reason.character === first.character,
  );
  return again ? undefined : t.whatIsDangerousIsRuled(lowerFirst(characterName(first.character)));
}

/** What holds only if it is what it is taken for: it is written as an *if*, and after what is not ruled out. */
const ABOUT_PART = new Set(['part-not-wanted', 'part-harmful', 'use-not-known', 'part-not-at-stage']);

export const aboutPart = ({ code }: Pick<Reason, 'code'>): boolean => ABOUT_PART.has(code);

/** How many dangerous ones are not ruled out yet. */
const openBars = ({ reasons }: Verdict): number => reasons.filter(({ code }) => code === 'bars-short').length;

/** That some dangerous ones are not ruled out yet, if any. */
function notRuledOut(verdict: Verdict): string | undefined {
  const length = openBars(verdict);
  return length === 0 ? undefined : t.dangerousOnesAreNotRuled(upper(numberWord(length)), length);
}

function oneLine(verdict: Verdict): string {
  if (verdict.outcome === 'collect') return t.nothingOnRecordSpeaksAgainst;
  if (verdict.outcome === 'leave') {
    const first =
      verdict.reasons.find((r) => r.code === 'identified') ??
      verdict.reasons.find((r) => r.weight === 'leave');
    if (!first) return t.leaveIt;
    const open = aboutPart(first) ? notRuledOut(verdict) : undefined;
    return open ? `${open} ${reasonWords(first, verdict)}` : reasonWords(first, verdict);
  }
  const urgent = urgentReason(verdict);
  // The strip has room for three of them at most.
  if (urgent?.code === 'unanswered') return passedOver(urgent.characters, 2);
  if (urgent) return reasonWords(urgent, verdict);
  const only = verdict.reasons.find((r) => r.weight === 'pause');
  return only ? reasonWords(only, verdict) : t.somethingIsMissing;
}

/** Reasons to pause that come before everything that is still missing. */
const URGENT = new Set<Reason['code']>([
  'contradicted-open',
  'taken-back',
  'stage-disputed',
  'other-piece-against',
  'not-traced',
  'unanswered',
]);
const urgentReason = ({ reasons }: Verdict): Reason | undefined =>
  reasons.find(({ code, weight }) => weight === 'pause' && URGENT.has(code));

/** The same in as few words as a narrow strip has room for; the whole line where there are no fewer. */
export function briefLine(verdict: Verdict, plan?: AskedPlan | Plan): string {
  const soFar = beforeSecondLooks(verdict, plan) ? undefined : howFar(verdict);
  if (soFar === undefined) return stripLine(verdict, plan);
  return plan?.feasible === true && plan.seconds > 0
    ? factLine(soFar.brief, timeWords(plan.seconds))
    : soFar.brief;
}

/** How far a check has come that is at pause only because something is still missing: in a sentence, and in brief. */
function howFar(verdict: Verdict): { readonly line: string; readonly brief: string } | undefined {
  if (verdict.outcome !== 'pause' || urgentReason(verdict)) return undefined;
  const line = notRuledOut(verdict);
  if (line) return { line, brief: t.notRuledOutBrief(openBars(verdict)) };
  const pausing = verdict.reasons.filter(({ weight }) => weight === 'pause');
  const { length: marks } = pausing.filter(({ code }) => code === 'signature-missing');
  if (marks > 0)
    return {
      line: t.whatIsDangerousIsRuledOut(marks, upper(numberWord(marks))),
      brief: t.marksMissingBrief(marks),
    };
  const groups = pausing.find((reason) => reason.code === 'groups-short');
  return (
    groups && {
      line: t.ofIndependentThingsFitSo(groups.have, groups.need),
      brief: t.fitBrief(groups.have, groups.need),
    }
  );
}
