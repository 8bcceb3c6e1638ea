import {
  currentFields,
  type CompiledTaxon,
  type FieldsOf,
  type PageKind,
  type PageRecord,
} from '@pause/core';
import type { Made } from '@pause/core/harvest/preparing';
import { toGrams, usualWeights, weighed } from '@pause/core/harvest/taking';
import {
  ancestorsOf,
  descendantOf,
  descentOf,
  leftOf,
  takenOf,
  type BatchFields,
  type Descent,
  type Left,
  type PortionFields,
  type Source,
  type TasteFields,
} from '@pause/core/pantry';
import { guide } from '../deciding/guide';
import { t } from '../text/en/notebook';
import type { Changes } from './changeFields';
import { harvestsOf, weighingsOf, type HarvestPage } from './harvests';
import { select, useApp, type State, type Thunk } from './store';
import { useOpenPages } from './useOpenPages';
import { placeOf } from './usePlaces';

/** What is in the pantry, by this person's notebook and those of their groups. */

interface PageOf<F> {
  readonly id: string;
  readonly person: string;
  readonly group: string | undefined;
  readonly fields: Partial<F>;
}
export type BatchPage = PageOf<BatchFields>;
export type PortionPage = PageOf<PortionFields>;
export type TastePage = PageOf<TasteFields>;

export interface Pantry {
  /** Newest first. */
  readonly batches: readonly BatchPage[];
  readonly portions: readonly PortionPage[];
  readonly tastes: readonly TastePage[];
  readonly harvests: readonly HarvestPage[];
  readonly descent: Descent;
  readonly pages: Readonly<Record<string, PageRecord>>;
}

function pagesAs<K extends 'batch' | 'portion' | 'taste'>(
  all: readonly PageRecord[],
  kind: K,
): PageOf<FieldsOf<K>>[] {
  return all
    .filter((page) => page.kind === kind)
    .map((page) => ({
      id: page.id,
      person: page.person ?? '',
      group: page.group,
      fields: currentFields(page, kind),
    }));
}

export function pantryOf(pages: Readonly<Record<string, PageRecord>>): Pantry {
  const all = Object.values(pages);
  const newest = (
    a: { readonly fields: { readonly on?: string | undefined } },
    b: { readonly fields: { readonly on?: string | undefined } },
  ) => ((a.fields.on ?? '') < (b.fields.on ?? '') ? 1 : -1);
  return {
    batches: pagesAs(all, 'batch').sort(newest),
    portions: pagesAs(all, 'portion').sort((a, b) => ((a.fields.at ?? '') < (b.fields.at ?? '') ? 1 : -1)),
    tastes: pagesAs(all, 'taste'),
    harvests: harvestsOf(all),
    descent: descentOf(all.flatMap((page) => descendantOf(page) ?? [])),
    pages,
  };
}

export const selectPantry = select([(state: State) => state.pages.all], pantryOf);

export function usePantry(): Pantry & { readonly ready: boolean } {
  const ready = useOpenPages();
  return { ...useApp(selectPantry), ready };
}

/** Where all that it comes from was gathered, as far as this person may see it. */
export function placesOf(pantry: Pantry, id: string): string[] {
  return [
    ...new Set(
      ancestorsOf(pantry.descent, id).flatMap((one) => {
        const place = pantry.harvests.find((other) => other.id === one)?.fields.place;
        const page = place === undefined ? undefined : pantry.pages[place];
        return page?.kind === 'place' ? [placeOf(page).name] : [];
      }),
    ),
  ];
}

/**
 * What batches, meals and gifts took of a harvest or a batch, whoever made them.
 *
 * @param but what the batch of this id took is not counted
 */
function takenFrom(
  { batches, portions }: Pick<Pantry, 'batches' | 'portions'>,
  id: string,
  but?: string,
): ReturnType<typeof takenOf> {
  return takenOf(id, [
    ...batches.filter((batch) => batch.id !== but).map(({ fields }) => ({ sources: fields.from ?? [] })),
    ...portions.map(({ fields }) => ({ sources: fields.of ?? [] })),
  ]);
}

export function leftIn(
  pantry: Pick<Pantry, 'batches' | 'portions'>,
  { id, fields: { made, ended } }: BatchPage,
): Left | undefined {
  return leftOf(made, takenFrom(pantry, id), ended !== undefined);
}

/** What is left of a harvest, in grams; nothing where nobody said how much was taken. */
export function leftOfHarvest(pantry: Pantry, id: string): number | undefined {
  const taken = takenFrom(pantry, id);
  const grams = wholeGrams(pantry, { of: 'harvest', id });
  return grams === undefined ? undefined : leftOf({ amount: grams, unit: 'g' }, taken)?.amount;
}

