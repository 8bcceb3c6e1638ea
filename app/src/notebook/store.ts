import { configureStore, createSelector, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import type { Evaluator } from '../deciding/client';
import type { Api } from './api';
import type { Device } from './device';
import { look, type LookSettings } from './look';
import { outbox } from './outboxSlice';
import type { Album } from './pictures';
import { finds, list, me, pages } from './slices';
import { update } from './update';

/** What the store reaches outside itself. Handed in, so that tests can hand in their own. */
export interface Outside {
  readonly api: Api;
  readonly device: Device;
  /** Photos and sketches; fetched when the first is wanted. */
  readonly album: () => Promise<Album>;
  readonly evaluator: Evaluator;
  readonly clock: () => number;
  /** When what changed is on the screen: what nobody waits for is done after it. */
  readonly drawn: () => Promise<void>;
  /** Called when what this device kept of somebody's notebook is gone: other windows still show it. */
  readonly emptied: () => void;
}

/** What goes on in one window, and is no state that a screen shows. */
export interface Running {
  /** Entries are kept one after the other, in the order in which they were added. */
  lastAdded: Promise<unknown>;
  lastInstant: number;
  /** Asking the device who keeps this notebook, once. */
  opening: Promise<void> | undefined;
  /**
   * Everything that a connection is for, while it goes on, and whether it was asked for once more meanwhile.
   */
  syncing: Promise<boolean> | undefined;
  again: boolean;
  sendingPictures: boolean;
  retry: ReturnType<typeof setTimeout> | undefined;
}

/** @param kept what this device kept for itself: how it shows Pause */
export function makeStore(outside: Outside, kept?: { readonly look: LookSettings }) {
  const running: Running = {
    lastAdded: Promise.resolve(),
    lastInstant: 0,
    opening: undefined,
    syncing: undefined,
    again: false,
    sendingPictures: false,
    retry: undefined,
  };
  return configureStore({
    reducer: {
      me: me.reducer,
      list: list.reducer,
      finds: finds.reducer,
      pages: pages.reducer,
      outbox: outbox.reducer,
      look: look.reducer,
      update: update.reducer,
    },
    ...(kept ? { preloadedState: kept } : {}),
    middleware: (defaults) =>
      defaults({
        thunk: { extraArgument: { ...outside, running } },
      }),
  });
}

export type Store = ReturnType<typeof makeStore>;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];
export type Thunk<T = void> = ThunkAction<T, State, Outside & { readonly running: Running }, UnknownAction>;

/** Works something out of the store's state again only where its inputs changed. */
export const select = createSelector.withTypes<State>();

export const useApp = useSelector.withTypes<State>();
export const useAct = useDispatch.withTypes<Dispatch>();
