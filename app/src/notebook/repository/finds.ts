import { applyEntries, entriesOf, findsOf, summaryOf, type FindRecord, type FindSummary } from '@pause/core';
import { reconsider } from '../reconsider';
import { finds, list } from '../slices';
import type { Thunk } from '../store';
import { readWithWaiting } from './waiting';

/**
 * Finds as they are now: what the device keeps, with what waits to be sent applied. Screens read them from the
 * store; only these functions put them there.
 */

/** A find as it is now; `undefined` where this device does not know it. */
export function currentFind(id: string): Thunk<Promise<FindRecord | undefined>> {
  return async (dispatch, getState) => getState().finds[id]?.record ?? dispatch(readFind(id));
}

function readFind(id: string): Thunk<Promise<FindRecord | undefined>> {
  return async (dispatch) => {
    const { kept, waiting } = await dispatch(readWithWaiting((device) => device.record(id)));
    return applyEntries(kept, entriesOf(waiting, id));
  };
}

/** Every find of this device. */
export function allFinds(): Thunk<Promise<FindRecord[]>> {
  return async (dispatch) => {
    const { kept, waiting } = await dispatch(readWithWaiting((device) => device.list()));
    const ids = new Set([...kept.map(({ id }) => id), ...findsOf(waiting)]);
    const all = await Promise.all([...ids].map((id) => dispatch(currentFind(id))));
    return all.filter((record) => record !== undefined);
  };
}

/** A line for every find of this device. */
export function allLines(): Thunk<Promise<FindSummary[]>> {
  return async (dispatch) => {
    const { kept, waiting } = await dispatch(readWithWaiting((device) => device.list()));
    const lines = new Map(kept.map((line) => [line.id, line]));
    for (const id of findsOf(waiting)) {
      const record = await dispatch(currentFind(id));
      if (record) lines.set(id, summaryOf(record));
    }
    return [...lines.values()];
  };
}

/** The log of finds, newest first. */
export function loadList(): Thunk<Promise<void>> {
  return async (dispatch) => {
    dispatch(list.actions.listLoading());
    const sorted = (await dispatch(allLines())).sort((a, b) =>
      a.startedAt < b.startedAt ? 1 : a.startedAt > b.startedAt ? -1 : 0,
    );
    dispatch(list.actions.listLoaded(sorted));
  };
}

/** Shows a find as it is now, and judges it again if that changed it. @returns whether this device knows it */
export function showFind(id: string): Thunk<Promise<boolean>> {
  return async (dispatch) => {
    const record = await dispatch(readFind(id));
    if (record) dispatch(show(id, record));
    return record !== undefined;
  };
}

/** Shows a find, or that there is none. */
export function show(id: string, record: FindRecord | undefined): Thunk {
  return (dispatch, getState) => {
    const was = getState().finds[id]?.change;
    dispatch(finds.actions.findLoaded({ id, record }));
    if (getState().finds[id]?.change !== was) void dispatch(reconsider(id));
  };
}

/** Shows anew those of these finds that are open. */
export function refreshFinds(ids: Iterable<string>): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    for (const id of ids) if (getState().finds[id]) dispatch(show(id, await dispatch(readFind(id))));
  };
}
