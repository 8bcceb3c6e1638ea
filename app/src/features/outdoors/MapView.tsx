import { geoMercator, geoPath } from 'd3-geo';
import type { FeatureCollection, Geometry as GeoGeometry } from 'geojson';
import { useEffect, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text } from 'react-native-svg';
import type { Geometry } from '@pause/core/page';
import { middleOf, positionsOf } from '@pause/core/shape';
import { colour, font, Small, stroke, TARGET } from '../../ui';
import { spread } from './spread';
import type { Place } from './usePlaces';

/** What a map is drawn from: the kind of each feature tells how. */
export type MapData = FeatureCollection<GeoGeometry, { readonly kind?: string; readonly name?: string; readonly metres?: number; readonly of?: string; readonly width?: number } | null>;

interface MapViewProps {
  readonly places: readonly Place[];
  readonly data: MapData | undefined;
  readonly chosen?: string | undefined;
  readonly onChoose: (id: string) => void;
  readonly height: number;
}

const PADDING = 26;

/** Rings as the projection wants them: the outer one with the clock, as seen from above; else it would draw the rest of the world. */
function wound(rings: readonly (readonly number[])[][]): number[][][] {
  return rings.map((ring, index) => {
    const area = ring.reduce((sum, [x = 0, y = 0], at) => { const [nextX = 0, nextY = 0] = ring[(at + 1) % ring.length] ?? []; return sum + x * nextY - nextX * y; }, 0);
    const turned = ring.map((position) => [...position]);
    return area > 0 === (index === 0) ? turned.reverse() : turned;
  });
}
const drawable = <T extends { readonly type: string }>(shape: T): T => (shape.type === 'Polygon' ? { ...shape, coordinates: wound((shape as unknown as { coordinates: number[][][] }).coordinates) } : shape);

const flatPositions = (of: unknown): number[][] => (Array.isArray(of) ? (typeof of[0] === 'number' ? [of as number[]] : of.flatMap(flatPositions)) : []);

/** Everything of one kind as one line, so that a map of thousands of contours is few things to draw. */
function layers(data: MapData | undefined, kind: string, which: (properties: NonNullable<MapData['features'][number]['properties']>) => boolean = () => true) {
  return { type: 'FeatureCollection', features: (data?.features ?? []).filter(({ properties }) => (properties?.kind ?? 'line') === kind && which(properties ?? {})).map((feature) => ({ ...feature, geometry: drawable(feature.geometry) })) } as MapData;
}

/** Places by their numbers in the list, on a map of one's own, drawn here without a connection. */
export function MapView({ places, data, chosen, onChoose, height }: MapViewProps) {
  const [width, setWidth] = useState(0);
  const shown = useMemo(() => places.flatMap((place, index) => (place.fields.shape ? [{ place, shape: place.fields.shape, number: index + 1 }] : [])), [places]);
  const drawn = useMemo(() => {
    if (width === 0) return undefined;
    const around: GeoGeometry = data ? { type: 'MultiPoint', coordinates: data.features.flatMap(({ geometry }) => ('coordinates' in geometry ? flatPositions(geometry.coordinates) : [])) } : { type: 'MultiPoint', coordinates: shown.flatMap(({ shape }) => positionsOf(shape).map(([x, y]) => [x, y])) };
    const projection = geoMercator();
    // A single place has no extent to fit: some ground around it.
    if (!data && shown.length < 2) projection.scale(3_000_000).center([...(shown[0] ? middleOf(shown[0].shape) : [0, 0])] as [number, number]).translate([width / 2, height / 2]);
    else projection.fitExtent([[data ? 0 : PADDING, data ? 0 : PADDING], [width - (data ? 0 : PADDING), height - (data ? 0 : PADDING)]], around);
    return { projection, path: geoPath(projection) };
  }, [data, height, shown, width]);
  const paths = useMemo(() => {
    if (!drawn || !data) return undefined;
    const d = (of: MapData) => drawn.path(of) ?? '';
    return {
      spruce: d(layers(data, 'wood', ({ of }) => of === 'spruce')), beech: d(layers(data, 'wood', ({ of }) => of !== 'spruce')), meadow: d(layers(data, 'meadow')),
      contours: d(layers(data, 'contour', ({ metres = 0 }) => metres % 500 !== 0)), fifth: d(layers(data, 'contour', ({ metres = 0 }) => metres % 500 === 0)),
      rivers: d(layers(data, 'water', ({ width: wide = 1 }) => wide >= 2)), streams: d(layers(data, 'water', ({ width: wide = 1 }) => wide < 2)), paths: d(layers(data, 'path')),
    };
  }, [data, drawn]);
  const marks = useMemo(() => {
    if (!drawn) return [];
    const from = shown.map(({ shape }) => drawn.projection([...middleOf(shape)] as [number, number]) ?? [0, 0] as [number, number]);
    const at = spread(from, TARGET, [width, height]);
    return shown.map((one, index) => ({ ...one, from: from[index] ?? [0, 0] as [number, number], at: at[index] ?? [0, 0] as [number, number] }));
  }, [drawn, height, shown, width]);
  const names = data?.features.filter(({ properties }) => properties?.kind === 'name') ?? [];
  return (
    <View style={[styles.map, { height }]} onLayout={({ nativeEvent: { layout } }) => setWidth(Math.round(layout.width))}>
      {drawn ? (
        <Svg width={width} height={height} role="img" aria-label={`Map with ${shown.length} places`}>
          {paths ? (
            <G>
              <Path d={paths.spruce} fill={colour.shade} />
              <Path d={paths.beech} fill={colour.shade} fillOpacity={0.55} />
              <Path d={paths.meadow} fill={colour.card} />
              <Path d={paths.contours} fill="none" stroke={colour.line} strokeWidth={1} />
              <Path d={paths.fifth} fill="none" stroke={colour.faint} strokeWidth={1.5} />
              <Path d={paths.streams} fill="none" stroke={colour.collect} strokeWidth={1.5} />
              <Path d={paths.rivers} fill="none" stroke={colour.collect} strokeWidth={3} />
              <Path d={paths.paths} fill="none" stroke={colour.inkSoft} strokeWidth={1.5} strokeDasharray="5 4" />
            </G>
          ) : null}
          {names.map(({ geometry, properties }) => {
            const at = geometry.type === 'Point' ? drawn.projection([geometry.coordinates[0] ?? 0, geometry.coordinates[1] ?? 0]) : null;
            return at ? <Text key={properties?.name} transform={`translate(${Math.min(Math.max(at[0], 50), width - 50)} ${clearOf(at, marks.map((mark) => mark.at), height)})`} textAnchor="middle" fontFamily={font.readBold} fontSize={15} fill={colour.inkSoft} stroke={colour.ground} strokeWidth={3} {...OVER}>{properties?.name}</Text> : null;
          })}
          {marks.map(({ place, shape, number, from, at }) => <Drawn key={place.id} shape={shape} d={drawn.path(drawable(shape) as never) ?? ''} from={from} at={at} number={number} chosen={place.id === chosen} />)}
        </Svg>
      ) : null}
      {marks.map(({ place, number, at }) => (
        <Pressable key={place.id} role="button" aria-label={`${number}, ${place.name}`} aria-pressed={place.id === chosen} onPress={() => onChoose(place.id)} style={[styles.target, { left: at[0] - TARGET / 2, top: at[1] - TARGET / 2 }]} />
      ))}
      {data ? null : <View style={styles.none}><Small soft>{shown.length === 0 ? 'No place is drawn yet.' : 'No map is loaded: only the places are drawn.'}</Small></View>}
    </View>
  );
}

