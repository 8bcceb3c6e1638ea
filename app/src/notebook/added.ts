import type { Thunk } from './store';
import { me, list, finds } from './slices';
import { outbox } from './outboxSlice';
import {
  findsOf,
  applyEntries,
  entriesOf,
  summaryOf,
  type FindRecord,
  type Policy,
  GROUP_POLICY,
  type Case,
  caseOf,
  type CharacterId,
  type AnswerEffect,
  type Entry,
  type Stamp,
  nextStamp,
} from '@pause/core';
import type { Group } from './api';
import { guide } from '../deciding/guide';
import type { Judgement } from '../deciding/evaluate';
import { withWholeCharacters } from './whole';

/** Adding an entry: kept on the device, decided on, and sent. */

const message = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** An id that nobody else makes. */
export function newId(): string {
  return crypto.randomUUID();
}

/**
 * Now, by the notebook's clock; every call is later than the one before, so that what was made first sorts
 * first.
 */
export function now(): Thunk<string> {
  return (_, getState, { clock, running }) => {
    running.lastInstant = Math.max(
      running.lastInstant + 1,
      Math.floor(clock() + (getState().me.person?.offsetMs ?? 0)),
    );
    return new Date(running.lastInstant).toISOString();
  };
}

/**
 * All that a connection is for; see `sync.ts`, which is fetched when it is first wanted.
 *
 * @returns whether the server was reached
 */
export function syncAll(): Thunk<Promise<boolean>> {
  return async (dispatch) => {
    const outside = await import('./outside').catch(() => undefined);
    return outside ? dispatch(outside.syncAll()) : false;
  };
}

function flush(): Thunk<Promise<void>> {
  return async (dispatch) => {
    const outside = await import('./outside').catch(() => undefined);
    if (outside) await dispatch(outside.flush());
  };
}

/** Who keeps this notebook, as this device knows it. Without an account it is whoever holds the device. */
function openMe(): Thunk<Promise<void>> {
  return (dispatch, _, { device, running }) => {
    const open = async () => {
      dispatch(me.actions.meLoading());
      dispatch(
        me.actions.meLoaded(
          await device.person({
            id: newId(),
            name: '',
            demo: false,
            offsetMs: 0,
            account: false,
            groups: [],
          }),
        ),
      );
    };
    running.opening ??= open();
    return running.opening;
  };
}

/** Who keeps this notebook: as this device knows it at once, then as the server does. */
export function loadMe(): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    await dispatch(openMe());
    const synced = dispatch(syncAll());
    void Promise.race([synced.catch(() => undefined), after(ASKED_MS)]).then(async () => {
      // Where the log is on show, it is there before anything says that it is empty.
      if (getState().list.status !== 'idle') await dispatch(loadList());
      dispatch(me.actions.serverAsked());
    });
    await synced;
  };
}

/** So long nobody waits for the server before the notebook is shown as this device knows it. */
const ASKED_MS = 3000;

const after = (ms: number) =>
  new Promise<undefined>((resolve) => {
    setTimeout(() => resolve(undefined), ms);
  });

/** The log of finds, as this device knows it: it has every find that was told here or heard of. */
export function loadList(): Thunk<Promise<void>> {
  return async (dispatch, getState, { device }) => {
    dispatch(list.actions.listLoading());
    const { waiting } = getState().outbox;
    const lines = new Map((await device.list()).map((line) => [line.id, line]));
    for (const id of findsOf(waiting)) {
      const record =
        getState().finds[id]?.record ?? applyEntries(await device.record(id), entriesOf(waiting, id));
      if (record) lines.set(id, summaryOf(record));
    }
    const sorted = [...lines.values()].sort((a, b) =>
      a.startedAt < b.startedAt ? 1 : a.startedAt > b.startedAt ? -1 : 0,
    );
    dispatch(list.actions.listLoaded(sorted));
  };
}

/** A find, as this device knows it; where it does not, the server is asked first. */
export function loadFind(id: string): Thunk<Promise<void>> {
  return async (dispatch, getState, { device }) => {
    dispatch(finds.actions.findLoading(id));
    // Warm up the write path, so that the first answer is fast.
    device.put(() => []).catch(() => undefined);
    const here = async () => {
      const kept = await device.record(id);
      const known =
        kept !== undefined ||
        getState().outbox.waiting.some((entry) => entry.find === id && entry.kind === 'finds');
      if (known) dispatch(layFind(id, kept));
      return known;
    };
    if (await here()) return;
    const reached = await dispatch(syncAll());
    if (await here()) return;
    if (reached || getState().me.person?.account === false) dispatch(layFind(id, undefined));
    else
      dispatch(
        finds.actions.findFailed({ id, error: 'It is not on this device, and the server does not answer.' }),
      );
  };
}

