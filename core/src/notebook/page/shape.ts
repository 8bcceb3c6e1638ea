import type { Geometry, GeoPosition } from './geometry';

/** All positions of a shape, in order. */
export function positionsOf(shape: Geometry): readonly GeoPosition[] {
  if (shape.type === 'Point') return [shape.coordinates];
  return shape.type === 'LineString' ? shape.coordinates : shape.coordinates.flat();
}

/**
 * The middle of the box around a shape: good enough to order walks and to look up a square by. Not across the
 * 180th meridian.
 */
export function middleOf(shape: Geometry): readonly [longitude: number, latitude: number] {
  const all = positionsOf(shape);
  const middle = (axis: 0 | 1) => {
    let [least, most] = [Infinity, -Infinity];
    for (const position of all) {
      least = Math.min(least, position[axis]);
      most = Math.max(most, position[axis]);
    }
    return (least + most) / 2;
  };
  return [middle(0), middle(1)];
}

const EARTH_METRES = 6_371_008.8;
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Metres between two positions along the sphere of mean radius (haversine formula). */
export function metresBetween(
  a: readonly [number, number, ...number[]],
  b: readonly [number, number, ...number[]],
): number {
  const [lat1, lat2] = [radians(a[1]), radians(b[1])];
  const half =
    Math.sin((lat2 - lat1) / 2) ** 2 +
    Math.cos(lat1) * Math.cos(lat2) * Math.sin(radians(b[0] - a[0]) / 2) ** 2;
  return 2 * EARTH_METRES * Math.asin(Math.min(1, Math.sqrt(half)));
}

export type ShapeKind = Geometry['type'];
/** How many positions each kind of shape needs at least. */
export const LEAST_POSITIONS: Readonly<Record<ShapeKind, number>> = { Point: 1, LineString: 2, Polygon: 3 };

/**
 * A shape out of positions as they were put down, one after another; an area is closed. Nothing while there
 * are too few.
 */
export function shapeOf(kind: ShapeKind, positions: readonly GeoPosition[]): Geometry | undefined {
  const [first] = positions;
  const last = positions.at(-1);
  if (!first || !last || positions.length < LEAST_POSITIONS[kind]) return undefined;
  if (kind === 'Point') return { type: kind, coordinates: last };
  return kind === 'LineString'
    ? { type: kind, coordinates: [...positions] }
    : { type: kind, coordinates: [[...positions, first]] };
}

/** Metres along a line. */
export function lengthOf(positions: readonly GeoPosition[]): number {
  return positions
    .slice(1)
    .reduce((sum, position, index) => sum + metresBetween(positions[index] ?? position, position), 0);
}

/**
 * Square metres within a ring, as if the ground were level (shoelace formula on the plane that touches the
 * sphere there): good to a hundredth for what one can walk round.
 */
export function areaOf(ring: readonly GeoPosition[]): number {
  const [x0, y0] = ring[0] ?? [0, 0];
  const [east, north] = [radians(1) * EARTH_METRES * Math.cos(radians(y0)), radians(1) * EARTH_METRES];
  const plane = ring.map(([x, y]) => [(x - x0) * east, (y - y0) * north] as const);
  return (
    Math.abs(
      plane.reduce((sum, [x, y], at) => {
        const [nextX, nextY] = plane[(at + 1) % plane.length] ?? [0, 0];
        return sum + x * nextY - nextX * y;
      }, 0),
    ) / 2
  );
}
