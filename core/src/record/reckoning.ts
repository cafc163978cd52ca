import type { EntryOf } from '../job';
import type { JobRecord } from './job-record';

/** What a job comes to. Minutes, cents with tax, boards, share left over, the day it is ready. */
export type Reckoning = Pick<EntryOf<'set out'>, 'minutes' | 'cents' | 'boards' | 'left' | 'ready'>;

/** What an hour of work earned, cents: what the bought one costs less what was paid, by the hours; or null. */
export const earnedAnHour = (bought: number | null, { cents, minutes }: Pick<Reckoning, 'cents' | 'minutes'>) =>
  bought === null || minutes <= 0 ? null : Math.round(((bought - cents) * 60) / minutes);

export type JobState = 'planned' | 'under way' | 'finished';
export const stateOf = ({ from, closed }: Pick<JobRecord, 'from' | 'closed'>): JobState =>
  closed ? 'finished' : from === null ? 'planned' : 'under way';

/** What a finished job saved against the bought one, cents; null where that has no price. */
export const savedBy = ({ closed }: Pick<JobRecord, 'closed'>): number | null =>
  !closed || closed.bought === null ? null : closed.bought - closed.cents;

/** Minutes and cents of all jobs by month, from the first month to the last without a gap. */
export function byMonth(
  records: readonly JobRecord[],
): readonly { readonly month: string; readonly minutes: number; readonly cents: number }[] {
  const all = records.flatMap(({ months }) => months);
  const names = all.map(({ month }) => month).sort();
  const [first, last] = [names[0], names.at(-1)];
  if (first === undefined || last === undefined) return [];
  const rows: { month: string; minutes: number; cents: number }[] = [];
  for (let month = first; month <= last && rows.length < 600; month = nextMonth(month)) {
    const own = all.filter((row) => row.month === month);
    rows.push({
      month,
      minutes: own.reduce((sum, row) => sum + row.minutes, 0),
      cents: own.reduce((sum, row) => sum + row.cents, 0),
    });
  }
  return rows;
}

const nextMonth = (month: string): string => {
  const [year, of] = month.split('-').map(Number) as [number, number];
  return of === 12 ? `${year + 1}-01` : `${year}-${String(of + 1).padStart(2, '0')}`;
};
