import { configureStore } from '@reduxjs/toolkit';
import { bench } from './bench';
import { border } from './border';
import { planning } from './planning';
import { replanning } from './replanning';
import { saving } from './saving';
import { view } from './view';

export const store = configureStore({
  reducer: { bench: bench.reducer, planning: planning.reducer, view: view.reducer },
  // Plans are large and plain; checking them on every action would cost more than planning.
  middleware: (defaults) =>
    defaults({ serializableCheck: false, immutableCheck: false }).prepend(
      border,
      saving.middleware,
      replanning.middleware,
    ),
});

export type RootState = {
  bench: ReturnType<typeof bench.reducer>;
  planning: ReturnType<typeof planning.reducer>;
  view: ReturnType<typeof view.reducer>;
};
export type AppDispatch = typeof store.dispatch;
