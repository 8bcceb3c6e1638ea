import { View } from 'react-native';
import type { Count, LifeForm, Weights } from '@pause/core/harvest/taking';
import { Heading, ChipRow, Chip, Small } from '../../components';
import { NumberField } from '../../components/NumberField';
import type { Harvest } from '../../notebook/harvests';
import type { SaveHarvest } from '../../notebook/useOwnHarvest';
import { t } from '../../text/en/harvest';
import { sentences } from '../../text/messages';
import { HandsQuestion, WeighingQuestion, type Fields } from './HandsQuestion';
import { type Part, PatchQuestion } from './PatchQuestion';
import { styles } from './questionStyles';
import { TakenQuestion } from './TakenQuestion';

interface HarvestQuestionsProps {
  readonly harvest: Harvest;
  /** How many stand there, as far as anybody said so. */
  readonly count: Count | undefined;
  /** What is taken of it, as it is called. */
  readonly part: Part;
  readonly lifeForm: LifeForm | undefined;
  /** Who eats along, as far as anybody was put down. */
  readonly eaters: number;
  readonly weights: Weights;
  readonly yields: readonly YieldOf[];
  readonly save: SaveHarvest;
}

export function HarvestQuestions({
  harvest,
  count,
  part,
  lifeForm,
  eaters,
  weights,
  yields,
  save,
}: HarvestQuestionsProps) {
  return (
    <>
      <NeedQuestion need={harvest.need} eaters={eaters} yields={yields} save={save} />
      <PatchQuestion
        part={part}
        lifeForm={lifeForm}
        count={count}
        invader={harvest.invader === true}
        save={save}
      />
      <HandsQuestion hands={harvest.hands} persons={harvest.persons} save={save} />
      <WeighingQuestion weights={weights} save={save} />
      <TakenQuestion harvest={harvest} weights={weights} save={save} />
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

interface NeedProps {
  readonly yields: readonly YieldOf[];
  readonly need: Fields['need'] | undefined;
  readonly eaters: number;
  readonly save: SaveHarvest;
}

/** As likely as not what somebody needs. */
const USUAL = { servings: 1, servingGrams: 150, yield: 1 };

function NeedQuestion({ need, eaters, yields, save }: NeedProps) {
  const change = (more: Partial<Fields['need']>) =>
    save(({ need: now = { eaters, ...USUAL } }) => ({ need: { ...now, ...more } }));
  const whole = { whole: true, check: (one: number) => one >= 1, right: t.aWholeNumberFrom1 } as const;
  return (
    <View style={styles.block}>
      <Heading>{t.whatYouNeed}</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label={t.whoEats}
            value={need?.eaters ?? eaters}
            {...whole}
            onChange={(one) => {
              if (one) change({ eaters: one });
            }}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label={t.howOften}
            value={need?.servings}
            placeholder={String(USUAL.servings)}
            {...whole}
            onChange={(one) => {
              if (one) change({ servings: one });
            }}
          />
        </View>
      </View>
      <NumberField
        label={t.gramsEachTimeMadeReady}
        value={need?.servingGrams}
        placeholder={String(USUAL.servingGrams)}
        right={t.gramsAboveNothing}
        onChange={(one) => {
          if (one) change({ servingGrams: one });
        }}
      />
      <MadeReady need={need} yields={yields} onChoose={(chosen) => change({ yield: chosen })} />
    </View>
  );
}

/** How it is made ready, and what that leaves of its weight. */
function MadeReady({
  need,
  yields,
  onChoose,
}: Pick<NeedProps, 'need' | 'yields'> & { readonly onChoose: (chosen: number) => void }) {
  const isChosen = (one: YieldOf) => need !== undefined && Math.abs(need.yield - one.yield) < 1e-6;
  const chosen = yields.find(isChosen);
  return (
    <>
      <ChipRow label={t.howItIsMadeReady}>
        {yields.map((one) => (
          <Chip
            key={one.label}
            label={one.label}
            chosen={isChosen(one)}
            onPress={() => onChoose(one.yield)}
          />
        ))}
      </ChipRow>
      {need ? (
        <Small soft>
          {sentences(
            chosen && chosen.batches > 0
              ? t.madeReadyByBatchesOfYours(Math.round(need.yield * 100), chosen.batches)
              : t.madeReadyPercentOfIts(Math.round(need.yield * 100)),
            chosen && chosen.inStore > 0 && t.gOfItAreIn(Math.round(chosen.inStore)),
          )}
        </Small>
      ) : null}
    </>
  );
}
