import type { Entry } from '../job';
import { standingEntries } from '../ledger';

/** Since when the clock at the bench runs, ms since 1970; null where it stands. */
export function clockOf(ledger: readonly Entry[]): number | null {
  let since: number | null = null;
  for (const entry of standingEntries(ledger))
    if (entry.what === 'clock') since = entry.on ? entry.since : null;
    else if (entry.what === 'timed' && entry.until !== null && since !== null) since = entry.until;
  return since;
}

/** Minutes of a go that nobody questions, whatever was planned; and so many times the plan. */
const [UNDOUBTED, TIMES] = [120, 5] as const;

/** Whether a clock was likely left on: two hours and five times what was planned are over. */
export const isLeftOn = (minutes: number, planned: number): boolean => minutes > Math.max(UNDOUBTED, TIMES * planned);

/** Minutes between two moments, to a tenth. */
export const minutesBetween = (from: number, to: number): number => Math.max(0, Math.round((to - from) / 6000) / 10);
