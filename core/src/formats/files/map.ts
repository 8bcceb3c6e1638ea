import type { FeatureCollection, Geometry } from 'geojson';
import {
  changedOver,
  type Feature,
  type FileProblem,
  type FileRemark,
  fromGeoJson,
  MOST_BYTES,
  remarksOf,
  textOf,
} from './read';
import { latitudeTooFar } from './simplify';

/**
 * A map of one's own out of a file: GeoJSON (RFC 7946), with what each feature is either as `kind`, in the
 * words of this type, or by the tags that are customary in open geodata (`natural`, `landuse`, `waterway`,
 * `highway`, `ele`). What is tagged otherwise is drawn by its shape.
 */
export type MapKind = 'wood' | 'meadow' | 'water' | 'path' | 'contour' | 'name';
export interface MapProperties {
  readonly kind?: MapKind;
  readonly name?: string;
  /** Of a contour, above the sea. */
  readonly metres?: number;
  /** Of a wood, of which trees. */
  readonly of?: 'beech' | 'spruce';
  /** Of a water: from 2 on a river. */
  readonly width?: number;
}
export type MapData = FeatureCollection<Geometry, MapProperties | null>;
export type ReadMap =
  | { readonly map: MapData; readonly remarks: readonly FileRemark[] }
  | { readonly problems: readonly FileProblem[] };

const MOST_POSITIONS = 300_000;
const MOST_NAMES = 40;
const MOST_LISTED = 5;
/** Decimals of a degree that are kept: about a metre. */
const DECIMALS = 1e5;
const DRAWN: readonly string[] = ['Point', 'LineString', 'MultiLineString', 'Polygon', 'MultiPolygon'];
const KINDS: readonly string[] = [
  'wood',
  'meadow',
  'water',
  'path',
  'contour',
  'name',
] satisfies readonly MapKind[];

const problem = (field: string, reason: string): ReadMap => ({ problems: [{ field, reason }] });

export function readMap(text: string): ReadMap {
  if (text.length > MOST_BYTES)
    return problem('file', `it is larger than ${MOST_BYTES / 1e6} MB; cut out the part that you walk in`);
  const clean = text.replace(/^\uFEFF/, '').trim();
  if (clean === '') return problem('file', 'it is empty');
  const features = fromGeoJson(clean);
  if ('problems' in features) return features;
  const problems = features.flatMap((feature, index): FileProblem[] => {
    const swapped = latitudeTooFar(feature.geometry?.coordinates);
    const field = textOf(feature.properties?.name, 120) ?? `feature ${index + 1}`;
    return swapped === undefined ? [] : [{ field, reason: changedOver(swapped) }];
  });
  if (problems.length > 0) return { problems: problems.slice(0, MOST_LISTED) };
  const { drawn, positions, left } = drawnOf(features);
  if (positions > MOST_POSITIONS)
    return problem(
      'file',
      `${positions.toLocaleString('en')} positions; up to ${MOST_POSITIONS.toLocaleString('en')} can be ` +
        `drawn on a phone, so cut out the part that you walk in`,
    );
  if (drawn.every(({ properties }) => properties?.kind === 'name'))
    return problem('features', 'there is nothing to draw a map of: no line and no area');
  return {
    map: { type: 'FeatureCollection', features: drawn },
    remarks: remarksOf({ code: 'not-drawn', count: left }),
  };
}

/** What of a file is drawn, of how many positions; and how many features are left out. */
function drawnOf(features: readonly Feature[]) {
  const drawn: MapData['features'] = [];
  let [positions, left, names] = [0, 0, 0];
  for (const { geometry, properties } of features) {
    const type = String(geometry?.type);
    const kept = DRAWN.includes(type) ? rounded(geometry?.coordinates, type) : undefined;
    const kind = kept && kindOf(type, properties ?? {});
    if (!kept || !kind || (kind.kind === 'name' && names >= MOST_NAMES)) {
      left += 1;
      continue;
    }
    if (kind.kind === 'name') names += 1;
    positions += kept.positions;
    drawn.push({
      type: 'Feature',
      properties: kind,
      geometry: { type, coordinates: kept.coordinates } as Geometry,
    });
  }
  return { drawn, positions, left };
}

interface Rounded {
  readonly coordinates: unknown;
  readonly positions: number;
}
/**
 * Coordinates to about a metre, without heights; nothing where a number is missing or a line has no length.
 */
function rounded(coordinates: unknown, type: string): Rounded | undefined {
  if (!Array.isArray(coordinates)) return undefined;
  const list = coordinates as unknown[];
  if (type === 'Point') {
    const [x, y] = list;
    if (typeof x !== 'number' || typeof y !== 'number' || !(Math.abs(x) <= 180) || !(Math.abs(y) <= 90))
      return undefined;
    return {
      coordinates: [Math.round(x * DECIMALS) / DECIMALS, Math.round(y * DECIMALS) / DECIMALS],
      positions: 1,
    };
  }
  const inner =
    { LineString: 'Point', MultiLineString: 'LineString', Polygon: 'LineString', MultiPolygon: 'Polygon' }[
      type
    ] ?? '';
  const parts = list.map((one) => rounded(one, inner));
  if (parts.some((one) => one === undefined) || parts.length < (inner === 'Point' ? 2 : 1)) return undefined;
  return {
    coordinates: parts.map((one) => one?.coordinates),
    positions: parts.reduce((sum, one) => sum + (one?.positions ?? 0), 0),
  };
}

/** The first of some properties that is a number, also written as a text. */
const numberOf = (properties: Tags, ...names: string[]): number | undefined =>
  names
    .map((one) => properties[one])
    .map((value) => (typeof value === 'string' && value.trim() !== '' ? Number(value) : value))
    .find((value): value is number => typeof value === 'number' && Number.isFinite(value));

type Tags = NonNullable<Feature['properties']>;

const LENGTH_OF_TAG = 60;
const tagOf = (properties: Tags, name: string) => textOf(properties[name], LENGTH_OF_TAG);

/** What a feature is drawn as: as it says itself, or by the usual tags of maps. */
function drawnAs(properties: Tags, area: boolean): MapKind {
  const tag = (name: string) => tagOf(properties, name);
  const given = tag('kind');
  if (given !== undefined && KINDS.includes(given)) return given as MapKind;
  const natural = tag('natural');
  if (natural === 'wood' || tag('landuse') === 'forest') return 'wood';
  if (natural === 'water' || tag('waterway') !== undefined) return 'water';
  if (area) return 'meadow';
  const climbs = tag('highway') === undefined && heightOf(properties) !== undefined;
  return climbs ? 'contour' : 'path';
}

/** Metres above the sea. */
const heightOf = (properties: Tags) => numberOf(properties, 'metres', 'ele', 'elevation');

function kindOf(type: string, properties: Tags): MapProperties | undefined {
  const tag = (one: string) => tagOf(properties, one);
  if (type === 'Point') {
    const name = tag('name');
    return name === undefined ? undefined : { kind: 'name', name };
  }
  const area = type.endsWith('Polygon');
  const kind = drawnAs(properties, area);
  switch (kind) {
    case 'name':
      return undefined;
    case 'wood':
      return { kind, of: tag('of') === 'spruce' || tag('leaf_type') === 'needleleaved' ? 'spruce' : 'beech' };
    case 'water':
      return { kind, width: numberOf(properties, 'width') ?? (area || tag('waterway') === 'river' ? 2 : 1) };
    case 'contour':
      return { kind, metres: heightOf(properties) ?? 0 };
    default:
      return { kind };
  }
}
