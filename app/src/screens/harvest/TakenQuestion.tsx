import { useState } from 'react';
import { View } from 'react-native';
import {
  type Weights,
  type AmountUnit,
  type Amount,
  isImprobable,
  toGrams,
} from '@pause/core/harvest/taking';
import { Heading, ChipRow, Chip, SmallStrong, AskBack, Small, Field } from '../../components';
import { NumberField } from '../../components/NumberField';
import type { Harvest } from '../../notebook/harvests';
import type { SaveHarvest } from '../../notebook/useOwnHarvest';
import { t } from '../../text/en/harvest';
import { amountOf, weightOf } from '../../text/harvest';
import { UNITS } from '../../text/units';
import { SEEN_UNITS } from './HandsQuestion';
import { styles } from './questionStyles';

/** What was taken. */

const TAKEN_UNITS: readonly AmountUnit[] = [...SEEN_UNITS, 'g'];
const WETNESS = { dry: t.dry, damp: t.damp, wet: t.wet } as const;

const SHARES = [
  [t.aTrace, 0.02],
  [t.aTenth, 0.1],
  [t.aQuarter, 0.25],
  [t.aThird, 0.33],
  [t.half, 0.5],
  [t.allOfIt, 1],
] as const;

/** What was taken in the end: it counts when somebody comes here next. */
export function TakenQuestion({
  harvest,
  weights,
  save,
}: {
  readonly harvest: Harvest;
  readonly weights: Weights;
  readonly save: SaveHarvest;
}) {
  const [amount, setAmount] = useState(harvest.taken?.amount);
  const [unit, setUnit] = useState<AmountUnit | undefined>(harvest.taken?.unit);
  const [asked, setAsked] = useState<Amount>();
  const [bag, setBag] = useState(harvest.bag ?? '');
  const [manner, setManner] = useState(harvest.manner ?? '');
  const put = (many: number | undefined, of: AmountUnit | undefined) => {
    setAmount(many);
    setUnit(of);
    setAsked(undefined);
    if (many === undefined) save(() => ({ taken: null }));
    if (many === undefined || of === undefined) return;
    const taken = { amount: many, unit: of };
    if (isImprobable(toGrams(taken, weights), harvest.persons)) setAsked(taken);
    else save(() => ({ taken }));
  };
  const isKept =
    harvest.taken !== undefined && harvest.taken.amount === amount && harvest.taken.unit === unit;
  return (
    <View style={styles.block}>
      <Heading>{t.whatWasTaken}</Heading>
      <NumberField
        label={t.howMuch}
        value={amount}
        check={(one) => one >= 0}
        right={t.nothingOrMore}
        keeps={false}
        onChange={(many) => put(many, unit)}
      />
      <ChipRow label={t.measuredIn}>
        {TAKEN_UNITS.map((one) => (
          <Chip key={one} label={UNITS[one]} chosen={unit === one} onPress={() => put(amount, one)} />
        ))}
      </ChipRow>
      {amount !== undefined && unit === undefined ? (
        <SmallStrong role="alert">{t.chooseWhatItIsMeasured}</SmallStrong>
      ) : null}
      {asked ? (
        <AskBack
          question={t.isThatRight(
            amountOf(asked.amount, asked.unit),
            asked.unit === 'g' ? '' : t.ofItWeighAbout(weightOf(toGrams(asked, weights))),
          )}
          yes={t.yesThatMuchWasTaken}
          onYes={() => {
            save(() => ({ taken: asked }));
            setAsked(undefined);
          }}
        />
      ) : null}
      {isKept && harvest.taken ? (
        <Small soft role="status">
          {t.kept(amountOf(harvest.taken.amount, harvest.taken.unit))}
        </Small>
      ) : null}
      <SmallStrong>{t.ofWhatStoodThere}</SmallStrong>
      <ChipRow label={t.ofWhatStoodThere}>
        {SHARES.map(([label, share]) => (
          <Chip
            key={label}
            label={label}
            chosen={harvest.share === share}
            onPress={() => save(() => ({ share }))}
          />
        ))}
      </ChipRow>
      <ChipRow label={t.howWetItWas}>
        {(Object.keys(WETNESS) as (keyof typeof WETNESS)[]).map((one) => (
          <Chip
            key={one}
            label={WETNESS[one]}
            chosen={harvest.wetness === one}
            onPress={() => save(() => ({ wetness: one }))}
          />
        ))}
      </ChipRow>
      <Field
        label={t.theBagOrBasketIt}
        value={bag}
        onChangeText={setBag}
        maxLength={120}
        onBlur={() => {
          if (bag.trim() !== (harvest.bag ?? ''))
            save(() => ({ bag: bag.trim() === '' ? null : bag.trim() }));
        }}
      />
      <Field
        label={t.byWhichHandIfOtherwise}
        value={manner}
        onChangeText={setManner}
        maxLength={300}
        onBlur={() => {
          if (manner.trim() !== (harvest.manner ?? ''))
            save(() => ({ manner: manner.trim() === '' ? null : manner.trim() }));
        }}
      />
      <ChipRow label={t.forLookingAtAgain}>
        <Chip
          kind="checkbox"
          label={t.oneWholeSpecimenIsKept}
          chosen={harvest.specimen === true}
          onPress={() => save(({ specimen }) => ({ specimen: specimen !== true }))}
        />
      </ChipRow>
    </View>
  );
}
