import { createContext, use, useState } from 'react';
import type { Case, Check, CharacterId } from '@pause/core';
import { useWide } from '../../components';
import type { FindProps, Judged } from '../../components/FindFrame';
import type { Evaluation } from '../../deciding/evaluate';
import { Bars } from './Bars';
import { DecisionStrip } from './DecisionStrip';

/** The bars and the strip of the newest verdict. */

export interface CheckProps extends FindProps, Judged {
  readonly evaluation: Evaluation;
}

export interface CheckNow extends CheckProps {
  readonly find: Case;
}

/** The newest find, also while what is shown beside strip and bars is still the answer before. */
export const Newest = createContext<CheckNow | undefined>(undefined);

function StripNow({ compact = false }: { readonly compact?: boolean }) {
  const now = use(Newest);
  return now ? (
    <DecisionStrip
      find={now.record.id}
      verdict={now.evaluation.verdict}
      plan={now.evaluation.plan}
      compact={compact}
    />
  ) : null;
}

export function BarsNow({
  checks,
  onChoose,
}: {
  readonly checks: readonly Check[];
  readonly onChoose: (character: CharacterId) => void;
}) {
  const now = use(Newest);
  const wide = useWide();
  // The bars tell of the find as it was judged.
  const [judged, setJudged] = useState(now?.find);
  if (now?.current && judged !== now.find) setJudged(now.find);
  return now && judged ? (
    <Bars
      id={now.record.id}
      rows={now.evaluation.verdict.rows}
      find={judged}
      parts={!wide}
      checks={checks}
      onChoose={onChoose}
    />
  ) : null;
}

export const STRIP = <StripNow />;
/** In one line, where everything else is to be seen too. */
export const PHONE_STRIP = <StripNow compact />;
