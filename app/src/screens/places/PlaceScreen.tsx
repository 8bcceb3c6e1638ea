import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { isoOf } from '@pause/core/lib/day';
import { dangerousAt, pickingAt } from '@pause/core/outings';
import {
  Body,
  Button,
  colour,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  stroke,
  Strong,
  Title,
  useWide,
} from '../../components';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { useDay, usePlaces, type Place } from '../../notebook/usePlaces';
import { CommonName, commonName, lowerFirst, stageName, upper } from '../../text/names';
import { memberName } from '../../text/people';
import { isoDayName, pickingWords, siteWords, WHEN, whyWords } from '../../text/places';
import { few } from '../../text/reasons';
import { LookAgain } from './LookAgain';
import { LookingBack } from './LookingBack';
import { PlaceFacts } from './PlaceFacts';
import { Sight } from './Sight';
import { useAhead } from './useAhead';
import { WindowAxis, WindowBar, windowWords } from './WindowBar';

/** A place: what it allows, what comes when, what was seen there, and what is known of it. */
export function PlaceScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const { ready, places } = usePlaces();
  const place = places.find((one) => one.id === id);
  if (!ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  if (!place)
    return (
      <Screen>
        <Notice
          whole
          title="There is no such place"
          text="Or it is in a notebook that you do not read."
          action="Places"
          onAction={() => router.replace('/places')}
        />
      </Screen>
    );
  return (
    <Screen>
      <OnePlace key={place.id} place={place} places={places} />
    </Screen>
  );
}