/** Below its point, or above it where a mark stands below. */
function clearOf([x, y]: readonly [number, number], marks: readonly (readonly [number, number])[], height: number): number {
  const free = (at: number) => at > 14 && at < height - 6 && !marks.some((mark) => Math.abs(mark[0] - x) < 64 && Math.abs(mark[1] - at + 5) < 22);
  return [y + 34, y - 22, y + 52, y - 40].find(free) ?? Math.min(height - 8, y + 34);
}
/** Its outline lies behind the letters, so that they can be read over lines. */
const OVER = { paintOrder: 'stroke' } as object;
const RADIUS = 13;
function Drawn({ shape, d, from, at, number, chosen }: { readonly shape: Geometry; readonly d: string; readonly from: [number, number]; readonly at: [number, number]; readonly number: number; readonly chosen: boolean }) {
  return (
    <G>
      {shape.type === 'Polygon' ? <Path d={d} fill={colour.pause} fillOpacity={0.5} stroke={colour.ink} strokeWidth={chosen ? 3 : 1.5} /> : null}
      {shape.type === 'LineString' ? <Path d={d} fill="none" stroke={colour.ink} strokeWidth={chosen ? 6 : 4} strokeLinecap="round" /> : null}
      {shape.type === 'Point' ? <Circle cx={from[0]} cy={from[1]} r={4} fill={colour.ink} /> : null}
      <Line x1={from[0]} y1={from[1]} x2={at[0]} y2={at[1]} stroke={colour.ink} strokeWidth={1.5} />
      <Circle cx={at[0]} cy={at[1]} r={RADIUS} fill={chosen ? colour.ink : colour.card} stroke={colour.ink} strokeWidth={2} />
      <Text transform={`translate(${at[0]} ${at[1] + 5.5})`} textAnchor="middle" fontFamily={font.readBold} fontSize={15} fill={chosen ? colour.onDark : colour.ink}>{number}</Text>
    </G>
  );
}

/** The map that comes with the demo: the invented valley. */
export function useDemoMap(demo: boolean): MapData | undefined {
  const [data, setData] = useState<MapData | undefined>();
  useEffect(() => { if (demo) void import('./valley.json').then((file) => setData((('default' in file ? file.default : file) as unknown) as MapData)); }, [demo]);
  return data;
}

const styles = StyleSheet.create({
  map: { backgroundColor: colour.ground, borderWidth: stroke.thin, borderColor: colour.ink, overflow: 'hidden' },
  target: { position: 'absolute', width: TARGET, height: TARGET },
  none: { position: 'absolute', left: 12, bottom: 8 },
});
