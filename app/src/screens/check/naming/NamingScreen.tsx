import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { type CharacterId, type FindRecord, type PieceId, unnamedOf } from '@pause/core';
import type { Identification } from '@pause/core/advice/identify';
import {
  Body,
  Button,
  Heading,
  Loading,
  Rule,
  Screen,
  Small,
  Title,
  useTwoPanes,
  useWide,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { FindWaysOut } from '../../../components/FindWaysOut';
import { Pictures } from '../../../components/photos/late';
import { guide } from '../../../deciding/guide';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/naming';
import { commonName } from '../../../text/names';
import { AdultFirst, waitsForAdult } from '../AdultFirst';
import type { Fitted } from '../AnswerCard';
import { asCheck } from '../asCheck';
import { AnswerCard } from '../card';
import { AllChecks, OtherChecks } from '../OtherWays';
import { useFitted, usePhone } from '../phone/usePhone';
import { Seen } from '../Seen';
import { StageFirst, useStageFirst } from '../StageFirst';
import { useToCard } from '../useToCard';
import { Candidates } from './Candidates';
import { DangerStrip } from './DangerStrip';
import { LeaveUnnamed } from './LeaveUnnamed';
import { NamingPhone } from './NamingPhone';
import { styles } from './namingStyles';
import { useIdentification } from './useIdentification';
import { useNaming } from './useNaming';
import { type NextQuestion, useNextQuestion } from './useNextQuestion';
import { whichFind } from './whichFind';

/** What it could be, from what is seen; and from there to a name that can be checked. */
export function NamingScreen() {
  return <FindFrame render={({ record }) => <Naming record={record} />} />;
}

function Naming({ record }: { readonly record: FindRecord }) {
  const find = useMemo(() => unnamedOf(record, guide), [record]);
  const earlier = useApp((state) => state.list.items);
  const identification = useIdentification(find, earlier);
  const piece = record.pieces.filter((p) => p.purpose === 'decide').at(-1)?.id;
  return identification && piece ? (
    <NamingOf record={record} identification={identification} piece={piece} />
  ) : (
    <Screen>
      <Loading what={t.comparingWithTheGuide} />
    </Screen>
  );
}

interface NamingProps {
  readonly record: FindRecord;
  readonly identification: Identification;
  readonly piece: PieceId;
}

function NamingOf({ record, identification, piece }: NamingProps) {
  const tablet = useTwoPanes();
  const onPhone = useFitted() && !tablet;
  const next = useNextQuestion(record, piece, identification);
  const stage = useStageFirst(record);
  const name = useNaming(record);
  const { toCard, follow } = useToCard(true);
  const isAsked = next.character !== undefined && !stage.asked;
  const { fitted, phone } = usePhone({ key: next.key, isAsked, answering: next, toTop: toCard });
  const question = stage.asked ? (
    <StageFirst record={record} onSkip={stage.skip} />
  ) : (
    <NextCard record={record} next={next} fitted={onPhone ? fitted : undefined} />
  );
  const parts = {
    record,
    question,
    candidates: <Candidates identification={identification} onName={name} record={record} />,
  };
  if (onPhone)
    return <NamingPhone {...parts} identification={identification} phone={phone} follow={follow} />;
  return <NamingPanes {...parts} strip={<DangerStrip identification={identification} />} />;
}

interface PanesProps {
  readonly record: FindRecord;
  readonly question: React.ReactNode;
  readonly candidates: React.ReactNode;
  readonly strip: React.ReactNode;
}

/** In two panes where there is room; below one another where letters are large or the screen is low. */
function NamingPanes({ record, question, candidates, strip }: PanesProps) {
  const wide = useWide();
  const tablet = useTwoPanes();
  const seen = (
    <>
      <Heading>{t.seen}</Heading>
      <Seen record={record} slips />
      <LeaveUnnamed record={record} />
    </>
  );
  if (tablet)
    return (
      <Screen panes rooms={wide} strip={strip}>
        <View style={styles.panes}>
          <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
            <NamingHead record={record} />
            {candidates}
          </ScrollView>
          <ScrollView style={[styles.pane, styles.second]} contentContainerStyle={styles.paneContent}>
            {question}
            {seen}
          </ScrollView>
        </View>
      </Screen>
    );
  return (
    <Screen panes rooms={false} strip={strip}>
      <ScrollView contentContainerStyle={styles.paneContent}>
        <NamingHead record={record} />
        {question}
        <Rule strong />
        {candidates}
        {seen}
      </ScrollView>
    </Screen>
  );
}

function NamingHead({ record }: { readonly record: FindRecord }) {
  return (
    <View>
      <FindWaysOut find={record.id} />
      <Small soft>{whichFind(record)}</Small>
      <Title>{t.whatCouldItBe}</Title>
    </View>
  );
}

interface NextCardProps {
  readonly record: FindRecord;
  readonly next: NextQuestion;
  readonly fitted: Fitted | undefined;
}

/** The next question; anything else that can be seen may be chosen instead. */
function NextCard({ record, next, fitted }: NextCardProps) {
  const wide = useWide();
  const child = useApp((state) => state.look.child);
  const [allowed, setAllowed] = useState<CharacterId>();
  const { character } = next;
  const asked = { find: record, current: character, onChoose: next.choose };
  if (!character)
    return (
      <>
        <Body soft>{t.theGuideKnowsNoFurther}</Body>
        <AllChecks {...asked} />
      </>
    );
  const check = asCheck(character);
  if (child && allowed !== character && waitsForAdult(check))
    return <AdultFirst check={check} onAdult={() => setAllowed(character)} onWithout={next.later} />;
  return (
    <>
      <AnswerCard
        key={next.key}
        check={check}
        target={undefined}
        stages={record.context.stages}
        effects={[]}
        keys={wide}
        onAnswer={next.answer}
        onPass={next.pass}
        apart={next.apart && t.tellsApart(commonName(next.apart[0]), commonName(next.apart[1]))}
        onCannotSmell={next.cannotSmell}
        beside={<Pictures find={record.id} character={character} />}
        otherChecks={<AllChecks {...asked} />}
        fitted={fitted}
      />
      {fitted ? null : <OtherChecks {...asked} />}
      {fitted || !next.last ? null : (
        <Button label={t.takeBackTheLastAnswer} tone="plain" style={styles.start} onPress={next.back} />
      )}
    </>
  );
}
