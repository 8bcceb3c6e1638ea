import { createSlice } from '@reduxjs/toolkit';
import type { Entry } from '@pause/core';
import type { Refusal } from './device';
import { plainly, finds } from './slices';

/** What waits to be sent. */

interface OutboxState {
  readonly waiting: readonly Entry[];
  readonly refused: readonly Refusal[];
  readonly sending: boolean;
  /** The last try did not reach the server. */
  readonly away: boolean;
  /** Why the last entry was not kept on this device, and so does not count. */
  readonly notKept?: string | undefined;
  /** When the server was last heard of, by this device's clock. */
  readonly syncedAt?: number | undefined;
  /** How many entries of the notebook are here, of how many, while it is being fetched. */
  readonly fetching?: { readonly here: number; readonly all: number } | undefined;
  /**
   * Photos and sketches on their way: how many are left, and how much of the one that goes now has gone, from
   * 0 to 1.
   */
  readonly pictures?: { readonly left: number; readonly share: number } | undefined;
  /** How many minutes this device's clock is ahead of the server's, where that is too much to be let pass. */
  readonly clockOff?: number | undefined;
  /** Somebody recorded something with a newer application, which cannot be read here. */
  readonly newerVersion?: boolean | undefined;
  /** The server decides by another version of the guide. */
  readonly otherGuide?: boolean | undefined;
  /** Why what the server sent could not be kept here. */
  readonly notTaken?: string | undefined;
}

export const isSame = (a: Entry, b: Entry) => a.kind === b.kind && a.body.id === b.body.id;
const emptyOutbox: OutboxState = { waiting: [], refused: [], sending: false, away: false };

export const outbox = createSlice({
  name: 'outbox',
  initialState: emptyOutbox,
  reducers: {
    /** What waited when the device was opened, before what was added since. */
    outboxOpened: plainly((state: OutboxState, kept: readonly Entry[]): OutboxState => ({
      ...state,
      waiting: [
        ...kept.filter((entry) => !state.waiting.some((other) => isSame(entry, other))),
        ...state.waiting,
      ],
    })),
    sent: plainly(
      (
        state: OutboxState,
        { arrived, refused }: { arrived: readonly Entry[]; refused: readonly Refusal[] },
      ): OutboxState => {
        const settled = [...arrived, ...refused.map(({ entry }) => entry)];
        return {
          ...state,
          away: false,
          waiting: state.waiting.filter((entry) => !settled.some((other) => isSame(entry, other))),
          refused: [...state.refused, ...refused],
        };
      },
    ),
    /** What became known of it. */
    noted: plainly((state: OutboxState, known: Partial<OutboxState>): OutboxState => ({
      ...state,
      ...known,
    })),
    /** The server was heard of. */
    learned: plainly((state: OutboxState, known: Partial<OutboxState>): OutboxState => ({
      ...state,
      away: false,
      ...known,
    })),
  },
  extraReducers: (builder) => {
    builder.addCase(
      finds.actions.entryMade,
      plainly((state: OutboxState, entry: Entry): OutboxState => ({
        ...state,
        waiting: [...state.waiting, entry],
      })),
    );
  },
});
