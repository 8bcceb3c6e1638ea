import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import type { Evaluator } from '../evaluate/client';
import type { Api } from './api';
import type { Keep } from './keep';
import { finds, list, me, outbox } from './slices';

/** What the store reaches outside itself. Handed in, so that tests can hand in their own. */
export interface Outside {
  readonly api: Api;
  readonly keep: Keep;
  readonly evaluator: Evaluator;
  readonly clock: () => number;
}

export function makeStore(outside: Outside) {
  return configureStore({
    reducer: { me: me.reducer, list: list.reducer, finds: finds.reducer, outbox: outbox.reducer },
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
