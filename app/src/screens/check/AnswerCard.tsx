import { memo, useState } from 'react';
import { View, Pressable, TextInput } from 'react-native';
import {
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
  readonly onCannotSmell?: () => void;
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
  const [more, setMore] = useState(false);
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
      <View style={styles.meta}>
        <OrganGlyph organ={character.organ} size={20} colour={colour.inkSoft} />
        <Small soft style={styles.grow}>
          {[timeWords(character.seconds), DAMAGE[character.damage], ...(character.gear ?? [])].join(' · ')}
        </Small>
        <Pressable role="button" aria-expanded={how} onPress={() => setHow(!how)} style={styles.how}>
          <SmallStrong style={styles.underlined}>{keys ? t.howToLookH : t.howToLook}</SmallStrong>
        </Pressable>
      </View>
      <Question>{character.question}</Question>
      {how ? (
        <HowToLook character={character} target={target} stages={stages} />
      ) : keys ? (
        <Small soft>{character.how}</Small>
      ) : null}
      <LookAgain check={check} target={target} />
      <View style={styles.sureness} role="radiogroup" aria-label={t.howSureAreYou}>
        {SURENESSES.map(({ id, label }, index) => (
          <Pressable
            key={id}
            role="radio"
            aria-checked={sureness === id}
            onPress={() => setSureness(id)}
            style={[styles.sure, index > 0 && styles.sureNext, sureness === id && styles.sureChosen]}
          >
            <Strong on={sureness === id ? 'dark' : 'light'}>{label}</Strong>
          </Pressable>
        ))}
      </View>
      <Answers key={character.id} character={character} effects={effects} keys={keys} onAnswer={answer} />
      <View style={styles.ways}>
        <Button
          label={keys ? t.cantSeeItU : t.cantSeeIt}
          tone="outline"
          style={styles.way}
          onPress={() => answer({ kind: 'cant-tell' })}
        />
        <Button
          label={t.notOnThisPiece}
          tone="outline"
          style={styles.way}
          onPress={() =>
            answer({ kind: 'cant-tell' }, [t.notOnThisPieceSentence, note.trim()].filter(Boolean).join(' '))
          }
        />
        <Button label={keys ? t.skipN : t.skip} tone="outline" style={styles.way} onPress={onPass} />
        {onCannotSmell && isSmelled(character) ? (
          <Button label={t.cantSmellToday} tone="outline" style={styles.way} onPress={onCannotSmell} />
        ) : null}
      </View>
      <Button
        label={more ? t.noNote : t.notePhotoOrSketch}
        tone="plain"
        aria-expanded={more}
        style={styles.more}
        onPress={() => {
          setMore(!more);
          setNote('');
        }}
      />
      {more ? (
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
    </View>
  );
});

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
