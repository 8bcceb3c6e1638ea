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
import { t } from '../../text/en/making';
import { numberWord } from '../../text/names';
import { stepWords, amountWords, STORE } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { stepsOf, yieldFor, madesOf, keepsFor, bestBeforeOf } from './batch';
import { styles } from './batchStyles';

/** What may become of a batch that is ready. */

/** What it came to, once everything that has to be done is done. */
const UNIT_SHORT = { g: t.gramsShort, ml: t.millilitresShort, piece: t.jarsPieces } as const;

interface ReadyProps {
  readonly batch: BatchPage;
  readonly pantry: Pantry;
}

/** What has to be done before a batch is ready. */
function missingOf({ fields }: BatchPage, pantry: Pantry): string[] {
  const { method, contents, cooked, looks = [], steps: done = [] } = fields;
  const wanted: string[] = openSteps(stepsOf(fields, pantry), done).map(stepWords);
  if (method === 'cook') {
    if (!cooked) wanted.push(t.howItWasCooked);
    else if (madesOf(contents).some((one) => cookingRefusal(one, cooked))) wanted.push(t.cookItAsItHas);
  }
  if (looks.at(-1)?.damp === true) wanted.push(t.dryItOnDampCame);
  return wanted;
}

/** How much it came to, what is missing before it is ready, and putting that on record. */
function useReady({ batch, pantry }: ReadyProps) {
  const { id, fields } = batch;
  const act = useAct();
  const today = isoOf(useDay());
  const { method = 'fresh', made, from = [] } = fields;
  const [unit, setUnit] = useState<KeptAmount['unit'] | undefined>(made?.unit);
  const [text, setText] = useState(made ? String(made.amount) : '');
  const [asked, setAsked] = useState(false);
  const grams = gramsIn(pantry, from, id);
  const amount = readNumber(text) ?? 0;
  const named = text.trim() !== '';
  const right = Number.isFinite(amount) && amount > 0 && amount <= 1e6;
  const wrong = !named
    ? undefined
    : right
      ? unit && madeProblem(method, grams, { amount, unit })?.reason
      : t.aboveNothing;
  const missing = [
    ...(named && unit === undefined ? [t.chooseWhatItIsMeasured] : []),
    ...missingOf(batch, pantry),
  ];
  const save = () => {
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
  return {
    today,
    grams,
    unit,
    amount,
    text,
    wrong,
    missing,
    right: named && wrong === undefined,
    /** It is a great deal: asked back before it counts. */
    asked: asked ? unit : undefined,
    setUnit: (one: KeptAmount['unit']) => {
      setUnit(one);
      setAsked(false);
    },
    setText: (typed: string) => {
      setText(typed);
      setAsked(false);
    },
    save,
    ready: () => (unit && isImprobablyMade({ amount, unit }, grams) ? setAsked(true) : save()),
  };
}
type ReadyForm = ReturnType<typeof useReady>;

export function Ready({ batch, pantry }: ReadyProps) {
  const form = useReady({ batch, pantry });
  const { today, grams, amount, asked, missing } = form;
  const keeping = keepsFor(batch.fields);
  return (
    <View style={styles.block}>
      <Heading>{t.whatItCameTo}</Heading>
      <WentIn batch={batch} pantry={pantry} form={form} />
      <HowMuch form={form} />
      {missing.length > 0 ? (
        <View>
          <SmallStrong>{t.beforeItIsReady}</SmallStrong>
          <View role="list" aria-label={t.stillToBeDone}>
            {missing.map((one) => (
              <View key={one} role="listitem">
                <Small>– {one}</Small>
              </View>
            ))}
          </View>
        </View>
      ) : null}
      {asked ? (
        <AskBack
          question={
            grams === undefined
              ? t.isThatRight(amountWords({ amount, unit: asked }))
              : t.isThatRightOf(
                  amountWords({ amount, unit: asked }),
                  amountWords({ amount: grams, unit: 'g' }),
                )
          }
          yes={t.yesItIsReady}
          onYes={form.save}
        />
      ) : (
        <Button label={t.itIsReady} disabled={!form.right || missing.length > 0} onPress={form.ready} />
      )}
      {keeping ? (
        <Small soft>{t.bestBeforeThen(isoDayName(bestBeforeOf(today, keeping)), STORE[keeping.store])}</Small>
      ) : null}
    </View>
  );
}

/** How much went in, and how much of that is usual in the end. */
function WentIn({ batch, pantry, form: { grams, unit } }: ReadyProps & { readonly form: ReadyForm }) {
  if (grams === undefined) return null;
  const { yield: usual, batches } = yieldFor(pantry, batch.fields);
  const amount = amountWords({ amount: grams, unit: 'g' });
  if (unit === 'ml' || usual >= 1) return <Small soft>{t.wentIn(amount)}</Small>;
  const left = amountWords({ amount: grams * usual, unit: 'g' });
  return (
    <Small soft>
      {batches > 0
        ? t.wentInOfWhichYours(amount, left, batches, numberWord(batches))
        : t.wentInOfWhichUsual(amount, left)}
    </Small>
  );
}

function HowMuch({ form: { text, setText, wrong, unit, setUnit } }: { readonly form: ReadyForm }) {
  return (
    <>
      <Field
        label={t.howMuchItIsNow}
        inputMode="decimal"
        value={text}
        onChangeText={setText}
        {...(wrong === undefined ? {} : { wrong })}
      />
      <ChipRow label={t.measuredIn}>
        {(['g', 'ml', 'piece'] as const).map((one) => (
          <Chip key={one} label={UNIT_SHORT[one]} chosen={unit === one} onPress={() => setUnit(one)} />
        ))}
      </ChipRow>
    </>
  );
}
