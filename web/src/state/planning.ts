import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { withDays, type BenchCalendar, type Job, type Plan } from '@sill/core';

/** The plan of the job on the bench, and what of it is still being worked on. */
export type PlanningState = {
  readonly plan: Plan | null;
  /** The job that `plan` is of. */
  readonly of: Job | null;
  readonly working: boolean;
  /** A longer search for cheaper boards, or for a proof, is under way in the background. */
  readonly proving: boolean;
  /** Its days are still laid out with a longer search. */
  readonly laying: boolean;
  /** Share of the longer search that is done, 0 to 1. */
  readonly searched: number;
  readonly failed: string | null;
  /** Stopped by the person: the plan shown is of before the last change. */
  readonly halted: boolean;
  /** What is shown is what the job came to when it was last open here; today's is on its way. */
  readonly earlier: boolean;
  /** Cents that the last change made of the total; null where there was none. */
  readonly moved: number | null;
};

/** The store freezes what it is given, with all that lies in it: 10 to 30 ms for a large plan. Nobody writes in one. */
const asIs = (plan: Plan): Plan => Object.freeze(plan);

const initialState: PlanningState = {
  plan: null,
  of: null,
  working: false,
  proving: false,
  laying: false,
  searched: 0,
  failed: null,
  halted: false,
  earlier: false,
  moved: null,
};

export const planning = createSlice({
  name: 'planning',
  initialState,
  reducers: {
    cleared: () => initialState,
    started: (state): PlanningState => ({ ...state, working: true, failed: null, halted: false }) as PlanningState,
    halted: (state): PlanningState => ({ ...state, working: false, halted: true }) as PlanningState,
    /** Shown until the plan of today is there. */
    remembered: (state, { payload }: PayloadAction<{ job: Job; plan: Plan }>): PlanningState =>
      ({ ...state, plan: asIs(payload.plan), of: payload.job, earlier: true }) as PlanningState,
    planned: (
      state,
      { payload }: PayloadAction<{ job: Job; plan: Plan; proving: boolean; searched?: number }>,
    ): PlanningState => {
      // A draft is never the object it stands for.
      const before = original(state) as PlanningState;
      const step = before.plan && !before.earlier ? payload.plan.list.total - before.plan.list.total : 0;
      // A better plan of the same job adds to what the change itself made.
      const moved = step + (before.of === payload.job ? (before.moved ?? 0) : 0);
      return {
        plan: asIs(payload.plan),
        of: payload.job,
        working: false,
        proving: payload.proving,
        laying: payload.plan.calendar.sessions.length > 0,
        searched: payload.searched ?? 0,
        failed: null,
        halted: false,
        earlier: false,
        moved: moved === 0 ? null : moved,
      };
    },
    searching: (state, { payload }: PayloadAction<number>): PlanningState =>
      ({ ...state, searched: payload }) as PlanningState,
    /** The days of the job in view, laid out with a longer search. */
    laidOutDays: (state, { payload }: PayloadAction<{ job: Job; calendar: BenchCalendar }>): PlanningState => {
      const before = original(state) as PlanningState;
      return before.of === payload.job && before.plan
        ? { ...before, plan: asIs(withDays(before.plan, payload.job, payload.calendar)), laying: false }
        : before;
    },
    /** The days there are stand. */
    daysStand: (state): PlanningState => ({ ...state, laying: false }) as PlanningState,
    proofEnded: (state): PlanningState => ({ ...state, proving: false }) as PlanningState,
    failed: (state, { payload }: PayloadAction<string>): PlanningState =>
      ({ ...state, working: false, proving: false, failed: payload }) as PlanningState,
  },
});

export const { cleared, daysStand, laidOutDays, remembered, started, halted, planned, searching, proofEnded, failed } =
  planning.actions;
