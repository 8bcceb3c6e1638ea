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
import { t } from '../../text/en/pantry';
import { numberWord } from '../../text/names';
import { stepWords, amountWords, STORE } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { stepsOf, yieldFor, madesOf, keepsFor, bestBeforeOf } from './batch';
import { styles } from './batchStyles';

/** What may become of a batch that is ready. */

/** What it came to, once everything that has to be done is done. */
const UNIT_SHORT = { g: t.gramsShort, ml: t.millilitresShort, piece: t.jarsPieces } as const;

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
      ? { reason: t.aboveNothing }
      : unit && madeProblem(method, grams, { amount, unit });
  const refusals =
    method === 'cook'
      ? madesOf(contents).flatMap((one) => (cooked ? (cookingRefusal(one, cooked) ?? []) : []))
      : [];
  const why = [
    ...(named && unit === undefined ? [t.chooseWhatItIsMeasured] : []),
    ...open.map(stepWords),
    ...(method === 'cook' && !cooked ? [t.howItWasCooked] : []),
    ...(refusals.length > 0 ? [t.cookItAsItHas] : []),
    ...(looks.at(-1)?.damp === true ? [t.dryItOnDampCame] : []),
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
      <Heading>{t.whatItCameTo}</Heading>
      {grams === undefined ? null : (
        <Small soft>
          {t.wentIn(
            amountWords({ amount: grams, unit: 'g' }),
            unit !== 'ml' && usual.yield < 1
              ? t.aboutAreUsual(
                  amountWords({ amount: grams * usual.yield, unit: 'g' }),
                  usual.batches > 0 ? t.byYourLastBatches(usual.batches, numberWord(usual.batches)) : '',
                )
              : '',
          )}
        </Small>
      )}
      <Field
        label={t.howMuchItIsNow}
        inputMode="decimal"
        value={text}
        onChangeText={(typed) => {
          setText(typed);
          setAsked(false);
        }}
        {...(problem ? { wrong: problem.reason } : {})}
      />
      <ChipRow label={t.measuredIn}>
        {(['g', 'ml', 'piece'] as const).map((one) => (
          <Chip
            key={one}
            label={UNIT_SHORT[one]}
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
          <SmallStrong>{t.beforeItIsReady}</SmallStrong>
          <View role="list" aria-label={t.stillToBeDone}>
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
          question={t.isThatRight(
            amountWords({ amount, unit }),
            grams === undefined ? '' : t.ofThatWentIn(amountWords({ amount: grams, unit: 'g' })),
          )}
          yes={t.yesItIsReady}
          onYes={ready}
        />
      ) : (
        <Button
          label={t.itIsReady}
          disabled={!named || problem !== undefined || why.length > 0}
          onPress={() => (unit && isImprobablyMade({ amount, unit }, grams) ? setAsked(true) : ready())}
        />
      )}
      {keeping ? (
        <Small soft>{t.bestBeforeThen(isoDayName(bestBeforeOf(today, keeping)), STORE[keeping.store])}</Small>
      ) : null}
    </View>
  );
}
