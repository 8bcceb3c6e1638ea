import { useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { type Character, type Check, isSmelled, type Sureness, type TaxonId } from '@pause/core';
import { Body, Button, colour, OrganGlyph, Small, SmallStrong, Strong } from '../../components';
import { t } from '../../text/en/answer';
import { commonName, DAMAGE, timeWords } from '../../text/names';
import { styles } from './answerCardStyles';
import { SURENESSES } from './sureness';

/** What the card of a question is made of, besides the question and its answers. */

interface NoAnswerProps {
  readonly keys: boolean;
  readonly onPass: () => void;
  readonly onCannotSmell?: (() => void) | undefined;
  readonly character: Character;
  /** With why, where that is known. */
  readonly onCantTell: (why?: string) => void;
}

/** It cannot be told, is not on this piece, or is skipped. */
export function NoAnswer({ character, keys, onCantTell, onPass, onCannotSmell }: NoAnswerProps) {
  return (
    <View style={styles.ways}>
      <Button
        label={keys ? t.cantTellU : t.cantTell}
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
      {isSmelled(character) ? (
        <>
          <Button
            label={t.tooFaint}
            tone="outline"
            style={styles.way}
            onPress={() => onCantTell(t.tooFaintSentence)}
          />
          <Button
            label={t.maybeMyFingers}
            tone="outline"
            style={styles.way}
            onPress={() => onCantTell(t.maybeMyFingersSentence)}
          />
        </>
      ) : null}
      {onCannotSmell && isSmelled(character) ? (
        <Button label={t.cantSmellToday} tone="outline" style={styles.way} onPress={onCannotSmell} />
      ) : null}
    </View>
  );
}

/** What the check takes. */
export function Effort({ character }: { readonly character: Character }) {
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

export function HowButton({ keys, how, onHow, framed = false }: HowButtonProps) {
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

export function HowSure({ sureness, onChoose }: HowSureProps) {
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

interface NoteProps {
  /** Photos and sketches of this find. */
  readonly beside?: React.ReactNode;
  readonly note: string;
  readonly setNote: (note: string) => void;
}

/** A note with the answer, and photos and sketches of the find. */
export function NoteAndPictures({ note, setNote, beside }: NoteProps) {
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
      {open ? <NoteField note={note} setNote={setNote} beside={beside} /> : null}
    </>
  );
}

export function NoteField({ note, setNote, beside }: NoteProps) {
  return (
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
  );
}

/** The reasons that are shown above the question. */
export const AGAIN: ReadonlySet<Check['why']> = new Set([
  'contradicted',
  'look-again',
  'mark-unsure',
  'taken-back',
]);

export function LookAgain({
  check,
  target,
}: {
  readonly check: Check;
  readonly target: TaxonId | undefined;
}) {
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
