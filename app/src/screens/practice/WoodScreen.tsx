import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { plan, statesIn, type Character, type StateId } from '@pause/core';
import {
  findOf,
  individualOf,
  scoreOf,
  walkOf,
  type Drawable,
  type Encounter,
  type LookedAt,
  type PracticeFind,
  type Scored,
  type WalkDecision,
} from '@pause/core/practice';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  Heading,
  Loading,
  Notice,
  PlateView,
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
  VerdictWord,
  WaysOut,
} from '../../components';
import { StatePicture } from '../../components/plates/StatePicture';
import { useNeededPlates, type Plates } from '../../components/plates/usePlates';
import { Uprights } from '../../components/Uprights';
import { guide } from '../../deciding/guide';
import { now } from '../../notebook/actions';
import { usePractice, type Practice } from '../../notebook/practice';
import { useAct } from '../../notebook/store';
import {
  characterName,
  characterOf,
  CommonName,
  commonName,
  DAMAGE,
  harmLine,
  lowerFirst,
  numberWord,
  scientificName,
  stageName,
  timeWords,
} from '../../text/names';
import { DECIDED, pointsWords, resultWords, TO_PRACTICE } from '../../text/practice';
import { Look, Looked } from './Look';
import { picturesBy } from './pictures';
import { useSitting } from './useSitting';

const FINDS = 5;

/** A walk in the practice wood: finds that never existed, met as in the field. */
export function WoodScreen() {
  const practice = usePractice();
  const plates = useNeededPlates();
  const { seed } = useLocalSearchParams<{ seed?: string }>();
  if (!practice.ready || !plates)
    return (
      <Screen>
        <Loading what="Walking into the wood …" />
      </Screen>
    );
  return <Wood key={seed ?? ''} practice={practice} plates={plates} told={seed} />;
}

function seedOf(told: string | undefined): number {
  const number = Number(told);
  return told !== undefined && Number.isInteger(number) && number >= 0 && number < 1e9
    ? number
    : Math.floor(Math.random() * 1e6);
}

interface Done {
  readonly encounter: Encounter;
  readonly decided: WalkDecision;
  readonly looks: readonly LookedAt[];
  readonly scored: Scored;
}

function Wood({
  practice,
  plates,
  told,
}: {
  readonly practice: Practice;
  readonly plates: Plates;
  readonly told: string | undefined;
}) {
  const router = useRouter();
  const act = useAct();
  const { gentle } = practice.learner;
  const [seed] = useState(() => seedOf(told));
  const [walk] = useState(() => {
    const due = [...practice.history.cards]
      .filter(([, { memory }]) => Date.parse(memory.due) <= practice.now.getTime())
      .map(([id]) => id);
    // What the next walk is for; else what stands around and is due.
    const planned = [...practice.soon].filter(([, soon]) => soon === 2);
    const around = [...practice.soon].filter(
      ([taxon]) => due.length === 0 || due.some((id) => id.split(':').includes(taxon)),
    );
    const rather = new Set((planned.length > 0 ? planned : around).map(([taxon]) => taxon));
    // A walk that was shared is the same for everybody, whatever they practised.
    return walkOf(guide, {
      seed,
      finds: FINDS,
      ...(told === undefined ? { month: practice.now.getMonth() + 1, rather } : {}),
    });
  });
  const [done, setDone] = useState<readonly Done[]>([]);
  const [review, setReview] = useState(false);
  const { keep } = useSitting('walk');
  const drawable = useMemo(() => picturesBy(plates).state, [plates]);
  const last = done.at(-1);
  const encounter = walk[done.length];
  const decide = (one: Encounter, looks: readonly LookedAt[], decided: WalkDecision) => {
    const scored = scoreOf(guide, { ...one, looks, decided });
    setDone([...done, { encounter: one, decided, looks, scored }]);
    setReview(true);
    keep({ finds: [practiceFind(one, looks, decided, scored, act(now()))] });
  };
  if (walk.length === 0)
    return (
      <Screen>
        <Notice
          whole
          title="The practice wood is empty"
          text="This guide has nothing that is collected and has a lookalike."
          action="Back"
          onAction={() => router.back()}
        />
      </Screen>
    );
  if (review && last)
    return (
      <Review plates={plates} done={last} at={done.length} of={walk.length} onNext={() => setReview(false)} />
    );
  if (!encounter)
    return (
      <WalkEnd
        done={done}
        seed={seed}
        gentle={gentle}
        onAgain={() =>
          router.replace({
            pathname: '/practice/wood',
            params: { seed: String(Math.floor(Math.random() * 1e6)) },
          })
        }
      />
    );
  return (
    <Meeting
      key={done.length}
      plates={plates}
      encounter={encounter}
      drawable={drawable}
      at={done.length + 1}
      of={walk.length}
      gentle={gentle}
      onDecide={(looks, decided) => decide(encounter, looks, decided)}
    />
  );
}

