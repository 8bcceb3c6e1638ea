import type { Entry, PageEntry, PageRecord } from '@pause/core';
import { applyAllToPage } from '@pause/core/notebook';
import { pages } from '../slices';
import type { Thunk } from '../store';
import { loadList, refreshFinds } from './finds';
import { readWithWaiting } from './waiting';

/**
 * Pages as they are now: what the device keeps, with what waits to be sent applied. Screens read them from the
 * store; only these functions put them there.
 */

export const entriesOfPage = (all: readonly Entry[], id: string): PageEntry[] =>
  all.filter((entry): entry is PageEntry => entry.page === id);

/** A page as it is now; `undefined` where this device does not know it. */
export function currentPage(id: string): Thunk<Promise<PageRecord | undefined>> {
  return async (dispatch, getState) => {
    const loaded = getState().pages.all[id];
    if (loaded) return loaded;
    const { kept, waiting } = await dispatch(readWithWaiting((device) => device.page(id)));
    return applyAllToPage(kept, entriesOfPage(waiting, id));
  };
}

/** Puts pages into the store as they are now: these, or all of them. */
export function loadPages(ids?: readonly string[]): Thunk<Promise<void>> {
  return async (dispatch) => {
    const { kept, waiting } = await dispatch(
      readWithWaiting(async (device) =>
        ids
          ? (await Promise.all(ids.map((id) => device.page(id)))).flatMap((page) => page ?? [])
          : device.pages(),
      ),
    );
    const byId = new Map<string, PageRecord>(kept.map((page) => [page.id, page]));
    const wanted = ids ?? new Set([...byId.keys(), ...waiting.flatMap(({ page }) => page ?? [])]);
    const loaded = [...wanted].flatMap(
      (id) => applyAllToPage(byId.get(id), entriesOfPage(waiting, id)) ?? [],
    );
    dispatch(pages.actions.pagesLoaded({ loaded, whole: ids === undefined }));
  };
}

/** Shows anew whatever of these finds and pages is open, and the log. */
export function refresh(ids: readonly string[]): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    await dispatch(refreshFinds(ids));
    const { status, all } = getState().pages;
    if (status === 'ready' || Object.keys(all).length > 0) await dispatch(loadPages(ids));
    if (getState().list.status === 'ready') await dispatch(loadList());
  };
}
