import { z } from 'zod';

/** Where something is, as GeoJSON has it (RFC 7946): degrees on WGS 84, longitude first, and metres above the sea where known. */

const longitude = z.number().min(-180, 'a longitude from -180 to 180').max(180, 'a longitude from -180 to 180');
const latitude = z.number().min(-90, 'a latitude from -90 to 90').max(90, 'a latitude from -90 to 90');
export const GeoPosition = z.union([z.tuple([longitude, latitude]), z.tuple([longitude, latitude, z.number().min(-500).max(9000)])], { error: 'a position: longitude, latitude and perhaps metres' });
export type GeoPosition = z.infer<typeof GeoPosition>;

const MOST = 2000;
const same = (a: GeoPosition | undefined, b: GeoPosition | undefined) => a !== undefined && b !== undefined && a[0] === b[0] && a[1] === b[1];
const ring = z.array(GeoPosition).min(4, 'a ring of four positions or more').max(MOST)
  .refine((positions) => same(positions[0], positions.at(-1)), 'a ring that ends where it begins');

/** A point, a line or an area. */
export const Geometry = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('Point'), coordinates: GeoPosition }),
  z.strictObject({ type: z.literal('LineString'), coordinates: z.array(GeoPosition).min(2, 'a line of two positions or more').max(MOST) }),
  z.strictObject({ type: z.literal('Polygon'), coordinates: z.array(ring).min(1).max(20) }),
]);
export type Geometry = z.infer<typeof Geometry>;

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
