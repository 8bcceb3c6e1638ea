import { useState } from 'react';
import { View } from 'react-native';
import { type HarmGrade, GRADES } from '@pause/core';
import type { BasketState } from '@pause/core/harvest/sorting';
import { Strong, Body, Small, Field, Heading, SmallStrong, ChipRow, Chip } from '../../components';
import type { SaveHarvest } from '../../notebook/useOwnHarvest';
import { t } from '../../text/en/harvest';
import { sentences } from '../../text/messages';
import { numberWord, upper, GRADE } from '../../text/names';
import type { SortingField, Change } from './SortPass';
import { styles } from './sortStyles';

const oddsWords = (chance: number) =>
  chance < 1e-6
    ? t.lessThanOneInA
    : chance > 0.5
      ? t.inAHundred(Math.round(chance * 100))
      : t.oneIn(Math.round(1 / chance).toLocaleString());

/** How far the basket is sorted. */
export function BasketState({
  sorting: { found },
  state,
  worst,
}: {
  readonly sorting: SortingField;
  readonly state: BasketState;
  readonly worst: HarmGrade;
}) {
  const strays = found.reduce((a, b) => a + b, 0);
  const result =
    found.length === 0
      ? t.nobodyHasGoneThroughIt
      : t.goneThrough(
          found.length === 1 ? t.once : found.length === 2 ? t.twice : t.times(numberWord(found.length)),
          strays === 0 ? t.noStray : t.strays(strays),
        );
  const odds = state.left && worst !== 'none' && t.thatAnotherOneIsLeft(oddsWords(state.left.chance));
  if (state.state === 'hold') {
    return (
      <View style={[styles.state, styles.hold]} role="status" aria-label={t.theBasket}>
        <Strong on="dark">{t.putAllOfItAside}</Strong>
        <Body on="dark">{t.aDeadlyOneLayAmong(result)}</Body>
      </View>
    );
  }
  return (
    <View
      style={[styles.state, state.state === 'gone-through' ? styles.done : styles.open]}
      role="status"
      aria-label={t.theBasket}
    >
      <Strong>
        {state.state === 'gone-through'
          ? t.goneThroughPieces
          : state.passes === undefined
            ? t.notToBeEatenOf
            : t.moreTimes(upper(numberWord(Math.max(1, state.passes))), state.passes)}
      </Strong>
      <Body>{sentences(result, odds)}</Body>
      <Small>
        {state.state === 'gone-through'
          ? t.itNeverSaysThatIt
          : state.passes === undefined
            ? t.withSoManyStraysAmong
            : t.eachThroughAllOfIt}
      </Small>
    </View>
  );
}

export function Pieces({
  sorting,
  save,
}: {
  readonly sorting: SortingField | undefined;
  readonly save: SaveHarvest;
}) {
  const [text, setText] = useState(sorting ? String(sorting.pieces) : '');
  const number = Number(text);
  const least = Math.max(1, (sorting?.found.reduce((a, b) => a + b, 0) ?? 0) + (sorting?.now ?? 0));
  const wrong = text.trim() !== '' && !(Number.isInteger(number) && number >= least && number <= 100_000);
  return (
    <Field
      label={t.howManyPiecesLieThere}
      inputMode="numeric"
      value={text}
      onChangeText={setText}
      hint={t.roughlyIsEnough}
      {...(wrong ? { wrong: t.aWholeNumberNoFewer(least) } : {})}
      onBlur={() => {
        if (!wrong && text.trim() !== '' && number !== sorting?.pieces)
          save(({ sorting: now }) => ({
            sorting: { found: [], now: 0, grades: [], ...now, pieces: number },
          }));
      }}
    />
  );
}

/** What each stray turned out to be: until a find settles it, it counts as what it was taken for. */
export function Strays({
  sorting: { grades },
  change,
}: {
  readonly sorting: SortingField;
  readonly change: Change;
}) {
  return (
    <View style={styles.block} role="list" aria-label={t.straysFound}>
      <Heading>{t.whatTheStraysAre}</Heading>
      {grades.map((grade, index) => (
        <View key={index} role="listitem" style={styles.block}>
          <SmallStrong>
            {upper(numberWord(index + 1))}: {GRADE[grade]}
          </SmallStrong>
          <ChipRow label={t.whatStrayIs(index + 1)}>
            {GRADES.map((one) => (
              <Chip
                key={one}
                label={upper(GRADE[one])}
                chosen={grade === one}
                onPress={() =>
                  change((now) => ({
                    ...now,
                    grades: now.grades.map((other, at) => (at === index ? one : other)),
                  }))
                }
              />
            ))}
          </ChipRow>
        </View>
      ))}
      <Small soft>{t.changeItOnlyOnceThe}</Small>
    </View>
  );
}
