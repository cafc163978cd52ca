import { set, type Change, type Entry, type Job } from '../job';
import { holdingsOf, type Misentry } from './holdings';

/** The change that writes an entry; nothing that is written is ever changed. */
export const entered = (entry: Entry): Change => set(null, ['ledger', entry.id], entry);

/**
 * What would be wrong in the books with more entries in them: null where all can be so. An entry that corrects is
 * wrong where something that was told since rests on what it takes back.
 */
export function misentryOf(job: Pick<Job, 'ledger'>, more: readonly Entry[]): Misentry | null {
  const before = new Set(holdingsOf(job).faults.map(({ entry, why }) => `${entry.id} ${why}`));
  const { faults } = holdingsOf({ ledger: [...job.ledger, ...more] });
  return faults.find(({ entry, why }) => !before.has(`${entry.id} ${why}`)) ?? null;
}

const BECAUSE: Readonly<Record<Misentry['why'], string>> = {
  unknown: 'it is about something that was never told of',
  'not there': 'it is about something that is spoiled, given away, taken back or on the rack',
  'cut before': 'it is about something that is cut already',
  'never bought': 'it is about something that was never bought',
  'told before': 'it is about wood that was told of already',
  'too many': 'there are not so many of them on hand',
};
const TOLD: Readonly<Record<Entry['what'], string>> = {
  found: 'Wood that was found',
  photographed: 'A photo',
  bought: 'A purchase',
  box: 'A purchase',
  rejected: 'A board put back',
  returned: 'A return',
  marked: 'A bad stretch',
  sized: 'The size of a board',
  cut: 'A cut',
  spoiled: 'Something spoiled',
  gone: 'Something given away',
  racked: 'A move to the rack',
  fetched: 'A move from the rack',
  'can racked': 'A can to the rack',
  'can fetched': 'A can from the rack',
  measured: 'A measured size',
  fitted: 'A part cut to fit',
  diagonal: 'A diagonal',
  done: 'A step done',
  'set out': 'The plan at the outset',
  clock: 'The clock',
  timed: 'Time at work',
  paid: 'A price paid',
  receipt: 'A receipt',
  mishap: 'Something that went wrong',
  note: 'A note',
  moisture: 'Moisture',
  used: 'What was used',
  closed: 'The end of the job',
  corrected: 'A correction',
};
/** A fault in a sentence: which entry counts for nothing, and why. */
export const misentryWords = ({ entry, why }: Misentry): string =>
  `${TOLD[entry.what]}${entry.at === null ? '' : ` of ${entry.at.replace('T', ', ')}`} can not be so: ${BECAUSE[why]}.`;
