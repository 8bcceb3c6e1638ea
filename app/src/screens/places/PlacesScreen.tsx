import { Link } from 'expo-router';
import { useState } from 'react';
import { View, Pressable } from 'react-native';
import { isoOf } from '@pause/core/lib/day';
import { dangerousAt } from '@pause/core/outings';
import {
  useWide,
  Screen,
  Loading,
  Button,
  Title,
  Notice,
  Small,
  Rule,
  Strong,
  SmallStrong,
} from '../../components';
import { TaxonSmall } from '../../components/plates/TaxonSmall';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { usePlaces, type Place, useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { commonName } from '../../text/names';
import { siteWords, mayWords } from '../../text/places';
import { few } from '../../text/reasons';
import { useMap } from './map';
import { MapView } from './MapView';
import { NewPlace, Files } from './NewPlace';
import { styles } from './placesStyles';

/** All places, as a list and on the map. */
export function PlacesScreen() {
  const { ready, places } = usePlaces();
  const wide = useWide();
  const map = useMap();
  const [chosen, setChosen] = useState<string | undefined>();
  const [adding, setAdding] = useState(false);
  if (!ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  const one = places.find(({ id }) => id === chosen);
  const add = adding ? null : (
    <Button label={t.putDownAPlace} style={styles.add} onPress={() => setAdding(true)} />
  );
  return (
    <Screen>
      <Title>{t.places}</Title>
      {places.length === 0 ? <Notice title={t.noPlaceYet} text={t.aPatchYouKnowA} /> : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[wide && styles.grow]}>
          <MapView
            places={places}
            data={map.data}
            chosen={chosen}
            onChoose={setChosen}
            height={wide ? 430 : 300}
          />
          {one ? (
            <Small style={styles.below}>
              {places.indexOf(one) + 1}: {one.name}
              {siteWords(one.fields) ? `, ${siteWords(one.fields)}` : ''}
            </Small>
          ) : map.data && !map.own ? (
            <Small soft style={styles.below}>
              {t.theOstrelValleyMadeUp}
            </Small>
          ) : null}
          {wide ? add : null}
        </View>
        <View style={wide ? styles.grow : undefined}>
          <View role="list" aria-label={t.places}>
            <Rule strong />
            {places.map((place, index) => (
              <PlaceLine key={place.id} place={place} number={index + 1} chosen={place.id === chosen} />
            ))}
          </View>
        </View>
      </View>
      {wide ? null : add}
      {adding ? <NewPlace places={places} onDone={() => setAdding(false)} /> : null}
      <Files places={places} map={map} />
    </Screen>
  );
}

/** So many of the kinds that were seen at a place are shown in its line. */
const SEEN = 6;

function PlaceLine({
  place,
  number,
  chosen,
}: {
  readonly place: Place;
  readonly number: number;
  readonly chosen: boolean;
}) {
  const group = useApp(
    ({ me: { person } }) => person?.groups.find(({ id }) => id === place.page.group)?.name,
  );
  const dangers = dangerousAt(place.page.sightings, guide);
  const seen = [...new Set(place.page.sightings.map(({ taxon }) => taxon))].slice(0, SEEN);
  const today = isoOf(useDay());
  return (
    <View role="listitem">
      <Link href={{ pathname: '/place/[id]', params: { id: place.id } }} asChild>
        <Pressable role="link" style={styles.line}>
          <View style={styles.number}>
            <Strong>{number}</Strong>
          </View>
          <View style={styles.grow}>
            <View style={styles.first}>
              {chosen ? (
                <Strong style={styles.chosen}>{place.name}</Strong>
              ) : (
                <Strong style={styles.grow}>{place.name}</Strong>
              )}
              {place.withheld ? null : <SmallStrong>{mayWords(place.fields, today)}</SmallStrong>}
            </View>
            <Small soft>{[siteWords(place.fields), group ?? t.yoursAlone].filter(Boolean).join(' · ')}</Small>
            {seen.length > 0 ? (
              <View style={styles.seen}>
                {seen.map((taxon) => (
                  <TaxonSmall key={taxon} of={taxon} height={44} />
                ))}
              </View>
            ) : null}
            {dangers.length > 0 ? (
              <SmallStrong>{t.dangerousHere(few(dangers.map(commonName)))}</SmallStrong>
            ) : null}
          </View>
        </Pressable>
      </Link>
      <Rule />
    </View>
  );
}
