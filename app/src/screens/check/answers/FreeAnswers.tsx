import { Pressable, StyleSheet, View } from 'react-native';
import type { State } from '@pause/core';
import { colour, corner, Small, space, Strong, stroke, typeSize } from '../../../components';
import { AnswerDrawing } from '../../../components/plates/AnswerDrawing';
import { t } from '../../../text/en/answer';
import type { FittedAnswersProps } from './FittedAnswers';

const DRAWING = 84;
/** They take the places that the last row leaves free, so that its answers are as wide as the others. */
const FILLERS = [0, 1, 2, 3];
/** The least width of an answer. */
const LEAST_WIDTH = typeSize(136);

/** Answers as large as they like to be, below one another. */
export function FreeAnswers({
  states,
  drawing,
  several,
  onPress,
  onLongPress,
  keys,
}: Omit<FittedAnswersProps, 'room' | 'onCantTell'> & { readonly keys: boolean }) {
  return (
    <View style={styles.grid} role="group" aria-label={t.answers}>
      {states.map((state, index) => (
        <StateAnswer
          key={state.id}
          state={state}
          drawing={drawing}
          digit={keys && index < 10 ? (index + 1) % 10 : undefined}
          chosen={several?.includes(state.id)}
          onPress={() => onPress(state.id)}
          onLongPress={() => onLongPress(state.id)}
        />
      ))}
      {FILLERS.map((n) => (
        <View key={n} style={styles.filler} />
      ))}
    </View>
  );
}

interface StateAnswerProps {
  readonly state: State;
  /** The character to draw it of, if it is drawn. */
  readonly drawing: string | undefined;
  readonly digit: number | undefined;
  /** Whether it is among those that one is unsure between; undefined where one answer is given. */
  readonly chosen: boolean | undefined;
  readonly onPress: () => void;
  readonly onLongPress: () => void;
}

function StateAnswer({ state, drawing, digit, chosen, onPress, onLongPress }: StateAnswerProps) {
  return (
    <Pressable
      role={chosen === undefined ? 'button' : 'checkbox'}
      {...(chosen === undefined ? {} : { 'aria-checked': chosen })}
      onPress={onPress}
      onLongPress={onLongPress}
      delayLongPress={450}
      style={({ pressed }) => [styles.answer, (pressed || chosen) && styles.answerOn]}
    >
      {drawing === undefined ? null : (
        <View style={styles.drawing}>
          <AnswerDrawing character={drawing} state={state.id} height={DRAWING} />
        </View>
      )}
      {state.swatch ? <View style={[styles.swatch, { backgroundColor: state.swatch }]} /> : null}
      <Strong>{state.label}</Strong>
      {digit === undefined ? null : (
        <Small soft style={styles.digit}>
          {digit}
        </Small>
      )}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s + 2 },
  answer: {
    flexGrow: 1,
    flexBasis: LEAST_WIDTH,
    minHeight: 68,
    padding: space.m,
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.line,
    backgroundColor: colour.card,
    gap: space.s,
  },
  filler: { flexGrow: 1, flexBasis: LEAST_WIDTH, height: 0, paddingHorizontal: space.m },
  answerOn: { borderColor: colour.ink, borderWidth: stroke.thick, padding: space.m - stroke.thin },
  drawing: { alignItems: 'center' },
  digit: { position: 'absolute', top: space.s, right: space.m },
  swatch: {
    alignSelf: 'stretch',
    height: 64,
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
});
