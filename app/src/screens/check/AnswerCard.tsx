import { memo, useState } from 'react';
import { View } from 'react-native';
import {
  type AnswerEffect,
  type Character,
  type Check,
  type ReadingValue,
  type StageId,
  statesOfCharacter,
  type Sureness,
  type TaxonId,
} from '@pause/core';
import { Question, Small } from '../../components';
import { characterOf } from '../../text/names';
import { Effort, HowButton, HowSure, LookAgain, NoAnswer, NoteAndPictures } from './AnswerCardParts';
import { styles } from './answerCardStyles';
import { Answers } from './answers';
import type { Room } from './answers/fit';
import { FittedQuestion } from './FittedQuestion';
import { HowToLook } from './HowToLook';
import { useKeys } from './useKeys';

export interface Answer {
  readonly value: ReadingValue;
  readonly sureness: Sureness;
  readonly note?: string;
}

interface AnswerCardProps {
  readonly check: Check;
  /** What it is taken for, if anything yet, and the recorded stages. */
  readonly target: TaxonId | undefined;
  readonly stages: readonly StageId[] | undefined;
  readonly effects: readonly AnswerEffect[];
  readonly keys: boolean;
  readonly onAnswer: (answer: Answer) => void;
  readonly onPass: () => void;
  /** The nose is no use today; left out where that was said. */
  readonly onCannotSmell?: (() => void) | undefined;
  /** Photos and sketches of this find. */
  readonly beside?: React.ReactNode;
  /** Where all of it is to be seen at once: the space for it, and what is chosen at the thumb. */
  readonly fitted?: Fitted | undefined;
}

/** A question that is seen at once, with how sure one is chosen outside of it. */
export interface Fitted {
  readonly room: Room;
  readonly sureness: Sureness;
}

/** The next check: a question about one organ, how to look, and its answers. */
export const AnswerCard = memo(function AnswerCard(props: AnswerCardProps) {
  const character = characterOf(props.check.character);
  return character ? <CardOf {...props} character={character} /> : null;
});

function CardOf({ character, ...props }: AnswerCardProps & { readonly character: Character }) {
  const { check, target, stages, effects, keys, onPass, onCannotSmell, beside, fitted } = props;
  const [chosen, setSureness] = useState<Sureness>('sure');
  const sureness = fitted?.sureness ?? chosen;
  const [how, setHow] = useState(false);
  const [note, setNote] = useState('');
  const toggleHow = () => setHow(!how);
  const answer = (value: ReadingValue, written = note.trim()) =>
    props.onAnswer({ value, sureness, ...(written ? { note: written } : {}) });
  const cantTell = (why?: string) =>
    answer({ kind: 'cant-tell' }, [why, note.trim()].filter(Boolean).join(' '));
  useAnswerKeys(keys, { character, answer, cantTell, onPass, toggleHow });
  const about = how ? (
    <HowToLook character={character} target={target} stages={stages} />
  ) : keys ? (
    <Small soft>{character.how}</Small>
  ) : null;
  const answers = { character, effects, keys, onAnswer: answer };
  const looking = { how, onHow: toggleHow };
  const noAnswer = { character, keys, onCantTell: cantTell, onPass, onCannotSmell };
  const more = <NoteAndPictures note={note} setNote={setNote} beside={beside} />;
  if (fitted)
    return (
      <View style={styles.card}>
        <FittedQuestion {...answers} {...looking} check={check} target={target} room={fitted.room}>
          {about}
        </FittedQuestion>
        <Effort character={character} />
        <NoAnswer {...noAnswer} fitted />
        {more}
      </View>
    );
  return (
    <View style={styles.card}>
      <View style={styles.meta}>
        <Effort character={character} />
        <HowButton keys={keys} {...looking} />
      </View>
      <Question>{character.question}</Question>
      {about}
      <LookAgain check={check} target={target} />
      <HowSure sureness={sureness} onChoose={setSureness} />
      <Answers key={character.id} {...answers} />
      <NoAnswer {...noAnswer} />
      {more}
    </View>
  );
}

interface AnswerKeys {
  readonly character: Character;
  readonly answer: (value: ReadingValue) => void;
  readonly cantTell: () => void;
  readonly onPass: () => void;
  readonly toggleHow: () => void;
}

/** Answering by keys, where there is a keyboard. */
function useAnswerKeys(keys: boolean, { character, answer, cantTell, onPass, toggleHow }: AnswerKeys): void {
  useKeys(
    {
      digit: (n) => {
        const state = statesOfCharacter(character)[n - 1];
        if (state) answer({ kind: 'states', states: [state.id] });
      },
      u: () => cantTell(),
      n: onPass,
      h: toggleHow,
    },
    keys,
  );
}
