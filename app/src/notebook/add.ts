import {
  applyEntries,
  entriesOf,
  FIND_KIND_NAMES,
  FIND_KINDS,
  nextStamp,
  type Entry,
  type FindRecord,
  type Stamp,
} from '@pause/core';
import type { Judgement } from '../deciding/evaluate';
import { after } from '../lib/breath';
import { openMe } from './open';
import { outbox } from './outboxSlice';
import { ruled, reconsider, message } from './reconsider';
import { finds } from './slices';
import type { Thunk } from './store';
import { withWholeCharacters } from './whole';

/** Adding an entry: kept on the device, decided on, and sent. */

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

function flush(): Thunk<Promise<void>> {
  return async (dispatch) => {
    const outside = await import('./outside').catch(() => undefined);
    if (outside) await dispatch(outside.flush());
  };
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
const UNSTAMPED = new Set<Entry['kind']>(FIND_KIND_NAMES.filter((kind) => !FIND_KINDS[kind].isOverruled));

/**
 * Puts entries on record that depend on what was added just before them: they are made when everything before
 * them is kept and on the screen.
 *
 * @param make - may make none
 */
export function addMade(make: () => readonly Entry[]): Thunk<Promise<boolean>> {
  return (dispatch, getState, { device, running, drawn }) => {
    const turn = running.lastAdded
      .then(async () => {
        // What is recorded before anybody knows whose notebook this is gets its author when it is kept.
        await dispatch(openMe());
        const made = make().map(withWholeCharacters);
        if (made.length === 0) return true;
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
    running.lastAdded = turn;
    return turn;
  };
}

/** Entries with their stamps, later than everything recorded or received here. */
function stampedAfter(last: Stamp | undefined, device: string, entries: readonly Entry[]): Thunk<Entry[]> {
  return (_, getState, { clock }) => {
    let before = last;
    return entries.map((entry) => {
      before = nextStamp(before, Math.floor(clock() + (getState().me.person?.offsetMs ?? 0)), device);
      return { ...entry, stamp: before };
    });
  };
}
