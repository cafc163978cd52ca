import { configure, fireEvent, render, type RenderResult } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import * as React from 'react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { demoJob, type Job, type Plan } from '@sill/core';
import { planned } from '../../../core/src/testing/planning';
import { opened } from '../state/bench';
import type { Edges } from '../state/edges';
import { planned as arrived } from '../state/planning';
import { makeStore } from '../state/store';
import { QUIET } from './edges';

// What comes by itself is waited for as long as a busy machine takes: no test depends on who is faster.
configure({ asyncUtilTimeout: 10_000 });
// A warning says which component made an element. For that each element holds a stack, a tenth of all work in these
// tests: it is as if there had been too many already. Where the inside of React is another, nothing comes of it.
Object.defineProperty(
  (React as unknown as Record<string, object>)['__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE'] ?? {},
  'recentlyCreatedOwnerStacks',
  { get: () => Infinity, set: () => {} },
);

/** The plan of a job as these tests look at it. */
export const planOnce = (job: Job): Plan => planned(job, '2026-11-24');

/** What is drawn bit by bit is drawn whole, as before printing. */
export const drawAll = (): void => void fireEvent(window, new Event('beforeprint'));

type Bench = {
  readonly job?: Job;
  readonly path?: string;
  /** For what shows nothing of a plan: any. */
  readonly plan?: Plan;
};

/** A component on a real store with the demo job open and planned, no server and no worker behind it. */
export function onBench(
  what: ReactNode,
  { job = demoJob(), path = '/jobs/demo/shape', plan = planOnce(job), ...edges }: Bench & Partial<Edges> = {},
) {
  const store = makeStore({ ...QUIET, ...edges });
  store.dispatch(opened({ id: 'demo', revision: 1, savedAt: '2026-11-24T10:00:00Z', job }));
  store.dispatch(arrived({ job, plan, proving: false }));
  const router = createMemoryRouter([{ path: '/jobs/:id/:stage', element: what }], { initialEntries: [path] });
  const shown: RenderResult = render(
    <Provider store={store}>
      <RouterProvider router={router} useTransitions={false} />
    </Provider>,
  );
  const user: UserEvent = userEvent.setup();
  return { ...shown, store, user, router, jobNow: () => store.getState().bench.job! };
}
