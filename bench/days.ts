import {
  daysOf,
  dayOf,
  demoJob,
  finishedWith,
  holdingsOf,
  laidOut,
  LOOKING_MS,
  lookedFurther,
  newJob,
  nowOf,
  pieceFrom,
  planJob,
  PROVING_MS,
  provedFurther,
  STARTS,
  USUAL_PACE,
  tasksOf,
  type IntegerSolver,
  type Job,
  type Task,
} from '../core/src';
import { median, ms, print, today } from './measure';

const NOW = `${today}T20:00`;
const PIECES = 4;
/** Jobs of four pieces with a finish: each start once, the next three after it in the gallery. */
const fours: readonly Job[] = STARTS.filter((_, at) => at % 2 === 0).map((_, at) => ({
  ...newJob('bench'),
  pieces: Array.from({ length: PIECES }, (_unused, k) => ({
    ...pieceFrom(STARTS[(2 * at + k) % STARTS.length]!, `p${k}`),
    finish: finishedWith('dark.wipeable', 'natural.bare.rest'),
  })),
}));

/** Work done as it is listed, nothing begun before what stands above it is done. */
const listed = (tasks: readonly Task[]): readonly Task[] =>
  tasks.map((task, at) => {
    const before = tasks[at - 1];
    return before ? { ...task, after: [...task.after, { task: before.id, wait: 0 }] } : task;
  });

/** How soon a job is ready by its days, against its bound and against the list worked through in order. */
export function days(integer: IntegerSolver): void {
  const rows = [demoJob(), ...fours].map((job) => {
    const plan = planJob(job, { today: NOW, effort: 'quick' });
    const now = nowOf(job.calendar, NOW);
    const tasks = tasksOf(plan, job, holdingsOf(job), now, USUAL_PACE);
    const quickly = median(5, () => void daysOf(plan, job, NOW, 'quick', USUAL_PACE));
    const begun = performance.now();
    const found = laidOut(tasks, job, now, 'full');
    const long = performance.now() - begun;
    const proving = performance.now();
    const proved = provedFurther(tasks, job, found, integer, () => performance.now() - proving > PROVING_MS);
    const bounded = performance.now() - proving;
    const looking = performance.now();
    const looked = lookedFurther(
      tasks,
      job,
      proved,
      1,
      () => {},
      () => performance.now() - looking > LOOKING_MS,
    );
    const seconds = ((performance.now() - looking) / 1000).toFixed(1);
    const inOrder = laidOut(listed(tasks), job, now, 'quick');
    const between = (from: string | null | undefined, to: string | null | undefined) =>
      from && to ? dayOf(to) - dayOf(from) : NaN;
    return {
      job: job.pieces
        .map(({ family }) => family)
        .join(', ')
        .slice(0, 44),
      goes: tasks.length,
      hours: Math.round(found.minutes / 60),
      'quick ms': quickly,
      'long ms': ms(long),
      ready: proved.ready ?? 'never',
      'days sooner by proof': between(proved.ready, found.ready),
      'proof ms': ms(bounded),
      'days off bound': between(proved.bound?.date, proved.ready),
      proved: proved.proved ? 'yes' : 'no',
      'days sooner by looking': proved.proved ? '' : between(looked.ready, proved.ready),
      'looked s': proved.proved ? '' : seconds,
      sessions: proved.sessions.length,
      'in order, days later': between(proved.ready, inOrder.ready),
      'its sessions': inOrder.sessions.length,
    };
  });
  print('Days: four pieces with finish; how far from the bound, and against the list in order.', rows);
  const off = rows.map((row) => row['days off bound']);
  process.stdout.write(
    `Proved or within a day: ${off.filter((one) => one <= 1).length} of ${off.length}; most ${Math.max(...off)} days off.\n`,
  );
}
