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
import {
  Button,
  Chip,
  ChipRow,
  Field,
  Small,
  SmallStrong,
  space,
  Strong,
  useWide,
  Row,
  Grow,
} from '../../components';
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
  const { data } = useMap();
  const [kind, setKind] = useState<ShapeKind>(shape?.type ?? 'Point');
  const [positions, setPositions] = useState<readonly GeoPosition[]>(() => (shape ? drawnBefore(shape) : []));
  const add = (position: readonly [number, number]) =>
    setPositions((was) => (kind === 'Point' ? [[...position]] : [...was, [...position]]));
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
        <OwnPosition
          onAdd={add}
          onTakeBack={positions.length === 0 ? undefined : () => setPositions(positions.slice(0, -1))}
        />
        <ByDegrees onAdd={add} />
        <Row wrap gap="m" align="centre">
          <Button
            label={t.thatIsWhereItIs}
            disabled={!now}
            onPress={() => {
              if (now) onDone(now);
            }}
          />
          <Button label={t.notNow} tone="plain" onPress={onAway} />
        </Row>
      </View>
    </View>
  );
}

type Add = (position: readonly [number, number]) => void;

interface OwnPositionProps {
  readonly onAdd: Add;
  readonly onTakeBack: (() => void) | undefined;
}

/** Adds where one stands; takes the last point back. */
function OwnPosition({ onAdd, onTakeBack }: OwnPositionProps) {
  const demo = useApp((state) => state.me.person?.demo === true);
  const [message, setMessage] = useState<string | undefined>();
  const locate = () =>
    void whereIStand(demo).then((found) => {
      setMessage(typeof found === 'string' ? found : undefined);
      if (typeof found !== 'string') onAdd(found);
    });
  return (
    <>
      <Row wrap gap="m" align="centre">
        <Button label={t.whereIStand} tone="outline" onPress={locate} />
        <Button
          label={t.takeBack}
          aria-label={t.takeBackTheLastPoint}
          tone="outline"
          disabled={!onTakeBack}
          onPress={() => onTakeBack?.()}
        />
      </Row>
      {demo ? <Small soft>{t.theDemosPhoneIsSimulated}</Small> : null}
      {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
    </>
  );
}

function ByDegrees({ onAdd }: { readonly onAdd: Add }) {
  const [text, setText] = useState('');
  const typed = readPosition(text);
  const add = () => {
    if (!typed) return;
    onAdd(typed);
    setText('');
  };
  return (
    <Row gap="m" align="bottom">
      <Grow>
        <Field
          label={t.orByItsDegreesNorth}
          value={text}
          onChangeText={setText}
          placeholder="46.5078, 12.2000"
          inputMode="text"
          {...(text.trim() !== '' && !typed ? { wrong: t.twoNumbersNorthAndThen } : {})}
        />
      </Grow>
      <Button label={t.addIt} tone="outline" disabled={!typed} onPress={add} />
    </Row>
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
  grow: { flex: 1 },
});
