import { memo, useState } from 'react';
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
import { OrganGlyph, colour, Small, SmallStrong, Question, Strong, Button, Body } from '../../components';
import { t } from '../../text/en/answer';
import { characterOf, timeWords, DAMAGE, commonName } from '../../text/names';
import { styles } from './answerCardStyles';
import { Answers } from './answers';
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
}

const SURENESSES: readonly { readonly id: Sureness; readonly label: string }[] = [
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
}: AnswerCardProps) {
  const [sureness, setSureness] = useState<Sureness>('sure');
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
  return (
    <View style={styles.card}>
      <Effort character={character} keys={keys} how={how} onHow={() => setHow(!how)} />
      <Question>{character.question}</Question>
      {how ? (
        <HowToLook character={character} target={target} stages={stages} />
      ) : keys ? (
        <Small soft>{character.how}</Small>
      ) : null}
      <LookAgain check={check} target={target} />
      <HowSure sureness={sureness} onChoose={setSureness} />
      <Answers key={character.id} character={character} effects={effects} keys={keys} onAnswer={answer} />
      <NoAnswer
        character={character}
        keys={keys}
        onCantTell={(why) => answer({ kind: 'cant-tell' }, [why, note.trim()].filter(Boolean).join(' '))}
        onPass={onPass}
        onCannotSmell={onCannotSmell}
      />
      <NoteAndPictures note={note} setNote={setNote} beside={beside} />
    </View>
  );
});

interface NoAnswerProps extends Pick<AnswerCardProps, 'keys' | 'onPass' | 'onCannotSmell'> {
  readonly character: Character;
  /** With why, where that is known. */
  readonly onCantTell: (why?: string) => void;
}

/** It cannot be seen, is not on this piece, or is passed over. */
function NoAnswer({ character, keys, onCantTell, onPass, onCannotSmell }: NoAnswerProps) {
  return (
    <View style={styles.ways}>
      <Button
        label={keys ? t.cantSeeItU : t.cantSeeIt}
        tone="outline"
        style={styles.way}
        onPress={() => onCantTell()}
      />
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

interface EffortProps {
  readonly character: Character;
  readonly keys: boolean;
  readonly how: boolean;
  readonly onHow: () => void;
}

/** What the check takes, and how to look. */
function Effort({ character, keys, how, onHow }: EffortProps) {
  return (
    <View style={styles.meta}>
      <OrganGlyph organ={character.organ} size={20} colour={colour.inkSoft} />
      <Small soft style={styles.grow}>
        {[timeWords(character.seconds), DAMAGE[character.damage], ...(character.gear ?? [])].join(' · ')}
      </Small>
      <Pressable role="button" aria-expanded={how} onPress={onHow} style={styles.how}>
        <SmallStrong style={styles.underlined}>{keys ? t.howToLookH : t.howToLook}</SmallStrong>
      </Pressable>
    </View>
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
