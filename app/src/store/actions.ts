import {
  caseOf, summaryOf, type AnswerEffect, type Case, type CharacterId, type Choice, type FindRecord, type FindSummary, type Kingdom, type PieceId, type Reading, type ReadingId, type ReadingValue,
  type Sureness, type TaxonId, type Verdict,
} from '@pause/core';
import { guide } from '../evaluate/guide';
import { Away, Refused } from './api';
import { applyEntry, type Entry } from './entries';
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

/** Who keeps this notebook: as this device knows it at once, then as the server does. */
export function loadMe(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, clock, device }) => {
    if (getState().me.status === 'loading') return;
    if (getState().me.status !== 'ready') {
      dispatch(me.actions.meLoading());
      const kept = await device.person();
      if (kept) dispatch(me.actions.meLoaded(kept));
    }
    try {
      const { id, name, demo, now: serverNow } = await api.me();
      const person = { id, name, demo, offsetMs: demo ? Date.parse(serverNow) - clock() : 0 };
      dispatch(me.actions.meLoaded(person));
      await device.keepPerson(person);
    } catch (error) {
      if (getState().me.status !== 'ready') dispatch(me.actions.meFailed(message(error)));
    }
  };
}

/** The log of finds: as this device knows it at once, then as the server does; with what only this device has. */
export function loadList(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, device }) => {
    const first = getState().list.status !== 'ready';
    dispatch(list.actions.listLoading());
    const kept = first ? await device.list() : undefined;
    if (kept) dispatch(list.actions.listLoaded(await dispatch(withOwn(kept))));
    try {
      const fresh = await api.finds();
      dispatch(outbox.actions.reached());
      dispatch(list.actions.listLoaded(await dispatch(withOwn(fresh))));
      await device.keepList(fresh);
    } catch (error) {
      const away = error instanceof Away;
      if (away) dispatch(outbox.actions.sendingAway());
      const known = await dispatch(withOwn(getState().list.items));
      if (getState().list.status === 'ready' || (away && known.length > 0)) dispatch(list.actions.listLoaded(known));
      else dispatch(list.actions.listFailed(message(error)));
    }
  };
}

/** Finds of which something waits here are told as they stand here. */
function withOwn(finds: readonly FindSummary[]): Thunk<Promise<FindSummary[]>> {
  return async (_, getState, { device }) => {
    const { waiting } = getState().outbox;
    const own = new Map<string, FindSummary>();
    for (const id of new Set(waiting.map((entry) => entry.find))) {
      const record = getState().finds[id]?.record ?? waiting.filter((entry) => entry.find === id).reduce(applyEntry, await device.record(id));
      if (record) own.set(id, summaryOf(record));
    }
    const all = [...finds.map((find) => own.get(find.id) ?? find), ...[...own.values()].filter((find) => !finds.some((f) => f.id === find.id))];
    return all.sort((a, b) => (a.startedAt < b.startedAt ? 1 : a.startedAt > b.startedAt ? -1 : 0));
  };
}

