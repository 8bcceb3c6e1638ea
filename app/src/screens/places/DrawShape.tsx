import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Geometry, GeoPosition } from '@pause/core/notebook/page';
import {
  LEAST_POSITIONS,
  lengthOf,
  positionsOf,
  shapeOf,
  type ShapeKind,
} from '@pause/core/notebook/page/shape';
import { Button, Chip, ChipRow, Field, Small, SmallStrong, space, Strong, useWide } from '../../components';
import { useApp } from '../../notebook/store';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { numberWord } from '../../text/names';
import { areaWords, metres } from '../../text/places';
import { useMap } from './map';
import { MapView } from './MapView';
import { whereIStand } from './whereIStand';

const KINDS: Readonly<Record<ShapeKind, string>> = {
  Point: t.aPoint,
  LineString: t.aLine,
  Polygon: t.anArea,
};

/** A position as people write it: latitude first, as on maps and phones. */
export function readPosition(text: string): readonly [number, number] | undefined {
  const [latitude, longitude, ...more] = text
    .trim()
    .split(/[\s,;]+/)
    .map(Number);
  if (latitude === undefined || longitude === undefined || more.length > 0) return undefined;
  return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 ? [longitude, latitude] : undefined;
}

function sizeWords(kind: ShapeKind, positions: readonly GeoPosition[]): string {
  const least = LEAST_POSITIONS[kind];
  if (positions.length < least)
    return positions.length === 0 ? t.tapTheMapWhereIt : t.hasAtLeastPoints(KINDS[kind], numberWord(least));
  if (kind === 'LineString') return t.aboutLong(metres(lengthOf(positions)));
  if (kind === 'Point') return t.tapElsewhereToMoveIt;
  return t.about(areaWords(positions));
}

interface DrawShapeProps {
  /** Of the place, as far as it was drawn before. */
  readonly shape: Geometry | undefined;
  readonly places: readonly Place[];
  readonly onDone: (shape: Geometry) => void;
  readonly onAway: () => void;
}

/** Where a place is, drawn point by point: on the map, at one's own position, or by degrees. */
export function DrawShape({ shape, places, onDone, onAway }: DrawShapeProps) {
  const wide = useWide();
  const demo = useApp((state) => state.me.person?.demo === true);
  const { data } = useMap();
  const [kind, setKind] = useState<ShapeKind>(shape?.type ?? 'Point');
  const [positions, setPositions] = useState<readonly GeoPosition[]>(() => (shape ? drawnBefore(shape) : []));
  const [text, setText] = useState('');
  const [message, setMessage] = useState<string | undefined>();
  const add = (position: readonly [number, number]) => {
    setMessage(undefined);
    setPositions((was) => (kind === 'Point' ? [[...position]] : [...was, [...position]]));
  };
  const typed = readPosition(text);
  const now = shapeOf(kind, positions);
  return (
    <View style={wide ? styles.columns : styles.block}>
      <View style={[styles.block, wide && styles.map]}>
        <ChipRow label={t.whatItIsOnThe}>
          {(Object.keys(KINDS) as ShapeKind[]).map((one) => (
            <Chip key={one} label={KINDS[one]} chosen={kind === one} onPress={() => setKind(one)} />
          ))}
        </ChipRow>
        <MapView
          places={places}
          data={data}
          height={wide ? 430 : 340}
          drawing={{ kind, positions, onPoint: add }}
          onChoose={() => undefined}
        />
      </View>
      <View style={[styles.block, wide && styles.grow]}>
        <Strong role="status">{sizeWords(kind, positions)}</Strong>
        <View style={styles.ways}>
          <Button
            label={t.whereIStand}
            tone="outline"
            onPress={() =>
              void whereIStand(demo).then((found) => {
                if (typeof found === 'string') setMessage(found);
                else add(found);
              })
            }
          />
          <Button
            label={t.takeBack}
            aria-label={t.takeBackTheLastPoint}
            tone="outline"
            disabled={positions.length === 0}
            onPress={() => setPositions(positions.slice(0, -1))}
          />
        </View>
        {demo ? <Small soft>{t.theDemosPhoneIsSimulated}</Small> : null}
        {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
        <View style={styles.degrees}>
          <View style={styles.grow}>
            <Field
              label={t.orByItsDegreesNorth}
              value={text}
              onChangeText={setText}
              placeholder="46.5078, 12.2000"
              inputMode="text"
              {...(text.trim() !== '' && !typed ? { wrong: t.twoNumbersNorthAndThen } : {})}
            />
          </View>
          <Button
            label={t.addIt}
            tone="outline"
            disabled={!typed}
            onPress={() => {
              if (typed) {
                add(typed);
                setText('');
              }
            }}
          />
        </View>
        <View style={styles.ways}>
          <Button
            label={t.thatIsWhereItIs}
            disabled={!now}
            onPress={() => {
              if (now) onDone(now);
            }}
          />
          <Button label={t.notNow} tone="plain" onPress={onAway} />
        </View>
      </View>
    </View>
  );
}

/** The points it was drawn with: of an area without the one that closes it. */
function drawnBefore(shape: Geometry): readonly GeoPosition[] {
  return shape.type === 'Polygon' ? (shape.coordinates[0] ?? []).slice(0, -1) : positionsOf(shape);
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl, alignItems: 'flex-start' },
  block: { gap: space.s },
  map: { flex: 1.3 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'center' },
  degrees: { flexDirection: 'row', gap: space.m, alignItems: 'flex-end' },
  grow: { flex: 1 },
});
