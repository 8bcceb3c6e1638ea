import type { ZoomTransform } from 'd3-zoom';
import { useMemo, useState } from 'react';
import { type GestureResponderEvent, Pressable, StyleSheet, View } from 'react-native';
import Svg, { G } from 'react-native-svg';
import { Button, colour, Row, Small, stroke, TARGET } from '../../components';
import { elementOf } from '../../lib/element';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { MapLayers, MapNames, transformOf } from './MapLayers';
import { Draft, drawable, type MapViewProps, Mark, MOVES, Outline, type ShownPlace, STAYS } from './mapParts';
import { type Drawn, type PlaceMark, useLayers, useMarks, useProjection } from './useMapDrawing';
import { useZoom } from './useZoom';

const shownOf = (place: Place, index: number): ShownPlace[] =>
  place.fields.shape ? [{ place, shape: place.fields.shape, number: index + 1 }] : [];

/** Places by their numbers in the list, on a map of one's own, drawn here without a connection. */
export function MapView({ places, data, chosen, onChoose, height, drawing }: MapViewProps) {
  const [width, setWidth] = useState(0);
  const size = [width, height] as const;
  const { sheet, transform, nearer, farther, whole } = useZoom(width, height);
  const shown = useMemo(() => places.flatMap(shownOf), [places]);
  const drawn = useProjection(data, shown, size);
  const layers = useLayers(drawn, data);
  const marks = useMarks(drawn, shown, transform, size);
  /** Where a position is on the sheet as it is drawn now. */
  const on = (position: readonly [number, number, ...number[]]): [number, number] =>
    transform.apply(drawn?.projection([position[0], position[1]]) ?? [0, 0]);
  const larger = transform.k > 1;
  const put = ({ nativeEvent }: GestureResponderEvent) => {
    const box = elementOf(sheet.current)?.getBoundingClientRect();
    const { clientX, clientY } = nativeEvent as unknown as MouseEvent;
    const position =
      box && drawn?.projection.invert?.(transform.invert([clientX - box.left, clientY - box.top]));
    if (position) drawing?.onPoint([Number(position[0].toFixed(6)), Number(position[1].toFixed(6))]);
  };
  const middle: [number, number] = drawing?.positions.length
    ? on(drawing.positions.at(-1) ?? [0, 0])
    : (marks.find(({ place }) => place.id === chosen)?.from ?? [width / 2, height / 2]);
  return (
    <View>
      <View
        ref={sheet}
        style={[styles.map, { height }, larger ? MOVES : STAYS]}
        onLayout={({ nativeEvent: { layout } }) => setWidth(Math.round(layout.width))}
      >
        {drawn ? (
          <Svg width={width} height={height} role="img" aria-label={t.mapWithPlaces(shown.length)}>
            {layers ? <MapLayers layers={layers} transform={transform} /> : null}
            <MapNames data={data} on={on} size={size} marks={marks.map(({ at }) => at)} />
            <Outlines drawn={drawn} transform={transform} shown={shown} chosen={chosen} />
            {drawing ? (
              <Draft kind={drawing.kind} at={drawing.positions.map(on)} />
            ) : (
              marks.map(({ place, shape, ...mark }) => (
                <Mark key={place.id} {...mark} point={shape.type === 'Point'} chosen={place.id === chosen} />
              ))
            )}
          </Svg>
        ) : null}
        {drawing ? <DrawingGround onPress={put} /> : <Targets {...{ marks, chosen, onChoose }} />}
        {data ? null : (
          <View style={styles.none}>
            <Small soft>{shown.length === 0 ? t.noPlaceIsDrawnYet : t.noMapIsLoadedOnly}</Small>
          </View>
        )}
      </View>
      <Row gap="l">
        <Button label={t.nearer} tone="plain" onPress={() => nearer(middle)} />
        <Button label={t.farther} tone="plain" disabled={!larger} onPress={farther} />
        <Button label={t.allOfIt} tone="plain" disabled={!larger} onPress={whole} />
      </Row>
    </View>
  );
}

interface OutlinesProps extends Pick<MapViewProps, 'chosen'> {
  readonly drawn: Drawn;
  readonly transform: ZoomTransform;
  readonly shown: readonly ShownPlace[];
}

function Outlines({ drawn, transform, shown, chosen }: OutlinesProps) {
  return (
    <G transform={transformOf(transform)}>
      {shown.map(({ place, shape }) => (
        <Outline
          key={place.id}
          shape={shape}
          d={drawn.path(drawable(shape) as never) ?? ''}
          chosen={place.id === chosen}
        />
      ))}
    </G>
  );
}

/** Takes each tap as a position, while a shape is being drawn. */
function DrawingGround({ onPress }: { readonly onPress: (event: GestureResponderEvent) => void }) {
  return (
    <Pressable
      focusable={false}
      accessible={false}
      onPress={onPress}
      style={StyleSheet.absoluteFill}
      testID="draw"
    />
  );
}

/** What a finger meets: each place under its number. */
function Targets({
  marks,
  chosen,
  onChoose,
}: Pick<MapViewProps, 'chosen' | 'onChoose'> & { readonly marks: readonly PlaceMark[] }) {
  return marks.map(({ place, number, at }) => (
    <Pressable
      key={place.id}
      role="button"
      aria-label={`${number}, ${place.name}`}
      aria-pressed={place.id === chosen}
      onPress={() => onChoose(place.id)}
      style={[styles.target, { left: at[0] - TARGET / 2, top: at[1] - TARGET / 2 }]}
    />
  ));
}

const styles = StyleSheet.create({
  map: {
    backgroundColor: colour.ground,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    overflow: 'hidden',
  },
  target: { position: 'absolute', width: TARGET, height: TARGET },
  none: { position: 'absolute', left: 12, bottom: 8 },
});
