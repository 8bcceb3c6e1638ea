import { Link } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { suits } from '@pause/core/outings';
import type { When } from '@pause/core/season';
import { Button, Heading, Rule, Small, SmallStrong, space, Strong, useWide } from '../../components';
import { TaxonSmall } from '../../components/plates/TaxonSmall';
import type { Ahead } from '../../deciding/season/look';
import type { Place } from '../../notebook/usePlaces';
import { t as placesText } from '../../text/en/places';
import { t } from '../../text/en/week';
import { CommonName, lowerFirst } from '../../text/names';
import { WHEN, whyWords } from '../../text/places';
import { type Range, WindowAxis, WindowBar, windowWords } from './WindowBar';

/** The season as one chart: each kind with its plate, and along the days when it can be had. */

export interface SeasonEntry {
  readonly one: Ahead;
  readonly place: Place;
  readonly part: { readonly name: string };
  readonly suit: ReturnType<typeof suits>;
}
interface SeasonChartProps {
  readonly entries: readonly SeasonEntry[];
  readonly range: Range;
  /** The day of today, in days since 1970. */
  readonly today: number;
}

const ORDER: readonly When[] = ['last', 'now', 'soon', 'later'];

export function SeasonChart({ entries, range, today }: SeasonChartProps) {
  const wide = useWide();
  const groups = ORDER.map((when) => ({ when, of: entries.filter(({ one }) => one.when === when) })).filter(
    ({ of }) => of.length > 0,
  );
  return (
    <View style={styles.chart}>
      {groups.map(({ when, of }, index) => (
        <Group key={when} when={when} entries={of} range={range} today={today} axis={index === 0 || !wide} />
      ))}
    </View>
  );
}

/** So many of those that come later are shown at first. */
const FIRST = 4;

interface GroupProps extends SeasonChartProps {
  readonly when: When;
  /** Whether the months are shown above it. */
  readonly axis: boolean;
}

function Group({ when, entries, range, today, axis }: GroupProps) {
  const wide = useWide();
  const [all, setAll] = useState(false);
  const shown = all || when !== 'later' ? entries : entries.slice(0, FIRST);
  return (
    <View style={styles.group}>
      <View style={wide ? styles.row : undefined}>
        <View style={wide && styles.names}>
          <Heading>{WHEN[when]}</Heading>
        </View>
        <View style={wide ? styles.days : styles.axis}>
          {axis ? <WindowAxis range={range} today={today} /> : null}
        </View>
        {wide ? <View style={styles.why} /> : null}
      </View>
      <View role="list" aria-label={WHEN[when]}>
        <Rule strong />
        {shown.map((entry) => (
          <Line
            key={`${entry.one.taxon} ${entry.one.part} ${entry.place.id}`}
            entry={entry}
            range={range}
            today={today}
          />
        ))}
      </View>
      {shown.length < entries.length ? (
        <Button
          label={placesText.more(entries.length - shown.length)}
          tone="plain"
          style={styles.start}
          onPress={() => setAll(true)}
        />
      ) : null}
    </View>
  );
}

interface LineProps extends Omit<SeasonChartProps, 'entries'> {
  readonly entry: SeasonEntry;
}

function Line({ entry: { one, place, part, suit }, range, today }: LineProps) {
  const wide = useWide();
  const because = one.why ? whyWords(one.why) : '';
  const minding = suit.matches.map(
    ({ name, caution }) =>
      `${caution.level === 'rules-out' ? t.notFor : t.askFirstFor} ${name}: ${lowerFirst(caution.text)}`,
  );
  const bar = (
    <WindowBar
      begins={one.begins}
      ends={one.ends}
      range={range}
      today={today}
      label={windowWords(one.begins, one.ends)}
    />
  );
  const why = (
    <>
      {because ? <Small soft>{because}</Small> : null}
      {minding.map((text) => (
        <SmallStrong key={text}>{text}</SmallStrong>
      ))}
    </>
  );
  return (
    <View role="listitem">
      <Link href={{ pathname: '/place/[id]', params: { id: place.id } }} asChild>
        <Pressable role="link" style={styles.row}>
          <TaxonSmall of={one.taxon} height={HIGH} />
          <View style={wide ? styles.name : styles.all}>
            <Strong>{CommonName(one.taxon)}</Strong>
            <Small>{t.partAt(part.name, place.name)}</Small>
            {wide ? null : bar}
            {wide ? null : why}
          </View>
          {wide ? <View style={styles.days}>{bar}</View> : null}
          {wide ? <View style={styles.why}>{why}</View> : null}
        </Pressable>
      </Link>
      <Rule />
    </View>
  );
}

const NAME = 190;
const HIGH = 66;
/** The width of a plate that is so high. */
const PLATE = 55;
const styles = StyleSheet.create({
  chart: { gap: space.l },
  group: { gap: space.xs },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  // The plate, the gap and the name.
  names: { width: NAME + PLATE + space.m },
  name: { width: NAME },
  all: { flex: 1, gap: 2 },
  days: { flex: 1 },
  // Beside the plates, over the bars.
  axis: { marginLeft: PLATE + space.m },
  why: { width: 250 },
  start: { alignSelf: 'flex-start' },
});
