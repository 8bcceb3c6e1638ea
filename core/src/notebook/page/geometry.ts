import { z } from 'zod';

/**
 * Where something is, as GeoJSON has it (RFC 7946): degrees on WGS 84, longitude first, and metres above the
 * sea where known.
 */

const longitude = z
  .number()
  .min(-180, 'a longitude from -180 to 180')
  .max(180, 'a longitude from -180 to 180');
const latitude = z.number().min(-90, 'a latitude from -90 to 90').max(90, 'a latitude from -90 to 90');
export const GeoPosition = z.union(
  [z.tuple([longitude, latitude]), z.tuple([longitude, latitude, z.number().min(-500).max(9000)])],
  { error: 'a position: longitude, latitude and perhaps metres' },
);
export type GeoPosition = z.infer<typeof GeoPosition>;

const MOST = 2000;
const same = (a: GeoPosition | undefined, b: GeoPosition | undefined) =>
  a !== undefined && b !== undefined && a[0] === b[0] && a[1] === b[1];
const ring = z
  .array(GeoPosition)
  .min(4, 'a ring of four positions or more')
  .max(MOST)
  .refine((positions) => same(positions[0], positions.at(-1)), 'a ring that ends where it begins');

/** A point, a line or an area. */
export const Geometry = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('Point'), coordinates: GeoPosition }),
  z.strictObject({
    type: z.literal('LineString'),
    coordinates: z.array(GeoPosition).min(2, 'a line of two positions or more').max(MOST),
  }),
  z.strictObject({ type: z.literal('Polygon'), coordinates: z.array(ring).min(1).max(20) }),
]);
export type Geometry = z.infer<typeof Geometry>;
