import { useMemo } from 'react';
import { View } from 'react-native';
import type { Check, TaxonId, Character } from '@pause/core';
import { Button, Question, Small, TARGET } from '../../components';
import { t } from '../../text/en/answer';
import { AGAIN, Effort, HowButton, LookAgain } from './AnswerCardParts';
import { styles } from './answerCardStyles';
import { Answers } from './answers';
import { headingHeight, type Room } from './answers/fit';
import type { AnswerProps } from './answers/props';

interface FittedQuestionProps extends Omit<AnswerProps<Character>, 'fitted'> {
  readonly check: Check;
  readonly target: TaxonId | undefined;
  readonly room: Room;
  readonly how: boolean;
  readonly onHow: () => void;
  /** What it would tell apart, while there is no name. */
  readonly apart?: string | undefined;
  /** What was written to go with the answer. */
  readonly note: string;
  readonly onCantTell: () => void;
  /** In place of the answers. */
  readonly panel: React.ReactNode;
  /** How to look, where that is wanted. */
  readonly children: React.ReactNode;
}

/** The width of the button that says how to look, and the space beside it. */
const HOW = 74;
/** Under the heading. */
const BELOW_HEADING = 8;
/** Words about looking again, in two lines. */
const LOOK_AGAIN = 76;
/** The line of a note, or of what it tells apart. */
const LINE = 28;

/** The question and all its answers in the space of one screen. */
export function FittedQuestion({
  check,
  target,
  room,
  how,
  onHow,
  apart,
  note,
  onCantTell,
  panel,
  children,
  ...answers
}: FittedQuestionProps) {
  const { question } = answers.character;
  const again = AGAIN.has(check.why);
  const fitted = useMemo(() => {
    const heading = Math.max(TARGET, headingHeight(question, room.width - HOW));
    const height =
      room.height -
      heading -
      BELOW_HEADING -
      (again ? LOOK_AGAIN : 0) -
      LINE * ((note ? 1 : 0) + (apart ? 1 : 0));
    return { room: { width: room.width, height } };
  }, [question, room, again, note, apart]);
  return (
    <View style={styles.fitted}>
      <View style={styles.head}>
        <Question style={styles.fittedQuestion}>{question}</Question>
        <HowButton keys={false} how={how} onHow={onHow} framed />
      </View>
      {apart ? (
        <Small soft numberOfLines={1}>
          {apart}
        </Small>
      ) : null}
      {children}
      <LookAgain check={check} target={target} />
      {note ? (
        <Small soft numberOfLines={1}>
          {t.withYourNote(note)}
        </Small>
      ) : null}
      {panel ?? (
        <>
          <Answers key={answers.character.id} {...answers} fitted={{ ...fitted, onCantTell }} />
          {'states' in answers.character ? null : (
            <Button label={t.cantTell} tone="outline" onPress={onCantTell} />
          )}
          <Effort character={answers.character} />
        </>
      )}
    </View>
  );
}
