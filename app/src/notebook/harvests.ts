import { currentFields, type FieldsOf, type FindRecord, type PageRecord } from '@pause/core';
import type { Taken } from '@pause/core/harvest/taking';
import { dayOf, type Day } from '@pause/core/lib/day';
import { sameBag } from '@pause/core/pantry/recall';
import { selectAllPages } from './selectPages';
import { select, useApp } from './store';

/** What was taken, of this find and of others before. */

export type Harvest = Partial<FieldsOf<'harvest'>>;
export interface HarvestPage {
  readonly id: string;
  readonly person: string;
  readonly fields: Harvest;
}

export function harvestsOf(pages: readonly PageRecord[]): HarvestPage[] {
  return pages
    .filter(({ kind }) => kind === 'harvest')
    .map((page) => ({ id: page.id, person: page.person ?? '', fields: currentFields(page, 'harvest') }));
}

export const selectHarvests = select([selectAllPages], harvestsOf);
export const useHarvests = (): readonly HarvestPage[] => useApp(selectHarvests);

/** Where a find was made, if at a place of the notebook. */
export function placeOfFind(record: FindRecord): string | undefined {
  const value = record.edits.findLast(({ field }) => field === 'placePage')?.value;
  return typeof value === 'string' ? value : undefined;
}

interface Of {
  readonly place: string | undefined;
  readonly taxon: string;
  readonly part: string;
}
const isOf = ({ fields }: HarvestPage, { place, taxon, part }: Of) =>
  place !== undefined &&
  fields.place === place &&
  fields.taxon === taxon &&
  fields.part === part &&
  fields.on !== undefined;

/**
 * What was taken of a part at the same place before, by anybody who keeps it with this person; without a
 * share on record, nobody knows what it left.
 */
export function takenBefore(
  harvests: readonly HarvestPage[],
  of: Of,
  today: Day,
  but: string | undefined,
): Taken[] {
  return harvests.flatMap((one): Taken[] => {
    const { on, share } = one.fields;
    return one.id !== but && isOf(one, of) && on !== undefined && share !== undefined && dayOf(on) <= today
      ? [{ daysAgo: today - dayOf(on), share }]
      : [];
  });
}

/** What else lies in the same bag, of the same day and person: what touches one touches all of it. */
export function inTheSameBag(harvests: readonly HarvestPage[], id: string | undefined): HarvestPage[] {
  const flat = ({ id: of, person, fields: { on, bag } }: HarvestPage) => ({ id: of, person, on, bag });
  const own = harvests.find((one) => one.id === id);
  return own ? harvests.filter((one) => sameBag(flat(one), flat(own))) : [];
}

/**
 * When a part was taken at the same place last, by whom, and how much of it; by anybody who keeps it with
 * this person.
 */
export function lastTaken(
  harvests: readonly HarvestPage[],
  of: Of,
  today: Day,
  but: string | undefined,
): { readonly daysAgo: number; readonly person: string; readonly share: number | undefined } | undefined {
  return harvests
    .flatMap((one) => {
      const { on, share } = one.fields;
      return one.id !== but && isOf(one, of) && on !== undefined && dayOf(on) <= today
        ? [{ daysAgo: today - dayOf(on), person: one.person, share }]
        : [];
    })
    .sort((a, b) => a.daysAgo - b.daysAgo)[0];
}

/** What was taken there today already, by all of them. */
export function takenToday(
  harvests: readonly HarvestPage[],
  of: Of,
  today: string,
  but: string | undefined,
): NonNullable<Harvest['taken']>[] {
  return harvests.flatMap((one) =>
    one.id !== but && isOf(one, of) && one.fields.on === today && one.fields.taken ? [one.fields.taken] : [],
  );
}

/** Own weighings of a part of a taxon, oldest first: whatever harvest they were recorded with. */
export function weighingsOf(
  harvests: readonly HarvestPage[],
  { taxon, part }: Pick<Of, 'taxon' | 'part'>,
  me: string,
): NonNullable<Harvest['weighings']> {
  return harvests
    .filter(({ fields, person }) => person === me && fields.taxon === taxon && fields.part === part)
    .sort((a, b) => ((a.fields.on ?? '') < (b.fields.on ?? '') ? -1 : 1))
    .flatMap(({ fields }) => fields.weighings ?? []);
}
