import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { Geometry, type GeoPosition } from '../../notebook/page/geometry';
import { metresBetween, middleOf, positionsOf } from '../../notebook/page/shape';

/**
 * Places out of files that other programs wrote: GPX 1.0 or 1.1, and GeoJSON (RFC 7946). What cannot be used
 * is refused with a reason, and nothing of it is taken.
 */

export interface ReadPlace {
  readonly name?: string;
  readonly note?: string;
  readonly shape: Geometry;
  /** Metres above the sea, where the file says it of a point. */
  readonly elevation?: number;
}
export interface FileProblem {
  /** The feature or member that is wrong, as it stands in the file. */
  readonly field: string;
  readonly reason: string;
}
export type ReadPlaces =
  | {
      readonly places: readonly ReadPlace[];
      /** What was left out or simplified, to be told. */ readonly remarks: readonly string[];
    }
  | { readonly problems: readonly FileProblem[] };

export const MOST_BYTES = 15_000_000;
const MOST_PLACES = 500;
const MOST_POSITIONS = 2000;
const MOST_TOLD = 5;

export interface Feature {
  readonly properties?: Readonly<Record<string, unknown>> | null;
  readonly geometry?: {
    readonly type?: unknown;
    readonly coordinates?: unknown;
    readonly geometries?: unknown;
  } | null;
}

const problem = (field: string, reason: string): ReadPlaces => ({ problems: [{ field, reason }] });

/**
 * @param text of the file
 * @param near where this person's other places are: what would be far from there, and near it with latitude
 * and longitude changed over, is taken to be so by mistake
 */
export function readPlaces(text: string, near?: readonly [longitude: number, latitude: number]): ReadPlaces {
  if (text.length > MOST_BYTES)
    return problem(
      'file',
      `it is larger than ${MOST_BYTES / 1e6} MB; a track recorded every second can be thinned out before`,
    );
  const clean = text.replace(/^\uFEFF/, '').trim();
  if (clean === '') return problem('file', 'it is empty');
  const features = clean.startsWith('<') ? fromGpx(clean) : fromGeoJson(clean);
  return 'problems' in features ? features : taken(features, near);
}

function fromGpx(text: string): readonly Feature[] | { readonly problems: readonly FileProblem[] } {
  let broken: string | undefined;
  let document;
  try {
    document = new DOMParser({
      onError: (level, message) => {
        if (level !== 'warning') broken ??= message;
      },
    }).parseFromString(text, 'text/xml');
  } catch (error) {
    broken ??= error instanceof Error ? error.message : String(error);
  }
  if (!document || broken !== undefined)
    return {
      problems: [
        { field: 'file', reason: `the XML is broken: ${(broken ?? '').split('\n')[0]?.slice(0, 160) ?? ''}` },
      ],
    };
  if (document.documentElement?.localName !== 'gpx')
    return {
      problems: [
        { field: document.documentElement?.localName ?? 'file', reason: 'this is XML, but not GPX' },
      ],
    };
  return gpx(document as never).features;
}

const WGS84 = /CRS84|EPSG::?4326/;
/** The features of a file in GeoJSON, or what is wrong with it as a whole. */
export function fromGeoJson(
  text: string,
): readonly Feature[] | { readonly problems: readonly FileProblem[] } {
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch (error) {
    return {
      problems: [
        {
          field: 'file',
          reason: `it is neither GPX nor JSON: ${error instanceof Error ? error.message : ''}`,
        },
      ],
    };
  }
  if (typeof said !== 'object' || said === null || !('type' in said))
    return { problems: [{ field: 'type', reason: 'this is JSON, but not GeoJSON' }] };
  const { type, features, crs } = said as { type: unknown; features?: unknown; crs?: unknown };
  if (crs !== undefined && crs !== null && !WGS84.test(JSON.stringify(crs)))
    return {
      problems: [
        { field: 'crs', reason: 'another reference system than WGS 84; save it in longitude and latitude' },
      ],
    };
  if (type === 'FeatureCollection')
    return Array.isArray(features)
      ? (features as Feature[])
      : { problems: [{ field: 'features', reason: 'a list of features' }] };
  return type === 'Feature' ? [said as Feature] : [{ geometry: said }];
}