/** Whether there is still some of it, as far as is on record. */
export const isThere = (pantry: Pantry, batch: BatchPage): boolean =>
  batch.fields.ended === undefined && leftIn(pantry, batch)?.amount !== 0;

/** What a source is called, and what is in it. */
export function sourceOf(
  pantry: Pantry,
  { of, id }: Pick<Source, 'of' | 'id'>,
): { readonly name: string; readonly contents: BatchFields['contents'] } | undefined {
  if (of === 'batch') {
    const batch = pantry.batches.find((one) => one.id === id);
    return batch && { name: batch.fields.name ?? t.aBatch, contents: batch.fields.contents ?? [] };
  }
  const harvest = pantry.harvests.find((one) => one.id === id);
  const { taxon, part } = harvest?.fields ?? {};
  return taxon === undefined || part === undefined ? undefined : { name: '', contents: [{ taxon, part }] };
}

/** What somebody of this name had before: at meals, and at first tastes that went well. */
export function hadBefore(pantry: Pantry, name: string): Set<string> {
  const meals = pantry.portions
    .filter(({ fields: { what, who = [] } }) => what === 'meal' && who.includes(name))
    .flatMap(({ fields: { of = [] } }) => of.flatMap((source) => sourceOf(pantry, source)?.contents ?? []));
  const tastes = pantry.tastes
    .filter(({ fields: { eater, ended } }) => eater === name && ended?.result === 'nothing-felt')
    .flatMap(({ fields: { taxon } }) => taxon ?? []);
  return new Set([...meals.map(({ taxon }) => taxon), ...tastes]);
}

/** A part of a taxon as making something of it asks; nothing where the guide in force does not have it. */
export function madeOf(
  { taxon, part }: BatchFields['contents'][number],
  use?: string,
): (Made & { readonly taxon: CompiledTaxon }) | undefined {
  const found = guide.taxon(taxon);
  const entry =
    found?.taxon.parts.find((one) => one.part === part && (use === undefined || one.use === use)) ??
    found?.taxon.parts.find((one) => one.part === part);
  return found && entry ? { kingdom: found.taxon.kingdom, part: entry, taxon: found } : undefined;
}

/** Grams of all of a harvest, or of a batch as it was made; nothing where nobody weighed it. */
export function wholeGrams(pantry: Pantry, { of, id }: Pick<Source, 'of' | 'id'>): number | undefined {
  if (of === 'batch') {
    const made = pantry.batches.find((one) => one.id === id)?.fields.made;
    return made?.unit === 'g' ? made.amount : undefined;
  }
  const harvest = pantry.harvests.find((one) => one.id === id);
  const { taxon, part, taken } = harvest?.fields ?? {};
  if (!harvest || taxon === undefined || part === undefined || taken === undefined) return undefined;
  return toGrams(
    taken,
    weighed(usualWeights(part), weighingsOf(pantry.harvests, { taxon, part }, harvest.person)),
  );
}

/**
 * Grams that went into a batch, as far as they are on record. A source without an amount is all of it that nobody
 * else took.
 *
 * @param batch the id of the batch
 */
export function gramsIn(pantry: Pantry, sources: readonly Source[], batch: string): number | undefined {
  let sum = 0;
  for (const source of sources) {
    const whole = wholeGrams(pantry, source);
    const grams = source.amount
      ? source.amount.unit === 'g'
        ? source.amount.amount
        : undefined
      : whole === undefined
        ? undefined
        : leftOf({ amount: whole, unit: 'g' }, takenFrom(pantry, source.id, batch))?.amount;
    if (grams === undefined) return undefined;
    sum += grams;
  }
  return sources.length === 0 ? undefined : sum;
}

/** Yields of one's batches of a part by a method: what went in and what came of it, in grams. */
export function ownYields(
  pantry: Pantry,
  taxon: string,
  part: string,
  method: BatchFields['method'],
): { readonly in: number; readonly out: number }[] {
  return pantry.batches.flatMap(({ id, fields }) => {
    const { from = [], contents = [], made } = fields;
    if (
      fields.method !== method ||
      made?.unit !== 'g' ||
      contents.length !== 1 ||
      contents[0]?.taxon !== taxon ||
      contents[0].part !== part
    )
      return [];
    const grams = gramsIn(pantry, from, id);
    return grams === undefined ? [] : [{ in: grams, out: made.amount }];
  });
}

/** @returns its id, if it was kept */
export function begin<K extends Exclude<PageKind, 'group'>>(
  kind: K,
  fields: Changes<K>,
  group: string | undefined,
): Thunk<Promise<string | undefined>> {
  return async (dispatch) => dispatch((await import('./outside')).beginPage(kind, fields, group));
}
