import { useRouter } from 'expo-router';
import type { CompiledTaxon, FindRecord } from '@pause/core';
import { Loading, Notice, Screen } from '../../components';
import { FindFrame } from '../../components/FindFrame';
import { guide } from '../../deciding/guide';
import { useOpenPages } from '../../notebook/useOpenPages';
import { t } from '../../text/en/harvest';

interface CollectedProps {
  /** @param part as the guide names it: the one that was wanted, else the first */
  readonly render: (record: FindRecord, taxon: CompiledTaxon, part: string) => React.ReactElement;
}

/** What follows a *collect*; of anything else the reason why nothing follows. */
export function Collected({ render }: CollectedProps) {
  return <FindFrame render={({ record }) => <Opened key={record.id} record={record} render={render} />} />;
}

function Opened({ record, render }: CollectedProps & { readonly record: FindRecord }) {
  const ready = useOpenPages();
  const router = useRouter();
  if (!ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  const decision = record.decisions.at(-1);
  const taxon = guide.taxon(record.targets.at(-1)?.taxon ?? '');
  const toVerdict = () => router.replace({ pathname: '/find/[id]/verdict', params: { id: record.id } });
  if (decision?.choice !== 'collect' || !taxon) {
    return (
      <Screen>
        <Notice
          whole
          title={t.itIsNotCollected}
          text={t.whatComesAfterIsAsked}
          action={t.toTheVerdict}
          onAction={toVerdict}
        />
      </Screen>
    );
  }
  // What was collected all the same is on record; how much of it, and what comes after, is not for Pause to
  // say.
  if (record.verdicts.find(({ id }) => id === decision.verdict)?.verdict.outcome !== 'collect') {
    return (
      <Screen>
        <Notice
          whole
          title={t.itWasCollectedAgainstThe}
          text={t.pauseDoesNotSayHow}
          action={t.toTheVerdict}
          onAction={toVerdict}
        />
      </Screen>
    );
  }
  const { parts } = taxon.taxon;
  const wanted =
    parts.find(
      ({ part, use }) =>
        part === record.context.part && (record.context.use === undefined || use === record.context.use),
    ) ?? parts[0];
  return render(record, taxon, wanted?.part ?? '');
}
