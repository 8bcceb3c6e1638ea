import { z } from 'zod';
import { renamedField } from '../../lib/renamedField';
import type { PageEntry } from '../entry';
import { placedAll } from '../find';
import { Stamp } from '../stamp';
import { PAGE_KINDS, Sighting, type NewField, type PageKind } from './schema';

const FieldEntry = z.custom<NewField & { readonly stamp?: Stamp | undefined }>(
  (value) => typeof value === 'object' && value !== null && 'field' in value,
);

const PageFields = z.strictObject({
  id: z.string().min(1).max(64),
  kind: z.enum(PAGE_KINDS as [PageKind, ...PageKind[]]),
  at: z.string(),
  /** Who keeps it; nobody in particular keeps a group's. */
  person: z.string().optional(),
  group: z.string().optional(),
  /** Every change of a field, oldest first. */
  changes: z.array(FieldEntry),
  sightings: z.array(Sighting),
});
/** A page as its entries fold to it. */
export const PageRecord = z.preprocess(renamedField('told', 'changes'), PageFields);
export type PageRecord = z.infer<typeof PageRecord>;

const idOf = (item: { readonly id: string }) => item.id;

/**
 * A page with one more entry. The same entry again changes nothing, and the order in which entries arrive
 * does not matter once the page is there.
 *
 * @returns undefined for an entry of a page that is not there yet
 */
export function applyToPage(page: PageRecord | undefined, entry: PageEntry): PageRecord | undefined {
  return applyAllToPage(page, [entry]);
}

/**
 * A page with many more entries, in one sorted pass: the same as one `applyToPage` after another.
 *
 * @returns undefined where the page itself is in neither
 */
export function applyAllToPage(
  page: PageRecord | undefined,
  entries: readonly PageEntry[],
): PageRecord | undefined {
  const begun = page ?? beginning(entries);
  if (!begun) return undefined;
  const fields = entries.flatMap(({ kind, body, stamp }) =>
    kind === 'fields' ? [{ ...body, ...(stamp === undefined ? {} : { stamp }) }] : [],
  );
  const sightings = entries.flatMap(({ kind, body }) => (kind === 'sightings' ? [body] : []));
  if (fields.length === 0 && sightings.length === 0) return begun;
  return {
    ...begun,
    changes: placedAll(begun.changes, fields, idOf),
    sightings: placedAll(begun.sightings, sightings, idOf),
  };
}

function beginning(entries: readonly PageEntry[]): PageRecord | undefined {
  for (const { kind, body, page } of entries) {
    if (kind === 'pages')
      return {
        id: body.id,
        kind: body.kind,
        at: body.at,
        person: body.by,
        ...(body.group === undefined ? {} : { group: body.group }),
        changes: [],
        sightings: [],
      };
    // A group has a page from the beginning: nobody has to begin it.
    if (kind === 'fields' && body.of === 'group')
      return { id: page, kind: 'group', at: body.at, group: page, changes: [], sightings: [] };
  }
  return undefined;
}
