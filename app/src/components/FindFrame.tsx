import { Redirect, useLocalSearchParams } from 'expo-router';
import { blindAsk, type FindRecord } from '@pause/core';
import type { Evaluation } from '../deciding/evaluate';
import { loadFind } from '../notebook/open';
import { policyOf, reconsider } from '../notebook/reconsider';
import type { OpenFind } from '../notebook/slices';
import { useAct, useApp } from '../notebook/store';
import { useFind } from '../notebook/useFind';
import { t } from '../text/en/components';
import { latePart } from './latePart';
import { Loading, Notice, Screen } from '.';

const SendPractised = latePart(
  () => import('../screens/later').then((m) => m.SendPractised),
  () => null,
);

export interface FindProps {
  readonly record: FindRecord;
  readonly evaluation: Evaluation | undefined;
}

export interface Judged {
  /** The evaluation is of the newest record, not of how it was a moment ago. */
  readonly current: boolean;
}

/** The find that the address names: being fetched, not there, not reachable, or ready. */
export function FindFrame({ render, blind = false }: FindFrameProps) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const open = useFind(id);
  const me = useApp((state) => state.me.person?.id);
  const asksEarned = useApp(
    (state) =>
      open?.record !== undefined &&
      (policyOf(open.record, state.me.person?.groups ?? [])?.earned?.length ?? 0) > 0,
  );
  // What was there before is not shown: it knows nothing of the newest answer.
  if (open?.fault !== undefined || !open?.record) return <NoFind id={id} open={open} />;
  if (!blind && me !== undefined && blindAsk(open.record, me))
    return <Redirect href={{ pathname: '/find/[id]/second', params: { id } }} />;
  return (
    <>
      {asksEarned ? <SendPractised record={open.record} /> : null}
      {render({
        record: open.record,
        evaluation: open.evaluation,
        current: open.evaluated === open.change,
      })}
    </>
  );
}

interface FindFrameProps {
  readonly render: (props: FindProps & Judged) => React.ReactNode;
  /** The screen itself shows nothing that would spoil a second look. */
  readonly blind?: boolean;
}

/** It could not be compared, is not there, could not be fetched, or is on its way. */
function NoFind({ id, open }: { readonly id: string; readonly open: OpenFind | undefined }) {
  const act = useAct();
  return (
    <Screen>
      {open?.fault !== undefined ? (
        <Notice
          whole
          title={t.thisFindCouldNotBe}
          text={t.yourAnswersAreKeptWithout(open.fault)}
          action={t.tryAgain}
          onAction={() => void act(reconsider(id))}
        />
      ) : open?.status === 'missing' ? (
        <Notice whole title={t.thereIsNoSuchFind} text={t.theAddressNamesAFind} />
      ) : open?.status === 'failed' ? (
        <Notice
          whole
          title={t.theFindCouldNotBe}
          text={open.error ?? ''}
          action={t.tryAgain}
          onAction={() => void act(loadFind(id))}
        />
      ) : (
        <Loading what={t.openingTheFind} />
      )}
    </Screen>
  );
}
