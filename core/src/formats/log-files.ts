import type { Entry, Job } from '../job';
import { standingEntries } from '../ledger';
import { ownRecord } from '../record';
import { writeCsv } from './csv';

const money = (cents: number): string => (cents / 100).toFixed(2);

/** Money of an entry in dollars: what was paid for it, or lost by it. Empty where there is none. */
function moneyOf(entry: Entry): string {
  if (entry.what === 'bought' || entry.what === 'box' || entry.what === 'paid') return money(entry.price);
  if (entry.what === 'receipt') return money(entry.total);
  if (entry.what === 'set out' || entry.what === 'closed') return money(entry.cents);
  return entry.what === 'mishap' && entry.wood > 0 ? money(entry.wood) : '';
}

const minutesOf = (entry: Entry): number | null =>
  entry.what === 'timed' || entry.what === 'mishap' || entry.what === 'set out' || entry.what === 'closed'
    ? entry.minutes
    : null;

/**
 * The log of a job as a table: a row an entry that stands, in the order it was told.
 *
 * @param words what an entry says, as the reader writes it.
 */
export const logCsv = (job: Pick<Job, 'ledger'>, words: (entry: Entry) => string): string =>
  writeCsv(
    ['day', 'time', 'what', 'words', 'minutes', 'minutes planned', 'dollars'],
    standingEntries(job.ledger)
      .filter(({ what }) => what !== 'clock')
      .map((entry) => [
        entry.at?.slice(0, 10) ?? '',
        entry.at?.slice(11) ?? '',
        entry.what,
        words(entry),
        minutesOf(entry),
        entry.what === 'timed' && entry.planned > 0 ? Math.round(10 * entry.planned) / 10 : null,
        moneyOf(entry),
      ]),
  );

/** The log of a job as `sill-plan/log@1`: what it came to, and every entry that stands, as the job file has it. */
export const logJson = (job: Pick<Job, 'name' | 'ledger'>): string => {
  const { from, to, setOut, closed, times, minutes, cents, boards, prices, cuts, coverage } = ownRecord(job);
  const record = { from, to, setOut, closed, times, minutes, cents, boards, prices, cuts, coverage };
  const entries = standingEntries(job.ledger);
  return `${JSON.stringify({ format: 'sill-plan/log@1', job: job.name, record, entries }, null, 2)}\n`;
};
