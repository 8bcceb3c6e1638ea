import type { Href } from 'expo-router';
import type { AskedPlan, Reason, Verdict } from '@pause/core';
import { t } from '../../../text/en/verdict';
import { factLine } from '../../../text/messages';
import { characterName, DAMAGE, timeWords } from '../../../text/names';
import { reasonWords } from '../../../text/reasons';

/** Something that a verdict leaves open, and where it can be closed. */
export interface OpenStep {
  readonly key: string;
  readonly label: string;
  /** How long it takes, and what it costs the specimen. */
  readonly detail?: string;
  readonly to: Href;
}

/** What is closed under place and condition. */
const AROUND: ReadonlySet<string> = new Set(['context-missing', 'not-traced']);

/**
 * All that a verdict at pause leaves open, in the order in which it can be closed: the stage, the looks as they will be
 * asked, what is asked of place and plant, who eats along, then what takes other people.
 *
 * @param eatersOpen whether it is still open who will eat it
 */
export function openSteps(
  find: string,
  verdict: Verdict,
  plan: AskedPlan,
  eatersOpen: boolean,
): readonly OpenStep[] {
  const around = (reason: Reason): OpenStep => ({
    key: `${reason.code} ${'field' in reason ? reason.field : ''}`,
    label: reasonWords(reason, verdict),
    to: { pathname: '/find/[id]/around', params: { id: find, open: '1' } },
  });
  const asked = verdict.reasons.filter(({ code }) => AROUND.has(code));
  const checks = plan.feasible ? plan.checks : [];
  const isStage = (reason: Reason) => 'field' in reason && reason.field === 'stages';
  return [
    ...asked.filter(isStage).map(around),
    ...checks.map(({ character, seconds, damage, again }, at): OpenStep => ({
      key: `${at} ${character}`,
      label: characterName(character),
      detail: factLine(again && t.onceMore, timeWords(seconds), damage !== 'none' && DAMAGE[damage]),
      to: { pathname: '/find/[id]/check', params: { id: find, ask: character } },
    })),
    ...asked.filter((reason) => !isStage(reason)).map(around),
    ...(eatersOpen
      ? [
          {
            key: 'eaters',
            label: t.whoWillEatIt,
            to: { pathname: '/find/[id]/around', params: { id: find, open: '1' } },
          } as const,
        ]
      : []),
    ...withOthers(find, verdict),
  ];
}

/** What takes a second person, more practice, or a name. */
function withOthers(find: string, verdict: Verdict): OpenStep[] {
  const params = { id: find };
  const second: OpenStep = {
    key: 'second',
    label: t.aSecondLook,
    to: { pathname: '/find/[id]/ask', params },
  };
  const asked = verdict.reasons.some(({ code }) => code === 'second-look-missing');
  return [
    ...(asked ? [second] : []),
    ...verdict.reasons.flatMap((reason): OpenStep[] => {
      const label = reasonWords(reason, verdict);
      if (reason.code === 'not-earned') return [{ key: 'earned', label, to: '/practice' }];
      if (reason.code === 'name-open')
        return [{ key: 'name', label, to: { pathname: '/find/[id]/name', params } }];
      return [];
    }),
  ];
}
