import { currentFields, type FieldsOf, type PageRecord } from '@pause/core';
import { dayAt, type Day } from '@pause/core/lib/day';
import type { SeenPlace } from '@pause/core/season';
import { t } from '../text/en/notebook';
import { selectOfKind } from './selectPages';
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
  const fields = currentFields(page, 'place');
  const withheld = page.changes.some((one) => one.withheld === true);
  return {
    id: page.id,
    page,
    fields,
    withheld,
    name: fields.name ?? (withheld ? t.aPlaceOfTheGroup : t.aPlaceWithoutAName),
  };
}

const selectPlaces = selectOfKind('place', (pages) =>
  pages.map(placeOf).sort((a, b) => a.name.localeCompare(b.name)),
);

/** Every place that this person knows of, by name. */
export function usePlaces(): { readonly ready: boolean; readonly places: readonly Place[] } {
  const ready = useOpenPages();
  return { ready, places: useApp(selectPlaces) };
}

export interface EaterPage {
  readonly id: string;
  readonly fields: Partial<FieldsOf<'eater'>>;
}
/** Everybody who eats along, of the pages that are open. */
export const useEaters = (): readonly EaterPage[] => useApp(selectEaters);
const selectEaters = selectOfKind('eater', (pages) =>
  pages.map((page) => ({ id: page.id, fields: currentFields(page, 'eater') })),
);

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
