import { findsOf } from '@pause/core';
import { outbox } from './outboxSlice';
import { refreshFinds } from './repository/finds';
import type { Thunk } from './store';

/** What is shown of entries that wait or were refused. */

/** Takes up what waited when the tab was closed, and what had been refused. */
export function openOutbox(): Thunk<Promise<void>> {
  return async (dispatch, _, { device }) => {
    const [waiting, refused] = [await device.waiting(), await device.refused()];
    dispatch(outbox.actions.outboxOpened(waiting));
    if (refused.length > 0) dispatch(outbox.actions.noted({ refused }));
  };
}

/** What was not kept has been read. */
export function acknowledgeNotKept(): Thunk {
  return (dispatch) => dispatch(outbox.actions.noted({ notKept: undefined }));
}

/** What was refused has been read; the finds concerned are shown as they are on record. */
export function acknowledgeRefusals(): Thunk<Promise<void>> {
  return async (dispatch, getState, { device }) => {
    const concerned = findsOf(getState().outbox.refused.map(({ entry }) => entry));
    await device.forgetRefused();
    dispatch(outbox.actions.noted({ refused: [] }));
    await dispatch(refreshFinds(concerned));
  };
}
