import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { statesIn, type CharacterId, type StageId, type Sureness } from '@pause/core';
import type { TaxonPlate } from '@pause/core/drawing';
import { individualOf, type Drill, type PracticeAnswer, type Specimen } from '@pause/core/practice';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  corner,
  PlateView,
  Question,
  Small,
  SmallStrong,
  space,
  stroke,
  Strong,
  typeSize,
} from '../../components';
import { AnswerDrawing } from '../../components/plates/AnswerDrawing';
import { PlateDrawing, TaxonDrawing } from '../../components/plates/TaxonDrawing';
import type { Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import {
  characterName,
  CommonName,
  commonName,
  lengthWords,
  lowerFirst,
  numberWord,
  stageName,
  upper,
} from '../../text/names';
import { stateLabel } from '../../text/practice';
import { Answers } from './Answers';
import { DrawIt } from './DrawIt';
import { Shown } from './Look';
import { HowSure } from './Sureness';

export interface DrillAnswer {
  readonly right: boolean;
  /** Where the drill itself tells it. */
  readonly sureness?: Sureness;
  readonly look?: PracticeAnswer['look'];
}

interface DrillCardProps {
  readonly drill: Drill;
  readonly plates: Plates;
  readonly note?: React.ReactNode;
  readonly last: boolean;
  readonly onAnswer: (answer: DrillAnswer, sureness: Sureness) => void;
  readonly onNext: () => void;
}
/** What each kind of drill is given. */
interface KindProps<K extends Drill['kind']> {
  readonly drill: Extract<Drill, { readonly kind: K }>;
  readonly plates: Plates;
  /** What was answered, once it was. */
  readonly answered: boolean;
  readonly sureness: Sureness;
  readonly onAnswer: (answer: DrillAnswer, said: string) => void;
}

/** One question; after it is answered, what was right. */
export function DrillCard({ drill, plates, note, last, onAnswer, onNext }: DrillCardProps) {
  const [sureness, setSureness] = useState<Sureness>('sure');
  const [result, setResult] = useState<{ readonly right: boolean; readonly said: string }>();
  const answer = (given: DrillAnswer, said: string) => {
    if (result) return;
    setResult({ right: given.right, said });
    onAnswer(given, sureness);
  };
  const props = { plates, answered: result !== undefined, sureness, onAnswer: answer };
  return (
    <View style={styles.card}>
      <Kind drill={drill} {...props} />
      {note}
      {result || drill.kind === 'draw' ? null : <HowSure sureness={sureness} onChange={setSureness} />}
      {result ? (
        <View style={[styles.result, result.right ? styles.right : styles.wrong]} role="status">
          <Strong on={result.right ? 'dark' : 'light'}>{result.right ? 'Right' : 'Not so'}</Strong>
          <Body on={result.right ? 'dark' : 'light'}>{result.said}</Body>
        </View>
      ) : null}
      {result ? <Button label={last ? 'To the end' : 'Next'} onPress={onNext} /> : null}
    </View>
  );
}

function Kind({ drill, ...props }: Omit<KindProps<Drill['kind']>, 'drill'> & { readonly drill: Drill }) {
  switch (drill.kind) {
    case 'word':
      return <Word drill={drill} {...props} />;
    case 'drawing':
      return <Drawing drill={drill} {...props} />;
    case 'draw':
      return (
        <DrawIt
          character={drill.character}
          state={drill.shown}
          onJudged={(how) =>
            props.onAnswer(
              { right: how !== 'wrong', sureness: how === 'right' ? 'sure' : 'fairly' },
              how === 'right'
                ? 'From memory, as it is.'
                : how === 'nearly'
                  ? 'What you marked is what to look at next time.'
                  : 'It comes back soon.',
            )
          }
        />
      );
    case 'differs':
      return <Differs drill={drill} {...props} />;
    case 'which':
    case 'basket':
      return <Among drill={drill} {...props} />;
    case 'colours':
      return <Colours drill={drill} {...props} />;
    case 'stages':
      return <Stages drill={drill} {...props} />;
    case 'measure':
      return <Measure drill={drill} {...props} />;
  }
}

/** A drawing, and words to choose from. */
function Word({ drill: { character, shown, options }, answered, sureness, onAnswer }: KindProps<'word'>) {
  return (
    <>
      <Question>{characterName(character)}: what is it called?</Question>
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
function Drawing({
  drill: { character, shown, options },
  answered,
  sureness,
  onAnswer,
}: KindProps<'drawing'>) {
  return (
    <>
      <Question>
        {characterName(character)}: which is “{lowerFirst(stateLabel(character, shown))}”?
      </Question>
      <View style={styles.options} role="group" aria-label="Answers">
        {options.map((state, index) => (
          <Pressable
            key={state}
            role="button"
            aria-label={answered ? stateLabel(character, state) : `Picture ${numberWord(index + 1)}`}
            disabled={answered}
            onPress={() =>
              onAnswer(
                { right: state === shown, look: { character, shown, read: state, sureness } },
                state === shown
                  ? 'That is the one.'
                  : `You chose “${lowerFirst(stateLabel(character, state))}”.`,
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
  const swatch = known && 'states' in known ? known.states.find(({ id }) => id === state)?.swatch : undefined;
  return swatch ? (
    <View style={[styles.swatch, { backgroundColor: swatch }]} />
  ) : (
    <AnswerDrawing character={character} state={state} height={84} />
  );
}

/** Two side by side: which of these parts them? */
function Differs({
  drill: { target, other, stage, options, right },
  answered,
  onAnswer,
}: KindProps<'differs'>) {
  const accent = new Set<string>(answered ? [right] : []);
  return (
    <>
      <Question>Which of these parts them?</Question>
      <View style={styles.two}>
        {[target, other].map((taxon) => (
          <View key={taxon.id} style={styles.half}>
            <TaxonDrawing taxon={taxon} stage={stage} height={190} accent={accent} scale={false} />
            <Strong>{CommonName(taxon.id)}</Strong>
          </View>
        ))}
      </View>
      <Answers
        answers={options.map((id) => ({ id, label: characterName(id) }))}
        disabled={answered}
        onAnswer={(one) =>
          onAnswer(
            { right: one === right },
            `${characterName(right)}: ${commonName(target.id)} ${stated(target, right, stage)}, ${commonName(other.id)} ${stated(other, right, stage)}.`,
          )
        }
      />
    </>
  );
}

/** What is usual of a taxon at a stage, in words. */
function stated(
  taxon: Extract<Drill, { kind: 'differs' }>['target'],
  character: string,
  stage: StageId,
): string {
  const compiled = guide.character(character);
  const known = taxon.atStage.get(compiled?.index ?? -1)?.get(stage);
  if (!compiled || known?.kind !== 'states') return 'otherwise';
  return statesIn(compiled, known.usual)
    .map((state) => lowerFirst(stateLabel(character, state)))
    .join(' or ');
}

/** Individuals of two kinds: tap the other ones. */
function Among({
  drill: { kind, target, other, shownBy, specimens },
  plates,
  answered,
  onAnswer,
}: KindProps<'which' | 'basket'>) {
  const [marked, setMarked] = useState<readonly number[]>([]);
  const wholes = useMemo(
    () => specimens.map((one) => plates.individualPlate(individualOf(one), target.taxon.kingdom)),
    [plates, specimens, target],
  );
  // What no whole shows stands by itself, with all of them alike.
  const apart = shownBy.filter(
    (character) => !wholes.some((whole) => whole.parts.some(({ of }) => of.includes(character))),
  );
  const truth = specimens.flatMap(({ taxon }, index) => (taxon === other.id ? [index] : []));
  const done = () => {
    const right = truth.length === marked.length && truth.every((one) => marked.includes(one));
    const told =
      truth.length === 0
        ? `No ${commonName(other.id)} was among them.`
        : `${truth.length === 1 ? 'One was' : `${upper(numberWord(truth.length))} were`} ${commonName(other.id)}: ${truth.map((one) => numberWord(one + 1)).join(', ')}.`;
    onAnswer({ right }, told);
  };
  return (
    <>
      <Question>
        {kind === 'which'
          ? `Which are ${commonName(other.id)}?`
          : `A basket of ${commonName(target.id)}. Is a stray in it?`}
      </Question>
      <Small soft>
        {kind === 'which'
          ? `The others are ${commonName(target.id)}.`
          : `It would be ${commonName(other.id)}; there may be none.`}{' '}
        Shown: {shownBy.map((one) => lowerFirst(characterName(one))).join(' and ')}.
      </Small>
      <View style={styles.tiles} role="group" aria-label="Individuals">
        {specimens.map((specimen, index) => (
          <Pressable
            key={index}
            role="checkbox"
            aria-checked={marked.includes(index)}
            aria-label={`Number ${numberWord(index + 1)}`}
            disabled={answered}
            onPress={() =>
              setMarked(marked.includes(index) ? marked.filter((one) => one !== index) : [...marked, index])
            }
            style={[
              styles.tile,
              marked.includes(index) && styles.marked,
              answered && specimen.taxon === other.id && styles.stray,
            ]}
          >
            <Piece
              specimen={specimen}
              plate={wholes[index]}
              apart={apart}
              plates={plates}
              large={kind === 'which'}
            />
            <SmallStrong>
              {index + 1}
              {answered && specimen.taxon === other.id ? ` ${commonName(other.id)}` : ''}
            </SmallStrong>
          </Pressable>
        ))}
      </View>
      {answered ? null : (
        <Button
          label={
            marked.length === 0
              ? 'None of them'
              : marked.length === 1
                ? 'This one'
                : `These ${numberWord(marked.length)}`
          }
          onPress={done}
        />
      )}
    </>
  );
}

/** One individual as a whole; and by itself what no whole shows of what parts them. */
function Piece({
  specimen,
  plate,
  apart,
  plates,
  large,
}: {
  readonly specimen: Specimen;
  readonly plate: TaxonPlate | undefined;
  readonly apart: readonly CharacterId[];
  readonly plates: Plates;
  readonly large: boolean;
}) {
  const stateOf = (character: CharacterId) => {
    const value = specimen.shows.get(character);
    return value?.kind === 'states' ? value.states[0] : undefined;
  };
  return (
    <>
      {plate ? <PlateView plate={plate} pathOf={plates.pathData} height={large ? 104 : 76} /> : null}
      {apart.map((character) => {
        const state = stateOf(character);
        return state === undefined ? null : (
          <AnswerDrawing key={character} character={character} state={state} height={48} />
        );
      })}
    </>
  );
}

/** Colours of one of the two. */
function Colours({
  drill: { target, other, character, of, states },
  answered,
  onAnswer,
}: KindProps<'colours'>) {
  const known = guide.character(character)?.character;
  const swatches = states.flatMap(
    (state) =>
      (known && 'states' in known ? known.states.find(({ id }) => id === state)?.swatch : undefined) ?? [],
  );
  const right = of === 'target' ? target : other;
  return (
    <>
      <Question>{characterName(character)}: whose are these?</Question>
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
            `${states.map((state, index) => (index === 0 ? stateLabel(character, state) : lowerFirst(stateLabel(character, state)))).join(', ')}: usual of ${commonName(right.id)}. A colour alone never decides.`,
          )
        }
      />
    </>
  );
}

/** Stages, to be put in the order of the year. */
function Stages({ drill: { taxon, shuffled }, answered, onAnswer }: KindProps<'stages'>) {
  const [order, setOrder] = useState<readonly StageId[]>([]);
  const right = taxon.taxon.stages.filter((stage) => shuffled.includes(stage));
  const tap = (stage: StageId) => {
    const next = order.includes(stage) ? order.filter((one) => one !== stage) : [...order, stage];
    setOrder(next);
    if (next.length === shuffled.length)
      onAnswer(
        { right: next.every((one, index) => one === right[index]) },
        `${right.map((one, index) => (index === 0 ? stageName(one) : lowerFirst(stageName(one)))).join(', then ')}.`,
      );
  };
  return (
    <>
      <Question>{CommonName(taxon.id)}: tap its stages in their order</Question>
      <View style={styles.options} role="group" aria-label="Stages">
        {shuffled.map((stage, index) => (
          <Pressable
            key={stage}
            role="button"
            aria-label={
              answered
                ? stageName(stage)
                : `Picture ${numberWord(index + 1)}${order.includes(stage) ? `, number ${order.indexOf(stage) + 1} in order` : ''}`
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
function Measure({
  drill: { character, specimen, options, right },
  plates,
  answered,
  onAnswer,
}: KindProps<'measure'>) {
  const taxon = guide.taxon(specimen.taxon);
  const plate = useMemo(
    () => plates.individualPlate(individualOf(specimen), taxon?.taxon.kingdom ?? 'Plantae'),
    [plates, specimen, taxon],
  );
  return (
    <>
      <Question>{characterName(character)}: how much is it?</Question>
      <PlateDrawing plates={plates} plate={plate} height={260} accent={NONE} />
      <ChipRow label="Answers">
        {options.map((mm) => (
          <Chip
            key={mm}
            label={lengthWords(mm)}
            chosen={answered && mm === right}
            disabled={answered}
            onPress={() => onAnswer({ right: mm === right }, `${lengthWords(right)}, by the scale.`)}
          />
        ))}
      </ChipRow>
    </>
  );
}

const styles = StyleSheet.create({
  card: { gap: space.m },
  result: { padding: space.m, gap: 2 },
  right: { backgroundColor: colour.collect },
  wrong: { backgroundColor: colour.pause },
  options: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  picture: {
    flexGrow: 1,
    flexBasis: typeSize(140),
    minHeight: 120,
    padding: space.s,
    gap: space.xs,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  third: { flexBasis: typeSize(96) },
  chosen: { borderColor: colour.collect, borderWidth: stroke.thick },
  swatch: {
    alignSelf: 'stretch',
    height: 84,
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
  two: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, gap: space.xs, alignItems: 'center' },
  tiles: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tile: {
    flexGrow: 1,
    flexBasis: typeSize(96),
    padding: space.s,
    gap: space.xs,
    alignItems: 'center',
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  marked: { borderColor: colour.ink, borderWidth: stroke.thick },
  stray: { backgroundColor: colour.pause },
  stripes: {
    flexDirection: 'row',
    height: 96,
    borderRadius: corner,
    overflow: 'hidden',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
  stripe: { flex: 1 },
});
