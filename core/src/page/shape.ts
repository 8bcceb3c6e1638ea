import type { Geometry, GeoPosition } from './geometry';

/** All positions of a shape, in order. */
export function positionsOf(shape: Geometry): readonly GeoPosition[] {
  if (shape.type === 'Point') return [shape.coordinates];
  return shape.type === 'LineString' ? shape.coordinates : shape.coordinates.flat();
}

/** The middle of the box around a shape: good enough to order walks and to look up a square by. Not across the 180th meridian. */
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
export function metresBetween(a: readonly [number, number, ...number[]], b: readonly [number, number, ...number[]]): number {
  const [lat1, lat2] = [radians(a[1]), radians(b[1])];
  const half = Math.sin((lat2 - lat1) / 2) ** 2 + Math.cos(lat1) * Math.cos(lat2) * Math.sin(radians(b[0] - a[0]) / 2) ** 2;
  return 2 * EARTH_METRES * Math.asin(Math.min(1, Math.sqrt(half)));
}
