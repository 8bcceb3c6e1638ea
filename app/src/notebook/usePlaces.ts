import { useMemo } from 'react';
import { standing, type FieldsOf, type PageRecord } from '@pause/core';
import { dayAt, type Day } from '@pause/core/lib/day';
import type { SeenPlace } from '@pause/core/season';
import { t } from '../text/en/notebook';
import { useApp } from './store';
import { useToday } from './useFinds';
import { useOpenPages } from './useOpenPages';

export interface Place {
  readonly id: string;
  readonly page: PageRecord;
  readonly fields: Partial<FieldsOf<'place'>>;
  /** What it is called; a place that this person may not see has no name of its own here. */
  readonly name: string;
  /** Whoever keeps it does not tell this person where it is. */
  readonly withheld: boolean;
}

export function placeOf(page: PageRecord): Place {
  const fields = standing(page, 'place');
  const withheld = page.told.some((one) => one.withheld === true);
  return {
    id: page.id,
    page,
    fields,
    withheld,
    name: fields.name ?? (withheld ? t.aPlaceOfTheGroup : t.aPlaceWithoutAName),
  };
}

/** Every place that this person knows of, by name. */
export function usePlaces(): { readonly ready: boolean; readonly places: readonly Place[] } {
  const ready = useOpenPages();
  const all = useApp((state) => state.pages.all);
  const places = useMemo(
    () =>
      Object.values(all)
        .filter(({ kind }) => kind === 'place')
        .map(placeOf)
        .sort((a, b) => a.name.localeCompare(b.name)),
    [all],
  );
  return { ready, places };
}

export interface EaterPage {
  readonly id: string;
  readonly fields: Partial<FieldsOf<'eater'>>;
}
/** Everybody who eats along, of the pages that are open. */
export function useEaters(): readonly EaterPage[] {
  const all = useApp((state) => state.pages.all);
  return useMemo(
    () =>
      Object.values(all)
        .filter(({ kind }) => kind === 'eater')
        .map((page) => ({ id: page.id, fields: standing(page, 'eater') })),
    [all],
  );
}

/** A place as looking ahead sees it. */
export const seenPlace = ({ id, fields: { elevation, aspect, shade }, page }: Place): SeenPlace => ({
  id,
  site: { elevation, aspect, shade },
  sightings: page.sightings,
});

/** Today by the notebook's clock and this device's time zone, as a number. */
export function useDay(): Day {
  const today = useToday();
  return dayAt(today, -today.getTimezoneOffset());
}
