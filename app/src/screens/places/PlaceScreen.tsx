import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { isoOf } from '@pause/core/lib/day';
import { dangerousAt } from '@pause/core/outings';
import { Screen, Loading, Notice, useWide, Small, Title, Body, Strong, Button } from '../../components';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { usePlaces, type Place, useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { upper, commonName } from '../../text/names';
import { memberName } from '../../text/people';
import { siteWords } from '../../text/places';
import { few } from '../../text/reasons';
import { Coming, Seen, May } from './PlaceComing';
import { PlaceFacts } from './PlaceFacts';
import { styles } from './placeStyles';
import { Sight } from './Sight';

/** A place: what it allows, what comes when, what was seen there, and what is known of it. */
export function PlaceScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const { ready, places } = usePlaces();
  const place = places.find((one) => one.id === id);
  if (!ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  if (!place)
    return (
      <Screen>
        <Notice
          whole
          title={t.thereIsNoSuchPlace}
          text={t.orItIsInA}
          action={t.places}
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
          {[siteWords(place.fields), group ? t.inTheNotebookOf(group.name) : t.yoursAlone]
            .filter(Boolean)
            .join(' · ')}
        </Small>
        <Title>{place.name}</Title>
      </View>
      {place.withheld ? (
        <Body>
          {t.doesNotTellWhereIt(group ? memberName(group, place.page.person ?? '') : t.whoeverKeepsIt)}
        </Body>
      ) : null}
      {dangers.length > 0 ? (
        <View style={styles.danger} role="note" aria-label={t.dangerousOnesKnownHere}>
          <Strong>{t.areKnownToStandHere(upper(few(dangers.map(commonName))), dangers.length)}</Strong>
          <Small>{t.whateverIsPickedHereLook}</Small>
        </View>
      ) : null}
      <View style={styles.ways}>
        <Button
          label={t.aFindHere}
          onPress={() => router.push({ pathname: '/new', params: { place: place.id } })}
        />
        <Button
          label={t.tellWhatYouSee}
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
