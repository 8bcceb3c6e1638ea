import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { type LayoutChangeEvent, View } from 'react-native';
import Svg, { G, Path, Text, Line } from 'react-native-svg';
import type { Year } from '@pause/core/formats/logbook';
import { colour, font, Small } from '../../components';
import { t } from '../../text/en/pantry';
import { boxPath } from './DryingSeries';
import { HEIGHT, styles } from './logbookStyles';

/** A year by months, as a chart. */

const MONTHS = Array.from({ length: 12 }, (_, month) =>
  new Intl.DateTimeFormat(undefined, { month: 'narrow', timeZone: 'UTC' }).format(
    new Date(Date.UTC(2026, month, 15)),
  ),
);

const BELOW = 24;

/** Finds of each month: those collected filled, the others open. */
export function Months({ year: { months } }: { readonly year: Year }) {
  const [width, setWidth] = useState(0);
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) => setWidth(Math.round(layout.width));
  const most = Math.max(1, ...months.map(({ collected, other }) => collected + other));
  const y = scaleLinear([0, most], [0, HEIGHT - BELOW - 18]);
  return (
    <View style={styles.block}>
      <View
        style={styles.chart}
        onLayout={onLayout}
        role="img"
        aria-label={t.findsByMonth(
          months.map(({ collected, other }, month) => `${MONTHS[month]} ${collected + other}`).join(', '),
        )}
      >
        {width > 0 ? (
          <Svg width={width} height={HEIGHT}>
            {months.map((one, month) => (
              <Month
                key={month}
                of={one}
                name={MONTHS[month]}
                left={(month * width) / 12}
                wide={width / 12}
                y={y}
              />
            ))}
            <Line
              x1={0}
              x2={width}
              y1={HEIGHT - BELOW}
              y2={HEIGHT - BELOW}
              stroke={colour.ink}
              strokeWidth={1.5}
            />
          </Svg>
        ) : null}
      </View>
      <Small soft>{t.findsByMonthFilledWhat}</Small>
    </View>
  );
}

interface MonthProps {
  readonly of: Year['months'][number];
  readonly name: string | undefined;
  readonly left: number;
  readonly wide: number;
  /** The height of so many finds. */
  readonly y: (finds: number) => number;
}

function Month({ of: { collected, other }, name, left, wide, y }: MonthProps) {
  const foot = HEIGHT - BELOW;
  const x = left + wide * 0.18;
  const middle = left + wide / 2;
  const outlined = { stroke: colour.ink, strokeWidth: 1.5 };
  return (
    <G>
      {other > 0 ? (
        <Path
          d={boxPath(x, foot - y(collected) - y(other), wide * 0.64, y(other))}
          fill={colour.card}
          {...outlined}
        />
      ) : null}
      {collected > 0 ? (
        <Path
          d={boxPath(x, foot - y(collected), wide * 0.64, y(collected))}
          fill={colour.collect}
          {...outlined}
        />
      ) : null}
      {collected + other > 0 ? (
        <Text
          transform={`translate(${middle} ${foot - y(collected + other) - 5})`}
          textAnchor="middle"
          fontFamily={font.readBold}
          fontSize={15}
          fill={colour.ink}
        >
          {collected + other}
        </Text>
      ) : null}
      <Text
        transform={`translate(${middle} ${HEIGHT - 6})`}
        textAnchor="middle"
        fontFamily={font.read}
        fontSize={15}
        fill={colour.inkSoft}
      >
        {name}
      </Text>
    </G>
  );
}
