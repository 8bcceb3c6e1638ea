import { geoMercator, geoPath } from 'd3-geo';
import type { Geometry as GeoGeometry } from 'geojson';
import { useState, useMemo } from 'react';
import { type GestureResponderEvent, View, Pressable, StyleSheet } from 'react-native';
import Svg, { G, Path, Text } from 'react-native-svg';
import type { MapData } from '@pause/core/formats/files';
import { positionsOf, middleOf } from '@pause/core/notebook/page/shape';
import { TARGET, colour, stroke, font, Small, Button, space } from '../../components';
import { elementOf } from '../../lib/element';
import { t } from '../../text/en/places';
import {
  type MapViewProps,
  flatPositions,
  PADDING,
  layers,
  areas,
  MOVES,
  STAYS,
  AS_WIDE,
  clearOf,
  OVER,
  Outline,
  drawable,
  Draft,
  Mark,
} from './mapParts';
import { spread } from './spread';
import { useZoom } from './useZoom';

/** Places by their numbers in the list, on a map of one's own, drawn here without a connection. */
export function MapView({ places, data, chosen, onChoose, height, drawing }: MapViewProps) {
  const [width, setWidth] = useState(0);
  const { sheet, transform, nearer, farther, whole } = useZoom(width, height);
  const shown = useMemo(
    () =>
      places.flatMap((place, index) =>
        place.fields.shape ? [{ place, shape: place.fields.shape, number: index + 1 }] : [],
      ),
    [places],
  );
  const drawn = useMemo(() => {
    if (width === 0) return undefined;
    const around: GeoGeometry = data
      ? {
          type: 'MultiPoint',
          coordinates: data.features.flatMap(({ geometry }) =>
            'coordinates' in geometry ? flatPositions(geometry.coordinates) : [],
          ),
        }
      : {
          type: 'MultiPoint',
          coordinates: shown.flatMap(({ shape }) => positionsOf(shape).map(([x, y]) => [x, y])),
        };
    const projection = geoMercator();
    // A single place has no extent to fit: some ground around it.
    if (!data && shown.length < 2)
      projection
        .scale(3_000_000)
        .center([...(shown[0] ? middleOf(shown[0].shape) : [0, 0])] as [number, number])
        .translate([width / 2, height / 2]);
    else
      projection.fitExtent(
        [
          [data ? 0 : PADDING, data ? 0 : PADDING],
          [width - (data ? 0 : PADDING), height - (data ? 0 : PADDING)],
        ],
        around,
      );
    return { projection, path: geoPath(projection) };
  }, [data, height, shown, width]);
  const paths = useMemo(() => {
    if (!drawn || !data) return undefined;
    const d = (of: MapData) => drawn.path(of) ?? '';
    return {
      spruce: d(layers(data, 'wood', ({ of }) => of === 'spruce')),
      beech: d(layers(data, 'wood', ({ of }) => of !== 'spruce')),
      meadow: d(layers(data, 'meadow')),
      contours: d(layers(data, 'contour', ({ metres = 0 }) => metres % 500 !== 0)),
      fifth: d(layers(data, 'contour', ({ metres = 0 }) => metres % 500 === 0)),
      lakes: d(areas(layers(data, 'water'))),
      rivers: d(layers(data, 'water', ({ width: wide = 1 }) => wide >= 2)),
      streams: d(layers(data, 'water', ({ width: wide = 1 }) => wide < 2)),
      paths: d(layers(data, 'path')),
    };
  }, [data, drawn]);
  /** Where a position is on the sheet as it is drawn now. */
  const on = (position: readonly [number, number, ...number[]]): [number, number] =>
    transform.apply(drawn?.projection([position[0], position[1]]) ?? [0, 0]);
  const inside = ([x, y]: readonly [number, number]) => x >= 0 && y >= 0 && x <= width && y <= height;
  const marks = useMemo(() => {
    if (!drawn) return [];
    const all = shown
      .map((one) => ({
        ...one,
        from: transform.apply(drawn.projection([...middleOf(one.shape)] as [number, number]) ?? [0, 0]),
      }))
      .filter(({ from: [x, y] }) => x >= 0 && y >= 0 && x <= width && y <= height);
    const at = spread(
      all.map(({ from }) => from),
      TARGET,
      [width, height],
    );
    return all.map((one, index) => ({ ...one, at: at[index] ?? one.from }));
  }, [drawn, height, shown, transform, width]);
  const names = data?.features.filter(({ properties }) => properties?.kind === 'name') ?? [];
  const larger = transform.k > 1;
  const put = ({ nativeEvent }: GestureResponderEvent) => {
    const box = elementOf(sheet.current)?.getBoundingClientRect();
    const { clientX, clientY } = nativeEvent as unknown as MouseEvent;
    const position =
      box && drawn?.projection.invert?.(transform.invert([clientX - box.left, clientY - box.top]));
    if (position) drawing?.onPoint([Number(position[0].toFixed(6)), Number(position[1].toFixed(6))]);
  };
  const middle: [number, number] = drawing?.positions.length
    ? on(drawing.positions.at(-1) ?? [0, 0])
    : (marks.find(({ place }) => place.id === chosen)?.from ?? [width / 2, height / 2]);
  return (
    <View>
      <View
        ref={sheet}
        style={[styles.map, { height }, larger ? MOVES : STAYS]}
        onLayout={({ nativeEvent: { layout } }) => setWidth(Math.round(layout.width))}
      >
        {drawn ? (
          <Svg width={width} height={height} role="img" aria-label={t.mapWithPlaces(shown.length)}>
            {paths ? (
              <G transform={`translate(${transform.x} ${transform.y}) scale(${transform.k})`}>
                <Path d={paths.spruce} fill={colour.shade} />
                <Path d={paths.beech} fill={colour.shade} fillOpacity={0.55} />
                <Path d={paths.meadow} fill={colour.card} />
                <Path d={paths.lakes} fill={colour.collect} fillOpacity={0.25} />
                <Path d={paths.contours} fill="none" stroke={colour.line} strokeWidth={1} {...AS_WIDE} />
                <Path d={paths.fifth} fill="none" stroke={colour.faint} strokeWidth={1.5} {...AS_WIDE} />
                <Path d={paths.streams} fill="none" stroke={colour.collect} strokeWidth={1.5} {...AS_WIDE} />
                <Path d={paths.rivers} fill="none" stroke={colour.collect} strokeWidth={3} {...AS_WIDE} />
                <Path
                  d={paths.paths}
                  fill="none"
                  stroke={colour.inkSoft}
                  strokeWidth={1.5}
                  strokeDasharray="5 4"
                  {...AS_WIDE}
                />
              </G>
            ) : null}
            {names.map(({ geometry, properties }, index) => {
              const at =
                geometry.type === 'Point'
                  ? on([geometry.coordinates[0] ?? 0, geometry.coordinates[1] ?? 0])
                  : undefined;
              return at && inside(at) ? (
                <Text
                  key={`${properties?.name} ${index}`}
                  transform={`translate(${Math.min(Math.max(at[0], 50), width - 50)} ${clearOf(
                    at,
                    marks.map((mark) => mark.at),
                    height,
                  )})`}
                  textAnchor="middle"
                  fontFamily={font.readBold}
                  fontSize={15}
                  fill={colour.inkSoft}
                  stroke={colour.ground}
                  strokeWidth={3}
                  {...OVER}
                >
                  {properties?.name}
                </Text>
              ) : null;
            })}
            <G transform={`translate(${transform.x} ${transform.y}) scale(${transform.k})`}>
              {shown.map(({ place, shape }) => (
                <Outline
                  key={place.id}
                  shape={shape}
                  d={drawn.path(drawable(shape) as never) ?? ''}
                  chosen={place.id === chosen}
                />
              ))}
            </G>
            {drawing ? (
              <Draft kind={drawing.kind} at={drawing.positions.map(on)} />
            ) : (
              marks.map(({ place, shape, number, from, at }) => (
                <Mark
                  key={place.id}
                  point={shape.type === 'Point'}
                  from={from}
                  at={at}
                  number={number}
                  chosen={place.id === chosen}
                />
              ))
            )}
          </Svg>
        ) : null}
        {drawing ? (
          <Pressable
            focusable={false}
            accessible={false}
            onPress={put}
            style={StyleSheet.absoluteFill}
            testID="draw"
          />
        ) : (
          marks.map(({ place, number, at }) => (
            <Pressable
              key={place.id}
              role="button"
              aria-label={`${number}, ${place.name}`}
              aria-pressed={place.id === chosen}
              onPress={() => onChoose(place.id)}
              style={[styles.target, { left: at[0] - TARGET / 2, top: at[1] - TARGET / 2 }]}
            />
          ))
        )}
        {data ? null : (
          <View style={styles.none}>
            <Small soft>{shown.length === 0 ? t.noPlaceIsDrawnYet : t.noMapIsLoadedOnly}</Small>
          </View>
        )}
      </View>
      <View style={styles.ways}>
        <Button label={t.nearer} tone="plain" onPress={() => nearer(middle)} />
        <Button label={t.farther} tone="plain" disabled={!larger} onPress={farther} />
        <Button label={t.allOfIt} tone="plain" disabled={!larger} onPress={whole} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', gap: space.l },
  map: {
    backgroundColor: colour.ground,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    overflow: 'hidden',
  },
  target: { position: 'absolute', width: TARGET, height: TARGET },
  none: { position: 'absolute', left: 12, bottom: 8 },
});
