import type { Instant } from './instant';
import type { Problem } from './problem';
import { insideWindows, laidAs, newSharing } from './sharing';
import type { WorkLaid } from './work-bench';

/** Where work stood in days that were laid out before: the day it was ready, and by task when it began. */
export type Stood = { readonly day: number; readonly starts: ReadonlyMap<string, Instant> };

/**
 * Work laid out as it stood before: each task in the time that it stood in, in an order that there is for them now.
 * What was done meanwhile leaves room; null where some of it no longer fits there, or is new.
 */
export function asBefore(problem: Problem, { day, starts }: Stood): WorkLaid | null {
  const sharing = newSharing(problem, day);
  if (!sharing) return null;
  const now: number[] = [];
  for (const [at, { task }] of problem.nodes.entries()) {
    const start = starts.get(task.id) ?? NaN;
    const place = sharing.places[at]?.findIndex(({ window }) => {
      const { from, to } = problem.windows[window] ?? { from: Infinity, to: 0 };
      return from <= start && start < to;
    });
    if (place === undefined || place < 0) return null;
    now.push(place);
  }
  const laid = laidAs(sharing, insideWindows(sharing, now));
  return typeof laid === 'number' ? null : laid;
}
