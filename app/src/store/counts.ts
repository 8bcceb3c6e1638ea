import { z } from 'zod';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { keptAs } from './own';

/** Pieces of a patch that were gone through after one of them was decided. */
export const PieceCount = z.object({ passed: z.number().int().nonnegative(), strays: z.number().int().nonnegative(), last: z.enum(['passed', 'stray']).optional() });
export type PieceCount = z.infer<typeof PieceCount>;
const Counts = z.record(z.string(), PieceCount);
type Counts = Readonly<Record<string, PieceCount>>;

const none: Counts = {};
const nothing: PieceCount = { passed: 0, strays: 0 };
export const countOf = (counts: Counts, find: string): PieceCount => counts[find] ?? nothing;

export const counts = createSlice({
  name: 'counts',
  initialState: none,
  reducers: {
    piecePassed: (state, { payload: find }: PayloadAction<string>): Counts => {
      const was = countOf(state, find);
      return { ...state, [find]: { ...was, passed: was.passed + 1, last: 'passed' } };
    },
    strayFound: (state, { payload: find }: PayloadAction<string>): Counts => {
      const was = countOf(state, find);
      return { ...state, [find]: { ...was, strays: was.strays + 1, last: 'stray' } };
    },
    /** A slip of the thumb; only the last one. */
    lastTakenBack: (state, { payload: find }: PayloadAction<string>): Counts => {
      const { last, ...was } = countOf(state, find);
      if (!last) return state;
      return { ...state, [find]: last === 'passed' ? { ...was, passed: was.passed - 1 } : { ...was, strays: was.strays - 1 } };
    },
  },
});

const KEY = 'pause:counts';
export function keptCounts(storage: Storage): Counts {
  return keptAs(storage, KEY, Counts, none);
}
export function keepCounts(storage: Storage, all: Counts): void {
  storage.setItem(KEY, JSON.stringify(all));
}
