import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Job, Plan } from '@sill/core';

/** The plan of the job on the bench, and what of it is still being worked on. */
export type PlanningState = {
  readonly plan: Plan | null;
  /** The job that `plan` is of. */
  readonly of: Job | null;
  readonly working: boolean;
  /** A longer search for cheaper boards, or for a proof, is under way in the background. */
  readonly proving: boolean;
  readonly failed: string | null;
  /** Cents that the last change made of the total; null where there was none. */
  readonly moved: number | null;
};

const initialState: PlanningState = { plan: null, of: null, working: false, proving: false, failed: null, moved: null };

export const planning = createSlice({
  name: 'planning',
  initialState,
  reducers: {
    cleared: () => initialState,
    started: (state): PlanningState => ({ ...state, working: true, failed: null }) as PlanningState,
    planned: (state, { payload }: PayloadAction<{ job: Job; plan: Plan; proving: boolean }>): PlanningState => {
      const before = (state as PlanningState).plan;
      const moved =
        before && before.list.total !== payload.plan.list.total ? payload.plan.list.total - before.list.total : null;
      const keep = before !== null && (state as PlanningState).of === payload.job;
      return {
        plan: payload.plan,
        of: payload.job,
        working: false,
        proving: payload.proving,
        failed: null,
        moved: keep && moved === null ? (state as PlanningState).moved : moved,
      };
    },
    proofEnded: (state): PlanningState => ({ ...state, proving: false }) as PlanningState,
    failed: (state, { payload }: PayloadAction<string>): PlanningState =>
      ({ ...state, working: false, proving: false, failed: payload }) as PlanningState,
  },
});

export const { cleared, started, planned, proofEnded, failed } = planning.actions;
