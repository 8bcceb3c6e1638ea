import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { FieldsOf } from '@pause/core';
import {
  COUNTED_BY_STAGE,
  estimateOf,
  isImprobable,
  isUnusualWeighing,
  toGrams,
  type Amount,
  type AmountUnit,
  type Count,
  type LifeForm,
  type Weights,
} from '@pause/core/harvest/taking';
import { readNumber } from '@pause/core/lib/typed';
import {
  AskBack,
  Body,
  Button,
  Chip,
  ChipRow,
  Field,
  Heading,
  Small,
  SmallStrong,
  space,
} from '../../components';
import { NumberField } from '../../components/NumberField';
import type { Harvest } from '../../notebook/harvests';
import type { TellHarvest } from '../../notebook/useOwnHarvest';
import { amountOf, weightOf } from '../../text/harvest';
import { amountWords } from '../../text/pantry';

/**
 * What somebody tells: for whom, what stands there, what fits, what one weighs, and what was taken in the
 * end.
 */

type Fields = FieldsOf<'harvest'>;

interface Part {
  readonly id: string;
  readonly name: string;
}

interface ToldProps {
  readonly told: Harvest;
  /** What is taken of it, as it is called. */
  readonly part: Part;
  readonly lifeForm: LifeForm | undefined;
  /** Who eats along, as far as anybody was put down. */
  readonly eaters: number;
  readonly weights: Weights;
  readonly yields: readonly YieldOf[];
  readonly tell: TellHarvest;
}

export function Told({ told, part, lifeForm, eaters, weights, yields, tell }: ToldProps) {
  return (
    <>
      <NeedTold need={told.need} eaters={eaters} yields={yields} tell={tell} />
      <PatchTold
        part={part}
        lifeForm={lifeForm}
        count={told.count}
        invader={told.invader === true}
        tell={tell}
      />
      <HandsTold hands={told.hands} persons={told.persons} tell={tell} />
      <WeighTold weights={weights} tell={tell} />
      <TakenTold told={told} weights={weights} tell={tell} />
    </>
  );
}

/** A way of making it ready, and what it leaves of its weight. */
export interface YieldOf {
  readonly label: string;
  readonly yield: number;
  /** Of so many own batches; else it is what is usual. */
  readonly batches: number;
  /** Grams of it that are in the pantry, so made. */
  readonly inStore: number;
}

function NeedTold({
  need,
  eaters,
  yields,
  tell,
}: {
  readonly yields: readonly YieldOf[];
  readonly need: Fields['need'] | undefined;
  readonly eaters: number;
  readonly tell: TellHarvest;
}) {
  const put = (more: Partial<Fields['need']>) =>
    tell(({ need: now = { eaters, servings: 1, servingGrams: 150, yield: 1 } }) => ({
      need: { ...now, ...more },
    }));
  const chosen = need && yields.find((one) => Math.abs(need.yield - one.yield) < 1e-6);
  const whole = { whole: true, check: (one: number) => one >= 1, right: 'a whole number from 1' } as const;
  return (
    <View style={styles.block}>
      <Heading>What you need</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="Who eats"
            value={need?.eaters ?? eaters}
            {...whole}
            onTell={(one) => {
              if (one) put({ eaters: one });
            }}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="How often"
            value={need?.servings}
            placeholder="1"
            {...whole}
            onTell={(one) => {
              if (one) put({ servings: one });
            }}
          />
        </View>
      </View>
      <NumberField
        label="Grams each time, made ready"
        value={need?.servingGrams}
        placeholder="150"
        right="grams above nothing"
        onTell={(one) => {
          if (one) put({ servingGrams: one });
        }}
      />
      <ChipRow label="How it is made ready">
        {yields.map((one) => (
          <Chip
            key={one.label}
            label={one.label}
            chosen={need !== undefined && Math.abs(need.yield - one.yield) < 1e-6}
            onPress={() => put({ yield: one.yield })}
          />
        ))}
      </ChipRow>
      {need ? (
        <Small soft>
          Made ready, {Math.round(need.yield * 100)} % of its weight are left
          {chosen && chosen.batches > 0
            ? `, by ${chosen.batches === 1 ? 'a batch' : `${chosen.batches} batches`} of yours`
            : ''}
          .
          {chosen && chosen.inStore > 0
            ? ` ${Math.round(chosen.inStore)} g of it are in the pantry already, and taken off.`
            : ''}
        </Small>
      ) : null}
    </View>
  );
}

