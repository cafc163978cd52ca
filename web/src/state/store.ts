import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit';
import { border } from './border';
import type { Edges } from './edges';
import { listenForDays } from './laying-days';
import { listenForRecords } from './learning';
import { listenForRack } from './racking';
import { listenForPlans } from './replanning';
import { root, type AppDispatch, type Listen, type RootState } from './root';
import { listenForSaves } from './saving';
import { server } from './server';
import { lookChosen, view } from './view';

/** The store of the page, with what it reaches beyond itself handed in. */
export function makeStore(edges: Edges) {
  const listeners = createListenerMiddleware<RootState, AppDispatch, Edges>({ extra: edges });
  const listen = listeners.startListening as Listen;
  listenForSaves(listen);
  // What plans rest on is there before the first is made.
  listenForRecords(listen);
  listenForPlans(listen);
  listenForDays(listen);
  listenForRack(listen);
  listen({ actionCreator: lookChosen, effect: ({ payload }, { extra }) => extra.keepLook(payload) });
  return configureStore({
    reducer: root,
    preloadedState: { view: { ...view.getInitialState(), look: edges.look } },
    // Plans are large and plain; checking them on every action would cost more than planning.
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false, thunk: { extraArgument: edges } })
        .prepend(border, listeners.middleware)
        .concat(server.middleware),
  });
}
