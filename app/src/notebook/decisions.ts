import type { Choice, Entry, Verdict } from '@pause/core';
import { add, now } from './add';
import { newId, person } from './open';
import type { Thunk } from './store';

/** What people decide, and the verdicts that they decide on. */

/** An adult of the group agrees that a young member collects on this verdict. */
export function consent(find: string, verdict: string): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(
      add({
        kind: 'consents',
        find,
        body: { id: newId(), at: dispatch(now()), verdict, by: dispatch(person()) },
      }),
    );
}

/** Puts a verdict on record, to be asked about. */
export function recordVerdict(find: string, verdict: Verdict): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(add({ kind: 'verdicts', find, body: { id: newId(), at: dispatch(now()), verdict } }));
}

type DecisionEntry = Extract<Entry, { kind: 'decisions' }>;

/** A decision as it is put on record, by whoever uses this device. */
function decisionEntry(
  find: string,
  decided: Pick<DecisionEntry['body'], 'verdict' | 'choice' | 'reason'>,
): Thunk<DecisionEntry> {
  return (dispatch) => ({
    kind: 'decisions',
    find,
    body: { id: newId(), at: dispatch(now()), by: dispatch(person()), ...decided },
  });
}

/** Leaves a find that has no name, now or until later. */
export function leaveUnnamed(find: string, choice: 'leave' | 'later'): Thunk<Promise<boolean>> {
  return (dispatch) => dispatch(add(dispatch(decisionEntry(find, { choice }))));
}

/** The person's own decision, with the verdict it was made on; that may be on record already. */
export function recordDecision(
  find: string,
  verdict: Verdict,
  choice: Choice,
  reason?: string,
  onRecord?: string,
): Thunk<Promise<boolean>> {
  return (dispatch) => {
    const id = onRecord ?? newId();
    return dispatch(
      add(
        ...(onRecord === undefined
          ? [{ kind: 'verdicts', find, body: { id, at: dispatch(now()), verdict } } as const]
          : []),
        dispatch(decisionEntry(find, { verdict: id, choice, ...(reason ? { reason } : {}) })),
      ),
    );
  };
}