function practiceFind(
  { specimen, target }: Encounter,
  looks: readonly LookedAt[],
  decided: WalkDecision,
  { points, risked, open }: Scored,
  at: string,
): PracticeFind {
  const states = (value: LookedAt['value'] | undefined): StateId | undefined =>
    value?.kind === 'states' ? value.states[0] : undefined;
  return {
    at,
    target: target.id,
    was: specimen.taxon,
    stage: specimen.stage,
    seed: specimen.seed,
    strain: specimen.strained.length,
    decided,
    points: Math.round(points * 10) / 10,
    risked,
    ...(open === undefined ? {} : { open }),
    looks: looks.flatMap(({ character, value, sureness }) => {
      const [shown, read] = [states(specimen.shows.get(character)), states(value)];
      // What was told and not read says nothing of one's eye.
      return shown !== undefined && read !== undefined ? [{ character, shown, read, sureness }] : [];
    }),
  };
}

interface MeetingProps {
  readonly plates: Plates;
  readonly encounter: Encounter;
  readonly drawable: Drawable;
  readonly at: number;
  readonly of: number;
  readonly gentle: boolean;
  readonly onDecide: (looks: readonly LookedAt[], decided: WalkDecision) => void;
}

const ORGAN: Readonly<Record<Character['organ'], string>> = {
  habit: 'The whole',
  stem: 'Stem',
  leaf: 'Leaf',
  flower: 'Flower',
  fruit: 'Fruit',
  root: 'Root',
  cap: 'Cap',
  hymenophore: 'Under the cap',
  stipe: 'Stem',
  flesh: 'Flesh',
  spores: 'Spores',
  smell: 'Smell',
  veil: 'Veil and volva',
  place: 'Place',
};

