import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import type { Evaluator } from '../evaluate/client';
import type { Api } from './api';
import { counts } from './counts';
import type { Device } from './device';
import { look, type LookSettings } from './look';
import { finds, list, me, outbox } from './slices';
import { update } from './update';

/** What the store reaches outside itself. Handed in, so that tests can hand in their own. */
export interface Outside {
  readonly api: Api;
  readonly device: Device;
  readonly evaluator: Evaluator;
  readonly clock: () => number;
}

/** @param kept what this device kept for itself: how it shows Pause, and what was counted */
export function makeStore(outside: Outside, kept?: { readonly look: LookSettings; readonly counts: ReturnType<typeof counts.reducer> }) {
  return configureStore({
    reducer: { me: me.reducer, list: list.reducer, finds: finds.reducer, outbox: outbox.reducer, look: look.reducer, counts: counts.reducer, update: update.reducer },
    ...(kept ? { preloadedState: kept } : {}),
    middleware: (defaults) => defaults({
      thunk: { extraArgument: outside }, serializableCheck: false, immutableCheck: false,
    }),
  });
}

export type Store = ReturnType<typeof makeStore>;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];
export type Thunk<T = void> = ThunkAction<T, State, Outside, UnknownAction>;

export const useApp = useSelector.withTypes<State>();
export const useAct = useDispatch.withTypes<Dispatch>();
