import { memo, useState } from 'react';
import { View } from 'react-native';
import {
  type AnswerEffect,
  type Character,
  type Check,
  isSmelled,
  type ReadingValue,
  type StageId,
  type StateId,
  statesOfCharacter,
  type Sureness,
  type TaxonId,
} from '@pause/core';
import { Question, Small } from '../../components';
import { characterOf } from '../../text/names';
import {
  Effort,
  HowButton,
  HowSure,
  LookAgain,
  NoAnswer,
  NoteAndPictures,
  NoteField,
} from './AnswerCardParts';
import { styles } from './answerCardStyles';
import { Answers } from './answers';
import type { Room } from './answers/fit';
import type { AnswerProps } from './answers/props';
import { FittedQuestion } from './FittedQuestion';
import { HowToLook } from './HowToLook';
import { WaysPanel } from './phone/WaysPanel';
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
  /** What it would tell apart, while there is no name. */
  readonly apart?: string | undefined;
  /** The nose is no use today; left out where that is known. */
  readonly onCannotSmell?: (() => void) | undefined;
  /** Photos and sketches of this find. */
  readonly beside?: React.ReactNode;
  /** Everything else that can be read, and other pieces and names: for the panel of a fitted question. */
  readonly otherChecks?: React.ReactNode;
  readonly pieces?: React.ReactNode;
  /** Where all of it is to be seen at once: the space for it, and what is chosen at the thumb. */
  readonly fitted?: Fitted | undefined;
}

/** A question that is seen at once, with how sure one is chosen outside of it. */
export interface Fitted {
  readonly room: Room;
  readonly sureness: Sureness;
  /** What can be done besides answering is shown in place of the answers. */
  readonly ways: boolean;
  readonly closeWays: () => void;
}

/** The next check: a question about one organ, how to look, and its answers. */
export const AnswerCard = memo(function AnswerCard(props: AnswerCardProps) {
  const character = characterOf(props.check.character);
  return character ? <CardOf {...props} character={character} /> : null;
});

function CardOf({ character, ...props }: CardProps) {
  const { check, target, stages, keys, onPass, onCannotSmell, beside, fitted } = props;
  const [chosen, setSureness] = useState<Sureness>('sure');
  const sureness = fitted?.sureness ?? chosen;
  const [how, setHow] = useState(false);
  const [note, setNote] = useState('');
  const [several, setSeveral] = useState<readonly StateId[]>();
  const toggleHow = () => setHow(!how);
  const give = (value: ReadingValue, as: Sureness, written: string) =>
    props.onAnswer({ value, sureness: as, ...(written ? { note: written } : {}) });
  const answer = (value: ReadingValue, as = sureness) => give(value, as, note.trim());
  const cantTell = (why?: string) =>
    give({ kind: 'cant-tell' }, sureness, [why, note.trim()].filter(Boolean).join(' '));
  useAnswerKeys(keys, { character, answer, cantTell, onPass, toggleHow, setSureness, setSeveral });
  const about = how ? (
    <HowToLook character={character} target={target} stages={stages} />
  ) : keys ? (
    <Small soft>{character.how}</Small>
  ) : null;
  const answers = { character, effects: props.effects, keys, several, setSeveral, onAnswer: answer };
  const looking = { how, onHow: toggleHow };
  const noting = { note, setNote, beside };
  if (fitted)
    return (
      <FittedCard {...props} fitted={fitted} {...answers} {...looking} {...noting} cantTell={cantTell}>
        {about}
      </FittedCard>
    );
  return (
    <View style={styles.card}>
      <View style={styles.meta}>
        <Effort character={character} />
        <HowButton keys={keys} {...looking} />
      </View>
      <Question>{character.question}</Question>
      {props.apart ? <Small soft>{props.apart}</Small> : null}
      {about}
      <LookAgain check={check} target={target} />
      <HowSure sureness={sureness} onChoose={setSureness} />
      <Answers key={character.id} {...answers} />
      <NoAnswer {...{ character, keys, onPass, onCannotSmell }} onCantTell={cantTell} />
      <NoteAndPictures {...noting} />
    </View>
  );
}

interface CardProps extends AnswerCardProps {
  readonly character: Character;
}

interface FittedCardProps
  extends Omit<CardProps, 'fitted' | 'onAnswer'>, Omit<AnswerProps<Character>, 'fitted'> {
  readonly fitted: Fitted;
  readonly how: boolean;
  readonly onHow: () => void;
  readonly note: string;
  readonly setNote: (note: string) => void;
  readonly cantTell: (why?: string) => void;
  readonly children: React.ReactNode;
}

/** A question on one screen; what else can be done with it is shown where the answers do, when it is wanted. */
function FittedCard({ fitted, note, setNote, beside, cantTell, children, ...card }: FittedCardProps) {
  const { character, onCannotSmell } = card;
  const { room, ways, closeWays } = fitted;
  const startSeveral = () => {
    card.setSeveral([]);
    closeWays();
  };
  const panel = ways ? (
    <WaysPanel
      onSeveral={'states' in character ? startSeveral : undefined}
      onCantTell={cantTell}
      smelled={isSmelled(character)}
      onPass={card.onPass}
      onCannotSmell={isSmelled(character) ? onCannotSmell : undefined}
      note={<NoteField note={note} setNote={setNote} beside={beside} />}
      otherChecks={card.otherChecks}
      pieces={card.pieces}
      onClose={closeWays}
    />
  ) : undefined;
  return (
    <FittedQuestion
      {...card}
      room={room}
      note={note.trim()}
      // Without what a press brings along: that is no word of why.
      onCantTell={() => cantTell()}
      panel={panel}
    >
      {children}
    </FittedQuestion>
  );
}

interface AnswerKeys {
  readonly character: Character;
  readonly answer: (value: ReadingValue) => void;
  readonly cantTell: () => void;
  readonly onPass: () => void;
  readonly toggleHow: () => void;
  readonly setSureness: (sureness: Sureness) => void;
  readonly setSeveral: (several: readonly StateId[] | undefined) => void;
}

/** Answering by keys, where there is a keyboard. */
function useAnswerKeys(keys: boolean, { character, answer, ...does }: AnswerKeys): void {
  useKeys(
    {
      digit: (n) => {
        const state = statesOfCharacter(character)[n - 1];
        if (state) answer({ kind: 'states', states: [state.id] });
      },
      u: () => does.cantTell(),
      n: does.onPass,
      h: does.toggleHow,
      s: () => does.setSureness('sure'),
      f: () => does.setSureness('fairly'),
      g: () => does.setSureness('guess'),
      t: () => 'states' in character && does.setSeveral([]),
    },
    keys,
  );
}