/** A find as it is met: from afar first, then what one chooses to look at. */
function Meeting({
  plates,
  encounter: { specimen, target },
  drawable,
  at,
  of,
  gentle,
  onDecide,
}: MeetingProps) {
  const wide = useWide();
  const [looks, setLooks] = useState<readonly LookedAt[]>([]);
  const [organ, setOrgan] = useState<Character['organ']>();
  const [chosen, setChosen] = useState<string>();
  const plate = useMemo(
    () => plates.individualPlate(individualOf(specimen), target.taxon.kingdom),
    [plates, specimen, target],
  );
  const all = guide.characters
    .filter(
      ({ character, stages, place }) =>
        !place && character.kingdom === target.taxon.kingdom && stages.has(specimen.stage),
    )
    .map(({ character }) => character);
  const open = all.filter(({ id }) => !looks.some((look) => look.character === id));
  // They stay where they are, however much of them was looked at.
  const organs = [...new Set(all.map((one) => one.organ))].filter((one) =>
    open.some(({ organ: of }) => of === one),
  );
  const asked = chosen === undefined ? undefined : characterOf(chosen);
  const strip = (
    <View style={styles.strip}>
      {gentle ? (
        <Button label="Show it to an adult" style={styles.way} onPress={() => onDecide(looks, 'not-yet')} />
      ) : (
        <Button
          label={DECIDED.collect}
          tone="outline"
          style={styles.way}
          onPress={() => onDecide(looks, 'collect')}
        />
      )}
      {gentle ? null : (
        <Button
          label={DECIDED['not-yet']}
          tone="outline"
          style={styles.way}
          onPress={() => onDecide(looks, 'not-yet')}
        />
      )}
      <Button
        label={DECIDED.leave}
        tone="outline"
        style={styles.way}
        onPress={() => onDecide(looks, 'leave')}
      />
    </View>
  );
  return (
    <Screen strip={strip} rooms={false}>
      <WaysOut ways={TO_PRACTICE} />
      <View>
        <Small soft>
          Practice wood · find {at} of {of} · stage: {lowerFirst(stageName(specimen.stage))}
        </Small>
        <Title>Is it {commonName(target.id)}?</Title>
      </View>
      {asked ? (
        <Look
          key={asked.id}
          character={asked}
          specimen={specimen}
          drawable={drawable}
          onBack={() => setChosen(undefined)}
          onLooked={(look) => {
            setLooks([...looks, look]);
            setChosen(undefined);
          }}
        />
      ) : (
        <View style={wide ? styles.columns : styles.block}>
          <View style={[styles.block, wide && styles.grow]}>
            <View style={styles.afar}>
              <PlateView plate={plate} pathOf={plates.pathData} height={120} />
              <View style={styles.grow}>
                <Strong>From where you stand</Strong>
                <Small soft>
                  {looks.length === 0
                    ? 'Made up: it never grew anywhere. It may be what you hope, or what is taken for it.'
                    : `${looks.length === 1 ? 'One look' : `${numberWord(looks.length)} looks`} so far, ${timeWords(looks.reduce((sum, { character }) => sum + (characterOf(character)?.seconds ?? 0), 0))}.`}
                </Small>
              </View>
            </View>
            <Looked looks={looks} />
          </View>
          <View style={[styles.block, wide && styles.grow]}>
            <Heading>Look closer</Heading>
            <ChipRow label="Where">
              {organs.map((one) => (
                <Chip
                  key={one}
                  label={ORGAN[one]}
                  chosen={organ === one}
                  onPress={() => setOrgan(organ === one ? undefined : one)}
                />
              ))}
            </ChipRow>
            {organ ? (
              <View role="list" aria-label="What can be looked at">
                {open
                  .filter((one) => one.organ === organ)
                  .map((one) => (
                    <View key={one.id} role="listitem">
                      <Pressable
                        role="button"
                        aria-label={one.name}
                        onPress={() => setChosen(one.id)}
                        style={({ pressed }) => [styles.choice, pressed && styles.pressed]}
                      >
                        <Strong style={styles.grow}>{one.name}</Strong>
                        <Small soft>
                          {[
                            timeWords(one.seconds),
                            ...(one.damage === 'none' ? [] : [lowerFirst(DAMAGE[one.damage])]),
                          ].join(' · ')}
                        </Small>
                      </Pressable>
                      <Rule />
                    </View>
                  ))}
              </View>
            ) : null}
          </View>
        </View>
      )}
    </Screen>
  );
}

