import { combineReducers, type ThunkDispatch, type TypedStartListening, type UnknownAction } from '@reduxjs/toolkit';
import { bench } from './bench';
import type { Edges } from './edges';
import { planning } from './planning';
import { view } from './view';

export const root = combineReducers({ bench: bench.reducer, planning: planning.reducer, view: view.reducer });

export type RootState = ReturnType<typeof root>;
export type AppDispatch = ThunkDispatch<RootState, unknown, UnknownAction>;
/** What listens to the store gets its edges as `extra`. */
export type Listen = TypedStartListening<RootState, AppDispatch, Edges>;
