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
import { t } from '../../text/en/pantry';
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
        ? t.aboveNothing
        : last && level >= last.level
          ? t.lowerThanTheLastOne
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
        ? t.itIsDownAsFar
        : t.anotherAfterTheLastLevel(more < 1.5 ? t.minute : t.aboutMinutes(Math.round(more)));
    } catch (error) {
      return error instanceof RangeError ? `${error.message}.` : undefined;
    }
  };
  return (
    <View style={styles.block}>
      <Heading>{t.boilingItDown}</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label={t.itStandsAt}
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            {...(wrong ? { wrong } : {})}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label={t.itShallGoDownTo}
            value={target}
            right={t.aboveNothing}
            check={(one) => one > 0}
            hint={t.byARulerOrA}
            onChange={(value) => void act(changeFields(id, 'batch', () => ({ target: value ?? null })))}
          />
        </View>
      </View>
      <Button
        label={t.soItStandsNow}
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
        <Strong role="status" aria-label={t.boilingDown}>
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
      <SmallStrong>{t.howItWasMadeReady}</SmallStrong>
      <ChipRow label={t.howItWasMadeReady}>
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
              label={t.minutesOfHeat}
              value={cooked.minutes}
              right={t.nothingOrMore}
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
              label={t.waterPouredAwayTimes}
              value={cooked.poured}
              right={t.aWholeNumberFrom0}
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
      {!cooked && made.some(mustBeCooked) ? <Small>{t.itHasToBeCookedBefore}</Small> : null}
    </View>
  );
}
