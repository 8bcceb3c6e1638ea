import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  countOf,
  GRADES,
  type CompiledTaxon,
  type FindRecord,
  type HarmGrade,
  type TaxonId,
} from '@pause/core';
import {
  basketState,
  detectionWith,
  UNCHECKED_STRAYS,
  USUAL_STRAYS,
  type BasketState,
  type Sorting,
} from '@pause/core/harvest/sorting';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  corner,
  Field,
  Heading,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  stroke,
  Strong,
  TARGET,
  Title,
  useWide,
} from '../../components';
import { guide } from '../../deciding/guide';
import { startFind } from '../../notebook/actions';
import { inTheSameBag, useHarvests, type Harvest } from '../../notebook/harvests';
import { useOwnRates } from '../../notebook/ownRates';
import { useAct } from '../../notebook/store';
import { useCase } from '../../notebook/useCase';
import { useOwnHarvest, type TellHarvest } from '../../notebook/useOwnHarvest';
import { CommonName, commonName, GRADE, numberWord, upper } from '../../text/names';
import { PieceLines, usePieceCheck } from '../check/pieces/PieceLines';
import { Collected } from './Collected';

/**
 * Looking again at home, in good light: every piece, pass after pass, until what may be left is little enough
 * for what it would do.
 */
export function SortScreen() {
  return <Collected render={(record, taxon, part) => <Sort record={record} taxon={taxon} part={part} />} />;
}

type Told = NonNullable<Harvest['sorting']>;
type Change = (make: (now: Told) => Told) => void;
/** The worst that could be among the pieces: of the lookalikes that the guide lists. */
function worstOf({ taxon }: CompiledTaxon): HarmGrade {
  return taxon.lookalikes.reduce<HarmGrade>((worst, id) => {
    const grade = guide.taxon(id)?.grade ?? 'none';
    return GRADES.indexOf(grade) > GRADES.indexOf(worst) ? grade : worst;
  }, 'none');
}

/**
 * What was told, as the core is asked. What was gone through piece by piece where it grew is less likely to
 * hold strays; whoever misreads more than is usual finds fewer.
 */
export function sortingOf({ pieces, found }: Told, checkedOutside: number, slip?: number): Sorting {
  return {
    pieces,
    found,
    strays: checkedOutside >= pieces / 2 ? USUAL_STRAYS : UNCHECKED_STRAYS,
    ...(slip === undefined ? {} : { detection: detectionWith(slip) }),
  };
}

function Sort({
  record,
  taxon,
  part,
}: {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly part: string;
}) {
  const wide = useWide();
  const find = useCase(record);
  const check = usePieceCheck(find);
  const router = useRouter();
  const {
    id,
    told: { sorting },
    tell,
    settled,
  } = useOwnHarvest(record, taxon.id, part);
  const rates = useOwnRates();
  // Only what this person was seen to read says how they do.
  const slip =
    check?.feasible && check.checks.some(({ character }) => rates?.has(character))
      ? check.slips.at(-1)?.share
      : undefined;
  const beside = inTheSameBag(useHarvests(), id);
  const change: Change = (make) => tell(({ sorting: now }) => (now ? { sorting: make(now) } : {}));
  const state =
    sorting && basketState(sortingOf(sorting, countOf(record).passed, slip), worstOf(taxon), sorting.grades);
  const left = (
    <View style={[styles.column, wide && styles.grow]}>
      {sorting && state ? (
        <Standing sorting={sorting} state={state} worst={worstOf(taxon)} />
      ) : (
        <Body>Tip everything out on something pale, in good light. Nobody has gone through it yet.</Body>
      )}
      {beside.length > 0 ? (
        <Small>
          In the same bag: {beside.map(({ fields }) => commonName(fields.taxon ?? '')).join(', ')}. What
          touches one touches all of it.
        </Small>
      ) : null}
      <Pieces sorting={sorting} tell={tell} />
      {sorting ? (
        <Pass record={record} taxon={taxon} sorting={sorting} change={change} settled={settled} />
      ) : null}
      {id !== undefined && state?.state === 'gone-through' ? (
        <Button
          label="Make something of it"
          style={styles.start}
          onPress={() => router.push({ pathname: '/batch/new', params: { from: id } })}
        />
      ) : null}
      {sorting && sorting.grades.length > 0 ? <Strays sorting={sorting} change={change} /> : null}
    </View>
  );
  const right =
    check?.feasible && find ? (
      <View style={[styles.block, wide && styles.grow]}>
        {check.checks.length === 0 ? null : <Heading>On each piece, every one of these</Heading>}
        <PieceLines check={check} find={find} />
      </View>
    ) : check ? (
      <View style={wide && styles.grow}>
        <Body>No quick check parts the pieces. Check each one as a find of its own.</Body>
      </View>
    ) : null;
  return (
    <Screen>
      <View>
        <Small soft>{CommonName(taxon.id)} · at home</Small>
        <Title>Look again</Title>
      </View>
      {wide ? (
        <View style={styles.columns}>
          {left}
          {right}
        </View>
      ) : (
        <>
          {left}
          {right}
        </>
      )}
    </Screen>
  );
}

const oddsWords = (chance: number) =>
  chance < 1e-6
    ? 'less than one in a million'
    : chance > 0.5
      ? `${Math.round(chance * 100)} in a hundred`
      : `one in ${Math.round(1 / chance).toLocaleString()}`;

/** How it stands with the basket. */
function Standing({
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

function Pieces({ sorting, tell }: { readonly sorting: Told | undefined; readonly tell: TellHarvest }) {
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
function Strays({ sorting: { grades }, change }: { readonly sorting: Told; readonly change: Change }) {
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
function Pass({ record, taxon, sorting, change, settled }: PassProps) {
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

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  block: { gap: space.s },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  state: { gap: space.xs, padding: space.m, borderRadius: corner },
  hold: { backgroundColor: colour.leave },
  open: { backgroundColor: colour.pause },
  done: { borderWidth: stroke.medium, borderColor: colour.ink, backgroundColor: colour.card },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  big: {
    flex: 1,
    minWidth: 140,
    minHeight: 84,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: corner,
    borderWidth: stroke.thick,
    borderColor: colour.ink,
    backgroundColor: colour.card,
  },
  dark: { backgroundColor: colour.ink },
  pressed: { opacity: 0.7 },
  line: { minHeight: TARGET, flexDirection: 'row', alignItems: 'center', gap: space.m },
});
