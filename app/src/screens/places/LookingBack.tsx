import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Line, Text } from 'react-native-svg';
import { dayOf, dayOfYear, yearOf } from '@pause/core/lib/day';
import { colour, font, Small, space, Strong } from '../../components';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { CommonName, stageName } from '../../text/names';
import { isoDayName } from '../../text/places';

const [ROW, LEFT, RIGHT] = [30, 48, 12];
const MONTH = new Intl.DateTimeFormat(undefined, { month: 'narrow', timeZone: 'UTC' });

type Sighting = Place['page']['sightings'][number];

/** The years of each taxon one above the other, so that what comes again shows. */
export function LookingBack({ place }: { readonly place: Place }) {
  const [width, setWidth] = useState(0);
  const byTaxon = new Map<string, Sighting[]>();
  for (const one of place.page.sightings) byTaxon.set(one.taxon, [...(byTaxon.get(one.taxon) ?? []), one]);
  const several = [...byTaxon].filter(([, all]) => new Set(all.map(({ on }) => on.slice(0, 4))).size > 1);
  if (several.length === 0) return null;
  return (
    <View style={styles.block} onLayout={({ nativeEvent: { layout } }) => setWidth(Math.round(layout.width))}>
      <Strong>{t.overTheYears}</Strong>
      {width === 0
        ? null
        : several.map(([taxon, all]) => (
            <View key={taxon}>
              <Small>{CommonName(taxon)}</Small>
              <Years all={all} width={width} />
            </View>
          ))}
      <Small soft>{t.fullInFruitOrGrown}</Small>
    </View>
  );
}

const LABEL = { fontFamily: font.read, fontSize: 15 };

function Years({ all, width }: { readonly all: readonly Sighting[]; readonly width: number }) {
  const scale = scaleLinear([0, 365], [LEFT, width - RIGHT]);
  const years = [...new Set(all.map(({ on }) => yearOf(dayOf(on))))].sort((a, b) => b - a);
  const summary = all
    .map(
      ({ on, what, stages }) =>
        `${isoDayName(on)}: ${what === 'nothing' ? t.nothing : (stages?.map(stageName).join(', ') ?? t.wasSeen)}`,
    )
    .join('; ');
  return (
    <Svg width={width} height={years.length * ROW + 22} role="img" aria-label={summary}>
      <Months scale={scale} below={years.length * ROW} />
      {years.map((year, index) => {
        const y = index * ROW + ROW / 2;
        return (
          <G key={year}>
            <Text {...LABEL} transform={`translate(0 ${y + 5})`} fill={colour.ink}>
              {year}
            </Text>
            <Line x1={LEFT} x2={width - RIGHT} y1={y} y2={y} stroke={colour.line} strokeWidth={1} />
            {all
              .filter(({ on }) => yearOf(dayOf(on)) === year)
              .map((one) => (
                <SightingMark key={one.id} sighting={one} x={scale(dayOfYear(dayOf(one.on)))} y={y} />
              ))}
          </G>
        );
      })}
    </Svg>
  );
}

function Months({ scale, below }: { readonly scale: (day: number) => number; readonly below: number }) {
  return Array.from({ length: 12 }, (_, month) => (
    <G key={month}>
      <Line
        x1={scale(month * 30.4)}
        x2={scale(month * 30.4)}
        y1={0}
        y2={below}
        stroke={colour.line}
        strokeWidth={1}
      />
      <Text
        {...LABEL}
        transform={`translate(${scale(month * 30.4 + 15)} ${below + 17})`}
        textAnchor="middle"
        fill={colour.inkSoft}
      >
        {MONTH.format(new Date(Date.UTC(2026, month, 15)))}
      </Text>
    </G>
  ));
}

interface SightingMarkProps {
  readonly sighting: Sighting;
  readonly x: number;
  readonly y: number;
}

/** Ripe or grown: full. Before that: open. Looked and nothing: a stroke. */
function SightingMark({ sighting: { what, stages }, x, y }: SightingMarkProps) {
  if (what === 'nothing')
    return <Line x1={x} x2={x} y1={y - 7} y2={y + 7} stroke={colour.ink} strokeWidth={2} />;
  const full = stages?.some((stage) => stage === 'fruiting' || stage === 'mature') === true;
  return (
    <Circle cx={x} cy={y} r={7} fill={full ? colour.ink : colour.card} stroke={colour.ink} strokeWidth={2} />
  );
}

const styles = StyleSheet.create({ block: { gap: space.s, marginTop: space.m } });
