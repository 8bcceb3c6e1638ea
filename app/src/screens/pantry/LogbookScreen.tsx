import { scaleLinear } from 'd3-scale';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import Svg, { G, Line, Path, Text } from 'react-native-svg';
import { yearOf, yearsOf, type Year } from '@pause/core/formats/logbook';
import { toGrams, usualWeights, weighed } from '@pause/core/harvest/taking';
import { isoOf } from '@pause/core/lib/day';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  font,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  Title,
  useWide,
  typeSize,
} from '../../components';
import { weighingsOf } from '../../notebook/harvests';
import { usePantry, type Pantry } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { useFinds } from '../../notebook/useFinds';
import { useDay } from '../../notebook/usePlaces';
import { CommonName } from '../../text/names';
import { amountWords } from '../../text/pantry';
import { boxPath } from './Drying';
import { loadLogbook, saveLogbook } from './files';

/** A year of it: what was found, walked away from, gathered and made; and all of it in open files. */
export function LogbookScreen() {
  const pantry = usePantry();
  const { items } = useFinds();
  const wide = useWide();
  const today = isoOf(useDay());
  const years = yearsOf([
    today,
    ...items.map(({ startedAt }) => startedAt),
    ...pantry.harvests.flatMap(({ fields }) => fields.on ?? []),
  ]);
  const [year, setYear] = useState<number>();
  const me = useApp((state) => state.me.person);
  const [all, setAll] = useState(false);
  const mine = (person: string | undefined) => all || person === undefined || person === me?.id;
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  const shown = year ?? Number(today.slice(0, 4));
  const one = yearOf({
    year: shown,
    finds: items.filter(({ person }) => mine(person)),
    harvests: harvestsIn(pantry, mine),
    batches: pantry.batches.flatMap(({ person, fields }) => (mine(person) ? (fields.on ?? []) : [])),
    meals: pantry.portions.flatMap(({ person, fields }) =>
      mine(person) && fields.what === 'meal' ? (fields.at ?? []) : [],
    ),
  });
  return (
    <Screen>
      <Title>Logbook</Title>
      {years.length > 1 ? (
        <ChipRow label="Year">
          {years.map((each) => (
            <Chip key={each} label={String(each)} chosen={each === shown} onPress={() => setYear(each)} />
          ))}
        </ChipRow>
      ) : null}
      {me && me.groups.length > 0 ? (
        <ChipRow label="Whose">
          <Chip label="Yours" chosen={!all} onPress={() => setAll(false)} />
          <Chip label="With your groups’" chosen={all} onPress={() => setAll(true)} />
        </ChipRow>
      ) : null}
      {one.finds === 0 && one.grams === 0 ? (
        <Notice
          title={`Nothing in ${shown} yet`}
          text="Everything you check, collect and make is listed here, a year at a time."
        />
      ) : (
        <View style={wide ? styles.columns : styles.column}>
          <View style={[styles.block, wide && styles.grow]}>
            <Numbers year={one} />
            <Months year={one} />
          </View>
          <View style={[styles.block, wide && styles.grow]}>
            <Taxa year={one} />
          </View>
        </View>
      )}
      <Files today={today} />
    </Screen>
  );
}

/** Harvests with their weight, by the scales of who took them. */
function harvestsIn({ harvests }: Pantry, mine: (person: string) => boolean) {
  return harvests.flatMap(({ person, fields: { on, taxon, part, taken } }) =>
    !mine(person) || on === undefined || taxon === undefined || part === undefined || !taken
      ? []
      : [
          {
            on,
            taxon,
            grams: toGrams(
              taken,
              weighed(usualWeights(part), weighingsOf(harvests, { taxon, part }, person)),
            ),
          },
        ],
  );
}

function Numbers({ year }: { readonly year: Year }) {
  const all = [
    ['Finds', String(year.finds)],
    ['Walked away from', String(year.left)],
    ['Collected', String(year.collected)],
    ['Gathered', amountWords({ amount: year.grams, unit: 'g' })],
    ['Batches made', String(year.batches)],
    ['Meals', String(year.meals)],
  ] as const;
  return (
    <View style={styles.numbers} role="list" aria-label="The year in numbers">
      {all.map(([name, value]) => (
        <View key={name} role="listitem" style={styles.number}>
          <Heading>{value}</Heading>
          <Small soft>{name}</Small>
        </View>
      ))}
    </View>
  );
}

const MONTHS = Array.from({ length: 12 }, (_, month) =>
  new Intl.DateTimeFormat(undefined, { month: 'narrow', timeZone: 'UTC' }).format(
    new Date(Date.UTC(2026, month, 15)),
  ),
);
const HEIGHT = 130;
const BELOW = 24;