/** What it was, and what the looks were worth. */
function Review({
  plates,
  done: { encounter, decided, looks, scored },
  at,
  of,
  onNext,
}: {
  readonly plates: Plates;
  readonly done: Done;
  readonly at: number;
  readonly of: number;
  readonly onNext: () => void;
}) {
  const wide = useWide();
  const { specimen, target } = encounter;
  const is = guide.taxon(specimen.taxon) ?? target;
  const { line, why, tone } = resultWords(scored, decided, { is, hoped: target });
  const plate = useMemo(
    () => plates.individualPlate(individualOf(specimen), target.taxon.kingdom),
    [plates, specimen, target],
  );
  const rows = scored.verdict.rows.filter((row) => !row.otherKingdom && row.need > 0 && row.listed);
  const proposed = useMemo(() => plan(guide, findOf(guide, specimen, target, [])), [specimen, target]);
  const strip = (
    <View style={styles.strip}>
      <Button label={at < of ? 'The next find' : 'The end of the walk'} style={styles.way} onPress={onNext} />
    </View>
  );
  return (
    <Screen strip={strip} rooms={false}>
      <WaysOut ways={TO_PRACTICE} />
      <View
        style={[styles.band, tone === 'bad' ? styles.bad : tone === 'good' ? styles.good : styles.even]}
        role="status"
      >
        <Small on={tone === 'even' ? 'light' : 'dark'}>
          You said: {lowerFirst(DECIDED[decided])} · {pointsWords(scored.points)}
        </Small>
        <VerdictWord on={tone === 'even' ? 'light' : 'dark'}>{line}</VerdictWord>
        <Body on={tone === 'even' ? 'light' : 'dark'}>{why}</Body>
      </View>
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <View style={styles.afar}>
            <PlateView plate={plate} pathOf={plates.pathData} height={150} />
            <View style={styles.grow}>
              <Strong>{CommonName(is.id)}</Strong>
              <Small soft style={styles.scientific}>
                {scientificName(is.id)}
              </Small>
              <Small soft>{harmLine(is.id)}</Small>
              {specimen.strained.length > 0 ? (
                <Small>
                  Not quite as usual in{' '}
                  {specimen.strained.map((id) => lowerFirst(characterName(id))).join(', ')}.
                </Small>
              ) : null}
            </View>
          </View>
          {scored.misread.length > 0 ? (
            <View style={styles.block}>
              <Heading>Read otherwise than it was</Heading>
              {scored.misread.map((id) => (
                <Misread key={id} character={id} specimen={specimen} looks={looks} />
              ))}
            </View>
          ) : null}
          <Told scored={scored} encounter={encounter} />
        </View>
        <View style={[styles.column, wide && styles.grow]}>
          <View style={styles.block}>
            <Heading>The bars as they were</Heading>
            <View role="list" aria-label="The bars as they were">
              {rows.map((row) => (
                <View key={row.taxon} role="listitem">
                  <View style={styles.row}>
                    <View style={styles.grow}>
                      <Strong>{CommonName(row.taxon)}</Strong>
                    </View>
                    <View
                      role="img"
                      aria-label={`${Math.min(row.have, row.need)} of ${row.need} bars filled`}
                    >
                      <Uprights row={row} size="small" />
                    </View>
                  </View>
                  <Rule />
                </View>
              ))}
            </View>
          </View>
          <View style={styles.two}>
            <View style={styles.half}>
              <SmallStrong>Your way</SmallStrong>
              {looks.length === 0 ? (
                <Small soft>No look at all</Small>
              ) : (
                looks.map(({ character }) => (
                  <Small key={character} soft={scored.wasted.includes(character)}>
                    {characterName(character)}
                    {scored.wasted.includes(character) ? ': brought nothing' : ''}
                  </Small>
                ))
              )}
              <Small soft>
                {timeWords(
                  looks.reduce((sum, { character }) => sum + (characterOf(character)?.seconds ?? 0), 0),
                )}
              </Small>
            </View>
            <View style={[styles.half, styles.rightHalf]}>
              <SmallStrong>The plan</SmallStrong>
              {proposed.feasible ? (
                proposed.checks.map(({ character }) => (
                  <Small key={character}>{characterName(character)}</Small>
                ))
              ) : (
                <Small>At this stage nothing settles it: to walk on is right.</Small>
              )}
              {proposed.feasible ? <Small soft>{timeWords(proposed.seconds)}</Small> : null}
            </View>
          </View>
        </View>
      </View>
    </Screen>
  );
}

function Misread({
  character,
  specimen,
  looks,
}: {
  readonly character: LookedAt['character'];
  readonly specimen: Encounter['specimen'];
  readonly looks: readonly LookedAt[];
}) {
  const shown = specimen.shows.get(character);
  const read = looks.find((look) => look.character === character)?.value;
  if (shown?.kind !== 'states' || read?.kind !== 'states') return null;
  return (
    <View style={styles.block}>
      <SmallStrong>{characterName(character)}</SmallStrong>
      <View style={styles.two}>
        <View style={styles.half}>
          <Small soft>It was</Small>
          <StatePicture character={character} states={shown.states} height={84} />
        </View>
        <View style={[styles.half, styles.rightHalf]}>
          <Small soft>You read</Small>
          <StatePicture character={character} states={read.states} height={84} />
        </View>
      </View>
    </View>
  );
}

