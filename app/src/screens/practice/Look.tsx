import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { statesRead, stateOf } from '@pause/core';
import { isSmelled, type Character, type Sureness } from '@pause/core';
import type { Individual } from '@pause/core/drawing';
import { individualOf, type Drawable, type LookedAt, type Specimen } from '@pause/core/practice';
import {
  Body,
  Button,
  colour,
  corner,
  Question,
  Small,
  space,
  Strong,
  stroke,
  Stack,
} from '../../components';
import { AnswerDrawing } from '../../components/plates/AnswerDrawing';
import { LensView } from '../../components/plates/LensView';
import { t } from '../../text/en/practice';
import { characterOf, readingWords } from '../../text/names';
import { Answers } from './Answers';
import { HowSure } from './Sureness';

interface LookProps {
  readonly character: Character;
  readonly specimen: Specimen;
  readonly drawable: Drawable;
  readonly onLooked: (look: LookedAt) => void;
  readonly onBack: () => void;
}

/**
 * One look at a specimen of the practice wood: what is drawn has to be put into a word; what is smelled, felt
 * or measured is shown.
 */
export function Look({ character, specimen, drawable, onLooked, onBack }: LookProps) {
  const [sureness, setSureness] = useState<Sureness>('sure');
  const one = useMemo(() => individualOf(specimen), [specimen]);
  const shown = specimen.shows.get(character.id);
  const id = character.id;
  if (!shown) {
    return (
      <Stack gap="m">
        <Question>{character.question}</Question>
        <Body>{t.thereIsNothingToBe}</Body>
        <Button
          label={t.lookAtSomethingElse}
          onPress={() => onLooked({ character: id, value: { kind: 'cant-tell' }, sureness: 'sure' })}
        />
      </Stack>
    );
  }
  const [state] = statesRead(shown);
  const states =
    state === undefined || isSmelled(character) || !drawable(character.id, state) || !('states' in character);
  if (states) {
    return (
      <Stack gap="m">
        <Question>{character.question}</Question>
        <View style={styles.answer} role="status">
          <Strong>{valueWords(character, shown)}</Strong>
        </View>
        <Button
          label={t.putItDown}
          onPress={() => onLooked({ character: id, value: shown, sureness: 'sure' })}
        />
        <Button label={t.back} tone="plain" style={styles.start} onPress={onBack} />
      </Stack>
    );
  }
  return (
    <Stack gap="m">
      <Question>{character.question}</Question>
      <View style={styles.lens} role="img" aria-label={t.whatThereIsToBe}>
        <LensView one={one} character={id} size={132} opening />
      </View>
      <HowSure sureness={sureness} onChange={setSureness} />
      <Answers
        answers={character.states}
        onAnswer={(state) =>
          onLooked({ character: id, value: { kind: 'states', states: [state] }, sureness })
        }
      />
      <Button label={t.back} tone="plain" style={styles.start} onPress={onBack} />
    </Stack>
  );
}

function valueWords(character: Character, value: LookedAt['value']): string {
  const words = readingWords({ character: character.id, value });
  const how = isSmelled(character)
    ? t.youSmell
    : character.observe === 'measure'
      ? t.youMeasure
      : value.kind === 'count'
        ? t.youCount
        : t.youFind;
  return `${how}: ${words}`;
}

/** What there is to be seen: a drawing, or a colour as it is. */
export function Shown({
  character,
  state,
  height,
}: {
  readonly character: string;
  readonly state: string;
  readonly height: number;
}) {
  const known = characterOf(character);
  const swatch = known && stateOf(known, state)?.swatch;
  return (
    <View style={styles.shown} role="img" aria-label={t.whatThereIsToBe}>
      {swatch ? (
        <View style={[styles.swatch, { height: height * 0.7, backgroundColor: swatch }]} />
      ) : (
        <AnswerDrawing character={character} state={state} height={height} />
      )}
    </View>
  );
}

const HOW_SURE: Readonly<Record<Sureness, (what: string) => string>> = {
  sure: (what) => what,
  fairly: t.fairlySure,
  guess: t.guessed,
};

interface LookedProps {
  readonly one: Individual;
  readonly looks: readonly LookedAt[];
}

/** What was looked at so far, as it was seen. */
export function Looked({ one, looks }: LookedProps) {
  if (looks.length === 0) return null;
  return (
    <View role="list" aria-label={t.whatYouLookedAt}>
      {looks.map(({ character, value, sureness }) => (
        <View key={character} role="listitem" style={styles.line}>
          <View style={styles.seen}>
            <LensView one={one} character={character} size={44} />
          </View>
          <Small style={styles.grow}>{characterOf(character)?.name}</Small>
          <Small soft style={styles.right}>
            {HOW_SURE[sureness](
              value.kind === 'cant-tell' ? t.nothingToBeSeen : readingWords({ character, value }),
            )}
          </Small>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  answer: { borderLeftWidth: 4, borderLeftColor: colour.ink, paddingLeft: space.m, paddingVertical: space.s },
  start: { alignSelf: 'flex-start' },
  shown: {
    alignItems: 'center',
    padding: space.m,
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  swatch: { alignSelf: 'stretch', borderRadius: corner, borderWidth: stroke.thin, borderColor: colour.ink },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.xs },
  lens: { alignItems: 'center' },
  seen: { width: 44, alignItems: 'center' },
  grow: { flex: 1 },
  right: { flex: 1, textAlign: 'right' },
});
