import type { JobRecord } from '@sill/core';
import type { Ask } from '../platform/ask';
import type * as explorer from '../platform/workers/explorer';
import type * as days from '../platform/workers/days';
import type * as planner from '../platform/workers/planner';
import type { Keeping } from './kept';
import type { ScreenLook } from './view';

/** What the store reaches beyond itself. The page hands in the real ones, tests their own. */
export type Edges = {
  readonly ask: Ask;
  readonly planner: typeof planner;
  /** What is worked out on the side: prices of other sizes, savings. */
  readonly explorer: typeof explorer;
  /** Lays work out in the time there is. */
  readonly days: typeof days;
  /** Every plan from now on rests on what other jobs say; and what was said last, kept in this browser. */
  readonly learnFrom: (others: readonly JobRecord[]) => void;
  readonly recordsKept: () => readonly JobRecord[];
  readonly keepRecords: (records: readonly JobRecord[]) => void;
  /** The day it is, the minute, and the zone of this device's clock. */
  readonly today: () => string;
  readonly now: () => string;
  readonly zoneHere: () => string;
  /** Where a tab keeps what it knows; false where it can not. */
  readonly keep: (of: Keeping) => Promise<boolean>;
  readonly letGo: (key: string) => Promise<void>;
  /** The look of the screens, kept in this browser. */
  readonly look: ScreenLook;
  readonly keepLook: (look: ScreenLook) => void;
};
