import { useState } from 'react';
import { View } from 'react-native';
import { yearsOf, yearOf, type Year } from '@pause/core/formats/logbook';
import { toGrams, weighed, usualWeights } from '@pause/core/harvest/taking';
import { isoOf } from '@pause/core/lib/day';
import {
  useWide,
  Screen,
  Loading,
  Title,
  ChipRow,
  Chip,
  Notice,
  Heading,
  Small,
  Rule,
  Strong,
  SmallStrong,
} from '../../components';
import { weighingsOf } from '../../notebook/harvests';
import { usePantry, type Pantry } from '../../notebook/pantry';
import { useApp } from '../../notebook/store';
import { useFinds } from '../../notebook/useFinds';
import { useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/pantry';
import { CommonName } from '../../text/names';
import { amountWords } from '../../text/pantry';
import { LogbookFiles } from './LogbookFiles';
import { Months } from './LogbookMonths';
import { styles } from './logbookStyles';

/** A year of it: what was found, walked away from, gathered and made; and all of it in open files. */
export function LogbookScreen() {
  const pantry = usePantry();
  const { items } = useFinds();
  const wide = useWide();
  const today = isoOf(useDay());
  const [year = Number(today.slice(0, 4)), setYear] = useState<number>();
  const me = useApp((state) => state.me.person);
  const [all, setAll] = useState(false);
  const years = yearsOf([
    today,
    ...items.map(({ startedAt }) => startedAt),
    ...pantry.harvests.flatMap(({ fields }) => fields.on ?? []),
  ]);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  const mine = (person: string | undefined) => all || person === undefined || person === me?.id;
  const one = yearIn(year, items, pantry, mine);
  return (
    <Screen>
      <Title>{t.logbook}</Title>
      {years.length > 1 ? (
        <ChipRow label={t.year}>
          {years.map((each) => (
            <Chip key={each} label={String(each)} chosen={each === year} onPress={() => setYear(each)} />
          ))}
        </ChipRow>
      ) : null}
      {me && me.groups.length > 0 ? (
        <ChipRow label={t.whose}>
          <Chip label={t.yours} chosen={!all} onPress={() => setAll(false)} />
          <Chip label={t.withYourGroups} chosen={all} onPress={() => setAll(true)} />
        </ChipRow>
      ) : null}
      {one.finds === 0 && one.grams === 0 ? (
        <Notice title={t.nothingInYet(year)} text={t.everythingYouCheckCollectAnd} />
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
      <LogbookFiles today={today} />
    </Screen>
  );
}

/** What is counted of one year, of those who count. */
function yearIn(
  year: number,
  items: ReturnType<typeof useFinds>['items'],
  pantry: Pantry,
  mine: (person: string | undefined) => boolean,
) {
  return yearOf({
    year,
    finds: items.filter(({ person }) => mine(person)),
    harvests: harvestsIn(pantry, mine),
    batches: pantry.batches.flatMap(({ person, fields }) => (mine(person) ? (fields.on ?? []) : [])),
    meals: pantry.portions.flatMap(({ person, fields }) =>
      mine(person) && fields.what === 'meal' ? (fields.at ?? []) : [],
    ),
  });
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
    [t.finds, String(year.finds)],
    [t.walkedAwayFrom, String(year.left)],
    [t.collected, String(year.collected)],
    [t.gathered, amountWords({ amount: year.grams, unit: 'g' })],
    [t.batchesMade, String(year.batches)],
    [t.meals, String(year.meals)],
  ] as const;
  return (
    <View style={styles.numbers} role="list" aria-label={t.theYearInNumbers}>
      {all.map(([name, value]) => (
        <View key={name} role="listitem" style={styles.number}>
          <Heading>{value}</Heading>
          <Small soft>{name}</Small>
        </View>
      ))}
    </View>
  );
}

function Taxa({ year: { taxa } }: { readonly year: Year }) {
  if (taxa.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{t.whatItWas}</Heading>
      <View role="list" aria-label={t.whatItWas}>
        <Rule strong />
        {taxa.map(({ taxon, finds, collected, left, grams }) => (
          <View key={taxon} role="listitem">
            <View style={styles.line}>
              <View style={styles.grow}>
                <Strong>{CommonName(taxon)}</Strong>
                <Small soft>
                  {[
                    finds > 0 && t.findsInMonth(finds),
                    collected > 0 && t.collectedInMonth(collected),
                    left > 0 && t.leftInMonth(left),
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
