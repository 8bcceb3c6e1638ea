import { useState } from 'react';
import { View } from 'react-native';
import { openSteps, cookingRefusal } from '@pause/core/harvest/preparing';
import { isoOf } from '@pause/core/lib/day';
import { readNumber } from '@pause/core/lib/typed';
import { type KeptAmount, madeProblem, isImprobablyMade } from '@pause/core/pantry';
import { Heading, Small, Field, ChipRow, Chip, SmallStrong, AskBack, Button } from '../../components';
import { changeFields } from '../../notebook/changeFields';
import { type BatchPage, type Pantry, gramsIn } from '../../notebook/pantry';
import { useAct } from '../../notebook/store';
import { useDay } from '../../notebook/usePlaces';
import { numberWord } from '../../text/names';
import { stepWords, amountWords, UNIT, STORE } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { stepsOf, yieldFor, madesOf, keepsFor, bestBeforeOf } from './batch';
import { styles } from './batchStyles';

/** What may become of a batch that is ready. */

/** What it came to, once everything that has to be done is done. */
export function Ready({
  batch: { id, fields },
  pantry,
}: {
  readonly batch: BatchPage;
  readonly pantry: Pantry;
}) {
  const act = useAct();
  const today = isoOf(useDay());
  const { method = 'fresh', made, from = [], contents, cooked, looks = [], steps: done = [] } = fields;
  const [unit, setUnit] = useState<KeptAmount['unit'] | undefined>(made?.unit);
  const [asked, setAsked] = useState(false);
  const [text, setText] = useState(made ? String(made.amount) : '');
  const steps = stepsOf(fields, pantry);
  const open = openSteps(steps, done);
  const grams = gramsIn(pantry, from, id);
  const usual = yieldFor(pantry, fields);
  const amount = readNumber(text) ?? 0;
  const named = text.trim() !== '';
  const right = Number.isFinite(amount) && amount > 0 && amount <= 1e6;
  const problem = !named
    ? undefined
    : !right
      ? { reason: 'above nothing' }
      : unit && madeProblem(method, grams, { amount, unit });
  const refusals =
    method === 'cook'
      ? madesOf(contents).flatMap((one) => (cooked ? (cookingRefusal(one, cooked) ?? []) : []))
      : [];
  const why = [
    ...(named && unit === undefined ? ['Choose what it is measured in'] : []),
    ...open.map(stepWords),
    ...(method === 'cook' && !cooked ? ['How it was cooked'] : []),
    ...(refusals.length > 0 ? ['Cook it as it has to be'] : []),
    ...(looks.at(-1)?.damp === true ? ['Dry it on: damp came back'] : []),
  ];
  const keeping = keepsFor(fields);
  const ready = () => {
    if (!unit) return;
    void act(
      changeFields(id, 'batch', (is) => {
        const keeps = keepsFor(is);
        return {
          made: { amount, unit },
          readyOn: today,
          ...(keeps ? { bestBefore: bestBeforeOf(today, keeps) } : {}),
        };
      }),
    );
  };
  return (
    <View style={styles.block}>
      <Heading>What it came to</Heading>
      {grams === undefined ? null : (
        <Small soft>
          {amountWords({ amount: grams, unit: 'g' })} went in
          {unit !== 'ml' && usual.yield < 1
            ? `; about ${amountWords({ amount: grams * usual.yield, unit: 'g' })} are usual${usual.batches > 0 ? `, by ${usual.batches === 1 ? 'your last batch' : `your last ${numberWord(usual.batches)} batches`}` : ''}`
            : ''}
          .
        </Small>
      )}
      <Field
        label="How much it is now"
        inputMode="decimal"
        value={text}
        onChangeText={(typed) => {
          setText(typed);
          setAsked(false);
        }}
        {...(problem ? { wrong: problem.reason } : {})}
      />
      <ChipRow label="Measured in">
        {(['g', 'ml', 'piece'] as const).map((one) => (
          <Chip
            key={one}
            label={one === 'piece' ? 'jars, pieces' : UNIT[one]}
            chosen={unit === one}
            onPress={() => {
              setUnit(one);
              setAsked(false);
            }}
          />
        ))}
      </ChipRow>
      {why.length > 0 ? (
        <View>
          <SmallStrong>Before it is ready:</SmallStrong>
          <View role="list" aria-label="Still to be done">
            {why.map((one) => (
              <View key={one} role="listitem">
                <Small>– {one}</Small>
              </View>
            ))}
          </View>
        </View>
      ) : null}
      {asked && unit ? (
        <AskBack
          question={`${amountWords({ amount, unit })}${grams === undefined ? '' : ` of ${amountWords({ amount: grams, unit: 'g' })} that went in`}. Is that right?`}
          yes="Yes, it is ready"
          onYes={ready}
        />
      ) : (
        <Button
          label="It is ready"
          disabled={!named || problem !== undefined || why.length > 0}
          onPress={() => (unit && isImprobablyMade({ amount, unit }, grams) ? setAsked(true) : ready())}
        />
      )}
      {keeping ? (
        <Small soft>
          Best before {isoDayName(bestBeforeOf(today, keeping))} then, {STORE[keeping.store]}.
        </Small>
      ) : null}
    </View>
  );
}
