import type { Ask } from '@pause/core';
import { add, now } from '../../../notebook/add';
import { newId, person } from '../../../notebook/open';
import type { Thunk } from '../../../notebook/store';

/** What is recorded of second looks. */

/** Asks somebody to look at some of it without knowing the answers. */
export function askForLook(
  find: string,
  ask: Pick<Ask, 'of' | 'name' | 'here' | 'piece' | 'characters'>,
): Thunk<Promise<string | undefined>> {
  return async (dispatch) => {
    const body: Ask = { ...ask, id: newId(), at: dispatch(now()), by: dispatch(person()) };
    return (await dispatch(add({ kind: 'asks', find, body }))) ? body.id : undefined;
  };
}

/** Has the name and the readings shown: what is read from now on is not blind. */
export function reveal(find: string): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(
      add({ kind: 'reveals', find, body: { id: newId(), at: dispatch(now()), by: dispatch(person()) } }),
    );
}