function OnePlace({ place, places }: { readonly place: Place; readonly places: readonly Place[] }) {
  const wide = useWide();
  const router = useRouter();
  const today = isoOf(useDay());
  const [sighting, setSighting] = useState(false);
  const group = useApp(({ me: { person } }) => person?.groups.find((one) => one.id === place.page.group));
  const dangers = dangerousAt(place.page.sightings, guide);
  return (
    <>
      <View>
        <Small soft>
          {[siteWords(place.fields), group ? `in the notebook of ${group.name}` : 'yours alone']
            .filter(Boolean)
            .join(' · ')}
        </Small>
        <Title>{place.name}</Title>
      </View>
      {place.withheld ? (
        <Body>
          {group ? memberName(group, place.page.person ?? '') : 'Whoever keeps it'} does not tell where it is.
          The group can read what was seen there.
        </Body>
      ) : null}
      {dangers.length > 0 ? (
        <View style={styles.danger} role="note" aria-label="Dangerous ones known here">
          <Strong>
            {upper(few(dangers.map(commonName)))} {dangers.length === 1 ? 'is' : 'are'} known to stand here
          </Strong>
          <Small>Whatever is picked here: look at every piece, and follow each stem to its base.</Small>
        </View>
      ) : null}
      <View style={styles.ways}>
        <Button
          label="A find here"
          onPress={() => router.push({ pathname: '/new', params: { place: place.id } })}
        />
        <Button
          label="Tell what you see"
          tone="outline"
          onPress={() => setSighting(!sighting)}
          aria-expanded={sighting}
        />
      </View>
      {sighting ? <Sight place={place} onDone={() => setSighting(false)} /> : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <Coming place={place} places={places} />
          <Seen place={place} />
        </View>
        <View style={[styles.column, wide && styles.grow]}>
          {place.withheld ? null : <May place={place} today={today} />}
          {place.withheld ? null : <PlaceFacts place={place} />}
        </View>
      </View>
    </>
  );
}

/** Whether one may pick here, and how that is known. */
function May({ place, today }: { readonly place: Place; readonly today: string }) {
  const { picking, owner, source } = place.fields;
  const { permission, reasons } = pickingAt(place.fields, '' as never, undefined, today);
  return (
    <View style={styles.block}>
      <Heading>May one pick here?</Heading>
      <Strong>
        {permission === 'allowed'
          ? 'Yes, as far as you know'
          : permission === 'forbidden'
            ? 'No'
            : 'Ask first'}
      </Strong>
      {reasons.map((reason) => (
        <Body key={reason.code}>{pickingWords(reason)}</Body>
      ))}
      {place.fields.allowances?.map((allowance) => (
        <Body key={JSON.stringify(allowance)}>{pickingWords({ code: 'allowance', allowance })}</Body>
      ))}
      {picking?.may === 'permit' && picking.permitUntil !== undefined && picking.permitUntil >= today ? (
        <Body>
          {picking.permitName ?? 'Permit'}: until {isoDayName(picking.permitUntil)}.
        </Body>
      ) : null}
      <Small soft>
        {[owner, source && `${source.text}, ${isoDayName(source.on)}`].filter(Boolean).join(' · ') ||
          'Nobody has said yet whose land it is.'}
      </Small>
      <Small soft>This is what people recorded, not the law.</Small>
    </View>
  );
}

const [BACK, AHEAD] = [60, 150];
/** Uses for which what is gathered is dried first. */
const FOR_DRYING: readonly string[] = ['tea', 'bitter-infusion', 'infused-oil'];

/** When what was seen here can be had, and when to look again. */
function Coming({ place, places }: { readonly place: Place; readonly places: readonly Place[] }) {
  const { looked, question } = useAhead(places);
  const today = useDay();
  const range = { from: today - BACK, to: today + AHEAD };
  const list = looked?.list.filter((one) => one.place === place.id) ?? [];
  const ripening = list.some(({ when }) => when === 'soon' || when === 'later');
  return (
    <View style={styles.block}>
      <Heading>When to come</Heading>
      {!looked ? (
        <Loading what="Looking ahead …" />
      ) : list.length === 0 ? (
        <Body>Nothing that was seen here can be had now or later this year.</Body>
      ) : (
        <>
          <WindowAxis range={range} today={today} />
          <View role="list" aria-label="What comes here">
            <Rule strong />
            {list.map((one) => (
              <View key={`${one.taxon} ${one.part}`} role="listitem" style={styles.line}>
                <View style={styles.first}>
                  <Strong style={styles.grow}>{CommonName(one.taxon)}</Strong>
                  <SmallStrong>{WHEN[one.when]}</SmallStrong>
                </View>
                <WindowBar
                  begins={one.begins}
                  ends={one.ends}
                  range={range}
                  today={today}
                  label={windowWords(one.begins, one.ends)}
                />
                <Small>
                  {upper(guide.taxon(one.taxon)?.taxon.parts[one.part]?.name ?? '')}:{' '}
                  {windowWords(one.begins, one.ends)}.
                </Small>
                {FOR_DRYING.includes(guide.taxon(one.taxon)?.taxon.parts[one.part]?.use ?? '') ? (
                  <Small>To be dried: go on a dry day after a dry one, when the dew has gone.</Small>
                ) : null}
                {one.why && whyWords(one.why) ? <Small soft>{whyWords(one.why)}</Small> : null}
                <Rule />
              </View>
            ))}
          </View>
        </>
      )}
      {ripening ? <LookAgain place={place} places={places} question={question} /> : null}
    </View>
  );
}

/** What was seen here, newest first, and over the years. */
function Seen({ place }: { readonly place: Place }) {
  const group = useApp(({ me: { person } }) => person?.groups.find((one) => one.id === place.page.group));
  const [all, setAll] = useState(false);
  const sightings = useMemo(
    () => [...place.page.sightings].sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0)),
    [place],
  );
  const shown = all ? sightings : sightings.slice(0, 5);
  return (
    <View style={styles.block}>
      <Heading>What was seen here</Heading>
      {sightings.length === 0 ? (
        <Body>Nothing yet. A look at which nothing was there counts too.</Body>
      ) : null}
      <View role="list" aria-label="Sightings">
        {shown.map(({ id, taxon, what, stages, on, note, by, worthVisit }) => (
          <View key={id} role="listitem" style={styles.seen}>
            <Body>
              {CommonName(taxon as never)}
              {what === 'nothing'
                ? ': looked, nothing'
                : what === 'suspected'
                  ? ': suspected here'
                  : stages
                    ? `: ${stages.map((stage) => lowerFirst(stageName(stage))).join(', ')}`
                    : ''}
              {worthVisit ? ', worth a visit' : ''}
            </Body>
            <Small soft>
              {[isoDayName(on), group ? memberName(group, by) : undefined, note].filter(Boolean).join(' · ')}
            </Small>
          </View>
        ))}
      </View>
      {shown.length < sightings.length ? (
        <Button
          label={`All ${sightings.length}`}
          tone="plain"
          style={styles.start}
          onPress={() => setAll(true)}
        />
      ) : null}
      <LookingBack place={place} />
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  danger: {
    gap: space.xs,
    padding: space.m,
    backgroundColor: colour.card,
    borderLeftWidth: stroke.thick * 2,
    borderLeftColor: colour.ink,
  },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  line: { gap: space.xs, paddingTop: space.m },
  first: { flexDirection: 'row', gap: space.m, alignItems: 'baseline' },
  seen: { paddingVertical: space.s },
  start: { alignSelf: 'flex-start' },
});