function taken(features: readonly Feature[], near: readonly [number, number] | undefined): ReadPlaces {
  const problems: FileProblem[] = [];
  const remarks: string[] = [];
  const places: ReadPlace[] = [];
  let thinned = 0;
  let empty = 0;
  for (const [index, feature] of features.entries()) {
    const properties = feature.properties ?? {};
    const name = textOf(properties.name ?? properties.title ?? properties.Name, 120);
    const note = textOf(properties.desc ?? properties.description ?? properties.cmt, 2000);
    const called = name ?? `feature ${index + 1}`;
    if (!feature.geometry) {
      empty += 1;
      continue;
    }
    for (const simple of simplified(feature.geometry, properties)) {
      const swapped = latitudeTooFar(simple.coordinates);
      if (swapped !== undefined) {
        problems.push({
          field: called,
          reason: `${swapped} is no latitude; longitude stands first in GeoJSON, and may have been changed over`,
        });
        continue;
      }
      const thin = thinnedOut(simple);
      if (thin !== simple) thinned += 1;
      const shape = Geometry.safeParse(thin);
      if (!shape.success) {
        problems.push({
          field: called,
          reason: shape.error.issues[0]?.message ?? 'a shape that cannot be read',
        });
        continue;
      }
      const [, , elevation] = shape.data.type === 'Point' ? shape.data.coordinates : [];
      places.push({
        shape: shape.data,
        ...(name === undefined ? {} : { name }),
        ...(note === undefined ? {} : { note }),
        ...(elevation === undefined ? {} : { elevation }),
      });
    }
  }
  if (problems.length > 0) return { problems: problems.slice(0, MOST_TOLD) };
  if (places.length === 0) return problem('file', 'there is no place, line or area in it');
  if (places.length > MOST_PLACES)
    return problem('file', `${places.length} places; up to ${MOST_PLACES} at once`);
  if (near && places.every(({ shape }) => looksChangedOver(shape, near)))
    return problem(
      'coordinates',
      'latitude and longitude seem to be changed over: so they would be near your other places, and as they stand they are far away',
    );
  if (thinned > 0)
    remarks.push(
      `${thinned === 1 ? 'One line was' : `${thinned} lines were`} thinned out to ${MOST_POSITIONS} positions.`,
    );
  if (empty > 0)
    remarks.push(
      `${empty === 1 ? 'One feature has' : `${empty} features have`} no place and ${empty === 1 ? 'was' : 'were'} left out.`,
    );
  return { places, remarks };
}

export function textOf(value: unknown, most: number): string | undefined {
  const text =
    typeof value === 'string' || typeof value === 'number' ? String(value).trim().slice(0, most) : '';
  return text === '' ? undefined : text;
}

interface Simple {
  readonly type: string;
  readonly coordinates: unknown;
}
/** What has several parts, as its parts. An area that was written as a track reads back as an area. */
function simplified(
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
function looksChangedOver(shape: Geometry, near: readonly [number, number]): boolean {
  const [longitude, latitude] = middleOf(shape);
  return (
    Math.abs(longitude) <= 90 &&
    metresBetween([longitude, latitude], near) > FAR &&
    metresBetween([latitude, longitude], near) < NEAR
  );
}

/** A line of very many positions, with those left out that change it least. */
function thinnedOut(simple: Simple): Simple {
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
function thin(line: readonly GeoPosition[]): GeoPosition[] {
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

/** How far places reach: the middle of all their positions' box. */
export function middleOfAll(shapes: readonly Geometry[]): readonly [number, number] | undefined {
  const all = shapes.flatMap(positionsOf);
  return all.length === 0 ? undefined : middleOf({ type: 'LineString', coordinates: all });
}
