import type { ZoomTransform } from 'd3-zoom';
import { G, Path, Text } from 'react-native-svg';
import type { MapData } from '@pause/core/formats/files';
import { colour, font } from '../../components';
import { AS_WIDE, clearOf, OVER } from './mapParts';
import type { Layers } from './useMapDrawing';

export const transformOf = ({ x, y, k }: ZoomTransform) => `translate(${x} ${y}) scale(${k})`;

/** Woods, meadows, water, contours and paths. */
export function MapLayers({
  layers,
  transform,
}: {
  readonly layers: Layers;
  readonly transform: ZoomTransform;
}) {
  return (
    <G transform={transformOf(transform)}>
      <Path d={layers.spruce} fill={colour.shade} />
      <Path d={layers.beech} fill={colour.shade} fillOpacity={0.55} />
      <Path d={layers.meadow} fill={colour.card} />
      <Path d={layers.lakes} fill={colour.collect} fillOpacity={0.25} />
      <Path d={layers.contours} fill="none" stroke={colour.line} strokeWidth={1} {...AS_WIDE} />
      <Path d={layers.fifth} fill="none" stroke={colour.faint} strokeWidth={1.5} {...AS_WIDE} />
      <Path d={layers.streams} fill="none" stroke={colour.collect} strokeWidth={1.5} {...AS_WIDE} />
      <Path d={layers.rivers} fill="none" stroke={colour.collect} strokeWidth={3} {...AS_WIDE} />
      <Path
        d={layers.paths}
        fill="none"
        stroke={colour.inkSoft}
        strokeWidth={1.5}
        strokeDasharray="5 4"
        {...AS_WIDE}
      />
    </G>
  );
}

interface MapNamesProps {
  readonly data: MapData | undefined;
  /** Where a position is on the sheet. */
  readonly on: (position: readonly [number, number]) => [number, number];
  readonly size: readonly [width: number, height: number];
  /** Marks that no name may cover. */
  readonly marks: readonly (readonly [number, number])[];
}

/** The names on a map, clear of the marks of places. */
export function MapNames({ data, on, size: [width, height], marks }: MapNamesProps) {
  const names = data?.features.filter(({ properties }) => properties?.kind === 'name') ?? [];
  return names.map(({ geometry, properties }, index) => {
    if (geometry.type !== 'Point') return null;
    const [x, y] = on([geometry.coordinates[0] ?? 0, geometry.coordinates[1] ?? 0]);
    if (x < 0 || y < 0 || x > width || y > height) return null;
    const across = Math.min(Math.max(x, 50), width - 50);
    return (
      <Text
        key={`${properties?.name} ${index}`}
        transform={`translate(${across} ${clearOf([x, y], marks, height)})`}
        textAnchor="middle"
        fontFamily={font.readBold}
        fontSize={15}
        fill={colour.inkSoft}
        stroke={colour.ground}
        strokeWidth={3}
        {...OVER}
      >
        {properties?.name}
      </Text>
    );
  });
}
