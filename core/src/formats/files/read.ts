import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { Geometry } from '../../notebook/page/geometry';
import { positionsOf, middleOf } from '../../notebook/page/shape';
import { simplified, latitudeTooFar, thinnedOut, looksChangedOver, MOST_POSITIONS } from './simplify';

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
  /** The feature or member that is wrong, as the file has it. */
  readonly field: string;
  readonly reason: string;
}

/** What was left out or simplified, and how often: lines thinned out, features without a place, or not drawn. */
export type FileRemark =
  | {
      readonly code: 'thinned-out';
      readonly count: number;
      /** Positions of a line. */ readonly most: number;
    }
  | { readonly code: 'no-place' | 'not-drawn'; readonly count: number };

/** Remarks of what occurred at all. */
export const remarksOf = (...all: readonly FileRemark[]): FileRemark[] =>
  all.filter(({ count }) => count > 0);

export type ReadPlaces =
  | {
      readonly places: readonly ReadPlace[];
      readonly remarks: readonly FileRemark[];
    }
  | { readonly problems: readonly FileProblem[] };

export const MOST_BYTES = 15_000_000;
const MOST_PLACES = 500;
const MOST_LISTED = 5;

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
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
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
  if (typeof parsed !== 'object' || parsed === null || !('type' in parsed))
    return { problems: [{ field: 'type', reason: 'this is JSON, but not GeoJSON' }] };
  const { type, features, crs } = parsed as { type: unknown; features?: unknown; crs?: unknown };
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
  return type === 'Feature' ? [parsed as Feature] : [{ geometry: parsed }];
}

function taken(features: readonly Feature[], near: readonly [number, number] | undefined): ReadPlaces {
  const problems: FileProblem[] = [];
  const places: ReadPlace[] = [];
  let [thinned, empty] = [0, 0];
  for (const [index, feature] of features.entries()) {
    const properties = feature.properties ?? {};
    const name = textOf(properties.name ?? properties.title ?? properties.Name, 120);
    const note = textOf(properties.desc ?? properties.description ?? properties.cmt, 2000);
    if (!feature.geometry) empty += 1;
    for (const simple of feature.geometry ? simplified(feature.geometry, properties) : []) {
      const read = readShape(simple);
      if ('reason' in read) {
        problems.push({ field: name ?? `feature ${index + 1}`, reason: read.reason });
        continue;
      }
      if (read.thinned) thinned += 1;
      places.push({
        ...read.place,
        ...(name === undefined ? {} : { name }),
        ...(note === undefined ? {} : { note }),
      });
    }
  }
  if (problems.length > 0) return { problems: problems.slice(0, MOST_LISTED) };
  return (
    problemOfAll(places, near) ?? {
      places,
      remarks: remarksOf(
        { code: 'thinned-out', count: thinned, most: MOST_POSITIONS },
        { code: 'no-place', count: empty },
      ),
    }
  );
}

/** What is wrong with the places of a file together. */
function problemOfAll(
  places: readonly ReadPlace[],
  near: readonly [number, number] | undefined,
): ReadPlaces | undefined {
  if (places.length === 0) return problem('file', 'there is no place, line or area in it');
  if (places.length > MOST_PLACES)
    return problem('file', `${places.length} places; up to ${MOST_PLACES} at once`);
  if (near && places.every(({ shape }) => looksChangedOver(shape, near)))
    return problem(
      'coordinates',
      'latitude and longitude seem to be changed over: so they would be near your other places, and as they ' +
        'stand they are far away',
    );
  return undefined;
}

function readShape(
  simple: ReturnType<typeof simplified>[number],
): { readonly place: ReadPlace; readonly thinned: boolean } | { readonly reason: string } {
  const swapped = latitudeTooFar(simple.coordinates);
  if (swapped !== undefined) return { reason: changedOver(swapped) };
  const thin = thinnedOut(simple);
  const { data: shape, error } = Geometry.safeParse(thin);
  if (!shape) return { reason: error.issues[0]?.message ?? 'a shape that cannot be read' };
  const [, , elevation] = shape.type === 'Point' ? shape.coordinates : [];
  return {
    place: { shape, ...(elevation === undefined ? {} : { elevation }) },
    thinned: thin !== simple,
  };
}

export const changedOver = (latitude: number): string =>
  `${latitude} is no latitude; longitude stands first in GeoJSON, and may have been changed over`;

export function textOf(value: unknown, most: number): string | undefined {
  const text =
    typeof value === 'string' || typeof value === 'number' ? String(value).trim().slice(0, most) : '';
  return text === '' ? undefined : text;
}

/** How far places reach: the middle of all their positions' box. */
export function middleOfAll(shapes: readonly Geometry[]): readonly [number, number] | undefined {
  const all = shapes.flatMap(positionsOf);
  return all.length === 0 ? undefined : middleOf({ type: 'LineString', coordinates: all });
}
