import { StyleSheet, View } from 'react-native';
import type { State, Sureness } from '@pause/core';
import { Button, colour, corner, space, Strong, stroke } from '../../../components';
import { AnswerDrawing } from '../../../components/plates/AnswerDrawing';
import { t } from '../../../text/en/answer';
import { SURENESSES } from '../sureness';

const DRAWING = 150;

interface HeldAnswerProps {
  readonly state: State;
  /** The character to draw it of, if it is drawn. */
  readonly drawing: string | undefined;
  readonly onAnswer: (sureness: Sureness) => void;
  /** Another answer could be it, too. */
  readonly onSeveral: () => void;
  readonly onBack: () => void;
}

/** One answer, large and in its whole words, with everything that it can mean. */
export function HeldAnswer({ state, drawing, onAnswer, onSeveral, onBack }: HeldAnswerProps) {
  return (
    <View role="group" aria-label={t.thisAnswer} style={styles.held}>
      <View style={styles.card}>
        {drawing === undefined ? null : (
          <AnswerDrawing character={drawing} state={state.id} height={DRAWING} />
        )}
        {state.swatch && drawing === undefined ? (
          <View style={[styles.swatch, { backgroundColor: state.swatch }]} />
        ) : null}
        <Strong style={styles.label}>{state.label}</Strong>
      </View>
      <View style={styles.row}>
        {SURENESSES.map(({ id, label }) => (
          <Button
            key={id}
            label={label}
            tone={id === 'sure' ? 'ink' : 'outline'}
            style={styles.one}
            onPress={() => onAnswer(id)}
          />
        ))}
      </View>
      <View style={styles.row}>
        <Button label={t.allAnswers} tone="outline" style={styles.one} onPress={onBack} />
        <Button label={t.thisOrAnother} tone="outline" style={styles.one} onPress={onSeveral} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  held: { gap: space.s + 2 },
  card: {
    gap: space.m,
    padding: space.l,
    alignItems: 'center',
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  swatch: {
    alignSelf: 'stretch',
    height: DRAWING,
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
  label: { textAlign: 'center' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s + 2 },
  one: { flexGrow: 1, flexBasis: 90, paddingHorizontal: space.s },
});
