import { geoMercator, geoPath } from 'd3-geo';
import type { Geometry as GeoGeometry } from 'geojson';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View, type GestureResponderEvent, type ViewStyle } from 'react-native';
import Svg, { Circle, G, Line, Path, Text } from 'react-native-svg';
import type { MapData } from '@pause/core/formats/files';
import type { Geometry, GeoPosition } from '@pause/core/notebook/page';
import { middleOf, positionsOf, type ShapeKind } from '@pause/core/notebook/page/shape';
import { Button, colour, font, Small, space, stroke, TARGET } from '../../components';
import type { Place } from '../../notebook/usePlaces';
import { spread } from './spread';
import { useZoom } from './useZoom';

interface MapViewProps {
  readonly places: readonly Place[];
  readonly data: MapData | undefined;
  readonly chosen?: string | undefined;
  readonly onChoose: (id: string) => void;
  readonly height: number;
  /** A shape that is being drawn: each tap is a position more. */
  readonly drawing?: {
    readonly kind: ShapeKind;
    readonly positions: readonly GeoPosition[];
    readonly onPoint: (position: readonly [number, number]) => void;
  };
}

const PADDING = 26;

/**
 * Rings as the projection wants them: the outer one with the clock, as seen from above; else it would draw
 * the rest of the world.
 */
function wound(rings: readonly (readonly number[])[][]): number[][][] {
  return rings.map((ring, index) => {
    const area = ring.reduce((sum, [x = 0, y = 0], at) => {
      const [nextX = 0, nextY = 0] = ring[(at + 1) % ring.length] ?? [];
      return sum + x * nextY - nextX * y;
    }, 0);
    const turned = ring.map((position) => [...position]);
    return area > 0 === (index === 0) ? turned.reverse() : turned;
  });
}
const drawable = <T extends { readonly type: string }>(shape: T): T =>
  shape.type === 'Polygon'
    ? { ...shape, coordinates: wound((shape as unknown as { coordinates: number[][][] }).coordinates) }
    : shape;

const flatPositions = (of: unknown): number[][] =>
  Array.isArray(of) ? (typeof of[0] === 'number' ? [of as number[]] : of.flatMap(flatPositions)) : [];

/** Everything of one kind as one line, so that a map of thousands of contours is few things to draw. */
function layers(
  data: MapData | undefined,
  kind: string,
  which: (properties: NonNullable<MapData['features'][number]['properties']>) => boolean = () => true,
) {
  return {
    type: 'FeatureCollection',
    features: (data?.features ?? [])
      .filter(({ properties }) => (properties?.kind ?? 'line') === kind && which(properties ?? {}))
      .map((feature) => ({ ...feature, geometry: drawable(feature.geometry) })),
  } as MapData;
}

/** What has an inside. */
const areas = (data: MapData): MapData => ({
  ...data,
  features: data.features.filter(({ geometry }) => geometry.type.endsWith('Polygon')),
});

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
    const box = (sheet.current as unknown as HTMLElement | null)?.getBoundingClientRect();
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
          <Svg width={width} height={height} role="img" aria-label={`Map with ${shown.length} places`}>
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
            <Small soft>
              {shown.length === 0 ? 'No place is drawn yet.' : 'No map is loaded: only the places are drawn.'}
            </Small>
          </View>
        )}
      </View>
      <View style={styles.ways}>
        <Button label="Nearer" tone="plain" onPress={() => nearer(middle)} />
        <Button label="Farther" tone="plain" disabled={!larger} onPress={farther} />
        <Button label="All of it" tone="plain" disabled={!larger} onPress={whole} />
      </View>
    </View>
  );
}

/** Below its point, or above it where a mark stands below. */
function clearOf(
  [x, y]: readonly [number, number],
  marks: readonly (readonly [number, number])[],
  height: number,
): number {
  const free = (at: number) =>
    at > 14 &&
    at < height - 6 &&
    !marks.some((mark) => Math.abs(mark[0] - x) < 64 && Math.abs(mark[1] - at + 5) < 22);
  return [y + 34, y - 22, y + 52, y - 40].find(free) ?? Math.min(height - 8, y + 34);
}
/** Its outline lies behind the letters, so that they can be read over lines. */
const OVER = { paintOrder: 'stroke' } as object;
/** However near one looks, lines stay as wide. */
const AS_WIDE = { vectorEffect: 'non-scaling-stroke' } as const;
const RADIUS = 13;
/** The line or the area of a place, as large as it is. */
function Outline({
  shape,
  d,
  chosen,
}: {
  readonly shape: Geometry;
  readonly d: string;
  readonly chosen: boolean;
}) {
  if (shape.type === 'Polygon')
    return (
      <Path
        d={d}
        fill={colour.pause}
        fillOpacity={0.5}
        stroke={colour.ink}
        strokeWidth={chosen ? 3 : 1.5}
        {...AS_WIDE}
      />
    );
  return shape.type === 'LineString' ? (
    <Path
      d={d}
      fill="none"
      stroke={colour.ink}
      strokeWidth={chosen ? 6 : 4}
      strokeLinecap="round"
      {...AS_WIDE}
    />
  ) : null;
}

function Mark({
  point,
  from,
  at,
  number,
  chosen,
}: {
  readonly point: boolean;
  readonly from: [number, number];
  readonly at: [number, number];
  readonly number: number;
  readonly chosen: boolean;
}) {
  return (
    <G>
      {point ? <Circle cx={from[0]} cy={from[1]} r={4} fill={colour.ink} /> : null}
      <Line x1={from[0]} y1={from[1]} x2={at[0]} y2={at[1]} stroke={colour.ink} strokeWidth={1.5} />
      <Circle
        cx={at[0]}
        cy={at[1]}
        r={RADIUS}
        fill={chosen ? colour.ink : colour.card}
        stroke={colour.ink}
        strokeWidth={2}
      />
      <Text
        transform={`translate(${at[0]} ${at[1] + 5.5})`}
        textAnchor="middle"
        fontFamily={font.readBold}
        fontSize={15}
        fill={chosen ? colour.onDark : colour.ink}
      >
        {number}
      </Text>
    </G>
  );
}

/** A shape while it is drawn: its points, and what they come to so far. */
function Draft({
  kind,
  at,
}: {
  readonly kind: ShapeKind;
  readonly at: readonly (readonly [number, number])[];
}) {
  const d = at.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');
  return (
    <G>
      {kind === 'Point' || at.length < 2 ? null : (
        <Path
          d={kind === 'Polygon' ? `${d}Z` : d}
          fill={kind === 'Polygon' ? colour.pause : 'none'}
          fillOpacity={0.5}
          stroke={colour.ink}
          strokeWidth={3}
          strokeLinejoin="round"
        />
      )}
      {at.map(([x, y], index) => (
        <Circle
          key={index}
          cx={x}
          cy={y}
          r={index === at.length - 1 ? 8 : 5}
          fill={index === at.length - 1 ? colour.ink : colour.card}
          stroke={colour.ink}
          strokeWidth={2}
        />
      ))}
    </G>
  );
}

/** Who moves a finger on it moves it, once it is drawn larger; else the page. */
const MOVES = { touchAction: 'none', cursor: 'grab' } as unknown as ViewStyle;
const STAYS = { touchAction: 'pan-y' } as unknown as ViewStyle;

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
