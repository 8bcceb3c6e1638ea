import { Redirect } from 'expo-router';
import { memo, use, useDeferredValue, useMemo, useState, useSyncExternalStore } from 'react';
import { type LayoutChangeEvent, View } from 'react-native';
import type { CharacterId, Check } from '@pause/core';
import { Loading, Screen, useTwoPanes, useWide } from '../../components';
import { FindFrame } from '../../components/FindFrame';
import { Pictures } from '../../components/photos/late';
import { useCase } from '../../notebook/useCase';
import { t } from '../../text/en/check';
import { cardKey } from './card';
import { useHeader } from './CheckHeader';
import { OnePane, PhonePane, ThreePanes, TwoPanes } from './CheckPanes';
import { BarsNow, type CheckNow, type CheckProps, Newest } from './CheckParts';
import { styles } from './checkStyles';
import { KeysSheet } from './KeysSheet';
import { useFitted, usePhone } from './phone/usePhone';
import { Question } from './Question';
import { useStageFirst } from './StageFirst';
import { type Answering, useAnswering } from './useAnswering';
import { type Checks, useChecks } from './useChecks';
import { isJudging, useCount, useEffects, useLatest, type useSaving } from './useJudged';
import { useKeys } from './useKeys';
import { useToCard } from './useToCard';

export function CheckScreen() {
  return (
    <FindFrame
      render={({ record, evaluation, current }) =>
        record.targets.length === 0 ? (
          <Redirect href={{ pathname: '/find/[id]/name', params: { id: record.id } }} />
        ) : evaluation ? (
          <CheckView record={record} evaluation={evaluation} current={current} />
        ) : (
          <Screen>
            <Loading what={t.comparingWithTheGuide} />
          </Screen>
        )
      }
    />
  );
}

function CheckView({ record, evaluation, current }: CheckProps) {
  // The same record gives the same case, so that what hangs on it is not worked out anew at every drawing.
  const find = useCase(record);
  const now = useMemo(
    () => (find ? { record, evaluation, current, find } : undefined),
    [record, evaluation, current, find],
  );
  // Strip and bars are drawn first, everything else right after them: one answer moves all of it, and only
  // those two are waited for.
  const shown = useDeferredValue(now);
  return now && shown ? (
    <Newest value={now}>
      <CheckOf shown={shown} />
    </Newest>
  ) : null;
}

/** What is asked; busy while an answer is being judged, and until what it came to is shown. */
function Asking({
  shown,
  check,
  saving,
  onLayout,
  children,
}: {
  readonly shown: CheckNow;
  readonly check: Check | undefined;
  readonly saving: ReturnType<typeof useSaving>;
  readonly onLayout: (event: LayoutChangeEvent) => void;
  readonly children: React.ReactNode;
}) {
  const judging = isJudging(useSyncExternalStore(saving.subscribe, saving.get, saving.get), check, shown);
  return (
    <View style={styles.next} aria-busy={judging || shown !== use(Newest)} onLayout={onLayout}>
      {children}
    </View>
  );
}

const CheckOf = memo(function CheckOf({ shown }: { readonly shown: CheckNow }) {
  const { record, evaluation, find } = shown;
  const wide = useWide();
  const tablet = useTwoPanes();
  const onPhone = useFitted() && !tablet;
  const [keysShown, setKeysShown] = useState(false);
  const { toCard, settleDown, onLayout, follow } = useToCard(tablet || onPhone);
  const asked = useChecks(shown);
  const { checks, check, piece } = asked;
  const { saving, ...answering } = useAnswering(shown, asked, settleDown);
  const key = cardKey(check, useCount(evaluation.verdict));
  const effects = useEffects(find, check, wide);
  useKeys({ z: answering.back, '?': () => setKeysShown(!keysShown) }, wide);
  const stage = useStageFirst(record);
  const isAsked = !stage.asked && isQuestion(asked, answering);
  const { fitted, phone } = usePhone({ key, isAsked, answering, toTop: toCard });
  const choose = useLatest((character: CharacterId) => {
    asked.choose(character);
    phone.closeBars();
    toCard();
  });
  // What hangs on the same things is not drawn anew.
  const beside = useMemo(
    () => (check ? <Pictures find={record.id} character={check.character} /> : null),
    [record.id, check],
  );
  const header = useHeader(shown, piece);
  const bars = useMemo(() => <BarsNow checks={checks} onChoose={choose} />, [checks, choose]);
  const question = (
    <>
      {wide && keysShown ? <KeysSheet onClose={() => setKeysShown(false)} /> : null}
      <Asking shown={shown} check={check} saving={saving} onLayout={onLayout}>
        <Question
          {...answering}
          record={record}
          find={find}
          evaluation={evaluation}
          check={check}
          compare={asked.compare}
          startComparing={asked.startComparing}
          stopComparing={asked.stopComparing}
          word={asked.word}
          wide={wide}
          cardKey={key}
          effects={effects}
          beside={beside}
          onChoose={choose}
          fitted={onPhone ? fitted : undefined}
          isAsked={isAsked}
          stage={stage}
        />
      </Asking>
    </>
  );
  const panes = { record, find, piece, evaluation, header, bars, question, follow };
  if (onPhone) return <PhonePane {...panes} phone={phone} />;
  const Panes = wide ? ThreePanes : tablet ? TwoPanes : OnePane;
  return <Panes {...panes} />;
});

/** Whether a question is on the screen, and not what has to be done before it. */
const isQuestion = ({ check, word }: Checks, { gloves, adult, given }: Omit<Answering, 'saving'>): boolean =>
  check !== undefined && !gloves && !adult && !(given !== undefined && word !== undefined);
