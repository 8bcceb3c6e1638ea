import {
  type FindRecord,
  type Policy,
  GROUP_POLICY,
  type Case,
  caseOf,
  type CharacterId,
  type AnswerEffect,
} from '@pause/core';
import type { Judgement } from '../deciding/evaluate';
import { guide } from '../deciding/guide';
import type { Group } from './api';
import { finds } from './slices';
import type { Thunk } from './store';

/** Deciding on a find anew, with the rules of its group. */

export const message = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** The rules that a find is decided by: those of its group. */
export function policyOf(record: FindRecord, groups: readonly Group[]): Policy | undefined {
  return record.group === undefined
    ? undefined
    : (groups.find((group) => group.id === record.group)?.policy ?? GROUP_POLICY);
}

/** A find as it is decided: by the rules of its group. */
export const ruled =
  (record: FindRecord): Thunk<Case | undefined> =>
  (_, getState) =>
    caseOf(record, guide, policyOf(record, getState().me.person?.groups ?? []));

/**
 * Asks the core again about a find that changed.
 *
 * @param foreseen what it came to already, where it was asked about the very same record before
 */
export function reconsider(id: string, foreseen?: Judgement): Thunk<Promise<void>> {
  return async (dispatch, getState, { evaluator, drawn }) => {
    const open = getState().finds[id];
    const find = open?.record && dispatch(ruled(open.record));
    if (!open || !find) return;
    const before = open.evaluation?.plan;
    if (foreseen && before) {
      dispatch(
        finds.actions.evaluated({ id, change: open.change, evaluation: { ...foreseen, plan: before } }),
      );
      await drawn();
    }
    try {
      // Both are asked for at once; bars and strip do not wait for the plan, once there is an earlier one to
      // show.
      const [judging, planning] = [
        foreseen ? Promise.resolve(foreseen) : evaluator.judge(find),
        evaluator.planOf(find),
      ];
      planning.catch(() => undefined);
      const judgement = await judging;
      const earlier = foreseen ? undefined : getState().finds[id]?.evaluation?.plan;
      if (earlier)
        dispatch(
          finds.actions.evaluated({ id, change: open.change, evaluation: { ...judgement, plan: earlier } }),
        );
      dispatch(
        finds.actions.evaluated({
          id,
          change: open.change,
          evaluation: { ...judgement, plan: await planning },
        }),
      );
    } catch (error) {
      dispatch(finds.actions.evaluationFailed({ id, change: open.change, fault: message(error) }));
    }
  };
}

/** What each answer to a check would do. */
export function askEffects(find: Case, character: CharacterId): Thunk<Promise<AnswerEffect[]>> {
  return (_, __, { evaluator }) => evaluator.effects(find, character);
}
