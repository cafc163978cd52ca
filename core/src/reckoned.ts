import type { Job } from './job';
import type { Plan } from './plan';
import { ownRecord, type Reckoning } from './record';

/** What a plan comes to. */
export const reckoned = ({ hours, list, calendar }: Pick<Plan, 'hours' | 'list' | 'calendar'>): Reckoning => ({
  minutes: Math.round(hours.likely),
  cents: list.total,
  boards: list.boardCount + list.boughtCount + list.spareCount,
  left: list.leftShare,
  ready: calendar.ready,
});

/** What a job came to by its ledger so far. `day` is the one it is ready on, or thought to be. */
export function cameTo(job: Job, { list }: Pick<Plan, 'list'>, day: string | null): Reckoning {
  const { minutes, cents, boards } = ownRecord(job);
  return {
    minutes: Math.round(minutes),
    cents: Math.max(0, cents),
    boards: boards.taken,
    left: list.leftShare,
    ready: day,
  };
}

/** What the bought ones would cost, cents; null where none of them has a price. */
export function boughtInstead({ pieces }: Pick<Job, 'pieces'>): number | null {
  const priced = pieces.flatMap(({ boughtPrice, copies }) => (boughtPrice === null ? [] : [boughtPrice * copies]));
  return priced.length === 0 ? null : priced.reduce((sum, one) => sum + one, 0);
}
