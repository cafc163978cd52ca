import type { Edges } from '../state/edges';

const never = <T>() => new Promise<T>(() => {});

/** Edges behind which nothing happens: no answer of a server or a worker comes, all is kept. */
export const QUIET: Edges = {
  ask: never,
  planner: {
    planQuickly: never,
    planOfLastTime: () => Promise.resolve(null),
    prove: never,
    topOptions: never,
    rehearsed: never,
    jointWays: never,
    leanedOn: never,
    forecastFor: never,
    finishWaysFor: never,
    stopPlan: () => {},
    stopProof: () => {},
  },
  explorer: {
    exploreCosts: () => ({ stop: () => {}, done: never() }),
    exploreSavings: () => ({ stop: () => {}, done: never() }),
    exploreCoats: () => ({ stop: () => {}, done: never() }),
    exploreHelps: () => ({ stop: () => {}, done: never() }),
  },
  days: { layOut: never, proveDays: never, lookOn: never, soonerFor: never, tonightIn: never, stopDays: () => {} },
  learnFrom: () => {},
  recordsKept: () => [],
  keepRecords: () => {},
  today: () => '2026-11-24',
  now: () => '2026-11-24T20:00',
  zoneHere: () => 'UTC',
  keep: () => Promise.resolve(true),
  letGo: () => Promise.resolve(),
  look: 'light',
  keepLook: () => {},
};
