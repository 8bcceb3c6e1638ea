import { Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { isCollectable, standing, type CompiledTaxon } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { notWorthIt, suits } from '@pause/core/outings';
import type { When } from '@pause/core/season';
import {
  Body,
  Button,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  TARGET,
  Title,
  useWide,
} from '../../components';
import { guide } from '../../deciding/guide';
import { stopLooking } from '../../deciding/season/client';
import type { Ahead, Looked, Question } from '../../deciding/season/look';
import { useAct, useApp } from '../../notebook/store';
import { useDay, useEaters, usePlaces, type EaterPage, type Place } from '../../notebook/usePlaces';
import { CommonName, lowerFirst } from '../../text/names';
import { isoDayName, WHEN, whyWords } from '../../text/places';
import { AllLookAgain } from './LookAgain';
import { useAhead } from './useAhead';
import { forgetWeather, loadWeather } from './weather';
import { WindowAxis, WindowBar, windowWords, type Range } from './WindowBar';

const WEEKDAY = new Intl.DateTimeFormat(undefined, {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
});
const [BACK, AHEAD] = [40, 80];
const FIRST = 4;

/** What is worth going for: now, soon, and for the last days. */
export function WeekScreen() {
  const { ready, places } = usePlaces();
  const router = useRouter();
  const { looked, share, failed, question, weatherChanged } = useAhead(places);
  const eaters = useEaters();
  if (!ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  if (places.length === 0) {
    return (
      <Screen>
        <Title>What is worth going for</Title>
        <Notice
          title="There is no place yet"
          text="Put down the places that you know, and what you saw there. From then on Pause says when it is time to go."
          action="Put down a place"
          onAction={() => router.push('/places')}
        />
      </Screen>
    );
  }
  return (
    <Screen>
      <View>
        <Title>What is worth going for</Title>
        {looked ? <Small soft>{WEEKDAY.format(new Date(`${isoOf(looked.today)}T12:00:00Z`))}</Small> : null}
      </View>
      {failed === undefined ? null : <Notice title="Looking ahead did not work" text={failed} />}
      {looked ? (
        <Week
          looked={looked}
          places={places}
          eaters={eaters}
          question={question}
          onWeather={weatherChanged}
        />
      ) : failed === undefined ? (
        <Underway share={share} />
      ) : null}
    </Screen>
  );
}

/** With many places it takes a while, and whoever has seen enough stops it. */
function Underway({ share }: { readonly share: number | undefined }) {
  return (
    <View style={styles.block}>
      <Loading
        what={share === undefined ? 'Looking ahead …' : `Looking ahead: ${Math.round(share * 100)} %`}
      />
      {share === undefined ? null : (
        <Button
          label="Stop, and show what is found"
          tone="outline"
          style={styles.start}
          onPress={() => void stopLooking()}
        />
      )}
    </View>
  );
}

interface WeekProps {
  readonly looked: Looked;
  readonly places: readonly Place[];
  readonly eaters: readonly EaterPage[];
  readonly question: Question;
  readonly onWeather: () => void;
}

function Week({
  looked: { list, today, simulated, stoppedAt },
  places,
  eaters,
  question,
  onWeather,
}: WeekProps) {
  const wide = useWide();
  const demo = useApp((state) => state.me.person?.demo === true);
  const range: Range = { from: today - BACK, to: today + AHEAD };
  const household = eaters.map(({ id, fields }) => ({ id, ...fields }));
  const known = list.flatMap((one) => {
    const [place, taxon] = [places.find(({ id }) => id === one.place), guide.taxon(one.taxon)];
    const part = taxon?.taxon.parts[one.part];
    return place && taxon && part ? [{ one, place, taxon, part, suit: suits(household, taxon, part) }] : [];
  });
  const collected = known.filter(({ taxon }) => isCollectable(taxon));
  const never = [
    ...new Map(
      known.filter(({ taxon }) => !isCollectable(taxon)).map(({ taxon }) => [taxon.id, taxon]),
    ).values(),
  ];
  const worth = collected.filter(({ suit }) => !notWorthIt(household, suit));
  const rest = collected.filter((entry) => !worth.includes(entry));
  const of = (when: When) => worth.filter(({ one }) => one.when === when);
  return (
    <>
      {stoppedAt === undefined ? null : (
        <SmallStrong>
          It was stopped: {Math.round(stoppedAt * 100)} % of your places were looked at.
        </SmallStrong>
      )}
      {list.length === 0 ? (
        <Body>Nothing that was seen at your places can be had now or later this year.</Body>
      ) : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          {(['last', 'now'] as const).map((when) => (
            <Block key={when} when={when} entries={of(when)} range={range} today={today} />
          ))}
        </View>
        <View style={[styles.column, wide && styles.grow]}>
          {(['soon', 'later'] as const).map((when) => (
            <Block key={when} when={when} entries={of(when)} range={range} today={today} />
          ))}
          {rest.length > 0 ? (
            <Small soft>
              Left out, since nobody of those who eat along may have it or likes it:{' '}
              {[...new Set(rest.map(({ one }) => CommonName(one.taxon)))].map(lowerFirst).join(', ')}.
            </Small>
          ) : null}
        </View>
      </View>
      <Small soft>
        Thick where it is likelier there than not, thin as far as it may be.{' '}
        {simulated
          ? `No weather of your own is here: ${demo ? 'the demo’s valley has made-up weather' : 'a made-up valley stands in for it, so the days are a guess'}.`
          : 'By the weather that you loaded.'}{' '}
        What the guide says of warmth and rain is general; what you see there corrects it.
      </Small>
      <Ways />
      <Never taxa={never} />
      {list.some(({ when }) => when === 'soon' || when === 'later') ? (
        <AllLookAgain places={places} question={question} />
      ) : null}
      <Weather simulated={simulated} onChange={onWeather} />
    </>
  );
}

/** What is about too and is never collected with Pause: to be known, not to be gone for. */
function Never({ taxa }: { readonly taxa: readonly CompiledTaxon[] }) {
  const [open, setOpen] = useState(false);
  if (taxa.length === 0) return null;
  return (
    <View style={styles.block}>
      <Button
        label={open ? 'Not with Pause, and why: close' : `Not with Pause, and why: ${taxa.length}`}
        tone="plain"
        style={styles.start}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <View role="list" aria-label="Not with Pause, and why" style={styles.block}>
          {taxa.map(({ id, taxon }) => (
            <View key={id} role="listitem">
              <Small>
                <SmallStrong>{CommonName(id)}: </SmallStrong>
                {taxon.nearDoubles?.[0]?.why ?? ''}
              </Small>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}

/** A table of a station near by makes the days one's own. */
function Weather({ simulated, onChange }: { readonly simulated: boolean; readonly onChange: () => void }) {
  const act = useAct();
  const [said, setSaid] = useState<readonly string[]>([]);
  const [explained, setExplained] = useState(false);
  return (
    <View style={styles.block}>
      <View style={styles.ways}>
        <Button
          label="Load weather"
          tone="plain"
          onPress={() =>
            void act(loadWeather()).then((lines) => {
              setSaid(lines);
              onChange();
            })
          }
        />
        {simulated ? null : (
          <Button
            label="Forget it"
            aria-label="Forget the weather that was loaded"
            tone="plain"
            onPress={() =>
              void act(forgetWeather()).then(() => {
                setSaid([]);
                onChange();
              })
            }
          />
        )}
        <Button
          label="What such a table holds"
          tone="plain"
          aria-expanded={explained}
          onPress={() => setExplained(!explained)}
        />
      </View>
      {explained ? (
        <Small soft>
          A table (CSV) of daily values: date, tmin_c, tmax_c, rain_mm, and a line “# elevation_m: 640” for
          the height of its station.
        </Small>
      ) : null}
      {said.map((line) => (
        <SmallStrong key={line} role="alert">
          {line}
        </SmallStrong>
      ))}
    </View>
  );
}

/** Walks that are still to be gone, and the way to plan another. */
function Ways() {
  const router = useRouter();
  const act = useAct();
  const today = isoOf(useDay());
  const pages = useApp((state) => state.pages.all);
  const walks = Object.values(pages)
    .filter(({ kind }) => kind === 'walk')
    .map((page) => ({ id: page.id, on: standing(page, 'walk').on ?? today }))
    .filter(({ on }) => on >= today)
    .sort((a, b) => (a.on < b.on ? -1 : 1));
  const plan = () =>
    void import('../../notebook/outside')
      .then(({ beginPage }) => act(beginPage('walk', { on: today })))
      .then((id) => {
        if (id !== undefined) router.push({ pathname: '/walk/[id]', params: { id } });
      });
  return (
    <View style={styles.ways}>
      <Button label="Plan a walk" onPress={plan} />
      {walks.map(({ id, on }) => (
        <Button
          key={id}
          label={`The walk of ${isoDayName(on)}`}
          tone="outline"
          onPress={() => router.push({ pathname: '/walk/[id]', params: { id } })}
        />
      ))}
      <Button label="Places" tone="outline" onPress={() => router.push('/places')} />
      <Button label="Who eats along" tone="outline" onPress={() => router.push('/eaters')} />
    </View>
  );
}

interface Entry {
  readonly one: Ahead;
  readonly place: Place;
  readonly part: { readonly name: string };
  readonly suit: ReturnType<typeof suits>;
}

function Block({
  when,
  entries,
  range,
  today,
}: {
  readonly when: When;
  readonly entries: readonly Entry[];
  readonly range: Range;
  readonly today: number;
}) {
  const [all, setAll] = useState(false);
  if (entries.length === 0) return null;
  const shown = all || when !== 'later' ? entries : entries.slice(0, FIRST);
  return (
    <View style={styles.block}>
      <Heading>{WHEN[when]}</Heading>
      <WindowAxis range={range} today={today} />
      <View role="list" aria-label={WHEN[when]}>
        <Rule strong />
        {shown.map((entry) => (
          <Line
            key={`${entry.one.taxon} ${entry.one.part} ${entry.place.id}`}
            {...entry}
            range={range}
            today={today}
          />
        ))}
      </View>
      {shown.length < entries.length ? (
        <Button
          label={`${entries.length - shown.length} more`}
          tone="plain"
          style={styles.start}
          onPress={() => setAll(true)}
        />
      ) : null}
    </View>
  );
}

function Line({
  one,
  place,
  part,
  suit,
  range,
  today,
}: Entry & { readonly range: Range; readonly today: number }) {
  const because = one.why ? whyWords(one.why) : '';
  const minding = suit.matches.map(
    ({ name, caution }) =>
      `${caution.level === 'rules-out' ? 'Not for' : 'Ask first for'} ${name}: ${lowerFirst(caution.text)}`,
  );
  return (
    <View role="listitem">
      <Link href={{ pathname: '/place/[id]', params: { id: place.id } }} asChild>
        <Pressable role="link" style={styles.line}>
          <View style={styles.first}>
            <Strong style={styles.grow}>{CommonName(one.taxon)}</Strong>
            <SmallStrong>{part.name}</SmallStrong>
          </View>
          <Small>{place.name}</Small>
          <WindowBar
            begins={one.begins}
            ends={one.ends}
            range={range}
            today={today}
            label={windowWords(one.begins, one.ends)}
          />
          {because ? <Small soft>{because}</Small> : null}
          {minding.map((text) => (
            <SmallStrong key={text}>{text}</SmallStrong>
          ))}
        </Pressable>
      </Link>
      <Rule />
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  block: { gap: space.xs },
  grow: { flex: 1 },
  line: { minHeight: TARGET, gap: space.xs, paddingVertical: space.m },
  first: { flexDirection: 'row', gap: space.m, alignItems: 'baseline' },
  start: { alignSelf: 'flex-start' },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
});
