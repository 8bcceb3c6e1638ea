import { useState } from 'react';
import { View } from 'react-native';
import { type HarmGrade, GRADES } from '@pause/core';
import type { BasketState } from '@pause/core/harvest/sorting';
import { Strong, Body, Small, Field, Heading, SmallStrong, ChipRow, Chip } from '../../components';
import type { SaveHarvest } from '../../notebook/useOwnHarvest';
import { numberWord, upper, GRADE } from '../../text/names';
import type { SortingField, Change } from './SortPass';
import { styles } from './sortStyles';

const oddsWords = (chance: number) =>
  chance < 1e-6
    ? 'less than one in a million'
    : chance > 0.5
      ? `${Math.round(chance * 100)} in a hundred`
      : `one in ${Math.round(1 / chance).toLocaleString()}`;

/** How it stands with the basket. */
export function Standing({
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
      ? 'Nobody has gone through it yet.'
      : `Gone through ${found.length === 1 ? 'once' : found.length === 2 ? 'twice' : `${numberWord(found.length)} times`}: ${strays === 0 ? 'no stray' : strays === 1 ? 'one stray' : `${strays} strays`}.`;
  const odds =
    state.left && worst !== 'none' ? ` That another one is left: ${oddsWords(state.left.chance)}.` : '';
  if (state.state === 'hold') {
    return (
      <View style={[styles.state, styles.hold]} role="status" aria-label="The basket">
        <Strong on="dark">Put all of it aside</Strong>
        <Body on="dark">
          A deadly one lay among them, or may have. Eat nothing of this basket, nor of anything that touched
          it; keep the stray, and wash hands, knife and board. {result}
        </Body>
      </View>
    );
  }
  return (
    <View
      style={[styles.state, state.state === 'gone-through' ? styles.done : styles.open]}
      role="status"
      aria-label="The basket"
    >
      <Strong>
        {state.state === 'gone-through'
          ? 'Gone through'
          : state.passes === undefined
            ? 'Not to be eaten of'
            : `${upper(numberWord(Math.max(1, state.passes)))} more ${state.passes > 1 ? 'times' : 'time'}`}
      </Strong>
      <Body>
        {result}
        {odds}
      </Body>
      <Small>
        {state.state === 'gone-through'
          ? 'It never says that it is safe: only that looking once more would hardly find anything.'
          : state.passes === undefined
            ? 'With so many strays among them, no looking again is enough.'
            : 'Each through all of it, and each finding nothing. A stray found makes it more.'}
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
      label="How many pieces lie there"
      inputMode="numeric"
      value={text}
      onChangeText={setText}
      hint="Roughly is enough."
      {...(wrong
        ? { wrong: least > 1 ? `a whole number, no fewer than the ${least} strays` : 'a whole number from 1' }
        : {})}
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
    <View style={styles.block} role="list" aria-label="Strays">
      <Heading>What the strays are</Heading>
      {grades.map((grade, index) => (
        <View key={index} role="listitem" style={styles.block}>
          <SmallStrong>
            {upper(numberWord(index + 1))}: {GRADE[grade]}
          </SmallStrong>
          <ChipRow label={`What stray ${index + 1} is`}>
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
      <Small soft>Change it only once the stray’s own find has settled what it is.</Small>
    </View>
  );
}
