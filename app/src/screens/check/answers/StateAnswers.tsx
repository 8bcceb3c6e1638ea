import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { isDrawn, type AnswerEffect, type State, type StateId } from '@pause/core';
import { Button, Small, SmallStrong, space, Strong, TARGET } from '../../../components';
import { latePart } from '../../../components/latePart';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/answer';
import { commonName } from '../../../text/names';
import { few } from '../../../text/reasons';
import { FittedAnswers } from './FittedAnswers';
import { FreeAnswers } from './FreeAnswers';
import { HeldAnswer } from './HeldAnswer';
import type { AnswerProps, OfKind } from './props';
import { Several, SEVERAL_HEIGHT } from './Several';
const OutlineOnPhoto = latePart(() => import('../measuring/onPhoto').then((m) => m.OutlineOnPhoto));

type Answered = OfKind<'states' | 'colour'>;

/**
 * One tap answers. An answer that is held is shown large, with everything that it can mean; where one is
 * unsure between several, two or more are named, and one more tap answers.
 */
export function StateAnswers(props: AnswerProps<Answered>) {
  const { character: asked, effects, keys, onAnswer, several, setSeveral, fitted } = props;
  const { id: character, states } = asked;
  // States are drawings; colours are their own swatches.
  const drawing = isDrawn(asked) ? character : undefined;
  const [held, setHeld] = useState<StateId>();
  const tap = (state: StateId) => {
    if (!several) onAnswer({ kind: 'states', states: [state] });
    else setSeveral(several.includes(state) ? several.filter((s) => s !== state) : [...several, state]);
  };
  const heldState = states.find(({ id }) => id === held);
  if (heldState) return <Held {...props} state={heldState} onBack={() => setHeld(undefined)} />;
  const shared = { states, drawing, several, onPress: tap, onLongPress: setHeld };
  const between = (
    <Several
      several={several}
      setSeveral={setSeveral}
      onAnswer={(chosen) => onAnswer({ kind: 'states', states: [...chosen] })}
    />
  );
  const more = (
    <>
      {character === 'leaf.outline' ? <OutlineByPhoto onAnswer={onAnswer} /> : null}
      {keys ? <Effects states={states} effects={effects} /> : null}
    </>
  );
  if (fitted) {
    const { width, height } = fitted.room;
    return (
      <View style={styles.answers}>
        {several ? between : null}
        <FittedAnswers
          {...shared}
          room={several ? { width, height: height - SEVERAL_HEIGHT } : fitted.room}
          onCantTell={fitted.onCantTell}
        />
        {drawing === undefined ? <InDaylight /> : null}
        {more}
      </View>
    );
  }
  return (
    <View style={styles.answers}>
      {drawing === undefined ? <InDaylight /> : null}
      <FreeAnswers {...shared} keys={keys} />
      {between}
      {more}
    </View>
  );
}

interface HeldProps extends Pick<AnswerProps<Answered>, 'onAnswer' | 'several' | 'setSeveral'> {
  readonly state: State;
  readonly character: Answered;
  readonly onBack: () => void;
}

function Held({ state, character, several = [], setSeveral, onAnswer, onBack }: HeldProps) {
  return (
    <HeldAnswer
      state={state}
      drawing={isDrawn(character) ? character.id : undefined}
      onAnswer={(sureness) => onAnswer({ kind: 'states', states: [state.id] }, sureness)}
      onSeveral={() => {
        setSeveral([...several.filter((id) => id !== state.id), state.id]);
        onBack();
      }}
      onBack={onBack}
    />
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

/** The outline of a leaf can be drawn round on a photo. */
function OutlineByPhoto({ onAnswer }: Pick<AnswerProps<OfKind<'states'>>, 'onAnswer'>) {
  const [open, setOpen] = useState(false);
  return open ? (
    <OutlineOnPhoto onAnswer={onAnswer} />
  ) : (
    <Button label={t.drawItRoundOnA} tone="outline" onPress={() => setOpen(true)} style={styles.outline} />
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
  outline: { alignSelf: 'flex-start', minHeight: TARGET },
  effects: { gap: space.xs, paddingTop: space.s },
});
