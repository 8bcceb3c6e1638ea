import { useState, useMemo } from 'react';
import { View, Pressable } from 'react-native';
import { statesRead, type StageId, statesIn, type CharacterId, type TaxonId } from '@pause/core';
import type { TaxonPlate } from '@pause/core/drawing';
import { type Drill, individualOf, type Specimen } from '@pause/core/practice';
import { Question, Strong, Small, SmallStrong, Button, PlateView } from '../../components';
import { AnswerDrawing } from '../../components/plates/AnswerDrawing';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import type { Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { toggled } from '../../notebook/changeFields';
import { t } from '../../text/en/practice';
import { listed } from '../../text/messages';
import {
  CommonName,
  characterName,
  commonName,
  lowerFirst,
  upper,
  numberWord,
  stateLabel,
} from '../../text/names';
import { Answers } from './Answers';
import type { KindProps } from './drillKinds';
import { styles } from './drillStyles';

/** Drills on a pair. */

/** Two side by side: which of these parts them? */
export function Differs({
  drill: { target, other, stage, options, right },
  answered,
  onAnswer,
}: KindProps<'differs'>) {
  const accent = new Set<string>(answered ? [right] : []);
  return (
    <>
      <Question>{t.whichOfThesePartsThem}</Question>
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
            `${characterName(right)}: ${commonName(target.id)} ${stated(target, right, stage)}, ` +
              `${commonName(other.id)} ${stated(other, right, stage)}.`,
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
  if (!compiled || known?.kind !== 'states') return t.otherwise;
  return listed(
    statesIn(compiled, known.usual).map((state) => lowerFirst(stateLabel(character, state))),
    'disjunction',
  );
}

/** Individuals of two kinds: tap the other ones. */
export function Among({ drill, plates, answered, onAnswer }: KindProps<'which' | 'basket'>) {
  const { kind, target, other, shownBy, specimens } = drill;
  const [marked, setMarked] = useState<readonly number[]>([]);
  const wholes = useMemo(
    () => specimens.map((one) => plates.individualPlate(guide, individualOf(one), target.taxon.kingdom)),
    [plates, specimens, target],
  );
  // What no whole drawing shows is drawn by itself, with all of them alike.
  const apart = shownBy.filter(
    (character) => !wholes.some((whole) => whole.parts.some(({ of }) => of.includes(character))),
  );
  const done = () => {
    const truth = specimens.flatMap(({ taxon }, index) => (taxon === other.id ? [index] : []));
    const right = truth.length === marked.length && truth.every((one) => marked.includes(one));
    onAnswer({ right }, truthWords(other.id, truth));
  };
  return (
    <>
      <AmongQuestion drill={drill} />
      <View style={styles.tiles} role="group" aria-label={t.individuals}>
        {specimens.map((specimen, index) => {
          const isOther = answered && specimen.taxon === other.id;
          return (
            <Pressable
              key={index}
              role="checkbox"
              aria-checked={marked.includes(index)}
              aria-label={t.number(numberWord(index + 1))}
              disabled={answered}
              onPress={() => setMarked(toggled(marked, index))}
              style={[styles.tile, marked.includes(index) && styles.marked, isOther && styles.stray]}
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
                {isOther ? ` ${commonName(other.id)}` : ''}
              </SmallStrong>
            </Pressable>
          );
        })}
      </View>
      {answered ? null : (
        <Button
          label={marked.length === 0 ? t.noneOfThem : t.these(marked.length, numberWord(marked.length))}
          onPress={done}
        />
      )}
    </>
  );
}

const truthWords = (other: TaxonId, truth: readonly number[]): string =>
  truth.length === 0
    ? t.noWasAmongThem(commonName(other))
    : `${t.were(truth.length, upper(numberWord(truth.length)))} ${commonName(other)}: ` +
      `${truth.map((one) => numberWord(one + 1)).join(', ')}.`;

function AmongQuestion({
  drill: { kind, target, other, shownBy },
}: Pick<KindProps<'which' | 'basket'>, 'drill'>) {
  return (
    <>
      <Question>
        {kind === 'which' ? t.whichAre(commonName(other.id)) : t.aBasketOfIsA(commonName(target.id))}
      </Question>
      <Small soft>
        {t.shown(
          kind === 'which'
            ? t.theOthersAre(commonName(target.id))
            : t.itWouldBeThereMay(commonName(other.id)),
          listed(shownBy.map((one) => lowerFirst(characterName(one)))),
        )}
      </Small>
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
    return statesRead(specimen.shows.get(character))[0];
  };
  return (
    <>
      {plate ? <PlateView plate={plate} pathOf={plates.pathData} wash height={large ? 104 : 76} /> : null}
      {apart.map((character) => {
        const state = stateOf(character);
        return state === undefined ? null : (
          <AnswerDrawing key={character} character={character} state={state} height={48} />
        );
      })}
    </>
  );
}
