import fc from 'fast-check';
import { demoJob, newJob, newPiece, planJob, plain, type Job } from './index';
import { mutants } from './testing/mutants';
import { fallenBack, sawable } from './unworked';
import { runs, timesOf } from './testing/runs';

const today = '2026-01-31';
const planOf = (job: Job) => planJob(job, { today, effort: 'quick' });

describe('no readable job ends the plan', () => {
  test('mutants of the gallery and the demo, with stock on hand: each is planned, and no room falls back', () => {
    let planned = 0;
    fc.assert(
      fc.property(mutants, (job) => {
        if (!job) return;
        planned++;
        expect(fallenBack(planOf(job))).toEqual([]);
      }),
      runs(40, 15),
    );
    expect(planned).toBeGreaterThan(0.825 * timesOf(40));
  }, 240_000);

  test('a piece that can not be worked out is a note that names it; the others are planned, the money says what is missing', () => {
    const job = demoJob();
    const [first, ...others] = job.pieces;
    const broken = { ...job, pieces: [{ ...first!, choices: { apron: '9x9' } }, ...others] };
    const plan = planOf(broken);
    expect(fallenBack(plan)).toHaveLength(1);
    const note = plan.findings.find(({ id }) => id === `${first!.id}.unbuilt`)!;
    expect(note).toMatchObject({ level: 'stop', piece: first!.id });
    expect(plain(note.title, 'in')).toBe('Glaze table could not be worked out');
    expect(note.remedies).toHaveLength(1);
    expect(plan.pieces.map(({ parts }) => parts.length > 0)).toEqual([false, true, true, true]);
  });

  test('a board whose cuts can not be made is left out by name; the rest is numbered and sawn', () => {
    const { buying } = planOf({ ...newJob('j'), pieces: [newPiece('p', 'chest')] });
    const job = newJob('j');
    const sheet = buying.boards.find(({ offer }) => 'sheet' in offer)!;
    const odd = { ...sheet, cuts: [{ kind: 'rip' as const, at: 100, from: 50, to: 60, angle: 0 }] };
    const boards = buying.boards.map((board) => (board === sheet ? odd : board));
    const { unsawn, notes, boards: sawn } = sawable(boards, job.shop);
    expect(unsawn).toEqual([odd]);
    expect(notes.map(({ id, stage }) => [id, stage])).toEqual([['job.unsawn-1', 'cuts']]);
    expect(sawn).toHaveLength(boards.length - 1);
    expect(sawable(buying.boards, job.shop)).toMatchObject({ unsawn: [], notes: [] });
  });
});
