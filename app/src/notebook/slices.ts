import { type Draft, type PayloadAction, original, createSlice } from '@reduxjs/toolkit';
import { type FindSummary, type FindRecord, type Entry, applyEntry, type PageRecord } from '@pause/core';
import type { Evaluation } from '../deciding/evaluate';
import type { Group, Letters } from './api';

/**
 * A reducer that makes the next state out of the one before as it is. Without a draft of it, which would be
 * made and searched through for every find and everything that waits, at each answer.
 */
export const plainly =
  <S, P>(next: (state: S, payload: P) => S) =>
  (state: Draft<S>, { payload }: PayloadAction<P>): S =>
    next(original(state), payload);

export type Status = 'idle' | 'loading' | 'ready' | 'failed';

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly demo: boolean;
  /** To add to this device's clock: the demo's, or where this device's is wrong. */
  readonly offsetMs: number;
  /** Signed in with an account; without one the notebook is on this device alone. */
  readonly account: boolean;
  readonly groups: readonly Group[];
}

interface MeState {
  readonly status: Status;
  readonly person?: Person;
  /** The server does not know this device's session any more: sign in again, and what waits goes on. */
  readonly signedOut?: boolean;
  /** The server is the demo, and nobody is signed in. */
  readonly demoOffered?: boolean;
  /** Where the server's letters go, as it last reported. */
  readonly letters?: Letters;
  /** What the server knows is here, or it was long enough in coming. */
  readonly asked?: boolean;
}

const nobody: MeState = { status: 'idle' };

export const me = createSlice({
  name: 'me',
  initialState: nobody,
  reducers: {
    meLoading: (): MeState => ({ status: 'loading' }),
    meLoaded: ({ asked = false }, { payload }: PayloadAction<Person>): MeState => ({
      status: 'ready',
      person: payload,
      asked,
    }),
    serverAsked: (state): MeState => ({ ...state, asked: true }),
    notSignedIn: (
      state,
      { payload }: PayloadAction<{ demo: boolean; mail?: Letters | undefined }>,
    ): MeState => ({
      ...state,
      signedOut: state.person?.account === true,
      demoOffered: payload.demo,
      ...(payload.mail === undefined ? {} : { letters: payload.mail }),
    }),
  },
});

interface ListState {
  readonly status: Status;
  readonly items: readonly FindSummary[];
}

const noList: ListState = { status: 'idle', items: [] };

export const list = createSlice({
  name: 'list',
  initialState: noList,
  reducers: {
    listLoading: (state): ListState => ({
      status: state.status === 'ready' ? 'ready' : 'loading',
      items: state.items,
    }),
    listLoaded: (_, { payload }: PayloadAction<readonly FindSummary[]>): ListState => ({
      status: 'ready',
      items: payload,
    }),
  },
});

export interface OpenFind {
  readonly status: Status | 'missing';
  readonly record?: FindRecord;
  /** Grows with every change of the record, so that a late evaluation is known to be late. */
  readonly change: number;
  readonly evaluation?: Evaluation;
  /** The change that the evaluation is of. */
  readonly evaluated?: number;
  /** Why the newest record could not be evaluated. */
  readonly fault?: string;
  readonly error?: string;
}

type FindsState = Readonly<Record<string, OpenFind>>;
const noFinds: FindsState = {};

export const finds = createSlice({
  name: 'finds',
  initialState: noFinds,
  reducers: {
    findLoading: plainly((state: FindsState, id: string): FindsState => ({
      ...state,
      [id]: { ...(state[id] ?? { change: 0 }), status: state[id]?.record ? 'ready' : 'loading' },
    })),
    findLoaded: plainly(
      (state: FindsState, { id, record }: { id: string; record: FindRecord | undefined }): FindsState => {
        const open = state[id];
        if (open?.record && record && JSON.stringify(open.record) === JSON.stringify(record))
          return { ...state, [id]: { ...open, status: 'ready' } };
        const change = (open?.change ?? 0) + 1;
        return {
          ...state,
          [id]: record ? { ...(open ?? {}), status: 'ready', record, change } : { status: 'missing', change },
        };
      },
    ),
    findFailed: plainly((state: FindsState, { id, error }: { id: string; error: string }): FindsState => ({
      ...state,
      [id]: { ...(state[id] ?? { change: 0 }), status: state[id]?.record ? 'ready' : 'failed', error },
    })),
    entryMade: plainly((state: FindsState, entry: Entry): FindsState => {
      if (entry.find === undefined) return state;
      const open = state[entry.find];
      const record = applyEntry(open?.record, entry);
      return record
        ? { ...state, [entry.find]: { ...open, status: 'ready', record, change: (open?.change ?? 0) + 1 } }
        : state;
    }),
    evaluated: plainly(
      (
        state: FindsState,
        { id, change, evaluation }: { id: string; change: number; evaluation: Evaluation },
      ): FindsState => {
        const open = state[id];
        if (!open || change < (open.evaluated ?? 0)) return state;
        const { fault, ...sound } = open;
        // An older one that comes late does not hide that the newest failed.
        const kept = fault !== undefined && change !== open.change ? { fault } : {};
        // It came whole from the core, and is not walked through once more.
        return {
          ...state,
          [id]: { ...sound, ...kept, evaluation: Object.freeze(evaluation), evaluated: change },
        };
      },
    ),
    evaluationFailed: plainly(
      (
        state: FindsState,
        { id, change, fault }: { id: string; change: number; fault: string },
      ): FindsState => {
        const open = state[id];
        return open && change === open.change ? { ...state, [id]: { ...open, fault } } : state;
      },
    ),
  },
});

/** Pages of the notebook that are no finds, as they stand with what waits: places, eaters, walks. */
interface PagesState {
  readonly status: Status;
  readonly all: Readonly<Record<string, PageRecord>>;
}

const noPages: PagesState = { status: 'idle', all: {} };

export const pages = createSlice({
  name: 'pages',
  initialState: noPages,
  reducers: {
    /** With `whole`, these are all that there are. */
    pagesLoaded: plainly(
      (
        state: PagesState,
        { loaded, whole }: { loaded: readonly PageRecord[]; whole: boolean },
      ): PagesState => ({
        status: whole ? 'ready' : state.status,
        all: { ...state.all, ...Object.fromEntries(loaded.map((page) => [page.id, page])) },
      }),
    ),
    /** The device is another account's now. */
    pagesForgotten: (): PagesState => noPages,
  },
});
