import { Redirect, useLocalSearchParams } from 'expo-router';
import { blindAsk, type FindRecord } from '@pause/core';
import type { Evaluation } from '../deciding/evaluate';
import { loadFind } from '../notebook/open';
import { policyOf, reconsider } from '../notebook/reconsider';
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
export function FindFrame({
  render,
  blind = false,
}: {
  readonly render: (props: FindProps & Judged) => React.ReactNode;
  /** The screen itself shows nothing that would spoil a second look. */
  readonly blind?: boolean;
}) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const act = useAct();
  const open = useFind(id);
  const me = useApp((state) => state.me.person?.id);
  const asksEarned = useApp(
    (state) =>
      open?.record !== undefined &&
      (policyOf(open.record, state.me.person?.groups ?? [])?.earned?.length ?? 0) > 0,
  );
  if (open?.fault !== undefined) {
    // What stood before is not shown: it knows nothing of the newest answer.
    return (
      <Screen>
        <Notice
          whole
          title={t.thisFindCouldNotBe}
          text={t.yourAnswersAreKeptWithout(open.fault)}
          action={t.tryAgain}
          onAction={() => void act(reconsider(id))}
        />
      </Screen>
    );
  }
  if (open?.record && !blind && me !== undefined && blindAsk(open.record, me))
    return <Redirect href={{ pathname: '/find/[id]/second', params: { id } }} />;
  if (open?.record)
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
  if (open?.status === 'missing') {
    return (
      <Screen>
        <Notice whole title={t.thereIsNoSuchFind} text={t.theAddressNamesAFind} />
      </Screen>
    );
  }
  if (open?.status === 'failed') {
    return (
      <Screen>
        <Notice
          whole
          title={t.theFindCouldNotBe}
          text={open.error ?? ''}
          action={t.tryAgain}
          onAction={() => void act(loadFind(id))}
        />
      </Screen>
    );
  }
  return (
    <Screen>
      <Loading what={t.openingTheFind} />
    </Screen>
  );
}
