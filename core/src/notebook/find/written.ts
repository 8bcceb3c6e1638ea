import type { Context } from '../../case';
import { madeId } from './kind';
import type { ContextEntry, Edit, EditField, FindRecord } from './record';

/** What counts of things that are written over: the context and the small fields of a find. */

/** The context of a find by all its changes: each member as it was changed last. */
export function contextOf(contexts: readonly ContextEntry[]): Context {
  const context = new Map<string, unknown>();
  for (const { context: stated, changed } of contexts) {
    // What names no changed members is the whole of it as it then stood.
    if (!changed) context.clear();
    for (const name of changed ?? []) context.delete(name);
    for (const [name, value] of Object.entries(stated))
      if (!changed || (changed as readonly string[]).includes(name)) context.set(name, value);
  }
  return Object.fromEntries(context);
}

/** All changes of a context. Records of an earlier version hold only what they made. */
export const contextsOf = ({ id, contexts, context, startedAt }: FindRecord): readonly ContextEntry[] =>
  contexts.length > 0 || Object.keys(context).length === 0
    ? contexts
    : [{ id: madeId('context', id), at: startedAt, context }];

type EditOf<F extends EditField> = Extract<Edit, { readonly field: F }>;

/** What was written last into a small field of a find, and what was written there before, newest first. */
export function edited<F extends EditField>(
  record: Pick<FindRecord, 'edits'>,
  field: F,
): { readonly now: EditOf<F> | undefined; readonly before: readonly EditOf<F>[] } {
  const [now, ...before] = record.edits.filter((edit): edit is EditOf<F> => edit.field === field).reverse();
  return { now, before };
}

/** The name that somebody typed and the guide does not know, as it was typed. */
export const verbatimIdentificationOf = (record: Pick<FindRecord, 'edits'>): string | undefined =>
  edited(record, 'verbatimIdentification').now?.value ?? undefined;

/** The record with the place note that was written last. */
export function withPlaceNote(record: FindRecord): FindRecord {
  const { now } = edited(record, 'placeNote');
  if (!now) return record;
  const { placeNote: _, ...rest } = record;
  return typeof now.value === 'string' ? { ...rest, placeNote: now.value } : rest;
}