/** Lays what waits over a find as it is kept, shows it, and judges it again if that changed it. */
export function layFind(id: string, record: FindRecord | undefined): Thunk {
  return (dispatch, getState) => {
    const was = getState().finds[id]?.change;
    dispatch(finds.actions.findLoaded({ id, record, waiting: getState().outbox.waiting }));
    if (getState().finds[id]?.change !== was) void dispatch(reconsider(id));
  };
}

/** The rules that a find is decided by: those of its group. */
export function policyOf(record: FindRecord, groups: readonly Group[]): Policy | undefined {
  return record.group === undefined
    ? undefined
    : (groups.find((group) => group.id === record.group)?.policy ?? GROUP_POLICY);
}

/** A find as it is decided: by the rules of its group. */
const ruled =
  (record: FindRecord): Thunk<Case | undefined> =>
  (_, getState) =>
    caseOf(record, guide, policyOf(record, getState().me.person?.groups ?? []));

/**
 * Asks the core again about a find that changed.
 *
 * @param foreseen what it said already, where it was asked about the very same record before
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

/**
 * Puts entries on record: first on the device, then on the screen, then to the server.
 *
 * @returns whether they were kept; what was not does not count
 */
export function add(...entries: Entry[]): Thunk<Promise<boolean>> {
  return addMade(() => entries);
}

/** As long as anybody waits for one drawing instead of two. */
const ONE_DRAWING_MS = 50;

/**
 * Asks the core what a find on the screen comes to with these entries, while the device is still putting them
 * down.
 *
 * @returns that, and the record it began from
 */
function judgedAhead(
  entries: readonly Entry[],
): Thunk<{ readonly judging: Promise<Judgement | undefined>; readonly of: FindRecord } | undefined> {
  return (dispatch, getState, { evaluator }) => {
    const id = entries[0]?.find ?? '';
    const of = getState().finds[id]?.record;
    if (!of || !getState().finds[id]?.evaluation) return undefined;
    const next = applyEntries(of, entriesOf(entries, id));
    const find = next && dispatch(ruled(next));
    return find && { judging: evaluator.judge(find).catch(() => undefined), of };
  };
}

/** Kinds of which nothing overrules an earlier one: a find with them is the same whatever their stamps. */
const UNSTAMPED = new Set<Entry['kind']>(['pieces', 'readings', 'withdrawals', 'skips']);

/** The same, for entries that are made from what was told just before them. */
function addMade(make: () => readonly Entry[]): Thunk<Promise<boolean>> {
  return (dispatch, getState, { device, running, drawn }) => {
    const turn = running.lastTold
      .then(async () => {
        // What is told before anybody knows whose notebook this is gets its author when it is kept.
        await dispatch(openMe());
        const made = make().map(withWholeCharacters);
        // The core is asked first, where the stamp has no say in what it comes to.
        let ahead = made.every(({ kind }) => UNSTAMPED.has(kind)) ? dispatch(judgedAhead(made)) : undefined;
        const entries = await device.put((name, last) => {
          const stamped = dispatch(stampedAfter(last, name, made));
          ahead ??= dispatch(judgedAhead(stamped));
          return stamped;
        });
        const [first] = entries;
        // What it comes to is drawn with it, if it is known by then; else right after it.
        const foreseen = ahead && (await Promise.race([ahead.judging, after(ONE_DRAWING_MS)]));
        const same = ahead !== undefined && getState().finds[first?.find ?? '']?.record === ahead.of;
        for (const entry of entries) dispatch(finds.actions.entryMade(entry));
        if (first?.find) void dispatch(reconsider(first.find, same ? foreseen : undefined));
        void drawn().then(() => dispatch(flush()));
        return true;
      })
      .catch((error: unknown) => {
        dispatch(outbox.actions.noted({ notKept: message(error) }));
        return false;
      });
    running.lastTold = turn;
    return turn;
  };
}

/** Entries with when they were told, later than everything told or heard of here. */
function stampedAfter(last: Stamp | undefined, device: string, entries: readonly Entry[]): Thunk<Entry[]> {
  return (_, getState, { clock }) => {
    let before = last;
    return entries.map((entry) => {
      before = nextStamp(before, Math.floor(clock() + (getState().me.person?.offsetMs ?? 0)), device);
      return { ...entry, stamp: before };
    });
  };
}

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
    for (const id of concerned) if (getState().finds[id]) dispatch(layFind(id, await device.record(id)));
  };
}

/** Who tells something here; nobody as long as the device has not said, see `Device.put`. */
export const person = (): Thunk<string> => (_, getState) => getState().me.person?.id ?? '';
