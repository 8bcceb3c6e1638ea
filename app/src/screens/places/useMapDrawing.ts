import { geoMercator, geoPath, type GeoPath, type GeoProjection } from 'd3-geo';
import type { ZoomTransform } from 'd3-zoom';
import type { Geometry as GeoGeometry } from 'geojson';
import { useMemo } from 'react';
import type { MapData } from '@pause/core/formats/files';
import { middleOf, positionsOf } from '@pause/core/notebook/page/shape';
import { TARGET } from '../../components';
import { areas, flatPositions, layers, PADDING, type ShownPlace } from './mapParts';
import { spread } from './spread';

/** What a map is drawn from: its projection, the paths of its layers, and where places are on the sheet. */

export interface Drawn {
  readonly projection: GeoProjection;
  readonly path: GeoPath;
}

/** Fits the map to the sheet; without one, the places. Nothing as long as the sheet has no width. */
export function useProjection(
  data: MapData | undefined,
  shown: readonly ShownPlace[],
  [width, height]: readonly [number, number],
): Drawn | undefined {
  return useMemo(() => {
    if (width === 0) return undefined;
    const around: GeoGeometry = {
      type: 'MultiPoint',
      coordinates: data
        ? data.features.flatMap(({ geometry }) =>
            'coordinates' in geometry ? flatPositions(geometry.coordinates) : [],
          )
        : shown.flatMap(({ shape }) => positionsOf(shape).map(([x, y]) => [x, y])),
    };
    const projection = geoMercator();
    const padding = data ? 0 : PADDING;
    // A single place has no extent to fit: some ground around it.
    if (!data && shown.length < 2)
      projection
        .scale(3_000_000)
        .center([...(shown[0] ? middleOf(shown[0].shape) : [0, 0])] as [number, number])
        .translate([width / 2, height / 2]);
    else
      projection.fitExtent(
        [
          [padding, padding],
          [width - padding, height - padding],
        ],
        around,
      );
    return { projection, path: geoPath(projection) };
  }, [data, height, shown, width]);
}

/** The layers of a map as paths of SVG. */
export function useLayers(drawn: Drawn | undefined, data: MapData | undefined) {
  return useMemo(() => {
    if (!drawn || !data) return undefined;
    const d = (of: MapData) => drawn.path(of) ?? '';
    return {
      spruce: d(layers(data, 'wood', ({ of }) => of === 'spruce')),
      beech: d(layers(data, 'wood', ({ of }) => of !== 'spruce')),
      meadow: d(layers(data, 'meadow')),
      contours: d(layers(data, 'contour', ({ metres = 0 }) => metres % 500 !== 0)),
      fifth: d(layers(data, 'contour', ({ metres = 0 }) => metres % 500 === 0)),
      lakes: d(areas(layers(data, 'water'))),
      rivers: d(layers(data, 'water', ({ width: wide = 1 }) => wide >= 2)),
      streams: d(layers(data, 'water', ({ width: wide = 1 }) => wide < 2)),
      paths: d(layers(data, 'path')),
    };
  }, [data, drawn]);
}
export type Layers = NonNullable<ReturnType<typeof useLayers>>;

/** A place that is on the sheet: where it is, and where its mark is, apart from the others. */
export interface PlaceMark extends ShownPlace {
  readonly from: [number, number];
  readonly at: [number, number];
}

export function useMarks(
  drawn: Drawn | undefined,
  shown: readonly ShownPlace[],
  transform: ZoomTransform,
  [width, height]: readonly [number, number],
): readonly PlaceMark[] {
  return useMemo(() => {
    if (!drawn) return [];
    const all = shown
      .map((one) => ({
        ...one,
        from: transform.apply(drawn.projection([...middleOf(one.shape)] as [number, number]) ?? [0, 0]),
      }))
      .filter(({ from: [x, y] }) => x >= 0 && y >= 0 && x <= width && y <= height);
    const at = spread(
      all.map(({ from }) => from),
      TARGET,
      [width, height],
    );
    return all.map((one, index) => ({ ...one, at: at[index] ?? one.from }));
  }, [drawn, height, shown, transform, width]);
}
