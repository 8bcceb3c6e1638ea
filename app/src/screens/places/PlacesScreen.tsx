import { Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { isoOf } from '@pause/core/lib/day';
import type { Geometry } from '@pause/core/notebook/page';
import { dangerousAt } from '@pause/core/outings';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Field,
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
import { useAct, useApp } from '../../notebook/store';
import { useDay, usePlaces, type Place } from '../../notebook/usePlaces';
import { commonName } from '../../text/names';
import { mayWords, shapeWords, siteWords } from '../../text/places';
import { few } from '../../text/reasons';
import { DrawShape } from './DrawShape';
import { loadPlaces, savePlaces } from './files';
import { forgetMap, loadMap, useMap, type ShownMap } from './map';
import { MapView } from './MapView';
import { whereIStand } from './whereIStand';

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
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  const one = places.find(({ id }) => id === chosen);
  const add = adding ? null : (
    <Button label="Put down a place" style={styles.add} onPress={() => setAdding(true)} />
  );
  return (
    <Screen>
      <Title>Places</Title>
      {places.length === 0 ? (
        <Notice
          title="No place yet"
          text="A patch you know, a hedge, a wood: put it down with what you saw there. Nobody else learns where it is unless you choose so."
        />
      ) : null}
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
              The Ostrel valley, made up for the demo. Lines every 100 metres.
            </Small>
          ) : null}
          {wide ? add : null}
        </View>
        <View style={wide ? styles.grow : undefined}>
          <View role="list" aria-label="Places">
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
            <Small soft>
              {[siteWords(place.fields), group ?? 'yours alone'].filter(Boolean).join(' · ')}
            </Small>
            {dangers.length > 0 ? (
              <SmallStrong>Dangerous here: {few(dangers.map(commonName))}</SmallStrong>
            ) : null}
          </View>
        </Pressable>
      </Link>
      <Rule />
    </View>
  );
}

function NewPlace({ places, onDone }: { readonly places: readonly Place[]; readonly onDone: () => void }) {
  const act = useAct();
  const router = useRouter();
  const groups = useApp((state) => state.me.person?.groups ?? []);
  const demo = useApp((state) => state.me.person?.demo === true);
  const [name, setName] = useState('');
  const [group, setGroup] = useState<string | undefined>();
  const [shape, setShape] = useState<Geometry | undefined>();
  const [drawing, setDrawing] = useState(false);
  const [said, setSaid] = useState<string | undefined>();
  const called = name.trim();
  const begin = () =>
    void import('../../notebook/outside')
      .then(({ beginPage }) =>
        act(
          beginPage(
            'place',
            {
              name: called,
              ...(shape ? { shape } : {}),
              ...(group ? { exactFor: 'group' } : {}),
            },
            group,
          ),
        ),
      )
      .then((id) => {
        if (id === undefined) return;
        onDone();
        router.push({ pathname: '/place/[id]', params: { id } });
      });
  return (
    <View style={styles.block}>
      <Heading>A new place</Heading>
      <View style={styles.form}>
        <Field label="What you call it" value={name} onChangeText={setName} maxLength={120} />
      </View>
      {drawing ? (
        <DrawShape
          shape={shape}
          places={places}
          onDone={(drawn) => {
            setShape(drawn);
            setDrawing(false);
          }}
          onAway={() => setDrawing(false)}
        />
      ) : (
        <>
          <View style={styles.ways}>
            <Button
              label="It is where I stand"
              tone="outline"
              onPress={() =>
                void whereIStand(demo).then((found) => {
                  if (typeof found === 'string') setSaid(found);
                  else {
                    setSaid(undefined);
                    setShape({ type: 'Point', coordinates: [...found] });
                  }
                })
              }
            />
            <Button
              label={shape ? 'Change it on the map' : 'Draw it on the map'}
              tone="outline"
              onPress={() => setDrawing(true)}
            />
            {shape ? <Small>{shapeWords(shape)}</Small> : null}
          </View>
          {demo ? (
            <Small soft>The demo’s phone is simulated: it walks up and down the valley all day.</Small>
          ) : null}
          {said ? <SmallStrong role="alert">{said}</SmallStrong> : null}
          {groups.length > 0 ? (
            <>
              <SmallStrong>Who knows of it?</SmallStrong>
              <ChipRow label="Who knows of it?">
                <Chip label="Only me" chosen={group === undefined} onPress={() => setGroup(undefined)} />
                {groups.map((one) => (
                  <Chip
                    key={one.id}
                    label={`All of ${one.name}`}
                    chosen={group === one.id}
                    onPress={() => setGroup(one.id)}
                  />
                ))}
              </ChipRow>
            </>
          ) : null}
          <View style={styles.ways}>
            <Button label="Put it down" disabled={called === ''} onPress={begin} />
            <Button label="Not now" tone="plain" onPress={onDone} />
          </View>
        </>
      )}
    </View>
  );
}

/** Places from other programs, and for them. */
function Files({ places, map }: { readonly places: readonly Place[]; readonly map: ShownMap }) {
  const act = useAct();
  const today = useDay();
  const [said, setSaid] = useState<readonly string[]>([]);
  const own = places.filter(({ withheld, fields }) => !withheld && fields.shape);
  return (
    <View style={styles.block}>
      <Heading>Files</Heading>
      <Body soft>
        GPX and GeoJSON, from other programs and for them. What you save holds exact places: think of whom you
        give it.
      </Body>
      <View style={styles.ways}>
        <Button label="Load a file" tone="outline" onPress={() => void act(loadPlaces(own)).then(setSaid)} />
        <Button
          label="Save as GPX"
          tone="outline"
          disabled={own.length === 0}
          onPress={() => void savePlaces('gpx', own, isoOf(today))}
        />
        <Button
          label="Save as GeoJSON"
          tone="outline"
          disabled={own.length === 0}
          onPress={() => void savePlaces('geojson', own, isoOf(today))}
        />
      </View>
      <Body soft>
        A map of your own (GeoJSON: woods, waters, paths, contours) is drawn behind them, and stays on this
        device.
      </Body>
      <View style={styles.ways}>
        <Button
          label="Load a map"
          tone="outline"
          onPress={() =>
            void act(loadMap()).then((lines) => {
              setSaid(lines);
              map.again();
            })
          }
        />
        {map.own ? (
          <Button
            label="Forget the map"
            tone="plain"
            onPress={() =>
              void act(forgetMap()).then(() => {
                setSaid([]);
                map.again();
              })
            }
          />
        ) : null}
      </View>
      {said.map((line) => (
        <SmallStrong key={line} role="alert">
          {line}
        </SmallStrong>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl, alignItems: 'flex-start' },
  column: { gap: space.m },
  grow: { flex: 1 },
  below: { marginTop: space.s },
  line: { minHeight: TARGET + 10, flexDirection: 'row', gap: space.m, paddingVertical: space.m },
  number: { width: 28, alignItems: 'center' },
  first: { flexDirection: 'row', gap: space.m, alignItems: 'baseline' },
  chosen: { flex: 1, textDecorationLine: 'underline' },
  add: { alignSelf: 'flex-start', marginTop: space.m },
  form: { maxWidth: 560 },
  block: { gap: space.s, marginTop: space.m },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'center' },
});
