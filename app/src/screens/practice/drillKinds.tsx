import { useState, useMemo } from 'react';
import { View, Pressable } from 'react-native';
import { stateOf } from '@pause/core';
import type { Sureness, StageId } from '@pause/core';
import { type Drill, individualOf } from '@pause/core/practice';
import { Question, Small, SmallStrong, ChipRow, Chip } from '../../components';
import { AnswerDrawing } from '../../components/plates/AnswerDrawing';
import { TaxonDrawing, PlateDrawing } from '../../components/plates/TaxonDrawing';
import type { Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/practice';
import {
  characterName,
  lowerFirst,
  numberWord,
  CommonName,
  commonName,
  stageName,
  lengthWords,
  stateLabel,
} from '../../text/names';
import { Answers } from './Answers';
import { type DrillAnswer, styles } from './drillStyles';
import { Shown } from './Look';

/** Drills on one feature. */

/** What each kind of drill is given. */
export interface KindProps<K extends Drill['kind']> {
  readonly drill: Extract<Drill, { readonly kind: K }>;
  readonly plates: Plates;
  /** What was answered, once it was. */
  readonly answered: boolean;
  readonly sureness: Sureness;
  readonly onAnswer: (answer: DrillAnswer, answerWords: string) => void;
}

/** A drawing, and words to choose from. */
export function Word({
  drill: { character, shown, options },
  answered,
  sureness,
  onAnswer,
}: KindProps<'word'>) {
  return (
    <>
      <Question>{t.whatIsItCalled(characterName(character))}</Question>
      <Shown character={character} state={shown} height={140} />
      <Answers
        answers={options.map((id) => ({ id, label: stateLabel(character, id) }))}
        disabled={answered}
        onAnswer={(state) =>
          onAnswer(
            { right: state === shown, look: { character, shown, read: state, sureness } },
            `${characterName(character)}: ${lowerFirst(stateLabel(character, shown))}.`,
          )
        }
      />
    </>
  );
}

/** A word, and drawings to choose from. */
export function Drawing({
  drill: { character, shown, options },
  answered,
  sureness,
  onAnswer,
}: KindProps<'drawing'>) {
  return (
    <>
      <Question>{t.whichIs(characterName(character), lowerFirst(stateLabel(character, shown)))}</Question>
      <View style={styles.options} role="group" aria-label={t.answers}>
        {options.map((state, index) => (
          <Pressable
            key={state}
            role="button"
            aria-label={answered ? stateLabel(character, state) : t.picture(numberWord(index + 1))}
            disabled={answered}
            onPress={() =>
              onAnswer(
                { right: state === shown, look: { character, shown, read: state, sureness } },
                state === shown ? t.thatIsTheOne : t.youChose(lowerFirst(stateLabel(character, state))),
              )
            }
            style={({ pressed }) => [
              styles.picture,
              (pressed || (answered && state === shown)) && styles.chosen,
            ]}
          >
            <AnswerOrSwatch character={character} state={state} />
            {answered ? <Small>{stateLabel(character, state)}</Small> : null}
          </Pressable>
        ))}
      </View>
    </>
  );
}

function AnswerOrSwatch({ character, state }: { readonly character: string; readonly state: string }) {
  const known = guide.character(character)?.character;
  const swatch = known && stateOf(known, state)?.swatch;
  return swatch ? (
    <View style={[styles.swatch, { backgroundColor: swatch }]} />
  ) : (
    <AnswerDrawing character={character} state={state} height={84} />
  );
}

/** Colours of one of the two. */
export function Colours({
  drill: { target, other, character, of, states },
  answered,
  onAnswer,
}: KindProps<'colours'>) {
  const known = guide.character(character)?.character;
  const swatches = states.flatMap((state) => (known && stateOf(known, state)?.swatch) ?? []);
  const right = of === 'target' ? target : other;
  return (
    <>
      <Question>{t.whoseAreThese(characterName(character))}</Question>
      <View
        style={styles.stripes}
        role="img"
        aria-label={states.map((state) => stateLabel(character, state)).join(', ')}
      >
        {swatches.map((swatch) => (
          <View key={swatch} style={[styles.stripe, { backgroundColor: swatch }]} />
        ))}
      </View>
      <Answers
        answers={[target, other].map(({ id }) => ({ id, label: CommonName(id) }))}
        disabled={answered}
        onAnswer={(one) =>
          onAnswer(
            { right: one === right.id },
            t.usualOfAColourAlone(
              states
                .map((state, index) =>
                  index === 0 ? stateLabel(character, state) : lowerFirst(stateLabel(character, state)),
                )
                .join(', '),
              commonName(right.id),
            ),
          )
        }
      />
    </>
  );
}

/** "Bud, then flower, then fruit". */
const inOrder = (names: readonly string[]): string =>
  names.reduce((earlier, next) => (earlier === '' ? next : t.thenNext(earlier, lowerFirst(next))), '');

/** Stages, to be put in the order of the year. */
export function Stages({ drill: { taxon, shuffled }, answered, onAnswer }: KindProps<'stages'>) {
  const [order, setOrder] = useState<readonly StageId[]>([]);
  const right = taxon.taxon.stages.filter((stage) => shuffled.includes(stage));
  const tap = (stage: StageId) => {
    const next = order.includes(stage) ? order.filter((one) => one !== stage) : [...order, stage];
    setOrder(next);
    if (next.length === shuffled.length)
      onAnswer(
        { right: next.every((one, index) => one === right[index]) },
        `${inOrder(right.map(stageName))}.`,
      );
  };
  return (
    <>
      <Question>{t.tapItsStagesInTheir(CommonName(taxon.id))}</Question>
      <View style={styles.options} role="group" aria-label={t.stages}>
        {shuffled.map((stage, index) => (
          <Pressable
            key={stage}
            role="button"
            aria-label={
              answered
                ? stageName(stage)
                : order.includes(stage)
                  ? t.pictureInOrder(numberWord(index + 1), order.indexOf(stage) + 1)
                  : t.pictureNumber(numberWord(index + 1))
            }
            disabled={answered}
            onPress={() => tap(stage)}
            style={[
              styles.picture,
              shuffled.length === 3 && styles.third,
              order.includes(stage) && styles.chosen,
            ]}
          >
            <TaxonDrawing taxon={taxon} stage={stage} height={130} accent={NONE} scale={false} />
            <SmallStrong>
              {order.includes(stage) ? `${order.indexOf(stage) + 1}` : ' '}
              {answered ? ` ${stageName(stage)}` : ''}
            </SmallStrong>
          </Pressable>
        ))}
      </View>
    </>
  );
}

const NONE: ReadonlySet<string> = new Set();

/** How large is it, by the scale below? */
export function Measure({
  drill: { character, specimen, options, right },
  plates,
  answered,
  onAnswer,
}: KindProps<'measure'>) {
  const taxon = guide.taxon(specimen.taxon);
  const plate = useMemo(
    () =>
      plates.writtenPlate(
        plates.individualPlate(guide, individualOf(specimen), taxon?.taxon.kingdom ?? 'Plantae'),
      ),
    [plates, specimen, taxon],
  );
  return (
    <>
      <Question>{t.howMuchIsIt(characterName(character))}</Question>
      <PlateDrawing plate={plate} height={260} accent={NONE} />
      <ChipRow label={t.answers}>
        {options.map((mm) => (
          <Chip
            key={mm}
            label={lengthWords(mm)}
            chosen={answered && mm === right}
            disabled={answered}
            onPress={() => onAnswer({ right: mm === right }, t.byTheScale(lengthWords(right)))}
          />
        ))}
      </ChipRow>
    </>
  );
}