const HOW = { counted: 'Counted', stages: 'By stage', squares: 'In squares', about: 'About' } as const;
const STAGES = [
  ['young', 'Young'],
  ['grown', 'Grown'],
  ['bearing', 'Bearing'],
] as const;
const ORDER = { few: 'A few', tens: 'Tens', hundreds: 'Hundreds', thousands: 'Thousands' } as const;

/** Numbers of squares as they are typed: 4, 6, 0, 8. */
export function countsOf(text: string): number[] | undefined {
  const all = text
    .split(/[\s,;]+/)
    .filter((one) => one !== '')
    .map(Number);
  return all.length >= 2 &&
    all.length <= 200 &&
    all.every((one) => Number.isInteger(one) && one >= 0 && one <= 1e6)
    ? all
    : undefined;
}

function PatchTold({
  part,
  lifeForm,
  count,
  invader,
  tell,
}: {
  readonly part: Part;
  readonly lifeForm: LifeForm | undefined;
  readonly count: Count | undefined;
  readonly invader: boolean;
  readonly tell: TellHarvest;
}) {
  const [how, setHow] = useState<Count['how']>(count?.how ?? 'counted');
  const estimate = count && estimateOf(count, part.id);
  const ways = (Object.keys(HOW) as Count['how'][]).filter(
    (one) => one !== 'stages' || (lifeForm !== undefined && COUNTED_BY_STAGE.includes(lifeForm)),
  );
  return (
    <View style={styles.block}>
      <Heading>What stands there</Heading>
      <ChipRow label="How you know">
        {ways.map((one) => (
          <Chip key={one} label={HOW[one]} chosen={how === one} onPress={() => setHow(one)} />
        ))}
      </ChipRow>
      {how === 'counted' ? (
        <NumberField
          label={`How many, counted one by one: ${part.name}`}
          value={count?.how === 'counted' ? count.number : undefined}
          whole
          check={(one) => one >= 0}
          right="a whole number from 0"
          onTell={(number) =>
            tell(() => ({ count: number === undefined ? null : { how: 'counted', number } }))
          }
        />
      ) : null}
      {how === 'stages' ? <Stages count={count?.how === 'stages' ? count : undefined} tell={tell} /> : null}
      {how === 'squares' ? (
        <Squares count={count?.how === 'squares' ? count : undefined} tell={tell} />
      ) : null}
      {how === 'about' ? (
        <ChipRow label="About how many">
          {(Object.keys(ORDER) as (keyof typeof ORDER)[]).map((order) => (
            <Chip
              key={order}
              label={ORDER[order]}
              chosen={count?.how === 'about' && count.order === order}
              onPress={() => tell(() => ({ count: { how: 'about', order } }))}
            />
          ))}
        </ChipRow>
      ) : null}
      {estimate && estimate.low !== estimate.high ? (
        <Body>
          About {estimate.mid.toLocaleString()}: in eight of ten cases from {estimate.low.toLocaleString()} to{' '}
          {estimate.high.toLocaleString()}.
        </Body>
      ) : null}
      <ChipRow label="Where it belongs">
        <Chip
          kind="checkbox"
          label="It spreads where it does not belong"
          chosen={invader}
          onPress={() => tell(({ invader: now }) => ({ invader: now !== true }))}
        />
      </ChipRow>
    </View>
  );
}

/**
 * Each plant once, by how far it is. Whoever counts one of the three counts the others as none until they are
 * told.
 */
