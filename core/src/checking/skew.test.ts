import { found } from '../lists';
import { inches } from '../length';
import { applyChanges, newJob, type Job, type Side } from '../job';
import { newPiece } from '../piece';
import { planJob } from '../plan';
import { plain } from '../words';
import { told } from '../testing/telling';

const base: Job = { ...newJob('j'), pieces: [newPiece('t', 'standing')] };
const notesOf = (job: Job) =>
  planJob(job, { today: '2026-11-29', effort: 'quick' }).findings.filter(({ id }) => id.includes('skew'));
const planned = found(planJob(base, { today: '2026-11-29', effort: 'quick' }).parts, ({ tag }) => tag === 'A1').length;
const measured = (job: Job, sizes: Readonly<Record<string, number>>): Job =>
  told(
    job,
    Object.entries(sizes).map(([tag, off], k) => ({
      id: `m${k}`,
      at: null,
      what: 'measured' as const,
      piece: 't',
      tag,
      side: 'length' as Side,
      size: planned + inches(off),
      simulated: false,
      planned: null,
    })),
  );

test('an apron 1/8 long beside one as planned skews the table; both long do not', () => {
  const [note] = notesOf(measured(base, { A1: 1 / 8, A2: 0 }));
  expect(plain(note!.title, 'in')).toBe('A1 is longer than A2: it skews');
  // Half of it at each end.
  expect(note!.numbers.skew).toBe(inches(1 / 16));
  expect(plain(note!.because, 'in')).toContain('runs together by 1/16 at each end');
  expect(note!.remedies).toEqual([]);
  expect(notesOf(measured(base, { A1: 1 / 8, A2: 1 / 8 }))).toEqual([]);
  expect(notesOf(measured(base, { A1: 1 / 128, A2: 0 }))).toEqual([]);
});

test('one that is not measured yet is cut as long as the other, in one click', () => {
  const job = measured(base, { A1: 1 / 8 });
  const [note] = notesOf(job);
  expect(plain(note!.remedies[0]!.label, 'in')).toMatch(/^A2 at /);
  const then = applyChanges(job, note!.remedies[0]!.changes);
  expect(notesOf(then)).toEqual([]);
  expect(then.pieces[0]!.overrides.A2!.length).toBe(planned + inches(1 / 8));
});
