import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';
import Svg, { Path, Line, Circle, Text } from 'react-native-svg';
import { dryingOf, type Drying as Dried } from '@pause/core/harvest/preparing';
import type { BatchFields } from '@pause/core/pantry';
import { Body, Strong, Small, colour, font } from '../../components';
import { useApp } from '../../notebook/store';
import { momentWords } from '../../text/days';
import { t } from '../../text/en/making';
import { amountWords } from '../../text/pantry';
import { HEIGHT, styles } from './dryingStyles';

/** Weighings of what dries, as a chart. */

export type Weighed = BatchFields['weighings'][number];
const HOUR = 3_600_000;

export function Series({
  name,
  weighings,
  usualLeft,
}: {
  readonly name: string | undefined;
  readonly weighings: readonly Weighed[];
  readonly usualLeft: number;
}) {
  const offset = useApp((state) => state.me.person?.offsetMs ?? 0);
  const start = Date.parse(weighings[0]?.at ?? '');
  const points = weighings.map(({ at, grams }) => ({ hours: (Date.parse(at) - start) / HOUR, grams }));
  const inOrder = points.every(({ hours }, at) => at === 0 || hours > (points[at - 1]?.hours ?? 0));
  if (!inOrder) return <Body>{t.theWeighingsAreNotOne(name ? `${name}: ` : '')}</Body>;
  const last = points.at(-1)?.grams ?? 0;
  const title = `${name ? `${name}: ` : ''}${amountWords({ amount: last, unit: 'g' })}`;
  if (points.length < 2) return <Strong>{title}</Strong>;
  const dried = dryingOf({ weighings: points, usualLeft });
  const { low, mid, high } = dried.dryAt;
  const hour = (Date.now() + offset - start) / HOUR;
  const when = (hours: number) => momentWords(new Date(start + hours * HOUR));
  return (
    <View style={styles.block}>
      <Strong>{title}</Strong>
      <Chart
        points={points}
        dried={dried}
        hour={hour}
        label={t.gramsDryAtAboutGrams(
          name ?? t.weight,
          points.map(({ grams }) => Math.round(grams)).join(', '),
          Math.round(dried.dryGrams.mid),
        )}
      />
      <Body>
        {dried.dry > 0.9
          ? t.itIsDryAsFar
          : t.dryAtAboutGTo(
              Math.round(dried.dryGrams.mid),
              Math.round(dried.dryGrams.low),
              Math.round(dried.dryGrams.high),
              when(mid),
            )}
      </Body>
      {dried.dry > 0.9 ? null : <Small soft>{t.inEightOfTenCases(when(low), when(high))}</Small>}
    </View>
  );
}

const LEFT = 52;
const BELOW = 24;

/** A rectangle as a path. */
export const boxPath = (x: number, y: number, width: number, height: number): string =>
  `M${x.toFixed(1)} ${y.toFixed(1)}h${width.toFixed(1)}v${height.toFixed(1)}h${(-width).toFixed(1)}z`;

/** How the weight falls, as a path. */
const curveOf = (dried: Dried, until: number, x: (hours: number) => number, y: (grams: number) => number) =>
  Array.from({ length: 60 }, (_, at) => {
    const hours = (until * at) / 59;
    return `${at === 0 ? 'M' : 'L'}${x(hours).toFixed(1)} ${y(dried.at(hours)).toFixed(1)}`;
  }).join('');

interface ChartProps {
  readonly points: readonly { readonly hours: number; readonly grams: number }[];
  readonly dried: Dried;
  readonly hour: number;
  readonly label: string;
}

function Chart({ points, dried, hour, label }: ChartProps) {
  const [width, setWidth] = useState(0);
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) => setWidth(Math.round(layout.width));
  const until = Math.max(dried.dryAt.high * 1.05, (points.at(-1)?.hours ?? 0) * 1.1, 1);
  const x = scaleLinear([0, until], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const most = Math.max(...points.map(({ grams }) => grams), 1);
  const y = scaleLinear([0, most], [HEIGHT - BELOW, TOP]);
  const across = { x1: LEFT, x2: width - RIGHT, stroke: colour.ink, strokeWidth: 1 };
  const { low, high } = dried.dryAt;
  return (
    <View style={styles.chart} onLayout={onLayout} role="img" aria-label={label}>
      {width > 0 ? (
        <Svg width={width} height={HEIGHT}>
          <Path
            d={boxPath(x(low), TOP, Math.max(2, x(high) - x(low)), HEIGHT - BELOW - TOP)}
            fill={colour.shade}
          />
          <Line {...across} y1={y(dried.dryGrams.mid)} y2={y(dried.dryGrams.mid)} strokeDasharray="4 4" />
          <Path d={curveOf(dried, until, x, y)} fill="none" stroke={colour.ink} strokeWidth={2} />
          {hour > 0 && hour < until ? (
            <Line
              x1={x(hour)}
              x2={x(hour)}
              y1={TOP}
              y2={HEIGHT - BELOW}
              stroke={colour.faint}
              strokeWidth={2}
            />
          ) : null}
          {points.map(({ hours, grams }) => (
            <Circle
              key={hours}
              cx={x(hours)}
              cy={y(grams)}
              r={5}
              fill={colour.card}
              stroke={colour.ink}
              strokeWidth={2.5}
            />
          ))}
          <Line {...across} y1={HEIGHT - BELOW} y2={HEIGHT - BELOW} />
          {[most, dried.dryGrams.mid].map((grams) => (
            <Text
              key={grams}
              {...LABEL}
              transform={`translate(${LEFT - 10} ${y(grams) + 5})`}
              textAnchor="end"
            >
              {Math.round(grams)}
            </Text>
          ))}
          <Hours x={x} until={until} />
        </Svg>
      ) : null}
    </View>
  );
}

const [TOP, RIGHT] = [10, 6];
const LABEL = { fontFamily: font.read, fontSize: 15, fill: colour.inkSoft };

/** Hours or days along the bottom, no more of them than there is room for. */
function Hours({ x, until }: { readonly x: (hours: number) => number; readonly until: number }) {
  const step = until > 60 ? 24 : until > 20 ? 12 : 4;
  const ticks = Array.from({ length: Math.floor(until / step) }, (_, at) => (at + 1) * step);
  return ticks
    .filter((_, at) => ticks.length < 6 || at % Math.ceil(ticks.length / 5) === 0)
    .map((hours) => (
      <Text key={hours} {...LABEL} transform={`translate(${x(hours)} ${HEIGHT - 5})`} textAnchor="middle">
        {step === 24 ? t.d(hours / 24) : t.h(hours)}
      </Text>
    ));
}