/** The check that would have told. */
function Told({
  scored,
  encounter: { specimen, target },
}: {
  readonly scored: Scored;
  readonly encounter: Encounter;
}) {
  const { telling, was } = scored;
  if (telling === undefined) return null;
  const shown = specimen.shows.get(telling);
  const character = guide.character(telling);
  const usual = character && target.atStage.get(character.index)?.get(specimen.stage);
  const own = character && usual?.kind === 'states' ? statesIn(character, usual.usual) : [];
  return (
    <View style={styles.block}>
      <Heading>{was ? 'The next look would be' : 'This would have shown it'}</Heading>
      <Strong>{characterName(telling)}</Strong>
      {!was && shown?.kind === 'states' && own.length > 0 ? (
        <View style={styles.two}>
          <View style={styles.half}>
            <Small soft>Here</Small>
            <StatePicture character={telling} states={shown.states} height={84} />
          </View>
          <View style={[styles.half, styles.rightHalf]}>
            <Small soft>{CommonName(target.id)}</Small>
            <StatePicture character={telling} states={own} height={84} />
          </View>
        </View>
      ) : (
        <Small soft>{characterOf(telling)?.how}</Small>
      )}
    </View>
  );
}

/** The walk as a whole. */
function WalkEnd({
  done,
  seed,
  gentle,
  onAgain,
}: {
  readonly done: readonly Done[];
  readonly seed: number;
  readonly gentle: boolean;
  readonly onAgain: () => void;
}) {
  const router = useRouter();
  const [copied, setCopied] = useState(false);
  const points = done.reduce((sum, { scored }) => sum + scored.points, 0);
  const dangerous = done.filter(
    ({ scored, decided }) => decided === 'collect' && scored.risked !== 'none',
  ).length;
  const address = `${window.location.origin}/practice/wood?seed=${seed}`;
  return (
    <Screen>
      <View>
        <Small soft>Practice wood</Small>
        <Title>
          {gentle
            ? 'Well looked'
            : dangerous === 0
              ? 'Nothing dangerous taken'
              : dangerous === 1
                ? 'One that was not safe to take'
                : `${numberWord(dangerous)} that were not safe to take`}
        </Title>
        {gentle ? (
          <Body>Whatever you find outdoors, show it to an adult before anybody picks it.</Body>
        ) : (
          <Body>{pointsWords(points)} points. One dangerous find taken outweighs many left for nothing.</Body>
        )}
      </View>
      <View role="list" aria-label="Finds of this walk">
        <Rule />
        {done.map(({ encounter, decided, scored }, index) => (
          <View key={index} role="listitem">
            <View style={styles.row}>
              <View style={styles.grow}>
                <Strong>{CommonName(encounter.specimen.taxon)}</Strong>
                <Small soft>
                  {encounter.specimen.taxon === encounter.target.id
                    ? 'as you hoped'
                    : `not ${commonName(encounter.target.id)}`}{' '}
                  · {lowerFirst(DECIDED[decided])}
                  {scored.misread.length > 0
                    ? ` · ${scored.misread.map((id) => lowerFirst(characterName(id))).join(', ')} misread`
                    : ''}
                </Small>
              </View>
              {gentle ? null : <SmallStrong>{pointsWords(scored.points)}</SmallStrong>}
            </View>
            <Rule />
          </View>
        ))}
      </View>
      <Button label="Another walk" onPress={onAgain} />
      <Button label="To practice" tone="outline" onPress={() => router.replace('/practice')} />
      <Button
        label={copied ? 'Copied' : 'Copy the address of this walk'}
        tone="plain"
        style={styles.start}
        onPress={() => {
          void navigator.clipboard.writeText(address).then(
            () => setCopied(true),
            () => undefined,
          );
        }}
      />
      <Small soft>Whoever opens it meets the same five finds.</Small>
    </Screen>
  );
}

const styles = StyleSheet.create({
  strip: {
    flexDirection: 'row',
    gap: space.s,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
    backgroundColor: colour.ground,
    justifyContent: 'center',
  },
  way: { flex: 1, maxWidth: 360, minHeight: 56, paddingHorizontal: space.s },
  afar: { flexDirection: 'row', gap: space.l, alignItems: 'center' },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  scientific: { fontStyle: 'italic' },
  block: { gap: space.s },
  column: { gap: space.l },
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  choice: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: TARGET },
  pressed: { opacity: 0.7 },
  band: { padding: space.l, gap: space.xs },
  bad: { backgroundColor: colour.leave },
  good: { backgroundColor: colour.collect },
  even: { backgroundColor: colour.pause },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 48, paddingVertical: space.xs },
  two: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, gap: space.xs },
  rightHalf: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
});
