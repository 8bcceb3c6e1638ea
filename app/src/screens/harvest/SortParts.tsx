import type { Harvest } from '../../notebook/harvests';
import { type CompiledTaxon, type HarmGrade, GRADES, type FindRecord, type TaxonId } from '@pause/core';
import { guide } from '../../deciding/guide';
import type { BasketState } from '@pause/core/harvest/sorting';
import { numberWord, upper, GRADE, commonName, CommonName } from '../../text/names';
import { View, Pressable } from 'react-native';
import { styles } from './sortStyles';
import {
  Strong,
  Body,
  Small,
  Field,
  Heading,
  SmallStrong,
  ChipRow,
  Chip,
  Rule,
  Button,
} from '../../components';
import type { TellHarvest } from '../../notebook/useOwnHarvest';
import { useState } from 'react';
import { useAct } from '../../notebook/store';
import { useRouter } from 'expo-router';
import { startFind } from '../../notebook/actions';

/** The parts of sorting. */

export type Told = NonNullable<Harvest['sorting']>;
export type Change = (make: (now: Told) => Told) => void;

/** The worst that could be among the pieces: of the lookalikes that the guide lists. */
export function worstOf({ taxon }: CompiledTaxon): HarmGrade {
  return taxon.lookalikes.reduce<HarmGrade>((worst, id) => {
    const grade = guide.taxon(id)?.grade ?? 'none';
    return GRADES.indexOf(grade) > GRADES.indexOf(worst) ? grade : worst;
  }, 'none');
}

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
  readonly sorting: Told;
  readonly state: BasketState;
  readonly worst: HarmGrade;
}) {
  const strays = found.reduce((a, b) => a + b, 0);
  const said =
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
          it; keep the stray, and wash hands, knife and board. {said}
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
        {said}
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
  tell,
}: {
  readonly sorting: Told | undefined;
  readonly tell: TellHarvest;
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
          tell(({ sorting: now }) => ({
            sorting: { found: [], now: 0, grades: [], ...now, pieces: number },
          }));
      }}
    />
  );
}

/** What each stray turned out to be: until a find settles it, it counts as what it was taken for. */
export function Strays({ sorting: { grades }, change }: { readonly sorting: Told; readonly change: Change }) {
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

interface PassProps {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly sorting: Told;
  readonly change: Change;
  readonly settled: () => Promise<unknown>;
}

/** One pass through all of it: strays as they turn up, and its end. */
export function Pass({ record, taxon, sorting, change, settled }: PassProps) {
  const act = useAct();
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  const { found, now, pieces } = sorting;
  const most = found.reduce((a, b) => a + b, 0) + now >= pieces;
  const stray = (id: TaxonId | 'harmless' | 'unknown') => {
    const grade =
      id === 'harmless' ? 'none' : id === 'unknown' ? worstOf(taxon) : (guide.taxon(id)?.grade ?? 'none');
    // What could do no harm says nothing of how many are left that could.
    change((was) => ({ ...was, now: was.now + Number(grade !== 'none'), grades: [...was.grades, grade] }));
    setAsking(false);
    if (id === 'harmless') return;
    const target = id === 'unknown' ? {} : { target: id };
    // The stray is on record before anything leads away from here.
    void settled()
      .then(() =>
        act(
          startFind({
            kingdom: record.kingdom,
            bodyPlan: guide.taxon(id)?.taxon.bodyPlan ?? record.bodyPlan ?? '',
            ...target,
            placeNote: `Stray in the basket of ${record.number ? `find ${record.number}` : commonName(taxon.id)}`,
            ...(record.group ? { group: record.group } : {}),
            context: {},
          }),
        ),
      )
      .then((opened) => {
        if (opened)
          router.push({
            pathname: id === 'unknown' ? '/find/[id]/name' : '/find/[id]/check',
            params: { id: opened },
          });
      });
  };
  return (
    <View style={styles.block}>
      <Heading>{found.length === 0 ? 'The first time' : `Time ${found.length + 1}`}</Heading>
      <View style={styles.buttons}>
        <Pressable
          role="button"
          aria-label="A stray"
          disabled={most}
          onPress={() => setAsking(true)}
          style={({ pressed }) => [styles.big, pressed && styles.pressed]}
        >
          <Strong>A stray</Strong>
          <Small>{now === 0 ? 'none so far this time' : `${now} so far this time`}</Small>
        </Pressable>
        <Pressable
          role="button"
          aria-label="All of it is gone through"
          onPress={() => change((was) => ({ ...was, found: [...was.found, was.now], now: 0 }))}
          style={({ pressed }) => [styles.big, styles.dark, pressed && styles.pressed]}
        >
          <Strong on="dark">All gone through</Strong>
          <Small on="dark">every single piece</Small>
        </Pressable>
      </View>
      {asking ? (
        <View style={styles.block} role="group" aria-label="What the stray is">
          <SmallStrong>What do you take it for? It opens a find, which settles it.</SmallStrong>
          {taxon.taxon.lookalikes
            .flatMap((id) => guide.taxon(id) ?? [])
            .map((one) => (
              <View key={one.id}>
                <Pressable role="button" onPress={() => stray(one.id)} style={styles.line}>
                  <Strong style={styles.grow}>{CommonName(one.id)}</Strong>
                  {one.grade === 'none' ? null : <SmallStrong>{GRADE[one.grade]}</SmallStrong>}
                </Pressable>
                <Rule />
              </View>
            ))}
          <View style={styles.buttons}>
            <Button label="I can’t tell" tone="outline" onPress={() => stray('unknown')} />
            <Button label="A leaf, a bit of moss" tone="outline" onPress={() => stray('harmless')} />
            <Button label="Not a stray" tone="plain" onPress={() => setAsking(false)} />
          </View>
        </View>
      ) : null}
    </View>
  );
}
