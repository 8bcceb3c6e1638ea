import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { FindRecord, FindSummary } from '@pause/core';
import { z } from 'zod';
import type { Evaluation } from '../evaluate/evaluate';
import { applyEntry, type Entry } from './entries';

export type Status = 'idle' | 'loading' | 'ready' | 'failed';

export const Person = z.object({
  id: z.string(),
  name: z.string(),
  demo: z.boolean(),
  /** To add to this device's clock. */
  offsetMs: z.number(),
});
export type Person = z.infer<typeof Person>;
interface MeState {
  readonly status: Status;
  readonly person?: Person;
  readonly error?: string;
}

const nobody: MeState = { status: 'idle' };

export const me = createSlice({
  name: 'me',
  initialState: nobody,
  reducers: {
    meLoading: (): MeState => ({ status: 'loading' }),
    meLoaded: (_, { payload }: PayloadAction<Person>): MeState => ({ status: 'ready', person: payload }),
    meFailed: (_, { payload }: PayloadAction<string>): MeState => ({ status: 'failed', error: payload }),
  },
});

interface ListState {
  readonly status: Status;
  readonly items: readonly FindSummary[];
  readonly error?: string;
}
const noList: ListState = { status: 'idle', items: [] };

export const list = createSlice({
  name: 'list',
  initialState: noList,
  reducers: {
    listLoading: (state): ListState => ({ status: state.status === 'ready' ? 'ready' : 'loading', items: state.items }),
    listLoaded: (_, { payload }: PayloadAction<readonly FindSummary[]>): ListState => ({ status: 'ready', items: payload }),
    listFailed: (state, { payload }: PayloadAction<string>): ListState => ({ status: 'failed', items: state.items, error: payload }),
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
    findLoading: (state, { payload: id }: PayloadAction<string>): FindsState => (
      { ...state, [id]: { ...(state[id] ?? { change: 0 }), status: state[id]?.record ? 'ready' : 'loading' } }
    ),
    findLoaded: (state, { payload: { id, record, waiting } }: PayloadAction<{ id: string; record: FindRecord | undefined; waiting: readonly Entry[] }>): FindsState => {
      const whole = waiting.filter((entry) => entry.find === id).reduce(applyEntry, record);
      const open = state[id];
      if (open?.record && whole && JSON.stringify(open.record) === JSON.stringify(whole)) return { ...state, [id]: { ...open, status: 'ready' } };
      const change = (open?.change ?? 0) + 1;
      return { ...state, [id]: whole ? { ...(open ?? {}), status: 'ready', record: whole, change } : { status: 'missing', change } };
    },
    findFailed: (state, { payload: { id, error } }: PayloadAction<{ id: string; error: string }>): FindsState => (
      { ...state, [id]: { ...(state[id] ?? { change: 0 }), status: state[id]?.record ? 'ready' : 'failed', error } }
    ),
    entryMade: (state, { payload: entry }: PayloadAction<Entry>): FindsState => {
      const open = state[entry.find];
      const record = applyEntry(open?.record, entry);
      return record ? { ...state, [entry.find]: { ...open, status: 'ready', record, change: (open?.change ?? 0) + 1 } } : state;
    },
    evaluated: (state, { payload: { id, change, evaluation } }: PayloadAction<{ id: string; change: number; evaluation: Evaluation }>): FindsState => {
      const open = state[id];
      if (!open || change < (open.evaluated ?? 0)) return state;
      const { fault, ...sound } = open;
      // An older one that comes late does not hide that the newest failed.
      const stands = fault !== undefined && change !== open.change ? { fault } : {};
      return { ...state, [id]: { ...sound, ...stands, evaluation, evaluated: change } };
    },
    evaluationFailed: (state, { payload: { id, change, fault } }: PayloadAction<{ id: string; change: number; fault: string }>): FindsState => {
      const open = state[id];
      return open && change === open.change ? { ...state, [id]: { ...open, fault } } : state;
    },
  },
});

interface Refusal {
  readonly entry: Entry;
  readonly reason: string;
}
interface OutboxState {
  readonly waiting: readonly Entry[];
  readonly refused: readonly Refusal[];
  readonly sending: boolean;
  /** The last try did not reach the server. */
  readonly away: boolean;
  /** Why the last thing told was not kept on this device, and so does not count. */
  readonly notKept?: string;
}
const same = (a: Entry, b: Entry) => a.kind === b.kind && a.body.id === b.body.id;

const emptyOutbox: OutboxState = { waiting: [], refused: [], sending: false, away: false };

export const outbox = createSlice({
  name: 'outbox',
  initialState: emptyOutbox,
  reducers: {
    /** What waited when the device was opened, before what was told since. */
    outboxOpened: (state, { payload }: PayloadAction<readonly Entry[]>): OutboxState => (
      { ...state, waiting: [...payload.filter((entry) => !state.waiting.some((other) => same(entry, other))), ...(state.waiting as readonly Entry[])] }
    ),
    notKept: (state, { payload }: PayloadAction<string>): OutboxState => ({ ...state, notKept: payload }),
    notKeptSeen: ({ notKept: _, ...state }): OutboxState => state,
    sendingStarted: (state): OutboxState => ({ ...state, sending: true }),
    sent: (state, { payload }: PayloadAction<Entry>): OutboxState => (
      { ...state, away: false, waiting: state.waiting.filter((entry) => !same(entry, payload)) }
    ),
    sendingRefused: (state, { payload }: PayloadAction<Refusal>): OutboxState => (
      { ...state, away: false, waiting: state.waiting.filter((entry) => !same(entry, payload.entry)), refused: [...state.refused, payload] }
    ),
    reached: (state): OutboxState => (state.away ? { ...state, away: false } : state),
    sendingAway: (state): OutboxState => ({ ...state, away: true }),
    sendingEnded: (state): OutboxState => ({ ...state, sending: false }),
    refusalSeen: (state): OutboxState => ({ ...state, refused: [] }),
  },
  extraReducers: (builder) => {
    builder.addCase(finds.actions.entryMade, (state, { payload }): OutboxState => (
      { ...state, waiting: [...(state.waiting as readonly Entry[]), payload] }
    ));
  },
});
