import { Button } from '@mui/material';
import { useNavigate } from 'react-router';
import {
  counted,
  coverageBy,
  cutsBy,
  EMPTY_MEMORY,
  forgets,
  LEARNT,
  paceOf,
  pricesBy,
  rejectedBy,
  remembered,
  spoiledBy,
  WORK_KINDS,
  type Habit,
  type JobRecord,
  type Learnt,
  type Memory,
} from '@sill/core';
import { useApp } from '../state/hooks';
import { MEMORY, useMemoriesQuery, useRecordsQuery, useSaveMemoryMutation } from '../state/server';
import { said } from '../state/view';
import { MISHAP_WORDS, WORK_WORDS } from '../words/entries';
import { JobsTable } from './JobsTable';
import { MonthChart } from './MonthChart';
import './RecordPage.css';

/** What is forgotten, and how that is changed; null while it is not known. */
function useMemory() {
  const { data, error } = useMemoriesQuery({});
  const [save] = useSaveMemoryMutation();
  const dispatch = useApp();
  const row = data?.find(({ id }) => id === MEMORY);
  const memory: Memory = row?.value ?? EMPTY_MEMORY;
  const keep = (forgotten: readonly string[]) =>
    void save({ params: { id: MEMORY }, body: { revision: row?.revision ?? 0, value: { forgotten } } })
      .unwrap()
      .catch((problem: { message?: string }) =>
        dispatch(said({ text: problem.message ?? 'It could not be kept.', bad: true })),
      );
  return {
    memory: data ? memory : null,
    error,
    forget: (names: readonly string[]) => keep([...new Set([...memory.forgotten, ...names])]),
    recall: (names: readonly string[]) => keep(memory.forgotten.filter((name) => !names.includes(name))),
  };
}

/** All jobs side by side, and what they teach: it can be looked at, and forgotten. */
export default function RecordPage() {
  const navigate = useNavigate();
  const { data: records, error } = useRecordsQuery({});
  const { memory, forget, recall } = useMemory();
  return (
    <main className="jobs-page record-page">
      <header>
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <h1>Your record</h1>
        <p>
          What your jobs came to, and what they teach the next. Few records count little: they are drawn towards the
          usual.
        </p>
      </header>
      {error && (
        <p className="problem" role="alert">
          {error.message}
        </p>
      )}
      {(!records || !memory) && !error && <p role="status">Reading the jobs.</p>}
      {records && memory && <Records records={records} memory={memory} onForget={forget} onRecall={recall} />}
    </main>
  );
}

type Props = {
  readonly records: readonly JobRecord[];
  readonly memory: Memory;
  readonly onForget: (names: readonly string[]) => void;
  readonly onRecall: (names: readonly string[]) => void;
};

