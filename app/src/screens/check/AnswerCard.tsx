import { memo, useMemo, useState } from 'react';
import { View, Pressable, TextInput } from 'react-native';
import {
  type Character,
  type ReadingValue,
  type Sureness,
  type Check,
  type TaxonId,
  type StageId,
  type AnswerEffect,
  isSmelled,
  statesOfCharacter,
} from '@pause/core';
import {
  Body,
  Button,
  colour,
  OrganGlyph,
  Question,
  Small,
  SmallStrong,
  Strong,
  TARGET,
} from '../../components';
import { t } from '../../text/en/answer';
import { characterOf, timeWords, DAMAGE, commonName } from '../../text/names';
import { styles } from './answerCardStyles';
import { Answers } from './answers';
import { headingHeight, type Room } from './answers/fit';
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

export const SURENESSES: readonly { readonly id: Sureness; readonly label: string }[] = [
  { id: 'sure', label: t.sure },
  { id: 'fairly', label: t.fairly },
  { id: 'guess', label: t.guess },
];

/** The next check: a question about one organ, how to look, and its answers. */
export const AnswerCard = memo(function AnswerCard({
  check,
  target,
  stages,
  effects,
  keys,
  onAnswer,
  onPass,
  onCannotSmell,
  beside,
  fitted,
}: AnswerCardProps) {
  const [chosen, setSureness] = useState<Sureness>('sure');
  const sureness = fitted?.sureness ?? chosen;
  const [how, setHow] = useState(false);
  const [note, setNote] = useState('');
  const character = characterOf(check.character);
  const answer = (value: ReadingValue, written = note.trim()) =>
    onAnswer({ value, sureness, ...(written ? { note: written } : {}) });
  useKeys(
    {
      digit: (n) => {
        const state = character && statesOfCharacter(character)[n - 1];
        if (state) answer({ kind: 'states', states: [state.id] });
      },
      u: () => answer({ kind: 'cant-tell' }),
      n: onPass,
      h: () => setHow(!how),
    },
    keys,
  );
  if (!character) return null;
  const cantTell = (why?: string) =>
    answer({ kind: 'cant-tell' }, [why, note.trim()].filter(Boolean).join(' '));
  const noAnswer = { character, keys, onCantTell: cantTell, onPass, onCannotSmell };
  const toggleHow = () => setHow(!how);
  const about = how ? (
    <HowToLook character={character} target={target} stages={stages} />
  ) : keys ? (
    <Small soft>{character.how}</Small>
  ) : null;
  const answers = { character, effects, keys, onAnswer: answer };
  if (fitted)
    return (
      <View style={styles.card}>
        <FittedQuestion
          {...answers}
          check={check}
          target={target}
          room={fitted.room}
          how={how}
          onHow={toggleHow}
        >
          {about}
        </FittedQuestion>
        <Effort character={character} />
        <NoAnswer {...noAnswer} fitted />
        <NoteAndPictures note={note} setNote={setNote} beside={beside} />
      </View>
    );
  return (
    <View style={styles.card}>
      <View style={styles.meta}>
        <Effort character={character} />
        <HowButton keys={keys} how={how} onHow={toggleHow} />
      </View>
      <Question>{character.question}</Question>
      {about}
      <LookAgain check={check} target={target} />
      <HowSure sureness={sureness} onChoose={setSureness} />
      <Answers key={character.id} {...answers} />
      <NoAnswer {...noAnswer} />
      <NoteAndPictures note={note} setNote={setNote} beside={beside} />
    </View>
  );
});

