import { currentFields, type FieldsOf, type PageKind } from '@pause/core';
import type { Thunk } from './store';

/** Changing fields of a page one after the other, so that changes in quick succession are all kept. */

export type Changes<K extends PageKind> = { readonly [F in keyof FieldsOf<K>]?: FieldsOf<K>[F] | null };

/** Changes under way, by what they change. */
const turns = new Map<string, Promise<unknown>>();

/**
 * Does something when everything before it, of the same thing, is done.
 *
 * @returns what comes of it; what fails holds up nothing that follows
 */
export function inTurn<T>(of: string, work: () => Promise<T>): Promise<T> {
  const turn = settled(of).then(work);
  turns.set(
    of,
    turn.catch(() => undefined),
  );
  return turn;
}
/** Resolves once everything that was added by now has had its turn. */
export const settled = (of: string): Promise<unknown> => turns.get(of) ?? Promise.resolve();

/**
 * Changes fields of a page, worked out when their turn comes: two answers in quick succession are both
 * kept.
 *
 * @returns whether they were kept
 */
export function changeFields<K extends Exclude<PageKind, 'group'>>(
  id: string,
  kind: K,
  make: (now: Partial<FieldsOf<K>>) => Changes<K>,
): Thunk<Promise<boolean>> {
  return (dispatch, getState) =>
    inTurn(id, async () => {
      const { changePage } = await import('./outside');
      const page = getState().pages.all[id];
      if (page?.kind !== kind) return false;
      const changes = make(currentFields(page, kind));
      return Object.keys(changes).length === 0 || (await dispatch(changePage(id, kind, changes)));
    }).catch(() => false);
}

/** A list with one more of it, or without it. */
export const toggled = <T>(list: readonly T[] | undefined, one: T): T[] =>
  list?.includes(one) ? list.filter((other) => other !== one) : [...(list ?? []), one];
