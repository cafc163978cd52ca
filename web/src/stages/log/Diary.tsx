import { Button } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useMemo, useState } from 'react';
import { standingEntries, type Entry, type JobCalendar, type Plan } from '@sill/core';
import { useJob } from '../../state/hooks';
import { about, useHoldings, useTell } from '../../state/useLedger';
import { photoAddress } from '../../state/usePhoto';
import { Segmented } from '../../ui/Segmented';
import { entryWords, stepSentences } from '../../words/entries';
import { spanWords } from '../../words/days';
import { useLabel } from '../../words/labels';
import { cents, dollars } from '../../words/money';
import '../shared/Notes.css';

const LOOKS = [
  ['words', 'Words and pictures'],
  ['wrong', 'Mistakes'],
  ['money', 'Money'],
  ['time', 'Time'],
  ['all', 'All'],
] as const;
type Look = (typeof LOOKS)[number][0];

const KINDS: Readonly<Record<Exclude<Look, 'all'>, readonly Entry['what'][]>> = {
  words: ['note', 'mishap', 'moisture', 'used', 'measured', 'diagonal', 'set out', 'closed'],
  wrong: ['mishap', 'spoiled', 'rejected', 'returned', 'gone'],
  money: ['bought', 'box', 'paid', 'receipt', 'returned'],
  time: ['timed'],
};
/** Entries that are there at once; the rest on request. */
const FIRST = 40;

const priceOf = (entry: Entry): number | null =>
  entry.what === 'bought' || entry.what === 'box' ? entry.price : entry.what === 'receipt' ? entry.total : null;
const photoOf = (entry: Entry): string | null =>
  entry.what === 'note' || entry.what === 'receipt' ? entry.photo : entry.what === 'photographed' ? entry.photo : null;
const dayName = (day: string): string => (day === '' ? 'Before' : format(parseISO(day), 'EEEE d MMMM yyyy'));

/** All that was written down, by day, the newest first. What was wrong is taken back. */
export function Diary({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const label = useLabel();
  const holdings = useHoldings();
  const tell = useTell();
  const [look, setLook] = useState<Look>('words');
  const [all, setAll] = useState(false);
  const steps = useMemo(() => stepSentences(plan, job.units), [plan, job.units]);
  const told = useMemo(
    () =>
      [...standingEntries(job.ledger)]
        .reverse()
        .filter(({ what }) => (look === 'all' ? what !== 'clock' : KINDS[look].includes(what))),
    [job.ledger, look],
  );
  const shown = all ? told : told.slice(0, FIRST);
  const days = [...new Set(shown.map(({ at }) => at?.slice(0, 10) ?? ''))];
  const telling = { holdings, units: job.units, label, steps };
  return (
    <section className="sheet diary" aria-label="What was written down">
      <div className="row wrap">
        <h2>What was written down</h2>
        <Segmented label="What is shown" value={look} options={LOOKS} onChange={setLook} />
      </div>
      {told.length === 0 && <p className="soft">Nothing of this kind yet.</p>}
      {days.map((day) => {
        const own = shown.filter(({ at }) => (at?.slice(0, 10) ?? '') === day);
        return (
          <section key={day} aria-label={dayName(day)}>
            <h3>
              {dayName(day)} <DaySums entries={standingEntries(job.ledger)} air={job.calendar.air} day={day} />
            </h3>
            <ul>
              {own.map((entry) => {
                const [price, photo] = [priceOf(entry), photoOf(entry)];
                return (
                  <li key={entry.id} data-what={entry.what}>
                    <span className="soft">{entry.at?.slice(11) ?? ''}</span>
                    <span>
                      {entryWords(entry, telling)}
                      {photo !== null && (
                        <a href={photoAddress(photo)} target="_blank" rel="noreferrer">
                          <img className="note-photo" src={photoAddress(photo)} alt={entryWords(entry, telling)} />
                        </a>
                      )}
                    </span>
                    <span className="amount">{price !== null && cents(price)}</span>
                    <button
                      type="button"
                      className="plain"
                      aria-label={`Take back: ${entryWords(entry, telling)}`}
                      onClick={() => tell([about('corrected', entry.id)])}
                    >
                      Take back
                    </button>
                  </li>
                );
              })}
            </ul>
          </section>
        );
      })}
      {!all && told.length > FIRST && <Button onClick={() => setAll(true)}>Show all {told.length}</Button>}
    </section>
  );
}

type SumsProps = { readonly entries: readonly Entry[]; readonly air: JobCalendar['air']; readonly day: string };

/** Time at work of a day, money that went out on it, and what the shop's thermometer and hygrometer read. */
function DaySums({ entries, air, day }: SumsProps) {
  const own = entries.filter(({ at }) => at?.startsWith(day) && day !== '');
  const minutes = own.reduce((sum, entry) => sum + (entry.what === 'timed' ? entry.minutes : 0), 0);
  const paid = own.reduce((sum, entry) => sum + (entry.what === 'receipt' ? entry.total : 0), 0);
  const reading = air.find(({ on }) => on === day);
  const words = [
    ...(minutes >= 1 ? [spanWords(Math.round(minutes))] : []),
    ...(paid > 0 ? [dollars(paid)] : []),
    ...(reading ? [`${reading.temperature} °F, ${reading.humidity} %${reading.simulated ? ' (simulated)' : ''}`] : []),
  ];
  return words.length > 0 && <small className="soft">{words.join(' · ')}</small>;
}
