import type { PageRecord } from './fold';
import type { FieldsOf, PageKind } from './schema';

/** The fields of a page: each as it was changed last, left out where it was emptied or never filled. */
export function standing<K extends PageKind>(page: PageRecord, _kind: K): Partial<FieldsOf<K>> {
  const fields = new Map<string, unknown>();
  for (const { field, value } of page.told) {
    if (value === null) fields.delete(field);
    else fields.set(field, value);
  }
  return Object.fromEntries(fields) as Partial<FieldsOf<K>>;
}

/** The changes of a field, newest first: the first one counts. */
export function fieldHistory(page: PageRecord, field: string): PageRecord['told'] {
  return page.told.filter((one) => one.field === field).reverse();
}
