import type { FeatureCollection, Geometry } from 'geojson';
import { fromGeoJson, MOST_BYTES, textOf, type Feature, type FileProblem } from './read';
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
  | { readonly map: MapData; /** What was left out, to be told. */ readonly remarks: readonly string[] }
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

export function readMap(text: string): ReadMap {
  if (text.length > MOST_BYTES)
    return {
      problems: [
        {
          field: 'file',
          reason: `it is larger than ${MOST_BYTES / 1e6} MB; cut out the part that you walk in`,
        },
      ],
    };
  const clean = text.replace(/^\uFEFF/, '').trim();
  if (clean === '') return { problems: [{ field: 'file', reason: 'it is empty' }] };
  const features = fromGeoJson(clean);
  if ('problems' in features) return features;
  const problems: FileProblem[] = [];
  const drawn: MapData['features'] = [];
  let [positions, left, names] = [0, 0, 0];
  for (const [index, feature] of features.entries()) {
    const properties = feature.properties ?? {};
    const type = String(feature.geometry?.type);
    const wrong = latitudeTooFar(feature.geometry?.coordinates);
    if (wrong !== undefined) {
      problems.push({
        field: textOf(properties.name, 120) ?? `feature ${index + 1}`,
        reason: `${wrong} is no latitude; longitude stands first in GeoJSON, and may have been changed over`,
      });
      continue;
    }
    const kept = DRAWN.includes(type) ? rounded(feature.geometry?.coordinates, type) : undefined;
    const kind = kept && kindOf(type, properties);
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
  if (problems.length > 0) return { problems: problems.slice(0, MOST_LISTED) };
  if (positions > MOST_POSITIONS)
    return {
      problems: [
        {
          field: 'file',
          reason: `${positions.toLocaleString('en')} positions; up to ${MOST_POSITIONS.toLocaleString('en')} can be drawn on a phone, so cut out the part that you walk in`,
        },
      ],
    };
  if (drawn.every(({ properties }) => properties?.kind === 'name'))
    return {
      problems: [{ field: 'features', reason: 'there is nothing to draw a map of: no line and no area' }],
    };
  return {
    map: { type: 'FeatureCollection', features: drawn },
    remarks:
      left > 0
        ? [
            `${left === 1 ? 'One feature was' : `${left} features were`} left out: points without a name, and what is no shape.`,
          ]
        : [],
  };
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

function kindOf(type: string, properties: NonNullable<Feature['properties']>): MapProperties | undefined {
  const tag = (name: string) => textOf(properties[name], 60);
  const name = textOf(properties.name, 60);
  const number = (...names: string[]) =>
    names
      .map((one) => properties[one])
      .map((value) => (typeof value === 'string' && value.trim() !== '' ? Number(value) : value))
      .find((value): value is number => typeof value === 'number' && Number.isFinite(value));
  if (type === 'Point') return name === undefined ? undefined : { kind: 'name', name };
  const area = type.endsWith('Polygon');
  const given = tag('kind');
  const [natural, landuse] = [tag('natural'), tag('landuse')];
  const kind =
    given !== undefined && KINDS.includes(given)
      ? (given as MapKind)
      : natural === 'wood' || landuse === 'forest'
        ? 'wood'
        : natural === 'water' || tag('waterway') !== undefined
          ? 'water'
          : area
            ? 'meadow'
            : tag('highway') === undefined && number('metres', 'ele', 'elevation') !== undefined
              ? 'contour'
              : 'path';
  switch (kind) {
    case 'name':
      return undefined;
    case 'wood':
      return { kind, of: tag('of') === 'spruce' || tag('leaf_type') === 'needleleaved' ? 'spruce' : 'beech' };
    case 'water':
      return { kind, width: number('width') ?? (area || tag('waterway') === 'river' ? 2 : 1) };
    case 'contour':
      return { kind, metres: number('metres', 'ele', 'elevation') ?? 0 };
    default:
      return { kind };
  }
}
