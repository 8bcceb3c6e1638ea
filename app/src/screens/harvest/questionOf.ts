import type { FindRecord, CompiledTaxon, FieldsOf, TaxonId } from '@pause/core';
import { learnedYield, usualYield } from '@pause/core/harvest/preparing';
import {
  type Count,
  type Weights,
  type TakeQuestion,
  estimateOf,
  stagesOf,
} from '@pause/core/harvest/taking';
import { pickingAt } from '@pause/core/outings';
import { type Harvest } from '../../notebook/harvests';
import { type Pantry, leftIn, ownYields } from '../../notebook/pantry';
import { t } from '../../text/en/harvest';
import type { YieldOf } from './HarvestQuestions';

/** The question of how much to take. */

/** How many stand there: as counted for the harvest, else as it was recorded before one was dug up. */
export function standingCount(
  { count }: Pick<Harvest, 'count'>,
  { context: { patchSize } }: Pick<FindRecord, 'context'>,
): Count | undefined {
  return count ?? (patchSize === undefined ? undefined : { how: 'about', order: patchSize });
}

interface Asked {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly part: string;
  readonly place: Partial<FieldsOf<'place'>> | undefined;
  readonly harvest: Harvest;
  readonly weights: Weights;
  /** Grams that are in the pantry, so made. */
  readonly inStore: number | undefined;
  readonly today: string;
  readonly before: NonNullable<TakeQuestion['patch']['taken']>;
  readonly earlier: NonNullable<TakeQuestion['takenToday']>;
}

/**
 * What is on record, as the core is asked. A place that says what one may pick comes before what was recorded of the
 * find.
 */
export function questionOf({
  record,
  taxon,
  part,
  place,
  harvest,
  weights,
  inStore,
  today,
  before,
  earlier,
}: Asked): TakeQuestion {
  const count = standingCount(harvest, record);
  const picking = place && pickingAt(place, taxon.id, part, today);
  return {
    ...(harvest.need ? { need: { ...harvest.need, inStore } } : {}),
    patch: {
      lifeForm: taxon.taxon.regrowth?.lifeForm,
      part,
      ...(count ? { count: estimateOf(count, part), stages: stagesOf(count) } : {}),
      invader: harvest.invader === true,
      taken: before,
    },
    permission:
      picking && picking.permission !== 'unknown'
        ? picking.permission
        : (record.context.permission ?? 'unknown'),
    ...(picking?.perDay ? { perDay: picking.perDay } : {}),
    persons: harvest.persons ?? 1,
    takenToday: earlier,
    ...(harvest.hands ? { hands: harvest.hands } : {}),
    weights,
  };
}

/**
 * Ways of making a part ready: what each leaves of it, by own batches and what is usual, and how much of it
 * stands in the pantry.
 */
export function yieldsOf(
  pantry: Pantry,
  {
    kingdom,
    part,
  }: {
    readonly kingdom: CompiledTaxon['taxon']['kingdom'];
    readonly part: CompiledTaxon['taxon']['parts'][number] | undefined;
  },
  taxon: TaxonId,
): YieldOf[] {
  if (!part) return [];
  const store = (method: 'cook' | 'dry') =>
    pantry.batches.reduce((sum, batch) => {
      const { contents = [], method: by } = batch.fields;
      const left =
        by === method &&
        contents.length === 1 &&
        contents[0]?.taxon === taxon &&
        contents[0].part === part.part
          ? leftIn(pantry, batch)
          : undefined;
      return sum + (left?.unit === 'g' ? left.amount : 0);
    }, 0);
  const by = (method: 'cook' | 'dry', label: string): YieldOf => ({
    label,
    ...learnedYield(usualYield({ kingdom, part }, method), ownYields(pantry, taxon, part.part, method)),
    inStore: store(method),
  });
  return [{ label: t.asItIs, yield: 1, batches: 0, inStore: 0 }, by('cook', t.cooked), by('dry', t.dried)];
}
