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
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';
import { COOKING, cookingRefusalWords } from '../../text/pantry';
import { styles } from './sumsStyles';

/** Boiling down and cooking. */

interface BoilingDownProps {
  readonly id: string;
  readonly levels: BatchFields['levels'];
  readonly target: number | undefined;
}

/** When the pot will be at the third level; nothing where that is not known yet. */
function whenDown(levels: BoilingDownProps['levels'], target: number | undefined): string | undefined {
  const [first, last] = [levels[0], levels.at(-1)];
  if (!first || !last || first === last || target === undefined) return undefined;
  const between = (Date.parse(last.at) - Date.parse(first.at)) / 60_000;
  try {
    const { minute } = boiledDownAt({
      first: { level: first.level, minute: 0 },
      second: { level: last.level, minute: between },
      target,
    });
    const more = minute - between;
    return more <= 0
      ? t.itIsDownAsFar
      : t.anotherAfterTheLastLevel(more < 1.5 ? t.minute : t.aboutMinutes(Math.round(more)));
  } catch (error) {
    return error instanceof RangeError ? `${error.message}.` : undefined;
  }
}

function levelProblem(level: number, last: number | undefined): string | undefined {
  if (!(Number.isFinite(level) && level > 0)) return t.aboveNothing;
  return last !== undefined && level >= last ? t.lowerThanTheLastOne : undefined;
}

/** A pot that boils down: two levels, and when it will be at the third. */
export function BoilingDown({ id, levels, target }: BoilingDownProps) {
  const act = useAct();
  const [text, setText] = useState('');
  const level = readNumber(text) ?? 0;
  const wrong = text.trim() === '' ? undefined : levelProblem(level, levels.at(-1)?.level);
  const result = whenDown(levels, target);
  const save = () => {
    void act(
      changeFields(id, 'batch', ({ levels: all = [] }) => ({
        levels: [...all, { at: act(now()), level }],
      })),
    );
    setText('');
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
        onPress={save}
      />
      {levels.length > 0 ? <Small soft>{levels.map((one) => one.level).join(' → ')}</Small> : null}
      {result === undefined ? null : (
        <Strong role="status" aria-label={t.boilingDown}>
          {result}
        </Strong>
      )}
    </View>
  );
}

type CookedAs = NonNullable<BatchFields['cooked']>;

interface CookedProps {
  readonly cooked: CookedAs | undefined;
  readonly made: readonly Made[];
  readonly onChange: (cooked: BatchFields['cooked']) => void;
}

/** How it is cooked; what must not be so is reported, and is not ready. */
export function Cooked({ cooked, made, onChange }: CookedProps) {
  const refusals = cooked ? made.flatMap((one) => cookingRefusal(one, cooked) ?? []) : [];
  return (
    <View style={styles.block}>
      <SmallStrong>{pantryText.howItWasMadeReady}</SmallStrong>
      <ChipRow label={pantryText.howItWasMadeReady}>
        {COOKING_WAYS.map((how) => (
          <Chip
            key={how}
            label={COOKING[how]}
            chosen={cooked?.how === how}
            onPress={() => onChange({ ...cooked, how })}
          />
        ))}
      </ChipRow>
      {cooked && cooked.how !== 'raw' ? <Heat cooked={cooked} onChange={onChange} /> : null}
      {[...new Set(refusals.map(cookingRefusalWords))].map((one) => (
        <Strong key={one} role="alert">
          {one}
        </Strong>
      ))}
      {!cooked && made.some(mustBeCooked) ? <Small>{t.itHasToBeCookedBefore}</Small> : null}
    </View>
  );
}

/** For how long, and how often the water was poured away. */
function Heat({
  cooked: { how, minutes, poured },
  onChange,
}: Pick<CookedProps, 'onChange'> & { readonly cooked: CookedAs }) {
  const change = (next: { minutes?: number | undefined; poured?: number | undefined }) =>
    onChange({
      how,
      ...(next.minutes === undefined ? {} : { minutes: next.minutes }),
      ...(next.poured === undefined ? {} : { poured: next.poured }),
    });
  return (
    <View style={styles.row}>
      <View style={styles.grow}>
        <NumberField
          label={t.minutesOfHeat}
          value={minutes}
          right={t.nothingOrMore}
          check={(one) => one >= 0 && one <= 2000}
          onChange={(value) => change({ minutes: value, poured })}
        />
      </View>
      <View style={styles.grow}>
        <NumberField
          label={t.waterPouredAwayTimes}
          value={poured}
          right={t.aWholeNumberFrom0}
          check={(one) => Number.isInteger(one) && one >= 0 && one <= 20}
          onChange={(value) => change({ minutes, poured: value })}
        />
      </View>
    </View>
  );
}
