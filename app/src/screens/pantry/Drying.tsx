import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import Svg, { Circle, Line, Path, Text } from 'react-native-svg';
import {
  conditioned,
  CONDITIONING_DAYS,
  dryingOf,
  type Drying as Dried,
} from '@pause/core/harvest/preparing';
import { readNumber } from '@pause/core/lib/typed';
import type { BatchFields } from '@pause/core/pantry';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  Field,
  font,
  Heading,
  Small,
  space,
  Strong,
} from '../../components';
import { now } from '../../notebook/actions';
import { useAct, useApp } from '../../notebook/store';
import { tellOf } from '../../notebook/tell';
import { momentWords } from '../../text/days';
import { amountWords } from '../../text/pantry';

type Weighed = BatchFields['weighings'][number];
const WHAT: Readonly<Record<Weighed['what'], string>> = {
  all: 'All of it',
  blade: 'Leaf blades',
  rib: 'Leaf ribs',
};
const HOUR = 3_600_000;

/** Weighed now and again, it says when it is dry: of blades and ribs apart, where they dry apart. */
export function Drying({
  id,
  weighings,
  usualLeft,
  leaves,
}: {
  readonly id: string;
  readonly weighings: readonly Weighed[];
  readonly usualLeft: number;
  /** Leaves, of which blades and ribs dry apart. */ readonly leaves: boolean;
}) {
  const act = useAct();
  const [what, setWhat] = useState<Weighed['what']>(weighings.at(-1)?.what ?? 'all');
  const [text, setText] = useState('');
  const grams = readNumber(text) ?? 0;
  const first = weighings.find((one) => one.what === what)?.grams;
  const wrong =
    text.trim() === ''
      ? undefined
      : !(Number.isFinite(grams) && grams > 0)
        ? 'grams above nothing'
        : first !== undefined && grams > first * 1.1 + 5
          ? `no more than the ${first} grams it weighed at first`
          : undefined;
  const series = (['all', 'blade', 'rib'] as const).filter((one) =>
    weighings.some((other) => other.what === one),
  );
  const weigh = () => {
    void act(
      tellOf(id, 'batch', ({ weighings: all = [] }) => ({
        weighings: [...all, { at: act(now()), what, grams }],
      })),
    );
    setText('');
  };
  return (
    <View style={styles.block}>
      <Heading>How dry it is</Heading>
      {series.length === 0 ? (
        <Body>
          Weigh it now and then in its tray, the tray left out: after the second time it says when it will be
          dry.
        </Body>
      ) : null}
      {series.map((one) => (
        <Series
          key={one}
          name={series.length > 1 || one !== 'all' ? WHAT[one] : undefined}
          weighings={weighings.filter((other) => other.what === one)}
          usualLeft={usualLeft}
        />
      ))}
      {leaves ? (
        <ChipRow label="What lies on the scales">
          {(['all', 'blade', 'rib'] as const).map((one) => (
            <Chip key={one} label={WHAT[one]} chosen={what === one} onPress={() => setWhat(one)} />
          ))}
        </ChipRow>
      ) : null}
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label="It weighs, in grams"
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            {...(wrong ? { wrong } : {})}
          />
        </View>
        <Button
          label="Weighed"
          tone="outline"
          disabled={wrong !== undefined || text.trim() === ''}
          style={styles.low}
          onPress={weigh}
        />
      </View>
      {weighings.length > 0 ? (
        <Button
          label="Take the last weighing back"
          tone="plain"
          style={styles.start}
          onPress={() =>
            void act(tellOf(id, 'batch', ({ weighings: all = [] }) => ({ weighings: all.slice(0, -1) })))
          }
        />
      ) : null}
    </View>
  );
}

function Series({
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
  if (!inOrder)
    return (
      <Body>
        {name ? `${name}: ` : ''}the weighings are not one after another. Was the clock set back? Take the
        last one back, and weigh once more.
      </Body>
    );
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
        label={`${name ?? 'Weight'}: ${points.map(({ grams }) => Math.round(grams)).join(', ')} grams; dry at about ${Math.round(dried.dryGrams.mid)} grams`}
      />
      <Body>
        {dried.dry > 0.9
          ? 'It is dry, as far as its weight shows. Bend a piece: it has to break.'
          : `Dry at about ${Math.round(dried.dryGrams.mid)} g (${Math.round(dried.dryGrams.low)} to ${Math.round(dried.dryGrams.high)}), about ${when(mid)}.`}
      </Body>
      {dried.dry > 0.9 ? null : (
        <Small soft>
          In eight of ten cases between {when(low)} and {when(high)}. Each weighing brings that closer.
        </Small>
      )}
    </View>
  );
}

const HEIGHT = 150;
const LEFT = 52;
const BELOW = 24;

