import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { isDrawn, type AnswerEffect, type State, type StateId } from '@pause/core';
import {
  Button,
  colour,
  corner,
  Small,
  SmallStrong,
  space,
  Strong,
  stroke,
  TARGET,
  typeSize,
} from '../../../components';
import { latePart } from '../../../components/latePart';
import { AnswerDrawing } from '../../../components/plates/AnswerDrawing';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/answer';
import { commonName } from '../../../text/names';
import { few } from '../../../text/reasons';
import { FittedAnswers, type FittedAnswersProps } from './FittedAnswers';
import type { AnswerProps, OfKind } from './props';
import { Torn } from './Torn';
const OutlineOnPhoto = latePart(() => import('../measuring/onPhoto').then((m) => m.OutlineOnPhoto));

const DRAWING = 84;

/** One tap answers. A long press, or "torn", lets two or more be named, and then asks for one more tap. */
export function StateAnswers({
  character: asked,
  effects,
  keys,
  onAnswer,
  fitted,
}: AnswerProps<OfKind<'states' | 'colour'>>) {
  const { id: character, states } = asked;
  // States are drawings; colours are their own swatches.
  const drawing = isDrawn(asked) ? character : undefined;
  const [torn, setTorn] = useState<readonly StateId[] | undefined>();
  const tap = (state: StateId) => {
    if (!torn) onAnswer({ kind: 'states', states: [state] });
    else setTorn(torn.includes(state) ? torn.filter((s) => s !== state) : [...torn, state]);
  };
  const hold = (state: StateId) => setTorn(torn ?? [state]);
  const shared = { states, drawing, torn, onPress: tap, onLongPress: hold };
  const between = (
    <Torn
      torn={torn}
      setTorn={setTorn}
      onAnswer={(chosen) => onAnswer({ kind: 'states', states: [...chosen] })}
    />
  );
  const more = (
    <>
      {character === 'leaf.outline' ? <OutlineByPhoto onAnswer={onAnswer} /> : null}
      {keys ? <Effects states={states} effects={effects} /> : null}
    </>
  );
  if (fitted)
    return (
      <View style={styles.answers}>
        {torn ? between : null}
        <FittedAnswers {...shared} room={fitted.room} onCantTell={fitted.onCantTell} />
        {torn ? null : between}
        {drawing === undefined ? <InDaylight /> : null}
        {more}
      </View>
    );
  return (
    <View style={styles.answers}>
      {drawing === undefined ? <InDaylight /> : null}
      <FreeAnswers {...shared} keys={keys} />
      {between}
      {more}
    </View>
  );
}

/** In what light colours are compared. */
function InDaylight() {
  const dim = useApp((state) => state.look.theme === 'dim');
  return (
    <Small soft>
      {t.betweenTwoColoursNameBoth(dim ? t.thisScreenIsDimmedCompare : t.compareInDaylightOutOf)}
    </Small>
  );
}

/** Answers as large as they like to be, below one another. */
function FreeAnswers({
  states,
  drawing,
  torn,
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
          digit={keys && index < 9 ? index + 1 : undefined}
          chosen={torn?.includes(state.id)}
          onPress={() => onPress(state.id)}
          onLongPress={() => onLongPress(state.id)}
        />
      ))}
    </View>
  );
}

interface StateAnswerProps {
  readonly state: State;
  /** The character to draw it of, if it is drawn. */
  readonly drawing: string | undefined;
  readonly digit: number | undefined;
  /** Whether it is among those that one is torn between; undefined where one is not. */
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

/** The outline of a leaf can be drawn round on a photo. */
function OutlineByPhoto({ onAnswer }: Pick<AnswerProps<OfKind<'states'>>, 'onAnswer'>) {
  const [open, setOpen] = useState(false);
  return open ? (
    <OutlineOnPhoto onAnswer={onAnswer} />
  ) : (
    <Button label={t.drawItRoundOnA} tone="outline" onPress={() => setOpen(true)} style={styles.torn} />
  );
}

/** What each answer would do, for those who want to know before they look. */
function Effects({
  states,
  effects,
}: {
  readonly states: readonly State[];
  readonly effects: readonly AnswerEffect[];
}) {
  const lines = effects.flatMap((effect) => {
    const label = states.find((s) => s.id === effect.state)?.label;
    const gained = effect.bars.filter((bar) => bar.to > bar.from && bar.from < bar.need);
    const effectWords = [
      ...(effect.relation === 'against' ? [t.speaksAgainstItLookTwice] : []),
      ...(gained.length > 0
        ? [
            t.aBarAgainst(
              few(
                gained.map((bar) => commonName(bar.taxon)),
                4,
              ),
            ),
          ]
        : []),
    ];
    return label && effectWords.length > 0 ? [{ label, effectWords: effectWords.join('; ') }] : [];
  });
  if (lines.length === 0) return null;
  return (
    <View style={styles.effects}>
      <Strong>{t.whatEachAnswerWouldDo}</Strong>
      {lines.map(({ label, effectWords }) => (
        <Small key={label}>
          <SmallStrong>{label}: </SmallStrong>
          {effectWords}.
        </Small>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  answers: { gap: space.s + 2 },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s + 2 },
  answer: {
    flexGrow: 1,
    flexBasis: typeSize(140),
    minHeight: 68,
    padding: space.m,
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.line,
    backgroundColor: colour.card,
    gap: space.s,
  },
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
  torn: { alignSelf: 'flex-start', minHeight: TARGET },
  effects: { gap: space.xs, paddingTop: space.s },
});