/** Finds of each month: those collected filled, the others open. */
function Months({ year: { months } }: { readonly year: Year }) {
  const [width, setWidth] = useState(0);
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) => setWidth(Math.round(layout.width));
  const most = Math.max(1, ...months.map(({ collected, other }) => collected + other));
  const y = scaleLinear([0, most], [0, HEIGHT - BELOW - 18]);
  const step = width / 12;
  return (
    <View style={styles.block}>
      <View
        style={styles.chart}
        onLayout={onLayout}
        role="img"
        aria-label={`Finds by month: ${months.map(({ collected, other }, month) => `${MONTHS[month]} ${collected + other}`).join(', ')}`}
      >
        {width > 0 ? (
          <Svg width={width} height={HEIGHT}>
            {months.map(({ collected, other }, month) => {
              const foot = HEIGHT - BELOW;
              const x = month * step + step * 0.18;
              return (
                <G key={month}>
                  {other > 0 ? (
                    <Path
                      d={boxPath(x, foot - y(collected) - y(other), step * 0.64, y(other))}
                      fill={colour.card}
                      stroke={colour.ink}
                      strokeWidth={1.5}
                    />
                  ) : null}
                  {collected > 0 ? (
                    <Path
                      d={boxPath(x, foot - y(collected), step * 0.64, y(collected))}
                      fill={colour.collect}
                      stroke={colour.ink}
                      strokeWidth={1.5}
                    />
                  ) : null}
                  {collected + other > 0 ? (
                    <Text
                      transform={`translate(${x + step * 0.32} ${foot - y(collected + other) - 5})`}
                      textAnchor="middle"
                      fontFamily={font.readBold}
                      fontSize={15}
                      fill={colour.ink}
                    >
                      {collected + other}
                    </Text>
                  ) : null}
                  <Text
                    transform={`translate(${month * step + step / 2} ${HEIGHT - 6})`}
                    textAnchor="middle"
                    fontFamily={font.read}
                    fontSize={15}
                    fill={colour.inkSoft}
                  >
                    {MONTHS[month]}
                  </Text>
                </G>
              );
            })}
            <Line
              x1={0}
              x2={width}
              y1={HEIGHT - BELOW}
              y2={HEIGHT - BELOW}
              stroke={colour.ink}
              strokeWidth={1.5}
            />
          </Svg>
        ) : null}
      </View>
      <Small soft>Finds by month; filled what was collected, open what was not.</Small>
    </View>
  );
}

function Taxa({ year: { taxa } }: { readonly year: Year }) {
  if (taxa.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>What it was</Heading>
      <View role="list" aria-label="What it was">
        <Rule strong />
        {taxa.map(({ taxon, finds, collected, left, grams }) => (
          <View key={taxon} role="listitem">
            <View style={styles.line}>
              <View style={styles.grow}>
                <Strong>{CommonName(taxon)}</Strong>
                <Small soft>
                  {[
                    finds > 0 && (finds === 1 ? 'one find' : `${finds} finds`),
                    collected > 0 && `${collected} collected`,
                    left > 0 && `${left} left`,
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </Small>
              </View>
              {grams > 0 ? <SmallStrong>{amountWords({ amount: grams, unit: 'g' })}</SmallStrong> : null}
            </View>
            <Rule />
          </View>
        ))}
      </View>
    </View>
  );
}

function Files({ today }: { readonly today: string }) {
  const act = useAct();
  const router = useRouter();
  const [said, setSaid] = useState<readonly string[]>([]);
  const save = (format: 'json' | 'csv' | 'occurrences') => void act(saveLogbook(format, today));
  return (
    <View style={styles.block}>
      <Heading>All of it, as files</Heading>
      <Body>
        Everything that is on this device: whole (JSON), as one table (CSV), or the finds as occurrences
        (Darwin Core). Each comes in again the same way; nothing that is here is written over.
      </Body>
      <View style={styles.ways}>
        <Button label="Save it whole" tone="outline" onPress={() => save('json')} />
        <Button label="As a table" tone="outline" onPress={() => save('csv')} />
        <Button label="As occurrences" tone="outline" onPress={() => save('occurrences')} />
        <Button label="Take a file in" tone="outline" onPress={() => void act(loadLogbook()).then(setSaid)} />
        <Button label="Pantry" tone="plain" onPress={() => router.push('/pantry')} />
      </View>
      <View role="status" aria-label="What was taken in">
        {said.map((line) => (
          <SmallStrong key={line}>{line}</SmallStrong>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.m },
  numbers: { flexDirection: 'row', flexWrap: 'wrap', rowGap: space.m },
  number: { flexGrow: 1, flexBasis: typeSize(104) },
  chart: { height: HEIGHT },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