/** A rectangle as a path. */
export const boxPath = (x: number, y: number, width: number, height: number): string =>
  `M${x.toFixed(1)} ${y.toFixed(1)}h${width.toFixed(1)}v${height.toFixed(1)}h${(-width).toFixed(1)}z`;

function Chart({
  points,
  dried,
  hour,
  label,
}: {
  readonly points: readonly { readonly hours: number; readonly grams: number }[];
  readonly dried: Dried;
  readonly hour: number;
  readonly label: string;
}) {
  const [width, setWidth] = useState(0);
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) => setWidth(Math.round(layout.width));
  const until = Math.max(dried.dryAt.high * 1.05, (points.at(-1)?.hours ?? 0) * 1.1, 1);
  const x = scaleLinear([0, until], [LEFT, Math.max(LEFT + 1, width - 6)]);
  const most = Math.max(...points.map(({ grams }) => grams), 1);
  const y = scaleLinear([0, most], [HEIGHT - BELOW, 10]);
  const curve = Array.from({ length: 60 }, (_, at) => {
    const hours = (until * at) / 59;
    return `${at === 0 ? 'M' : 'L'}${x(hours).toFixed(1)} ${y(dried.at(hours)).toFixed(1)}`;
  }).join('');
  const day = until > 60 ? 24 : until > 20 ? 12 : 4;
  const ticks = Array.from({ length: Math.floor(until / day) }, (_, at) => (at + 1) * day);
  return (
    <View style={styles.chart} onLayout={onLayout} role="img" aria-label={label}>
      {width > 0 ? (
        <Svg width={width} height={HEIGHT}>
          <Path
            d={boxPath(
              x(dried.dryAt.low),
              10,
              Math.max(2, x(dried.dryAt.high) - x(dried.dryAt.low)),
              HEIGHT - BELOW - 10,
            )}
            fill={colour.shade}
          />
          <Line
            x1={LEFT}
            x2={width - 6}
            y1={y(dried.dryGrams.mid)}
            y2={y(dried.dryGrams.mid)}
            stroke={colour.ink}
            strokeWidth={1}
            strokeDasharray="4 4"
          />
          <Path d={curve} fill="none" stroke={colour.ink} strokeWidth={2} />
          {hour > 0 && hour < until ? (
            <Line
              x1={x(hour)}
              x2={x(hour)}
              y1={10}
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
          <Line
            x1={LEFT}
            x2={width - 6}
            y1={HEIGHT - BELOW}
            y2={HEIGHT - BELOW}
            stroke={colour.ink}
            strokeWidth={1}
          />
          {[most, dried.dryGrams.mid].map((grams) => (
            <Text
              key={grams}
              transform={`translate(${LEFT - 10} ${y(grams) + 5})`}
              textAnchor="end"
              fontFamily={font.read}
              fontSize={15}
              fill={colour.inkSoft}
            >
              {Math.round(grams)}
            </Text>
          ))}
          {ticks
            .filter((_, at) => ticks.length < 6 || at % Math.ceil(ticks.length / 5) === 0)
            .map((hours) => (
              <Text
                key={hours}
                transform={`translate(${x(hours)} ${HEIGHT - 5})`}
                textAnchor="middle"
                fontFamily={font.read}
                fontSize={15}
                fill={colour.inkSoft}
              >
                {day === 24 ? `${hours / 24} d` : `${hours} h`}
              </Text>
            ))}
        </Svg>
      ) : null}
    </View>
  );
}

/** The days in the jar: looked into once a day, until no damp comes back. */
export function Conditioning({ id, looks }: { readonly id: string; readonly looks: BatchFields['looks'] }) {
  const act = useAct();
  const state = conditioned(looks);
  const since = looks.length - 1 - looks.map(({ damp }) => damp).lastIndexOf(true);
  const look = (damp: boolean) =>
    void act(tellOf(id, 'batch', ({ looks: all = [] }) => ({ looks: [...all, { at: act(now()), damp }] })));
  return (
    <View style={styles.block}>
      <Heading>In the jar</Heading>
      <Body>
        {state === 'done'
          ? 'No damp has come back: it can stay in the jar.'
          : state === 'dry-again'
            ? 'Damp came back: out of the jar, and dry it on. The days begin anew.'
            : `${since} of ${CONDITIONING_DAYS} days without damp. Open it, shake it, look at the glass.`}
      </Body>
      {state === 'done' ? null : (
        <ChipRow label="The glass today">
          <Button label="No damp" tone="outline" onPress={() => look(false)} />
          <Button label="Damp, or it sticks" tone="outline" onPress={() => look(true)} />
        </ChipRow>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  low: { marginTop: 24 },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  chart: { height: HEIGHT },
});