function Stages({
  count,
  tell,
}: {
  readonly count: Extract<Count, { how: 'stages' }> | undefined;
  readonly tell: TellHarvest;
}) {
  const put = (stage: (typeof STAGES)[number][0], number: number | undefined) =>
    tell(({ count: now }) => ({
      count: {
        ...(now?.how === 'stages' ? now : { how: 'stages' as const, young: 0, grown: 0, bearing: 0 }),
        [stage]: number ?? 0,
      },
    }));
  return (
    <>
      <View style={styles.row}>
        {STAGES.map(([stage, label]) => (
          <View key={stage} style={styles.grow}>
            <NumberField
              label={label}
              value={count?.[stage]}
              whole
              check={(one) => one >= 0}
              right="a whole number from 0"
              onTell={(number) => put(stage, number)}
            />
          </View>
        ))}
      </View>
      <Small soft>
        Each plant once, by how far it is; bearing is what has flowers or fruit. Young ones are overlooked
        most: look low.
      </Small>
    </>
  );
}

function Squares({
  count,
  tell,
}: {
  readonly count: Extract<Count, { how: 'squares' }> | undefined;
  readonly tell: TellHarvest;
}) {
  const [text, setText] = useState(count?.counts.join(', ') ?? '');
  const [of, setOf] = useState(count ? String(count.squares) : '');
  const counts = countsOf(text);
  const squares = readNumber(of);
  const few =
    counts !== undefined && squares !== undefined && !(Number.isInteger(squares) && squares >= counts.length);
  const put = () => {
    if (counts && squares !== undefined && !few) tell(() => ({ count: { how: 'squares', counts, squares } }));
  };
  return (
    <>
      <Field
        label="How many in each square or strip"
        value={text}
        onChangeText={setText}
        placeholder="4, 6, 0, 8"
        {...(text.trim() !== '' && !counts
          ? { wrong: 'whole numbers with commas, of two squares or more' }
          : {})}
        onBlur={put}
      />
      <Field
        label="How many such squares the patch is"
        inputMode="numeric"
        value={of}
        onChangeText={setOf}
        {...(few ? { wrong: 'a whole number, no fewer than were looked at' } : {})}
        onBlur={put}
      />
      <Small soft>
        Lay them out before you look: every fifth step along the patch, and not where most stand.
      </Small>
    </>
  );
}

