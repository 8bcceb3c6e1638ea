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

interface TakenProps {
  readonly harvest: Harvest;
  readonly weights: Weights;
  readonly save: SaveHarvest;
}

/** What was taken in the end: it counts when somebody comes here next. */
export function TakenQuestion({ harvest, weights, save }: TakenProps) {
  return (
    <View style={styles.block}>
      <Heading>{t.whatWasTaken}</Heading>
      <HowMuch harvest={harvest} weights={weights} save={save} />
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
      <SavedText
        label={t.theBagOrBasketIt}
        value={harvest.bag ?? ''}
        most={120}
        onSave={(bag) => save(() => ({ bag }))}
      />
      <SavedText
        label={t.byWhichHandIfOtherwise}
        value={harvest.manner ?? ''}
        most={300}
        onSave={(manner) => save(() => ({ manner }))}
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

/** How much, and in what it is measured; a great deal is asked back before it counts. */
function HowMuch({ harvest, weights, save }: TakenProps) {
  const [amount, setAmount] = useState(harvest.taken?.amount);
  const [unit, setUnit] = useState<AmountUnit | undefined>(harvest.taken?.unit);
  const [asked, setAsked] = useState<Amount>();
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
    <>
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
          question={
            asked.unit === 'g'
              ? t.isThatRight(amountOf(asked.amount, asked.unit))
              : t.isThatRightWeighing(amountOf(asked.amount, asked.unit), weightOf(toGrams(asked, weights)))
          }
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
    </>
  );
}

interface SavedTextProps {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  /** With `null` where it was emptied. */
  readonly onSave: (text: string | null) => void;
}

/** A text that is saved when one leaves it. */
function SavedText({ label, value, most, onSave }: SavedTextProps) {
  const [text, setText] = useState(value);
  return (
    <Field
      label={label}
      value={text}
      onChangeText={setText}
      maxLength={most}
      onBlur={() => {
        if (text.trim() !== value) onSave(text.trim() === '' ? null : text.trim());
      }}
    />
  );
}
