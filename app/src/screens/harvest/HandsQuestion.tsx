import { useState } from 'react';
import { View } from 'react-native';
import type { FieldsOf } from '@pause/core';
import { type Weights, isUnusualWeighing } from '@pause/core/harvest/taking';
import { readNumber } from '@pause/core/lib/typed';
import { Heading, Body, Field, ChipRow, Chip, AskBack, Button } from '../../components';
import { NumberField } from '../../components/NumberField';
import type { SaveHarvest } from '../../notebook/useOwnHarvest';
import { t } from '../../text/en/harvest';
import { amountWords } from '../../text/pantry';
import { UNIT, UNITS } from '../../text/units';
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
      <Heading>{t.basketAndHands}</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label={t.litresThatFit}
            value={hands.basketLitres}
            right={t.litresAboveNothing}
            onChange={(value) => put('basketLitres', value)}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label={t.howManyPick}
            value={persons}
            placeholder="1"
            whole
            check={(one) => one >= 1}
            right={t.aWholeNumberFrom1}
            onChange={(value) => save(() => ({ persons: value ?? null }))}
          />
        </View>
      </View>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label={t.hoursForItAtHome}
            value={hands.hours}
            right={t.hoursAboveNothing}
            onChange={(value) => put('hours', value)}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label={t.gramsDoneInAnHour}
            value={hands.gramsPerHour}
            right={t.gramsAboveNothing}
            onChange={(value) => put('gramsPerHour', value)}
          />
        </View>
      </View>
    </View>
  );
}

export const SEEN_UNITS = ['piece', 'handful', 'litre'] as const;
type SeenUnit = (typeof SEEN_UNITS)[number];
const grammes = (grams: number) => amountWords({ amount: grams, unit: 'g' });

interface WeighingProps {
  readonly weights: Weights;
  readonly save: SaveHarvest;
}

/** Weighed once, it is no longer guessed. */
export function WeighingQuestion({ weights, save }: WeighingProps) {
  const [open, setOpen] = useState(false);
  return (
    <View style={styles.block}>
      <Heading>{t.whatItWeighs}</Heading>
      <Body soft>
        {t.aPieceAboutGA(
          Math.round(weights.piece * 10) / 10,
          Math.round(weights.handful),
          Math.round(weights.litre),
        )}
      </Body>
      {open ? (
        <NewWeighing weights={weights} save={save} onDone={() => setOpen(false)} />
      ) : (
        <Button label={t.iWeighedSome} tone="outline" style={styles.start} onPress={() => setOpen(true)} />
      )}
    </View>
  );
}

const isWrong = (value: number | undefined) => value !== undefined && !(value > 0 && value <= 1e6);

/** A weighing as it is typed. */
function useWeighing() {
  const [unit, setUnit] = useState<SeenUnit>();
  const [many, setMany] = useState('');
  const [grams, setGrams] = useState('');
  const [asked, setAsked] = useState(false);
  const [amount, weight] = [readNumber(many), readNumber(grams)];
  // What is typed or chosen otherwise is another weighing.
  const anew =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setAsked(false);
    };
  return {
    unit,
    setUnit: anew(setUnit),
    many,
    setMany: anew(setMany),
    grams,
    setGrams: anew(setGrams),
    amountWrong: isWrong(amount),
    weightWrong: isWrong(weight),
    asked,
    ask: () => setAsked(true),
    weighing:
      amount !== undefined &&
      weight !== undefined &&
      unit !== undefined &&
      !isWrong(amount) &&
      !isWrong(weight)
        ? { amount: { amount, unit }, grams: weight }
        : undefined,
  };
}

function NewWeighing({ weights, save, onDone }: WeighingProps & { readonly onDone: () => void }) {
  const form = useWeighing();
  const { weighing, unit, asked } = form;
  const keep = () => {
    if (!weighing) return;
    save(({ weighings = [] }) => ({ weighings: [...weighings, weighing].slice(-60) }));
    onDone();
  };
  return (
    <>
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label={t.soMany}
            inputMode="decimal"
            value={form.many}
            onChangeText={form.setMany}
            {...(form.amountWrong ? { wrong: t.aNumberAboveNothing } : {})}
          />
        </View>
        <View style={styles.grow}>
          <Field
            label={t.weighInGrams}
            inputMode="decimal"
            value={form.grams}
            onChangeText={form.setGrams}
            {...(form.weightWrong ? { wrong: t.gramsAboveNothing } : {})}
          />
        </View>
      </View>
      <ChipRow label={t.ofWhat}>
        {SEEN_UNITS.map((one) => (
          <Chip key={one} label={UNITS[one]} chosen={unit === one} onPress={() => form.setUnit(one)} />
        ))}
      </ChipRow>
      {asked && weighing ? (
        <AskBack
          question={t.thenOneWeighsAboutIs(
            UNIT[weighing.amount.unit],
            grammes(weighing.grams / weighing.amount.amount),
            grammes(weights[weighing.amount.unit]),
          )}
          yes={t.yesItWeighsThat}
          onYes={keep}
        />
      ) : (
        <Button
          label={t.putItDown}
          tone="outline"
          disabled={!weighing}
          style={styles.start}
          onPress={() => (weighing && isUnusualWeighing(weighing, weights) ? form.ask() : keep())}
        />
      )}
    </>
  );
}
