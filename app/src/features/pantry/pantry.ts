import { useMemo } from 'react';
import { standing, type CompiledTaxon, type FieldsOf, type PageKind, type PageRecord } from '@pause/core';
import { ancestorsOf, descendantOf, descentOf, leftOf, takenOf, type BatchFields, type Descent, type Left, type PortionFields, type Source, type TasteFields } from '@pause/core/pantry';
import type { Made } from '@pause/core/prepare';
import { toGrams, usualWeights, weighed } from '@pause/core/take';
import { guide } from '../../evaluate/guide';
import { useApp, type Thunk } from '../../store/store';
import { useOpenPages } from '../../store/useOpenPages';
import type { Told } from '../outdoors/tell';
import { placeOf } from '../outdoors/usePlaces';
import { harvestsOf, weighingsOf, type HarvestPage } from '../take/harvests';

/** What stands in the pantry, as this person's notebook and those of their groups tell it. */

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

function pagesAs<K extends 'batch' | 'portion' | 'taste'>(all: readonly PageRecord[], kind: K): PageOf<FieldsOf<K>>[] {
  return all.filter((page) => page.kind === kind).map((page) => ({ id: page.id, person: page.person ?? '', group: page.group, fields: standing(page, kind) }));
}

export function pantryOf(pages: Readonly<Record<string, PageRecord>>): Pantry {
  const all = Object.values(pages);
  const newest = (a: { readonly fields: { readonly on?: string | undefined } }, b: { readonly fields: { readonly on?: string | undefined } }) => ((a.fields.on ?? '') < (b.fields.on ?? '') ? 1 : -1);
  return {
    batches: pagesAs(all, 'batch').sort(newest), portions: pagesAs(all, 'portion').sort((a, b) => ((a.fields.at ?? '') < (b.fields.at ?? '') ? 1 : -1)), tastes: pagesAs(all, 'taste'), harvests: harvestsOf(all),
    descent: descentOf(all.flatMap((page) => descendantOf(page) ?? [])), pages,
  };
}

export function usePantry(): Pantry & { readonly ready: boolean } {
  const ready = useOpenPages();
  const pages = useApp((state) => state.pages.all);
  const pantry = useMemo(() => pantryOf(pages), [pages]);
  return { ...pantry, ready };
}

/** Where all that it comes from was gathered, as far as this person is told. */
export function placesOf(pantry: Pantry, id: string): string[] {
  return [...new Set(ancestorsOf(pantry.descent, id).flatMap((one) => {
    const place = pantry.harvests.find((other) => other.id === one)?.fields.place;
    const page = place === undefined ? undefined : pantry.pages[place];
    return page?.kind === 'place' ? [placeOf(page).name] : [];
  }))];
}

export function leftIn({ batches, portions }: Pick<Pantry, 'batches' | 'portions'>, { id, fields: { made, ended } }: BatchPage): Left | undefined {
  const others = [...batches.map(({ fields }) => ({ sources: fields.from ?? [] })), ...portions.map(({ fields }) => ({ sources: fields.of ?? [] }))];
  return leftOf(made, takenOf(id, others), ended !== undefined);
}

/** Whether there is still some of it, as far as anybody told. */
export const isThere = (pantry: Pantry, batch: BatchPage): boolean => batch.fields.ended === undefined && leftIn(pantry, batch)?.amount !== 0;

/** What a source is called, and what is in it. */
export function sourceOf(pantry: Pantry, { of, id }: Pick<Source, 'of' | 'id'>): { readonly name: string; readonly contents: BatchFields['contents'] } | undefined {
  if (of === 'batch') {
    const batch = pantry.batches.find((one) => one.id === id);
    return batch && { name: batch.fields.name ?? 'A batch', contents: batch.fields.contents ?? [] };
  }
  const harvest = pantry.harvests.find((one) => one.id === id);
  const { taxon, part } = harvest?.fields ?? {};
  return taxon === undefined || part === undefined ? undefined : { name: '', contents: [{ taxon, part }] };
}

/** A part of a taxon as making something of it asks; nothing where the guide in force does not have it. */
export function madeOf({ taxon, part }: BatchFields['contents'][number], use?: string): (Made & { readonly taxon: CompiledTaxon }) | undefined {
  const found = guide.taxon(taxon);
  const entry = found?.taxon.parts.find((one) => one.part === part && (use === undefined || one.use === use)) ?? found?.taxon.parts.find((one) => one.part === part);
  return found && entry ? { kingdom: found.taxon.kingdom, part: entry, taxon: found } : undefined;
}

/** Grams that went into a batch, as far as they were told. */
export function gramsIn(pantry: Pantry, sources: readonly Source[]): number | undefined {
  const all = sources.map((source): number | undefined => {
    if (source.amount) return source.amount.unit === 'g' ? source.amount.amount : undefined;
    if (source.of === 'batch') {
      const made = pantry.batches.find((one) => one.id === source.id)?.fields.made;
      return made?.unit === 'g' ? made.amount : undefined;
    }
    const harvest = pantry.harvests.find((one) => one.id === source.id);
    const { taxon, part, taken } = harvest?.fields ?? {};
    if (!harvest || taxon === undefined || part === undefined || taken === undefined) return undefined;
    return toGrams(taken, weighed(usualWeights(part), weighingsOf(pantry.harvests, { taxon, part }, harvest.person)));
  });
  return all.some((one) => one === undefined) ? undefined : all.reduce<number>((sum, one) => sum + (one ?? 0), 0);
}

/** Yields of one's batches of a part by a method: what went in and what came of it, in grams. */
export function ownYields(pantry: Pantry, taxon: string, part: string, method: BatchFields['method']): { readonly in: number; readonly out: number }[] {
  return pantry.batches.flatMap(({ fields }) => {
    const { from = [], contents = [], made } = fields;
    if (fields.method !== method || made?.unit !== 'g' || contents.length !== 1 || contents[0]?.taxon !== taxon || contents[0].part !== part) return [];
    const grams = gramsIn(pantry, from);
    return grams === undefined ? [] : [{ in: grams, out: made.amount }];
  });
}

/** @returns its id, if it was kept */
export function begin<K extends Exclude<PageKind, 'group'>>(kind: K, told: Told<K>, group: string | undefined): Thunk<Promise<string | undefined>> {
  return async (dispatch) => dispatch((await import('../../store/outside')).beginPage(kind, told, group));
}
