import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { G, Line, Text } from 'react-native-svg';
import { isoOf, monthOf, type Day } from '@pause/core/lib/day';
import type { Spread } from '@pause/core/season';
import { colour, font } from '../../components';
import { t } from '../../text/en/week';
import { dayName } from '../../text/places';

/** The days that are shown, from one to another. */
export interface Range {
  readonly from: Day;
  readonly to: Day;
}
const MONTH = new Intl.DateTimeFormat(undefined, { month: 'short', timeZone: 'UTC' });

const scaleOf = ({ from, to }: Range, width: number) => scaleLinear([from, to], [1, width - 1]).clamp(true);

/** The first days of the months within. */
function monthsIn({ from, to }: Range): Day[] {
  const all: Day[] = [];
  for (let day = from + 1; day <= to; day += 1) if (monthOf(day) !== monthOf(day - 1)) all.push(day);
  return all;
}

function useWidth(): [number, (event: { nativeEvent: { layout: { width: number } } }) => void] {
  const [width, setWidth] = useState(0);
  return [width, ({ nativeEvent: { layout } }) => setWidth(Math.round(layout.width))];
}

/** The months above the bars, and today. */
export function WindowAxis({ range, today }: { readonly range: Range; readonly today: Day }) {
  const [width, onLayout] = useWidth();
  const scale = scaleOf(range, width);
  return (
    <View style={styles.axis} onLayout={onLayout} aria-hidden>
      {width > 0 ? (
        <Svg width={width} height={24}>
          {monthsIn(range).map((day) => (
            <G key={day}>
              <Line x1={scale(day)} x2={scale(day)} y1={16} y2={24} stroke={colour.faint} strokeWidth={1} />
              {scale(day) < width - 34 ? (
                <Text
                  transform={`translate(${scale(day) + 4} 14)`}
                  fontFamily={font.read}
                  fontSize={15}
                  fill={colour.inkSoft}
                >
                  {MONTH.format(new Date(`${isoOf(day)}T12:00:00Z`))}
                </Text>
              ) : null}
            </G>
          ))}
          <Line x1={scale(today)} x2={scale(today)} y1={15} y2={24} stroke={colour.ink} strokeWidth={3} />
        </Svg>
      ) : null}
    </View>
  );
}

/**
 * When something can be had: the full bar where that is likelier than not, the thin line as far as it may be.
 */
export function WindowBar({
  begins,
  ends,
  range,
  today,
  label,
}: {
  readonly begins: Spread;
  readonly ends: Spread;
  readonly range: Range;
  readonly today: Day;
  readonly label: string;
}) {
  const [width, onLayout] = useWidth();
  const scale = scaleOf(range, width);
  const [first, last] = [scale(begins.mid), scale(Math.max(ends.mid, begins.mid + 1))];
  return (
    <View
      style={styles.bar}
      onLayout={onLayout}
      role="img"
      aria-label={`${label}: ${windowWords(begins, ends)}`}
    >
      {width > 0 ? (
        <Svg width={width} height={22}>
          {monthsIn(range).map((day) => (
            <Line
              key={day}
              x1={scale(day)}
              x2={scale(day)}
              y1={0}
              y2={22}
              stroke={colour.line}
              strokeWidth={1}
            />
          ))}
          <Line
            x1={scale(begins.low)}
            x2={scale(ends.high)}
            y1={11}
            y2={11}
            stroke={colour.ink}
            strokeWidth={2}
          />
          <Line
            x1={first}
            x2={Math.max(first + 3, last)}
            y1={11}
            y2={11}
            stroke={colour.ink}
            strokeWidth={14}
          />
          <Line x1={scale(today)} x2={scale(today)} y1={0} y2={22} stroke={colour.mark} strokeWidth={3} />
          <Line x1={scale(today)} x2={scale(today)} y1={0} y2={22} stroke={colour.ink} strokeWidth={1} />
        </Svg>
      ) : null}
    </View>
  );
}

/** "from about 3 August (28 July to 12 August) to about 2 September" */
export function windowWords(begins: Spread, ends: Spread): string {
  return t.fromAboutToToAbout(
    dayName(begins.mid),
    dayName(begins.low),
    dayName(begins.high),
    dayName(ends.mid),
  );
}

const styles = StyleSheet.create({
  axis: { height: 24 },
  bar: { height: 22 },
});
