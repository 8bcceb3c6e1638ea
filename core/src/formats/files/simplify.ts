import { Geometry, type GeoPosition } from '../../notebook/page/geometry';
import { middleOf, metresBetween } from '../../notebook/page/shape';
import type { Feature } from './read';

/** Makes outlines from files small and checks that they are on the earth. */

export const MOST_POSITIONS = 2000;

interface Simple {
  readonly type: string;
  readonly coordinates: unknown;
}

/** What has several parts, as its parts. An area that was written as a track reads back as an area. */
export function simplified(
  { type, coordinates, geometries }: NonNullable<Feature['geometry']>,
  properties: Readonly<Record<string, unknown>>,
): Simple[] {
  const list = Array.isArray(coordinates) ? (coordinates as unknown[]) : [];
  if (type === 'GeometryCollection')
    return (Array.isArray(geometries) ? (geometries as NonNullable<Feature['geometry']>[]) : []).flatMap(
      (one) => simplified(one, properties),
    );
  if (properties._gpxType === 'trk' && properties.type === 'area')
    return [{ type: 'Polygon', coordinates: type === 'MultiLineString' ? list : [list] }];
  const single =
    typeof type === 'string' && type.startsWith('Multi') ? type.slice('Multi'.length) : undefined;
  if (single === undefined) return [{ type: String(type), coordinates }];
  return list
    .filter((part) => !(single === 'LineString' && Array.isArray(part) && part.length < 2))
    .map((part) => ({ type: single, coordinates: part }));
}

/** The first number that stands for a latitude and is none. */
export function latitudeTooFar(coordinates: unknown): number | undefined {
  if (!Array.isArray(coordinates)) return undefined;
  const list = coordinates as unknown[];
  if (typeof list[0] === 'number')
    return typeof list[1] === 'number' && Math.abs(list[1]) > 90 ? list[1] : undefined;
  for (const part of list) {
    const found = latitudeTooFar(part);
    if (found !== undefined) return found;
  }
  return undefined;
}

const FAR = 500_000;
const NEAR = 200_000;

export function looksChangedOver(shape: Geometry, near: readonly [number, number]): boolean {
  const [longitude, latitude] = middleOf(shape);
  return (
    Math.abs(longitude) <= 90 &&
    metresBetween([longitude, latitude], near) > FAR &&
    metresBetween([latitude, longitude], near) < NEAR
  );
}

/** A line of very many positions, with those left out that change it least. */
export function thinnedOut(simple: Simple): Simple {
  const { type, coordinates } = simple;
  if (type === 'LineString' && Array.isArray(coordinates) && coordinates.length > MOST_POSITIONS)
    return { type, coordinates: thin(coordinates as GeoPosition[]) };
  if (type === 'Polygon' && Array.isArray(coordinates)) {
    const rings = coordinates as GeoPosition[][];
    if (rings.some((ring) => Array.isArray(ring) && ring.length > MOST_POSITIONS))
      return { type, coordinates: rings.map((ring) => (ring.length > MOST_POSITIONS ? thin(ring) : ring)) };
  }
  return simple;
}

/**
 * Of a line the positions that matter most: the farthest from the line so far, again and again (Ramer 1972,
 * Douglas and Peucker 1973), until there are enough. Where a line ends where it begins, distances from that
 * point count.
 */
export function thin(line: readonly GeoPosition[]): GeoPosition[] {
  const keep = new Set([0, line.length - 1]);
  const parts = [farthest(line, 0, line.length - 1)];
  while (keep.size < MOST_POSITIONS) {
    let best = 0;
    for (let at = 1; at < parts.length; at += 1)
      if ((parts[at]?.far ?? 0) > (parts[best]?.far ?? 0)) best = at;
    const part = parts[best];
    if (!part || part.far <= 0) break;
    keep.add(part.at);
    parts.splice(best, 1, farthest(line, part.from, part.at), farthest(line, part.at, part.to));
  }
  return [...keep]
    .sort((a, b) => a - b)
    .flatMap((at) => {
      const position = line[at];
      return position ? [position] : [];
    });
}

interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly at: number;
  readonly far: number;
}

function farthest(line: readonly GeoPosition[], from: number, to: number): Stretch {
  const [a, b] = [line[from], line[to]];
  let found: Stretch = { from, to, at: from, far: 0 };
  if (!a || !b) return found;
  const [x, y] = [b[0] - a[0], b[1] - a[1]];
  const length = x * x + y * y;
  for (let at = from + 1; at < to; at += 1) {
    const p = line[at];
    if (!p) continue;
    const along =
      length === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * x + (p[1] - a[1]) * y) / length));
    const far = (p[0] - a[0] - along * x) ** 2 + (p[1] - a[1] - along * y) ** 2;
    if (far > found.far) found = { from, to, at, far };
  }
  return found;
}
