import { useMemo } from 'react';
import { View } from 'react-native';
import type { AnswerEffect, Character, Check, ReadingValue, TaxonId } from '@pause/core';
import { Question, TARGET } from '../../components';
import { AGAIN, HowButton, LookAgain } from './AnswerCardParts';
import { styles } from './answerCardStyles';
import { Answers } from './answers';
import { headingHeight, type Room } from './answers/fit';

interface FittedQuestionProps {
  readonly check: Check;
  readonly target: TaxonId | undefined;
  readonly effects: readonly AnswerEffect[];
  readonly keys: boolean;
  readonly character: Character;
  readonly room: Room;
  readonly how: boolean;
  readonly onHow: () => void;
  readonly onAnswer: (value: ReadingValue) => void;
  /** How to look, where that is wanted. */
  readonly children: React.ReactNode;
}

/** The width of the button that says how to look, and the space beside it. */
const HOW = 74;
/** Under the heading. */
const BELOW_HEADING = 8;
/** What is said about looking again, in two lines. */
const LOOK_AGAIN = 76;

/** The question and all its answers in the space of one screen. */
export function FittedQuestion({
  character,
  check,
  target,
  room,
  how,
  onHow,
  children,
  ...answers
}: FittedQuestionProps) {
  const again = AGAIN.has(check.why);
  const fitted = useMemo(() => {
    const heading = Math.max(TARGET, headingHeight(character.question, room.width - HOW));
    const height = room.height - heading - BELOW_HEADING - (again ? LOOK_AGAIN : 0);
    return { room: { width: room.width, height } };
  }, [character.question, room, again]);
  const { onAnswer } = answers;
  return (
    <View style={styles.fitted}>
      <View style={styles.head}>
        <Question style={styles.fittedQuestion}>{character.question}</Question>
        <HowButton keys={false} how={how} onHow={onHow} framed />
      </View>
      {children}
      <LookAgain check={check} target={target} />
      <Answers
        key={character.id}
        {...answers}
        character={character}
        fitted={{ ...fitted, onCantTell: () => onAnswer({ kind: 'cant-tell' }) }}
      />
    </View>
  );
}
