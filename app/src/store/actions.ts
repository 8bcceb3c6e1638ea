import {
  caseOf, type AnswerEffect, type Case, type CharacterId, type Choice, type FindRecord, type Kingdom, type PieceId, type Reading, type ReadingId, type ReadingValue,
  type Sureness, type TaxonId, type Verdict,
} from '@pause/core';
import { guide } from '../evaluate/guide';
import { Refused } from './api';
import type { Entry } from './entries';
import { finds, list, me, outbox } from './slices';
import type { Thunk } from './store';

const RETRY_MS = 4000;
const message = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** An id that nobody else makes. */
export function newId(): string {
  return crypto.randomUUID();
}

let lastInstant = 0;
/** Now, by the notebook's clock; every call is later than the one before, so that what was made first sorts first. */
function now(): Thunk<string> {
  return (_, getState, { clock }) => {
    lastInstant = Math.max(lastInstant + 1, clock() + (getState().me.person?.offsetMs ?? 0));
    return new Date(lastInstant).toISOString();
  };
}

export function loadMe(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, clock }) => {
    if (getState().me.status === 'loading' || getState().me.status === 'ready') return;
    dispatch(me.actions.meLoading());
    try {
      const { id, name, demo, now: serverNow } = await api.me();
      dispatch(me.actions.meLoaded({ id, name, demo, offsetMs: demo ? Date.parse(serverNow) - clock() : 0 }));
    } catch (error) {
      dispatch(me.actions.meFailed(message(error)));
    }
  };
}

export function loadList(): Thunk<Promise<void>> {
  return async (dispatch, _, { api }) => {
    dispatch(list.actions.listLoading());
    try {
      dispatch(list.actions.listLoaded(await api.finds()));
    } catch (error) {
      dispatch(list.actions.listFailed(message(error)));
    }
  };
}

export function loadFind(id: string): Thunk<Promise<void>> {
  return async (dispatch, getState, { api }) => {
    dispatch(finds.actions.findLoading(id));
    const laid = (record: FindRecord | undefined) => {
      dispatch(finds.actions.findLoaded({ id, record, waiting: getState().outbox.waiting }));
      void dispatch(reconsider(id));
    };
    try {
      laid(await api.find(id));
    } catch (error) {
      const madeHere = getState().outbox.waiting.some((entry) => entry.find === id && entry.kind === 'finds');
      if (madeHere || (error instanceof Refused && error.status === 404)) laid(undefined);
      else dispatch(finds.actions.findFailed({ id, error: message(error) }));
    }
  };
}

/** Asks the core again about a find that changed. */
export function reconsider(id: string): Thunk<Promise<void>> {
  return async (dispatch, getState, { evaluator }) => {
    const open = getState().finds[id];
    const find = open?.record && caseOf(open.record, guide);
    if (!open || !find) return;
    try {
      // Both are asked for at once; bars and strip do not wait for the plan, once there is an earlier one to show.
      const [judging, planning] = [evaluator.judge(find), evaluator.planOf(find)];
      planning.catch(() => undefined);
      const judgement = await judging;
      const earlier = getState().finds[id]?.evaluation?.plan;
      if (earlier) dispatch(finds.actions.evaluated({ id, change: open.change, evaluation: { ...judgement, plan: earlier } }));
      dispatch(finds.actions.evaluated({ id, change: open.change, evaluation: { ...judgement, plan: await planning } }));
    } catch (error) {
      dispatch(finds.actions.evaluationFailed({ id, change: open.change, fault: message(error) }));
    }
  };
}

/** What each answer to a check would do. */
export function askEffects(find: Case, character: CharacterId): Thunk<Promise<AnswerEffect[]>> {
  return (_, __, { evaluator }) => evaluator.effects(find, character);
}

/** Puts entries on record: first in the browser, then on the screen, then to the server. */
function add(...entries: Entry[]): Thunk {
  return (dispatch, _, { keep }) => {
    for (const entry of entries) {
      keep.put(entry);
      dispatch(finds.actions.entryMade(entry));
    }
    const [first] = entries;
    if (first) void dispatch(reconsider(first.find));
    void dispatch(flush());
  };
}

/** Takes up what waited when the tab was closed. */
export function openOutbox(): Thunk {
  return (dispatch, _, { keep }) => {
    dispatch(outbox.actions.outboxOpened(keep.all()));
    void dispatch(flush());
  };
}