interface FittedQuestionProps extends Pick<AnswerCardProps, 'check' | 'target' | 'effects' | 'keys'> {
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
function FittedQuestion({
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

interface NoAnswerProps extends Pick<AnswerCardProps, 'keys' | 'onPass' | 'onCannotSmell'> {
  readonly character: Character;
  /** That it can't be seen stands among the answers. */
  readonly fitted?: boolean;
  /** With why, where that is known. */
  readonly onCantTell: (why?: string) => void;
}

/** It cannot be seen, is not on this piece, or is passed over. */
function NoAnswer({ character, keys, onCantTell, onPass, onCannotSmell, fitted }: NoAnswerProps) {
  const among = fitted && 'states' in character;
  return (
    <View style={styles.ways}>
      {among ? null : (
        <Button
          label={keys ? t.cantSeeItU : t.cantSeeIt}
          tone="outline"
          style={styles.way}
          onPress={() => onCantTell()}
        />
      )}
      <Button
        label={t.notOnThisPiece}
        tone="outline"
        style={styles.way}
        onPress={() => onCantTell(t.notOnThisPieceSentence)}
      />
      <Button label={keys ? t.skipN : t.skip} tone="outline" style={styles.way} onPress={onPass} />
      {onCannotSmell && isSmelled(character) ? (
        <Button label={t.cantSmellToday} tone="outline" style={styles.way} onPress={onCannotSmell} />
      ) : null}
    </View>
  );
}

/** What the check takes. */
function Effort({ character }: { readonly character: Character }) {
  return (
    <View style={styles.effort}>
      <OrganGlyph organ={character.organ} size={20} colour={colour.inkSoft} />
      <Small soft style={styles.grow}>
        {[timeWords(character.seconds), DAMAGE[character.damage], ...(character.gear ?? [])].join(' · ')}
      </Small>
    </View>
  );
}

interface HowButtonProps {
  readonly keys: boolean;
  readonly how: boolean;
  readonly onHow: () => void;
  /** A small framed button with a short word. */
  readonly framed?: boolean;
}

function HowButton({ keys, how, onHow, framed = false }: HowButtonProps) {
  return (
    <Pressable
      role="button"
      aria-expanded={how}
      aria-label={framed ? t.howToLook : undefined}
      onPress={onHow}
      style={({ pressed }) => [
        styles.how,
        framed && styles.howFramed,
        (pressed || how) && framed && styles.howOpen,
      ]}
    >
      <SmallStrong style={framed ? undefined : styles.underlined}>
        {framed ? t.how : keys ? t.howToLookH : t.howToLook}
      </SmallStrong>
    </Pressable>
  );
}

interface HowSureProps {
  readonly sureness: Sureness;
  readonly onChoose: (sureness: Sureness) => void;
}

function HowSure({ sureness, onChoose }: HowSureProps) {
  return (
    <View style={styles.sureness} role="radiogroup" aria-label={t.howSureAreYou}>
      {SURENESSES.map(({ id, label }, index) => (
        <Pressable
          key={id}
          role="radio"
          aria-checked={sureness === id}
          onPress={() => onChoose(id)}
          style={[styles.sure, index > 0 && styles.sureNext, sureness === id && styles.sureChosen]}
        >
          <Strong on={sureness === id ? 'dark' : 'light'}>{label}</Strong>
        </Pressable>
      ))}
    </View>
  );
}

interface NoteProps extends Pick<AnswerCardProps, 'beside'> {
  readonly note: string;
  readonly setNote: (note: string) => void;
}

/** A note with the answer, and photos and sketches of the find. */
function NoteAndPictures({ note, setNote, beside }: NoteProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        label={open ? t.noNote : t.notePhotoOrSketch}
        tone="plain"
        aria-expanded={open}
        style={styles.more}
        onPress={() => {
          setOpen(!open);
          setNote('');
        }}
      />
      {open ? (
        <View style={styles.card}>
          <TextInput
            aria-label={t.aNoteWithThisAnswer}
            value={note}
            onChangeText={setNote}
            maxLength={400}
            multiline
            placeholder={t.whereOnItInWhat}
            placeholderTextColor={colour.inkSoft}
            style={styles.note}
          />
          {beside}
        </View>
      ) : null}
    </>
  );
}

/** The reasons that are said above the question. */
const AGAIN: ReadonlySet<Check['why']> = new Set(['contradicted', 'look-again', 'mark-unsure', 'taken-back']);

function LookAgain({ check, target }: { readonly check: Check; readonly target: TaxonId | undefined }) {
  if (check.why === 'contradicted') {
    return (
      <View style={styles.again}>
        <Strong>{t.lookAgain}</Strong>
        <Body>{t.thisSpokeAgainstLookElsewhere(target ? commonName(target) : t.it)}</Body>
      </View>
    );
  }
  if (check.why === 'look-again')
    return (
      <View style={styles.again}>
        <Strong>{t.lookOnceMoreElsewhereOn}</Strong>
      </View>
    );
  if (check.why === 'mark-unsure')
    return (
      <View style={styles.again}>
        <Strong>{t.lookAgainAMarkOf}</Strong>
      </View>
    );
  return check.why === 'taken-back' ? (
    <View style={styles.again}>
      <Strong>{t.lookAgainTheAnswerWas}</Strong>
    </View>
  ) : null;
}
