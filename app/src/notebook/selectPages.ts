import type { PageKind, PageRecord } from '@pause/core';
import { select, type State } from './store';

/** Pages of the notebook by their kind, as all screens read them. */

export const selectAllPages = select([(state: State) => state.pages.all], (all): readonly PageRecord[] =>
  Object.values(all),
);

/** Selects what is made of all pages of a kind. */
export const selectOfKind = <T>(kind: PageKind, make: (pages: readonly PageRecord[]) => T) =>
  select([selectAllPages], (all): T => make(all.filter((page) => page.kind === kind)));
