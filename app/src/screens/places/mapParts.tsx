import type { ViewStyle } from 'react-native';
import { Path, G, Circle, Line, Text } from 'react-native-svg';
import type { MapData } from '@pause/core/formats/files';
import type { GeoPosition, Geometry } from '@pause/core/notebook/page';
import type { ShapeKind } from '@pause/core/notebook/page/shape';
import { colour, font } from '../../components';
import type { Place } from '../../notebook/usePlaces';

/** What is drawn on a map. */

export interface MapViewProps {
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

/** A place with a shape, and its number in the list. */
export interface ShownPlace {
  readonly place: Place;
  readonly shape: NonNullable<Place['fields']['shape']>;
  readonly number: number;
}

export const PADDING = 26;

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

export const drawable = <T extends { readonly type: string }>(shape: T): T =>
  shape.type === 'Polygon'
    ? { ...shape, coordinates: wound((shape as unknown as { coordinates: number[][][] }).coordinates) }
    : shape;

export const flatPositions = (of: unknown): number[][] =>
  Array.isArray(of) ? (typeof of[0] === 'number' ? [of as number[]] : of.flatMap(flatPositions)) : [];

/** Everything of one kind as one line, so that a map of thousands of contours is few things to draw. */
export function layers(
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
export const areas = (data: MapData): MapData => ({
  ...data,
  features: data.features.filter(({ geometry }) => geometry.type.endsWith('Polygon')),
});

/** Below its point, or above it where a mark is below. */
export function clearOf(
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
export const OVER = { paintOrder: 'stroke' } as object;

/** However near one looks, lines stay as wide. */
export const AS_WIDE = { vectorEffect: 'non-scaling-stroke' } as const;

const RADIUS = 13;

/** The line or the area of a place, as large as it is. */
export function Outline({
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

export function Mark({
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
export function Draft({
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
export const MOVES = { touchAction: 'none', cursor: 'grab' } as unknown as ViewStyle;

export const STAYS = { touchAction: 'pan-y' } as unknown as ViewStyle;
