import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { isoOf } from '@pause/core/lib/day';
import type { Geometry } from '@pause/core/notebook/page';
import { Heading, Field, Button, Small, SmallStrong, ChipRow, Chip, Body } from '../../components';
import { useAct, useApp } from '../../notebook/store';
import { type Place, useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { shapeWords } from '../../text/places';
import { DrawShape } from './DrawShape';
import { loadPlaces, savePlaces } from './files';
import { type ShownMap, loadMap, forgetMap } from './map';
import { styles } from './placesStyles';
import { whereIStand } from './whereIStand';

/** A new place, by hand or from a file. */

interface NewPlaceProps {
  readonly places: readonly Place[];
  readonly onDone: () => void;
}

export function NewPlace({ places, onDone }: NewPlaceProps) {
  const act = useAct();
  const router = useRouter();
  const [name, setName] = useState('');
  const [group, setGroup] = useState<string | undefined>();
  const [shape, setShape] = useState<Geometry | undefined>();
  const [drawing, setDrawing] = useState(false);
  const called = name.trim();
  const begin = () =>
    void import('../../notebook/outside')
      .then(({ beginPage }) =>
        act(
          beginPage(
            'place',
            { name: called, ...(shape ? { shape } : {}), ...(group ? { exactFor: 'group' } : {}) },
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
      <Heading>{t.aNewPlace}</Heading>
      <View style={styles.form}>
        <Field label={t.whatYouCallIt} value={name} onChangeText={setName} maxLength={120} />
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
          <WhereItIs shape={shape} setShape={setShape} onDraw={() => setDrawing(true)} />
          <WhoKnows group={group} setGroup={setGroup} />
          <View style={styles.ways}>
            <Button label={t.putItDown} disabled={called === ''} onPress={begin} />
            <Button label={t.notNow} tone="plain" onPress={onDone} />
          </View>
        </>
      )}
    </View>
  );
}

interface WhereItIsProps {
  readonly shape: Geometry | undefined;
  readonly setShape: (shape: Geometry) => void;
  readonly onDraw: () => void;
}

/** Where one stands, or drawn on the map. */
function WhereItIs({ shape, setShape, onDraw }: WhereItIsProps) {
  const demo = useApp((state) => state.me.person?.demo === true);
  const [message, setMessage] = useState<string | undefined>();
  const locate = () =>
    void whereIStand(demo).then((found) => {
      if (typeof found === 'string') setMessage(found);
      else {
        setMessage(undefined);
        setShape({ type: 'Point', coordinates: [...found] });
      }
    });
  return (
    <>
      <View style={styles.ways}>
        <Button label={t.itIsWhereIStand} tone="outline" onPress={locate} />
        <Button label={shape ? t.changeItOnTheMap : t.drawItOnTheMap} tone="outline" onPress={onDraw} />
        {shape ? <Small>{shapeWords(shape)}</Small> : null}
      </View>
      {demo ? <Small soft>{t.theDemosPhoneIsSimulated}</Small> : null}
      {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
    </>
  );
}

interface WhoKnowsProps {
  readonly group: string | undefined;
  readonly setGroup: (group: string | undefined) => void;
}

function WhoKnows({ group, setGroup }: WhoKnowsProps) {
  const groups = useApp((state) => state.me.person?.groups);
  if (!groups || groups.length === 0) return null;
  return (
    <>
      <SmallStrong>{t.whoKnowsOfIt}</SmallStrong>
      <ChipRow label={t.whoKnowsOfIt}>
        <Chip label={t.onlyMe} chosen={group === undefined} onPress={() => setGroup(undefined)} />
        {groups.map((one) => (
          <Chip
            key={one.id}
            label={t.allOf(one.name)}
            chosen={group === one.id}
            onPress={() => setGroup(one.id)}
          />
        ))}
      </ChipRow>
    </>
  );
}

/** Places from other programs, and for them. */
export function Files({ places, map }: { readonly places: readonly Place[]; readonly map: ShownMap }) {
  const act = useAct();
  const today = useDay();
  const [message, setMessage] = useState<readonly string[]>([]);
  const own = places.filter(({ withheld, fields }) => !withheld && fields.shape);
  const save = (format: 'gpx' | 'geojson') => void savePlaces(format, own, isoOf(today));
  return (
    <View style={styles.block}>
      <Heading>{t.files}</Heading>
      <Body soft>{t.gpxAndGeojsonFromOther}</Body>
      <View style={styles.ways}>
        <Button
          label={t.loadAFile}
          tone="outline"
          onPress={() => void act(loadPlaces(own)).then(setMessage)}
        />
        <Button label={t.saveAsGpx} tone="outline" disabled={own.length === 0} onPress={() => save('gpx')} />
        <Button
          label={t.saveAsGeojson}
          tone="outline"
          disabled={own.length === 0}
          onPress={() => save('geojson')}
        />
      </View>
      <MapFile map={map} onMessage={setMessage} />
      {message.map((line) => (
        <SmallStrong key={line} role="alert">
          {line}
        </SmallStrong>
      ))}
    </View>
  );
}

interface MapFileProps {
  readonly map: ShownMap;
  readonly onMessage: (lines: readonly string[]) => void;
}

function MapFile({ map, onMessage }: MapFileProps) {
  const act = useAct();
  const load = () =>
    void act(loadMap()).then((lines) => {
      onMessage(lines);
      map.again();
    });
  const forget = () =>
    void act(forgetMap()).then(() => {
      onMessage([]);
      map.again();
    });
  return (
    <>
      <Body soft>{t.aMapOfYourOwn}</Body>
      <View style={styles.ways}>
        <Button label={t.loadAMap} tone="outline" onPress={load} />
        {map.own ? <Button label={t.forgetTheMap} tone="plain" onPress={forget} /> : null}
      </View>
    </>
  );
}
