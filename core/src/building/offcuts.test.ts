import { inches } from '../length';
import { planJob } from '../plan';
import { demoJob } from '../piece';
import { plain } from '../words';
import { KEEP_OFFCUT } from '../buying';

const plan = planJob(demoJob(), { today: '2026-11-24', effort: 'quick' });

test('a sample comes from a board of the same top, where one leaves enough', () => {
  for (const { piece, parts } of plan.pieces) {
    const use = plan.offcuts.find(({ jobs }) => jobs.some(({ kind, what }) => kind === 'sample' && plain(what, 'in').endsWith(piece.name))); // prettier-ignore
    if (piece.finish.coat === 'none') {
      expect(use).toBeUndefined();
      continue;
    }
    const tops = new Set(parts.filter(({ role }) => role === 'top').map(({ id }) => id));
    const own = plan.buying.boards.filter(({ pieces }) => pieces.some(({ blank }) => tops.has(blank.part.id)));
    // Free once the samples of pieces before it are cut.
    const taken = (board: number, x: number) =>
      plan.offcuts.some(
        (other) => other !== use && other.board === board && other.offcut.x === x && other.jobs.length > 0,
      );
    const roomy = own.some(({ number, offcuts }) =>
      offcuts.some(({ length, x }) => length >= inches(6) && !taken(number, x)),
    );
    if (roomy) expect(own.map(({ number }) => number)).toContain(use!.board);
  }
});

test('no offcut is given away twice: jobs, kerfs and what is kept fit in its length', () => {
  expect(plan.offcuts.length).toBeGreaterThan(0);
  for (const { offcut, jobs, keep } of plan.offcuts) {
    expect(jobs.reduce((sum, { takes }) => sum + takes, 0) + keep).toBeLessThanOrEqual(offcut.length);
    expect(keep === 0 || keep >= KEEP_OFFCUT).toBe(true);
  }
  const spots = plan.offcuts.map(({ board, offcut }) => `${board} ${offcut.x} ${offcut.y}`);
  expect(new Set(spots).size).toBe(spots.length);
});

test('spacers are asked for once a thickness and piece, as many as the step that needs most', () => {
  for (const { piece, steps } of plan.pieces) {
    const wanted = new Set(steps.flatMap(({ spacers }) => spacers.map(({ thickness }) => thickness)));
    const jobs = plan.offcuts
      .flatMap((use) => use.jobs)
      .filter(({ kind, what }) => kind === 'spacers' && plain(what, 'in').includes(piece.name));
    expect(jobs.length).toBeLessThanOrEqual(wanted.size);
  }
  expect(plan.offcuts.flatMap((use) => use.jobs).some(({ kind }) => kind === 'spacers')).toBe(true);
});
