import type { PageRecord } from './fold';
import type { FieldsOf, PageKind } from './schema';

/**
 * The fields of a page: each as it was changed last, left out where it was emptied or never filled.
 *
 * @throws TypeError for a page of another kind
 */
export function currentFields<K extends PageKind>(page: PageRecord, kind: K): Partial<FieldsOf<K>> {
  if (page.kind !== kind) throw new TypeError(`page ${page.id} is a ${page.kind}, not a ${kind}`);
  const fields = new Map<string, unknown>();
  for (const { field, value } of page.changes) {
    if (value === null) fields.delete(field);
    else fields.set(field, value);
  }
  return Object.fromEntries(fields) as Partial<FieldsOf<K>>;
}

/** The changes of a field, newest first: the first one counts. */
export function fieldHistory(page: PageRecord, field: string): PageRecord['changes'] {
  return page.changes.filter((one) => one.field === field).reverse();
}
