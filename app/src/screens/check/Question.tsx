import { memo } from 'react';
import { View } from 'react-native';
import type { AnswerEffect, CharacterId } from '@pause/core';
import { Button, Small, SmallStrong } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/check';
import { lowerFirst, readingWords } from '../../text/names';
import { movedWords } from '../../text/reasons';
import { AdultFirst } from './AdultFirst';
import type { Fitted } from './AnswerCard';
import { AnswerCard } from './card';
import type { CheckNow } from './CheckParts';
import { styles } from './checkStyles';
import { GlovesFirst } from './GlovesFirst';
import { MissingAround, NothingToAsk } from './NothingToAsk';
import { AllChecks, MoreWays, OtherChecks, PiecesAndNames } from './OtherWays';
import { TheirWord } from './second/TheirWord';
import { StageFirst, type useStageFirst } from './StageFirst';
import type { Answering } from './useAnswering';
import type { Checks } from './useChecks';

interface QuestionProps
  extends
    Omit<CheckNow, 'current'>,
    Pick<Checks, 'check' | 'compare' | 'startComparing' | 'stopComparing' | 'word'>,
    Omit<Answering, 'saving'> {
  readonly wide: boolean;
  /** Changes with each verdict, so that no answer is carried over. */
  readonly cardKey: string;
  readonly effects: readonly AnswerEffect[];
  readonly beside: React.ReactNode;
  readonly onChoose: (character: CharacterId) => void;
  /** On a phone: all of it is seen at once, and what was recorded is below. */
  readonly fitted: Fitted | undefined;
  /** There is a question on the screen, and not what has to be done before it. */
  readonly isAsked: boolean;
  /** The stage, which is asked before anything else. */
  readonly stage: ReturnType<typeof useStageFirst>;
}

/** The question, what was answered before it, and what else can be done. */
export const Question = memo(function Question(props: QuestionProps) {
  const { record, find, evaluation, check, compare, onChoose, fitted, isAsked } = props;
  return (
    <>
      {fitted ? null : <Recorded {...props} />}
      {compare ? (
        <View style={styles.last}>
          <Small style={styles.grow}>{t.youAreLookingAtAnother}</Small>
          <Button label={t.backToThePiece} tone="plain" onPress={props.stopComparing} />
        </View>
      ) : null}
      <Asked {...props} />
      {fitted ? <Recorded {...props} /> : null}
      <MissingAround record={record} evaluation={evaluation} />
      {fitted && isAsked ? null : (
        <>
          <OtherChecks find={find} current={check?.character} onChoose={onChoose} />
          <MoreWays record={record} onCompare={props.startComparing} />
        </>
      )}
    </>
  );
});

/** What was recorded last, what it changed, and the way to take it back. */
function Recorded({ last, evaluation, wide, back, fitted }: QuestionProps) {
  if (!last) return null;
  return (
    <View style={styles.last} role="status">
      <Small style={styles.grow}>
        <SmallStrong>{t.recorded} </SmallStrong>
        {lowerFirst(last.words)}. {movedWords(last.rows, evaluation.verdict.rows)}
      </Small>
      {fitted ? null : <Button label={wide ? t.takeBackZ : t.takeBack} tone="plain" onPress={back} />}
    </View>
  );
}

function Asked(props: QuestionProps) {
  const { record, find, evaluation, check, given, word, keep, stage } = props;
  if (stage.asked) return <StageFirst record={record} taxon={guide.taxon(find.target)} onSkip={stage.skip} />;
  if (!check) return <NothingToAsk record={record} find={find} evaluation={evaluation} />;
  if (given && word !== undefined)
    return (
      <TheirWord
        record={record}
        person={word}
        seen={readingWords({ character: check.character, value: given.value })}
        onWord={(same) => keep(given, same ? word : undefined)}
        onBack={props.reconsider}
      />
    );
  if (props.adult)
    return <AdultFirst check={check} onAdult={props.adultIsHere} onWithout={props.withoutAdult} />;
  if (props.gloves)
    return <GlovesFirst skin={check.skin} onOn={props.putOnGloves} onWithout={props.withoutGloves} />;
  return (
    <AnswerCard
      key={props.cardKey}
      check={check}
      target={find.target}
      stages={record.context.stages}
      effects={props.effects}
      keys={props.wide}
      onAnswer={props.answer}
      onPass={props.pass}
      {...(find.context.cannotSmell ? {} : { onCannotSmell: props.cannotSmell })}
      beside={props.beside}
      otherChecks={<AllChecks find={find} current={check.character} onChoose={props.onChoose} />}
      pieces={
        <PiecesAndNames record={record} onCompare={props.startComparing} onDone={props.fitted?.closeWays} />
      }
      fitted={props.fitted}
    />
  );
}
