import { z } from 'zod';
import { placed } from '../find/fold';
import type { PageEntry } from '../notebook/entry';
import { Stamp } from '../notebook/stamp';
import { PAGE_KINDS, Sighting, type NewField, type PageKind } from './schema';

const Told = z.custom<NewField & { readonly stamp?: Stamp | undefined }>((value) => typeof value === 'object' && value !== null && 'field' in value);

/** A page as its entries fold to it. */
export const PageRecord = z.strictObject({
  id: z.string().min(1).max(64),
  kind: z.enum(PAGE_KINDS as [PageKind, ...PageKind[]]),
  at: z.string(),
  /** Who keeps it; nobody in particular keeps a group's. */
  person: z.string().optional(),
  group: z.string().optional(),
  /** Every field that was ever told, oldest first. */
  told: z.array(Told),
  sightings: z.array(Sighting),
});
export type PageRecord = z.infer<typeof PageRecord>;

const idOf = (item: { readonly id: string }) => item.id;

/**
 * A page with one more entry. The same entry again changes nothing, and the order in which entries arrive does not matter once the page is there.
 *
 * @returns undefined for an entry of a page that is not there yet
 */
export function applyToPage(page: PageRecord | undefined, entry: PageEntry): PageRecord | undefined {
  const { stamp } = entry;
  switch (entry.kind) {
    case 'pages': {
      const { id, kind, at, by, group } = entry.body;
      return page ?? { id, kind, at, person: by, ...(group === undefined ? {} : { group }), told: [], sightings: [] };
    }
    case 'fields': {
      // A group has a page from the beginning: nobody has to begin it.
      const begun = page ?? (entry.body.of === 'group' ? { id: entry.page, kind: 'group' as const, at: entry.body.at, group: entry.page, told: [], sightings: [] } : undefined);
      return begun && { ...begun, told: placed(begun.told, { ...entry.body, ...(stamp === undefined ? {} : { stamp }) }, idOf) };
    }
    case 'sightings':
      return page && { ...page, sightings: placed(page.sightings, entry.body, idOf) };
  }
}
