import { useMemo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { State, StateId } from '@pause/core';
import { colour, corner, Small, stroke, Strong, typeSize } from '../../../components';
import { AnswerDrawing } from '../../../components/plates/AnswerDrawing';
import { t } from '../../../text/en/answer';
import { ASPECT, BETWEEN, type Cell, type Fit, fitAnswers, GAP, LABEL, PADDING, type Room } from './fit';

export interface FittedAnswersProps {
  readonly states: readonly State[];
  /** The character to draw them of, if they are drawn. */
  readonly drawing: string | undefined;
  readonly room: Room;
  /** Those that one is unsure between; undefined where one answer is given. */
  readonly several: readonly StateId[] | undefined;
  readonly onPress: (state: StateId) => void;
  readonly onLongPress: (state: StateId) => void;
  readonly onCantTell: () => void;
}

/** All answers at once, in rows of one height, with what is no answer as the last of them. */
export function FittedAnswers({ states, room, several, onCantTell, ...props }: FittedAnswersProps) {
  const { drawing } = props;
  const fit = useMemo(
    () =>
      fitAnswers(
        states.map((state) => cellOf(state, drawing !== undefined)),
        room,
      ),
    [states, drawing, room],
  );
  const rows = Math.ceil((states.length + 1) / fit.columns);
  const cells = [
    ...states.map((state) => (
      <FittedAnswer key={state.id} state={state} fit={fit} chosen={several?.includes(state.id)} {...props} />
    )),
    <Pressable
      key="cant-tell"
      role="button"
      onPress={onCantTell}
      style={({ pressed }) => [styles.cell, styles.none, pressed && styles.on]}
    >
      <Strong style={styles.label}>{t.cantTell}</Strong>
    </Pressable>,
  ];
  return (
    <View style={styles.rows} role="group" aria-label={t.answers}>
      {fit.whole ? null : <Small soft>{t.answersMoreBelow(states.length)}</Small>}
      {Array.from({ length: rows }, (_, row) => {
        const inRow = cells.slice(row * fit.columns, (row + 1) * fit.columns);
        return (
          <View key={row} style={[styles.row, { minHeight: fit.rowHeight }]}>
            {inRow}
            {Array.from({ length: fit.columns - inRow.length }, (__, empty) => (
              <View key={empty} style={[styles.cell, styles.empty]} />
            ))}
          </View>
        );
      })}
    </View>
  );
}

const cellOf = ({ label, short, swatch }: State, drawn: boolean): Cell => ({
  label,
  short,
  picture: drawn ? 'drawing' : swatch ? 'swatch' : 'none',
});

interface FittedAnswerProps extends Pick<FittedAnswersProps, 'drawing' | 'onPress' | 'onLongPress'> {
  readonly fit: Fit;
  readonly state: State;
  readonly chosen: boolean | undefined;
}

function FittedAnswer({ state, drawing, fit, chosen, onPress, onLongPress }: FittedAnswerProps) {
  const label = (fit.short ? state.short : undefined) ?? state.label;
  const beside = fit.picture === 'beside';
  return (
    <Pressable
      role={chosen === undefined ? 'button' : 'checkbox'}
      {...(chosen === undefined ? {} : { 'aria-checked': chosen })}
      aria-label={state.label}
      onPress={() => onPress(state.id)}
      onLongPress={() => onLongPress(state.id)}
      delayLongPress={450}
      style={({ pressed }) => [styles.cell, beside && styles.beside, (pressed || chosen) && styles.on]}
    >
      {drawing === undefined ? null : (
        <AnswerDrawing character={drawing} state={state.id} height={fit.pictureHeight} />
      )}
      {state.swatch && drawing === undefined ? (
        <View
          style={[
            styles.swatch,
            { backgroundColor: state.swatch, height: fit.pictureHeight },
            beside && { width: fit.pictureHeight * ASPECT },
          ]}
        />
      ) : null}
      <View style={[styles.words, beside && styles.wordsBeside]}>
        <Strong style={[styles.label, beside && styles.labelBeside]}>{label}</Strong>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  rows: { gap: GAP },
  row: { flexDirection: 'row', gap: GAP },
  cell: {
    flex: 1,
    minWidth: 0,
    alignItems: 'center',
    justifyContent: 'center',
    gap: BETWEEN,
    paddingHorizontal: PADDING.x - stroke.thin,
    paddingVertical: PADDING.y - stroke.thin,
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  empty: { borderColor: 'transparent', backgroundColor: 'transparent' },
  beside: { flexDirection: 'row', justifyContent: 'flex-start', gap: BETWEEN * 2 },
  none: { backgroundColor: colour.ground, borderStyle: 'dashed', borderColor: colour.inkSoft },
  on: { borderColor: colour.ink, backgroundColor: colour.shade },
  swatch: {
    alignSelf: 'stretch',
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
  label: { fontSize: typeSize(LABEL.size), lineHeight: typeSize(LABEL.line), textAlign: 'center' },
  // Drawings of one row begin at one height, however long the words below them are.
  words: { flexGrow: 1, justifyContent: 'center' },
  wordsBeside: { flex: 1 },
  labelBeside: { textAlign: 'left' },
});