let retry: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits, oldest first, one at a time; tries again later if the server is away. */
export function flush(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, keep }) => {
    if (getState().outbox.sending) return;
    dispatch(outbox.actions.sendingStarted());
    clearTimeout(retry);
    try {
      for (let entry = getState().outbox.waiting[0]; entry; entry = getState().outbox.waiting[0]) {
        try {
          await api.send(entry);
          keep.drop(entry);
          dispatch(outbox.actions.sent(entry));
        } catch (error) {
          if (!(error instanceof Refused)) {
            dispatch(outbox.actions.sendingAway());
            retry = setTimeout(() => void dispatch(flush()), RETRY_MS);
            return;
          }
          keep.drop(entry);
          dispatch(outbox.actions.sendingRefused({ entry, reason: error.message }));
        }
      }
    } finally {
      dispatch(outbox.actions.sendingEnded());
    }
  };
}

/** What was refused has been read; the finds concerned are fetched as the server has them. */
export function acknowledgeRefusals(): Thunk {
  return (dispatch, getState) => {
    const concerned = new Set(getState().outbox.refused.map(({ entry }) => entry.find));
    dispatch(outbox.actions.refusalSeen());
    for (const id of concerned) void dispatch(loadFind(id));
  };
}

const person = (): Thunk<string> => (_, getState) => getState().me.person?.id ?? '';

/** Begins a find on a first piece, with what it is taken for, if anything. @returns its id */
export function startFind(start: { kingdom: Kingdom; bodyPlan: string; target?: TaxonId; placeNote?: string; context: Case['context'] }): Thunk<string> {
  return (dispatch) => {
    const find = newId();
    const { kingdom, bodyPlan, placeNote, target } = start;
    const startedAt = dispatch(now());
    const context = { ...start.context, month: new Date(startedAt).getMonth() + 1 };
    dispatch(add(
      { kind: 'finds', find, body: { id: find, startedAt, kingdom, bodyPlan, ...(placeNote ? { placeNote } : {}), person: dispatch(person()) } },
      { kind: 'pieces', find, body: { id: newId() as PieceId, at: dispatch(now()), purpose: 'decide' } },
      ...(target ? [{ kind: 'targets', find, body: { id: newId(), at: dispatch(now()), taxon: target } } as const] : []),
      { kind: 'contexts', find, body: { id: newId(), at: dispatch(now()), context } },
    ));
    return find;
  };
}

export function tellContext(find: string, context: Case['context']): Thunk {
  return (dispatch) => dispatch(add({ kind: 'contexts', find, body: { id: newId(), at: dispatch(now()), context } }));
}

export function changeTarget(find: string, taxon: TaxonId): Thunk {
  return (dispatch) => dispatch(add({ kind: 'targets', find, body: { id: newId(), at: dispatch(now()), taxon } }));
}

export function startPiece(find: string, purpose: 'decide' | 'compare'): Thunk<PieceId> {
  return (dispatch) => {
    const id = newId() as PieceId;
    dispatch(add({ kind: 'pieces', find, body: { id, at: dispatch(now()), purpose } }));
    return id;
  };
}

export function read(find: string, reading: { piece: PieceId; character: CharacterId; value: ReadingValue; sureness: Sureness; note?: string }): Thunk<ReadingId> {
  return (dispatch) => {
    const body: Reading = { ...reading, id: newId() as ReadingId, by: dispatch(person()), at: dispatch(now()) };
    dispatch(add({ kind: 'readings', find, body }));
    return body.id;
  };
}

export function takeBack(find: string, reading: ReadingId): Thunk {
  return (dispatch) => dispatch(add({ kind: 'withdrawals', find, body: { id: newId(), at: dispatch(now()), reading } }));
}

/** What was taken back by a slip is read as it was. */
export function putForwardAgain(find: string, { piece, character, value, sureness, note }: Reading): Thunk<ReadingId> {
  return read(find, { piece, character, value, sureness, ...(note ? { note } : {}) });
}

export function passOver(find: string, piece: PieceId, character: CharacterId): Thunk {
  return (dispatch) => dispatch(add({ kind: 'skips', find, body: { id: newId(), at: dispatch(now()), piece, character } }));
}

/** The person's own decision, with the verdict it was made on. */
export function recordDecision(find: string, verdict: Verdict, choice: Choice, reason?: string): Thunk {
  return (dispatch) => {
    const id = newId();
    dispatch(add(
      { kind: 'verdicts', find, body: { id, at: dispatch(now()), verdict } },
      { kind: 'decisions', find, body: { id: newId(), at: dispatch(now()), verdict: id, choice, by: dispatch(person()), ...(reason ? { reason } : {}) } },
    ));
  };
}
