import { useState } from 'react';
import { View } from 'react-native';
import {
  boiledDownAt,
  type Made,
  cookingRefusal,
  COOKING_WAYS,
  mustBeCooked,
} from '@pause/core/harvest/preparing';
import { readNumber } from '@pause/core/lib/typed';
import type { BatchFields } from '@pause/core/pantry';
import { Heading, Field, Button, Small, Strong, SmallStrong, ChipRow, Chip } from '../../components';
import { NumberField } from '../../components/NumberField';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { COOKING, cookingRefusalWords } from '../../text/pantry';
import { styles } from './sumsStyles';

/** Boiling down and cooking. */

/** A pot that boils down: two levels, and when it will be at the third. */
export function BoilingDown({
  id,
  levels,
  target,
}: {
  readonly id: string;
  readonly levels: BatchFields['levels'];
  readonly target: number | undefined;
}) {
  const act = useAct();
  const [text, setText] = useState('');
  const level = readNumber(text) ?? 0;
  const minutes = levels.map(({ at }) => Date.parse(at) / 60_000);
  const [first, last] = [levels[0], levels.at(-1)];
  const [t0, t1] = [minutes[0] ?? 0, minutes.at(-1) ?? 0];
  const wrong =
    text.trim() === ''
      ? undefined
      : !(Number.isFinite(level) && level > 0)
        ? 'above nothing'
        : last && level >= last.level
          ? 'lower than the last one'
          : undefined;
  const result = (): string | undefined => {
    if (!first || !last || first === last || target === undefined) return undefined;
    try {
      const { minute } = boiledDownAt({
        first: { level: first.level, minute: 0 },
        second: { level: last.level, minute: t1 - t0 },
        target,
      });
      const more = minute - (t1 - t0);
      return more <= 0
        ? 'It is down as far as it should be.'
        : `Another ${more < 1.5 ? 'minute' : `${Math.round(more)} minutes`} after the last level, over the same flame.`;
    } catch (error) {
      return error instanceof RangeError ? `${error.message}.` : undefined;
    }
  };
  return (
    <View style={styles.block}>
      <Heading>Boiling it down</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label="It stands at"
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            {...(wrong ? { wrong } : {})}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="It shall go down to"
            value={target}
            right="above nothing"
            check={(one) => one > 0}
            hint="By a ruler or a jug, both the same."
            onChange={(value) => void act(changeFields(id, 'batch', () => ({ target: value ?? null })))}
          />
        </View>
      </View>
      <Button
        label="So it stands now"
        tone="outline"
        disabled={wrong !== undefined || text.trim() === ''}
        style={styles.start}
        onPress={() => {
          void act(
            changeFields(id, 'batch', ({ levels: all = [] }) => ({
              levels: [...all, { at: act(now()), level }],
            })),
          );
          setText('');
        }}
      />
      {levels.length > 0 ? <Small soft>{levels.map((one) => one.level).join(' → ')}</Small> : null}
      {result() === undefined ? null : (
        <Strong role="status" aria-label="Boiling down">
          {result()}
        </Strong>
      )}
    </View>
  );
}

/** How it is cooked; what must not be so is said, and is not ready. */
export function Cooked({
  cooked,
  made,
  onChange,
}: {
  readonly cooked: BatchFields['cooked'] | undefined;
  readonly made: readonly Made[];
  readonly onChange: (cooked: BatchFields['cooked']) => void;
}) {
  const refusals = cooked ? made.flatMap((one) => cookingRefusal(one, cooked) ?? []) : [];
  return (
    <View style={styles.block}>
      <SmallStrong>How it was made ready</SmallStrong>
      <ChipRow label="How it was made ready">
        {COOKING_WAYS.map((how) => (
          <Chip
            key={how}
            label={COOKING[how]}
            chosen={cooked?.how === how}
            onPress={() => onChange({ ...cooked, how })}
          />
        ))}
      </ChipRow>
      {cooked && cooked.how !== 'raw' ? (
        <View style={styles.row}>
          <View style={styles.grow}>
            <NumberField
              label="Minutes of heat"
              value={cooked.minutes}
              right="nothing or more"
              check={(one) => one >= 0 && one <= 2000}
              onChange={(minutes) =>
                onChange({
                  how: cooked.how,
                  ...(minutes === undefined ? {} : { minutes }),
                  ...(cooked.poured === undefined ? {} : { poured: cooked.poured }),
                })
              }
            />
          </View>
          <View style={styles.grow}>
            <NumberField
              label="Water poured away, times"
              value={cooked.poured}
              right="a whole number from 0"
              check={(one) => Number.isInteger(one) && one >= 0 && one <= 20}
              onChange={(poured) =>
                onChange({
                  how: cooked.how,
                  ...(cooked.minutes === undefined ? {} : { minutes: cooked.minutes }),
                  ...(poured === undefined ? {} : { poured }),
                })
              }
            />
          </View>
        </View>
      ) : null}
      {[...new Set(refusals.map(cookingRefusalWords))].map((one) => (
        <Strong key={one} role="alert">
          {one}
        </Strong>
      ))}
      {!cooked && made.some(mustBeCooked) ? <Small>It has to be cooked before anybody eats it.</Small> : null}
    </View>
  );
}