function HandsTold({
  hands = {},
  persons,
  tell,
}: {
  readonly hands: Fields['hands'] | undefined;
  readonly persons: number | undefined;
  readonly tell: TellHarvest;
}) {
  const put = (field: keyof Fields['hands'], value: number | undefined) =>
    tell(({ hands: now = {} }) => {
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
            onTell={(value) => put('basketLitres', value)}
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
            onTell={(value) => tell(() => ({ persons: value ?? null }))}
          />
        </View>
      </View>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="Hours for it at home"
            value={hands.hours}
            right="hours above nothing"
            onTell={(value) => put('hours', value)}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="Grams done in an hour"
            value={hands.gramsPerHour}
            right="grams above nothing"
            onTell={(value) => put('gramsPerHour', value)}
          />
        </View>
      </View>
    </View>
  );
}

const UNITS = { piece: 'pieces', handful: 'handfuls', litre: 'litres' } as const;
const grammes = (grams: number) => amountWords({ amount: grams, unit: 'g' });
const UNIT_NAME: Readonly<Record<keyof typeof UNITS, string>> = {
  piece: 'piece',
  handful: 'handful',
  litre: 'litre',
};
const UNIT_OF_TAKEN = { ...UNITS, g: 'grams' } as const;

/** Weighed once, it is no longer guessed. */
function WeighTold({ weights, tell }: { readonly weights: Weights; readonly tell: TellHarvest }) {
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
    tell(({ weighings = [] }) => ({ weighings: [...weighings, weighing].slice(-60) }));
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

const WETNESS = { dry: 'Dry', damp: 'Damp', wet: 'Wet' } as const;
const SHARES = [
  ['A trace', 0.02],
  ['A tenth', 0.1],
  ['A quarter', 0.25],
  ['A third', 0.33],
  ['Half', 0.5],
  ['All of it', 1],
] as const;

/** What was taken in the end: it counts when somebody comes here next. */
function TakenTold({
  told,
  weights,
  tell,
}: {
  readonly told: Harvest;
  readonly weights: Weights;
  readonly tell: TellHarvest;
}) {
  const [amount, setAmount] = useState(told.taken?.amount);
  const [unit, setUnit] = useState<AmountUnit | undefined>(told.taken?.unit);
  const [asked, setAsked] = useState<Amount>();
  const [bag, setBag] = useState(told.bag ?? '');
  const [manner, setManner] = useState(told.manner ?? '');
  const put = (many: number | undefined, of: AmountUnit | undefined) => {
    setAmount(many);
    setUnit(of);
    setAsked(undefined);
    if (many === undefined) tell(() => ({ taken: null }));
    if (many === undefined || of === undefined) return;
    const taken = { amount: many, unit: of };
    if (isImprobable(toGrams(taken, weights), told.persons)) setAsked(taken);
    else tell(() => ({ taken }));
  };
  const isKept = told.taken !== undefined && told.taken.amount === amount && told.taken.unit === unit;
  return (
    <View style={styles.block}>
      <Heading>What was taken</Heading>
      <NumberField
        label="How much"
        value={amount}
        check={(one) => one >= 0}
        right="nothing or more"
        keeps={false}
        onTell={(many) => put(many, unit)}
      />
      <ChipRow label="Measured in">
        {(Object.keys(UNIT_OF_TAKEN) as AmountUnit[]).map((one) => (
          <Chip key={one} label={UNIT_OF_TAKEN[one]} chosen={unit === one} onPress={() => put(amount, one)} />
        ))}
      </ChipRow>
      {amount !== undefined && unit === undefined ? (
        <SmallStrong role="alert">Choose what it is measured in; until then it is not kept.</SmallStrong>
      ) : null}
      {asked ? (
        <AskBack
          question={`${amountOf(asked.amount, asked.unit)}${asked.unit === 'g' ? '' : ` of it weigh about ${weightOf(toGrams(asked, weights))}`}. Is that right?`}
          yes="Yes, that much was taken"
          onYes={() => {
            tell(() => ({ taken: asked }));
            setAsked(undefined);
          }}
        />
      ) : null}
      {isKept && told.taken ? (
        <Small soft role="status">
          Kept: {amountOf(told.taken.amount, told.taken.unit)}.
        </Small>
      ) : null}
      <SmallStrong>Of what stood there</SmallStrong>
      <ChipRow label="Of what stood there">
        {SHARES.map(([label, share]) => (
          <Chip
            key={label}
            label={label}
            chosen={told.share === share}
            onPress={() => tell(() => ({ share }))}
          />
        ))}
      </ChipRow>
      <ChipRow label="How wet it was">
        {(Object.keys(WETNESS) as (keyof typeof WETNESS)[]).map((one) => (
          <Chip
            key={one}
            label={WETNESS[one]}
            chosen={told.wetness === one}
            onPress={() => tell(() => ({ wetness: one }))}
          />
        ))}
      </ChipRow>
      <Field
        label="The bag or basket it lies in"
        value={bag}
        onChangeText={setBag}
        maxLength={120}
        onBlur={() => {
          if (bag.trim() !== (told.bag ?? '')) tell(() => ({ bag: bag.trim() === '' ? null : bag.trim() }));
        }}
      />
      <Field
        label="By which hand, if otherwise than said"
        value={manner}
        onChangeText={setManner}
        maxLength={300}
        onBlur={() => {
          if (manner.trim() !== (told.manner ?? ''))
            tell(() => ({ manner: manner.trim() === '' ? null : manner.trim() }));
        }}
      />
      <ChipRow label="For looking at again">
        <Chip
          kind="checkbox"
          label="One whole specimen is kept aside"
          chosen={told.specimen === true}
          onPress={() => tell(({ specimen }) => ({ specimen: specimen !== true }))}
        />
      </ChipRow>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