/** A find: as this device knows it at once, then as the server does. */
export function loadFind(id: string): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, device }) => {
    dispatch(finds.actions.findLoading(id));
    const change = () => getState().finds[id]?.change;
    const lay = (record: FindRecord | undefined) => {
      const was = change();
      dispatch(finds.actions.findLoaded({ id, record, waiting: getState().outbox.waiting }));
      if (change() !== was) void dispatch(reconsider(id));
    };
    const kept = await device.record(id);
    const madeHere = getState().outbox.waiting.some((entry) => entry.find === id && entry.kind === 'finds');
    if (kept || madeHere) lay(kept);
    const before = change();
    try {
      const fresh = await api.find(id);
      // Something was told meanwhile, which the answer may not know of yet: what is here is newer.
      if (change() !== before) return;
      lay(fresh);
      await device.keepRecord(fresh);
    } catch (error) {
      if (kept || madeHere) return;
      if (error instanceof Refused && error.status === 404) lay(undefined);
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

/** What was told is kept one after the other, in the order in which it was told. */
let lastTold: Promise<unknown> = Promise.resolve();

/** Puts entries on record: first on the device, then on the screen, then to the server. @returns whether they were kept; what was not does not count */
function add(...entries: Entry[]): Thunk<Promise<boolean>> {
  return addMade(() => entries);
}

/** The same, for entries that are made from what was told just before them. */
function addMade(make: () => readonly Entry[]): Thunk<Promise<boolean>> {
  return (dispatch, _, { device }) => {
    const turn = lastTold.then(async () => {
      const entries = make();
      await device.put(entries);
      for (const entry of entries) dispatch(finds.actions.entryMade(entry));
      const [first] = entries;
      if (first) void dispatch(reconsider(first.find));
      void dispatch(flush());
      return true;
    }).catch((error: unknown) => {
      dispatch(outbox.actions.notKept(message(error)));
      return false;
    });
    lastTold = turn;
    return turn;
  };
}

/** Takes up what waited when the tab was closed. */
export function openOutbox(): Thunk<Promise<void>> {
  return async (dispatch, _, { device }) => {
    dispatch(outbox.actions.outboxOpened(await device.waiting()));
    void dispatch(flush());
  };
}

/** What was not kept has been read. */
export function acknowledgeNotKept(): Thunk {
  return (dispatch) => dispatch(outbox.actions.notKeptSeen());
}

let retry: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits, oldest first, one at a time; tries again later if the server is away. */
export function flush(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, device }) => {
    if (getState().outbox.sending) return;
    dispatch(outbox.actions.sendingStarted());
    clearTimeout(retry);
    try {
      for (let entry = getState().outbox.waiting[0]; entry; entry = getState().outbox.waiting[0]) {
        try {
          await api.send(entry);
          await device.settle(entry, 'arrived');
          dispatch(outbox.actions.sent(entry));
        } catch (error) {
          if (!(error instanceof Refused)) {
            dispatch(outbox.actions.sendingAway());
            retry = setTimeout(() => void dispatch(flush()), RETRY_MS);
            return;
          }
          await device.settle(entry, 'refused');
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

/** Begins a find on a first piece, with what it is taken for, if anything. @returns its id, as soon as it is kept */
export function startFind(start: { kingdom: Kingdom; bodyPlan: string; target?: TaxonId; placeNote?: string; context: Case['context'] }): Thunk<Promise<string | undefined>> {
  return async (dispatch) => {
    const find = newId();
    const { kingdom, bodyPlan, placeNote, target } = start;
    const startedAt = dispatch(now());
    const context = { ...start.context, month: new Date(startedAt).getMonth() + 1 };
    const kept = await dispatch(add(
      { kind: 'finds', find, body: { id: find, startedAt, kingdom, bodyPlan, ...(placeNote ? { placeNote } : {}), person: dispatch(person()) } },
      { kind: 'pieces', find, body: { id: newId() as PieceId, at: dispatch(now()), purpose: 'decide' } },
      ...(target ? [{ kind: 'targets', find, body: { id: newId(), at: dispatch(now()), taxon: target } } as const] : []),
      { kind: 'contexts', find, body: { id: newId(), at: dispatch(now()), context } },
    ));
    return kept ? find : undefined;
  };
}

/** Tells what stands around it. Two answers in quick succession are both kept: what each changes is laid over what stands by then. */
export function tellContext(find: string, context: Case['context']): Thunk<Promise<boolean>> {
  return (dispatch, getState) => {
    const standing = () => getState().finds[find]?.record?.context ?? {};
    const was = standing();
    const names = [...new Set([...Object.keys(was), ...Object.keys(context)])] as (keyof Case['context'])[];
    const changed = names.filter((name) => was[name] !== context[name]);
    const [id, at] = [newId(), dispatch(now())];
    return dispatch(addMade(() => {
      const rest = Object.entries(standing()).filter(([name]) => !changed.includes(name as keyof Case['context']));
      const told = changed.flatMap((name) => (context[name] === undefined ? [] : [[name, context[name]] as const]));
      return [{ kind: 'contexts', find, body: { id, at, context: Object.fromEntries([...rest, ...told]) } }];
    }));
  };
}

export function changeTarget(find: string, taxon: TaxonId): Thunk<Promise<boolean>> {
  return (dispatch) => dispatch(add({ kind: 'targets', find, body: { id: newId(), at: dispatch(now()), taxon } }));
}

export function startPiece(find: string, purpose: 'decide' | 'compare'): Thunk<PieceId> {
  return (dispatch) => {
    const id = newId() as PieceId;
    void dispatch(add({ kind: 'pieces', find, body: { id, at: dispatch(now()), purpose } }));
    return id;
  };
}

export function read(find: string, reading: { piece: PieceId; character: CharacterId; value: ReadingValue; sureness: Sureness; note?: string }): Thunk<Promise<ReadingId | undefined>> {
  return async (dispatch) => {
    const body: Reading = { ...reading, id: newId() as ReadingId, by: dispatch(person()), at: dispatch(now()) };
    return await dispatch(add({ kind: 'readings', find, body })) ? body.id : undefined;
  };
}

export function takeBack(find: string, reading: ReadingId): Thunk<Promise<boolean>> {
  return (dispatch) => dispatch(add({ kind: 'withdrawals', find, body: { id: newId(), at: dispatch(now()), reading } }));
}

/** What was taken back by a slip is read as it was. */
export function putForwardAgain(find: string, { piece, character, value, sureness, note }: Reading): Thunk<Promise<ReadingId | undefined>> {
  return read(find, { piece, character, value, sureness, ...(note ? { note } : {}) });
}

export function passOver(find: string, piece: PieceId, character: CharacterId): Thunk<Promise<boolean>> {
  return (dispatch) => dispatch(add({ kind: 'skips', find, body: { id: newId(), at: dispatch(now()), piece, character } }));
}

/** The person's own decision, with the verdict it was made on. */
export function recordDecision(find: string, verdict: Verdict, choice: Choice, reason?: string): Thunk<Promise<boolean>> {
  return (dispatch) => {
    const id = newId();
    return dispatch(add(
      { kind: 'verdicts', find, body: { id, at: dispatch(now()), verdict } },
      { kind: 'decisions', find, body: { id: newId(), at: dispatch(now()), verdict: id, choice, by: dispatch(person()), ...(reason ? { reason } : {}) } },
    ));
  };
}
