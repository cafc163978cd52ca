import {
  combineReducers,
  type ThunkAction,
  type ThunkDispatch,
  type TypedStartListening,
  type UnknownAction,
} from '@reduxjs/toolkit';
import { bench } from './bench';
import type { Edges } from './edges';
import { planning } from './planning';
import { server } from './server';
import { view } from './view';

export const root = combineReducers({
  bench: bench.reducer,
  planning: planning.reducer,
  view: view.reducer,
  [server.reducerPath]: server.reducer,
});

export type RootState = ReturnType<typeof root>;
/** What thunks and listeners are handed besides is the store's edges. */
export type AppDispatch = ThunkDispatch<RootState, Edges, UnknownAction>;
export type Thunk<Result> = ThunkAction<Result, RootState, Edges, UnknownAction>;
export type Listen = TypedStartListening<RootState, AppDispatch, Edges>;