function Records({ records, memory, onForget, onRecall }: Props) {
  const kept = remembered(records, memory);
  const all = (what: Learnt) => records.map(({ id }) => forgets(id, what));
  const isForgotten = (what: Learnt) =>
    records.length > 0 && all(what).every((name) => memory.forgotten.includes(name));
  const lever = (what: Learnt, name: string) =>
    isForgotten(what) ? (
      <Button size="small" aria-label={`Remember ${name}`} onClick={() => onRecall(all(what))}>
        Remember again
      </Button>
    ) : (
      <Button size="small" aria-label={`Forget ${name}`} onClick={() => onForget(all(what))}>
        Forget
      </Button>
    );
  return (
    <div className="stack">
      <section className="sheet" aria-label="All jobs">
        <h2>All jobs</h2>
        <MonthChart records={records} />
        <JobsTable records={records} />
      </section>
      <section className="sheet" aria-label="How long you take">
        <h2>How long you take {lever('times', 'how long you take')}</h2>
        <Paces records={kept} />
      </section>
      <section className="sheet" aria-label="Habits">
        <h2>Boards, prices, cuts, cans</h2>
        <table className="record-table">
          <tbody>
            {HABITS.map(({ what, name, of, say, from }) => {
              const habit = of(kept);
              return (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  <td>{say(habit)}</td>
                  <td className="soft">
                    {habit.count === 0 ? 'nothing recorded: the usual' : `from ${from(habit.count)}`}
                  </td>
                  <td className="actions">{name === 'Boards put back' ? null : lever(what, name.toLowerCase())}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      <Lessons records={records} memory={memory} onForget={onForget} onRecall={onRecall} />
    </div>
  );
}

const times = (value: number): string => `${value.toFixed(2)} ×`;

type HabitRow = {
  readonly what: Learnt;
  readonly name: string;
  readonly of: (records: readonly JobRecord[]) => Habit;
  readonly say: (habit: Habit) => string;
  readonly from: (count: number) => string;
};

const hundred = ({ value, usual }: Habit): string =>
  `${(100 * value).toFixed(1)} of a hundred, usual ${Math.round(100 * usual)}`;

const HABITS: readonly HabitRow[] = [
  { what: LEARNT[1], name: 'Boards spoiled', of: spoiledBy, say: hundred, from: (count) => counted(count, 'board') },
  { what: LEARNT[1], name: 'Boards put back', of: rejectedBy, say: hundred, from: (count) => counted(count, 'board') },
  {
    what: LEARNT[2],
    name: 'Prices paid',
    of: pricesBy,
    say: ({ value }) => `${times(value)} the list`,
    from: (count) => counted(count, 'purchase'),
  },
  {
    what: LEARNT[3],
    name: 'How near cuts come to their line',
    of: cutsBy,
    say: ({ value }) => `${times(value)} as far off as usual`,
    from: (count) => counted(count, 'length'),
  },
  {
    what: LEARNT[4],
    name: 'Out of the can',
    of: coverageBy,
    say: ({ value }) => `${times(value)} what is planned`,
    from: (count) => counted(count, 'can'),
  },
];

/** Each kind of work against the usual, with the range that eight in ten jobs stay in. */
function Paces({ records }: { readonly records: readonly JobRecord[] }) {
  const pace = paceOf(records, null);
  const widest = 2.5;
  const at = (value: number) => `${(100 * Math.min(widest, value)) / widest}%`;
  return (
    <>
      <p>
        {pace.timings === 0
          ? 'No time is recorded, so every range is wide. A clock at the bench narrows it.'
          : `From ${counted(pace.timings, 'timing')} in ${counted(pace.jobs, 'job')}. A line is the range that eight in ten of your jobs stay in, the knot the likeliest; 1 is the usual time.`}
      </p>
      <table className="record-table">
        <tbody>
          {WORK_KINDS.map((kind) => {
            const { low, likely, high, timings, jobs } = pace.kinds[kind];
            return (
              <tr key={kind}>
                <th scope="row">{WORK_WORDS[kind]}</th>
                <td>
                  {times(likely)}{' '}
                  <span className="soft">
                    ({low.toFixed(2)} to {high.toFixed(2)})
                  </span>
                </td>
                <td className="pace-room">
                  <span className="pace-line" aria-hidden>
                    <i style={{ left: at(1) }} className="usual" />
                    <i style={{ left: at(low), right: `calc(100% - ${at(high)})` }} className="range" />
                    <i style={{ left: at(likely) }} className="knot" />
                  </span>
                </td>
                <td className="soft">
                  {timings === 0 ? 'not timed' : `${counted(timings, 'timing')}, ${counted(jobs, 'job')}`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

function Lessons({ records, memory, onForget, onRecall }: Props) {
  const gone = new Set(memory.forgotten);
  const lessons = records.flatMap((record) => record.lessons).sort((a, b) => ((a.day ?? '') < (b.day ?? '') ? 1 : -1));
  if (lessons.length === 0) return null;
  return (
    <section className="sheet" aria-label="Mistakes and words for next time">
      <h2>Mistakes and words for next time</h2>
      <p className="soft">They come back in the margin of the next job of the same kind, at the same work or tool.</p>
      <ul className="lessons">
        {lessons.map(({ id, how, text, day, jobName, minutes }) => (
          <li key={id} data-gone={gone.has(id)}>
            <span>
              <b>{how === null ? 'Next time' : MISHAP_WORDS[how]}</b> {text}
              <small className="soft">
                {' '}
                {jobName}
                {day !== null && `, ${day}`}
                {minutes >= 1 && `, ${Math.round(minutes)} min lost`}
              </small>
            </span>
            {gone.has(id) ? (
              <Button size="small" onClick={() => onRecall([id])}>
                Remember again
              </Button>
            ) : (
              <Button size="small" aria-label={`Forget: ${text || 'this mistake'}`} onClick={() => onForget([id])}>
                Forget
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
