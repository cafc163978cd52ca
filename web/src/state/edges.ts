import type { Job, Plan } from '@sill/core';
import type { api } from '../platform/api';
import type { Keeping } from './kept';
import type { Look } from './view';

/** What the store reaches beyond itself. The page hands in the real ones, tests their own. */
export type Edges = {
  readonly save: typeof api.save;
  /** Refused as `Stopped` where it is stopped. */
  readonly planner: {
    readonly planQuickly: (job: Job, id: string | null) => Promise<Plan>;
    /** What a job came to when it was last open here. */
    readonly planOfLastTime: (id: string) => Promise<{ readonly job: Job; readonly plan: Plan } | null>;
    readonly prove: (id: string, job: Job, heard: (plan: Plan | null, share: number) => void) => Promise<Plan>;
    readonly stopPlan: () => void;
    readonly stopProof: () => void;
  };
  /** Where a tab keeps what it knows; false where it can not. */
  readonly keep: (of: Keeping) => Promise<boolean>;
  readonly letGo: (key: string) => Promise<void>;
  /** The look of the screens, kept in this browser. */
  readonly look: Look;
  readonly keepLook: (look: Look) => void;
};
