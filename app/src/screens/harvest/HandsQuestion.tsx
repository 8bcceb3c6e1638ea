import { useState } from 'react';
import { View } from 'react-native';
import type { FieldsOf } from '@pause/core';
import { type Weights, isUnusualWeighing } from '@pause/core/harvest/taking';
import { readNumber } from '@pause/core/lib/typed';
import { Heading, Body, Field, ChipRow, Chip, AskBack, Button } from '../../components';
import { NumberField } from '../../components/NumberField';
import type { SaveHarvest } from '../../notebook/useOwnHarvest';
import { amountWords } from '../../text/pantry';
import { styles } from './questionStyles';

/** Who carries it, and what it weighs. */

export type Fields = FieldsOf<'harvest'>;

export function HandsQuestion({
  hands = {},
  persons,
  save,
}: {
  readonly hands: Fields['hands'] | undefined;
  readonly persons: number | undefined;
  readonly save: SaveHarvest;
}) {
  const put = (field: keyof Fields['hands'], value: number | undefined) =>
    save(({ hands: now = {} }) => {
      const { [field]: _, ...rest } = now;
      return { hands: value === undefined ? rest : { ...rest, [field]: value } };
    });
  return (
    <View style={styles.block}>
      <Heading>Basket and hands</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="Litres that fit"
            value={hands.basketLitres}
            right="litres above nothing"
            onChange={(value) => put('basketLitres', value)}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="How many pick"
            value={persons}
            placeholder="1"
            whole
            check={(one) => one >= 1}
            right="a whole number from 1"
            onChange={(value) => save(() => ({ persons: value ?? null }))}
          />
        </View>
      </View>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="Hours for it at home"
            value={hands.hours}
            right="hours above nothing"
            onChange={(value) => put('hours', value)}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="Grams done in an hour"
            value={hands.gramsPerHour}
            right="grams above nothing"
            onChange={(value) => put('gramsPerHour', value)}
          />
        </View>
      </View>
    </View>
  );
}

export const UNITS = { piece: 'pieces', handful: 'handfuls', litre: 'litres' } as const;
const grammes = (grams: number) => amountWords({ amount: grams, unit: 'g' });

const UNIT_NAME: Readonly<Record<keyof typeof UNITS, string>> = {
  piece: 'piece',
  handful: 'handful',
  litre: 'litre',
};

/** Weighed once, it is no longer guessed. */
export function WeighingQuestion({
  weights,
  save,
}: {
  readonly weights: Weights;
  readonly save: SaveHarvest;
}) {
  const [open, setOpen] = useState(false);
  const [unit, setUnit] = useState<keyof typeof UNITS>();
  const [many, setMany] = useState('');
  const [grams, setGrams] = useState('');
  const [asked, setAsked] = useState(false);
  const [amount, weight] = [readNumber(many), readNumber(grams)];
  const wrong = (value: number | undefined) => value !== undefined && !(value > 0 && value <= 1e6);
  const weighing =
    amount !== undefined && weight !== undefined && unit !== undefined && !wrong(amount) && !wrong(weight)
      ? { amount: { amount, unit }, grams: weight }
      : undefined;
  const keep = () => {
    if (!weighing) return;
    save(({ weighings = [] }) => ({ weighings: [...weighings, weighing].slice(-60) }));
    setOpen(false);
    setAsked(false);
  };
  // What is typed or chosen otherwise is another weighing.
  const typed =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setAsked(false);
    };
  return (
    <View style={styles.block}>
      <Heading>What it weighs</Heading>
      <Body soft>
        A piece about {Math.round(weights.piece * 10) / 10} g, a handful {Math.round(weights.handful)} g, a
        litre {Math.round(weights.litre)} g.
      </Body>
      {open ? (
        <>
          <View style={styles.row}>
            <View style={styles.grow}>
              <Field
                label="So many"
                inputMode="decimal"
                value={many}
                onChangeText={typed(setMany)}
                {...(wrong(amount) ? { wrong: 'a number above nothing' } : {})}
              />
            </View>
            <View style={styles.grow}>
              <Field
                label="Weigh, in grams"
                inputMode="decimal"
                value={grams}
                onChangeText={typed(setGrams)}
                {...(wrong(weight) ? { wrong: 'grams above nothing' } : {})}
              />
            </View>
          </View>
          <ChipRow label="Of what">
            {(Object.keys(UNITS) as (keyof typeof UNITS)[]).map((one) => (
              <Chip key={one} label={UNITS[one]} chosen={unit === one} onPress={() => typed(setUnit)(one)} />
            ))}
          </ChipRow>
          {asked && weighing ? (
            <AskBack
              question={`Then one ${UNIT_NAME[weighing.amount.unit]} weighs ${grammes(weighing.grams / weighing.amount.amount)}; about ${grammes(weights[weighing.amount.unit])} is usual. Is that right?`}
              yes="Yes, it weighs that"
              onYes={keep}
            />
          ) : (
            <Button
              label="Put it down"
              tone="outline"
              disabled={!weighing}
              style={styles.start}
              onPress={() => (weighing && isUnusualWeighing(weighing, weights) ? setAsked(true) : keep())}
            />
          )}
        </>
      ) : (
        <Button label="I weighed some" tone="outline" style={styles.start} onPress={() => setOpen(true)} />
      )}
    </View>
  );
}
