import { inches } from '../length';
import { planWork } from '../plan';
import { demoJob } from '../piece';
import { plain } from '../words';
import { KEEP_OFFCUT } from '../buying';
import { planned } from '../testing/planning';

const plan = planned(demoJob(), '2026-11-24');

test('a sample comes from a board of the same top, where one leaves enough', () => {
  for (const { piece, parts, finishing } of plan.pieces) {
    const use = plan.offcuts.find(({ jobs }) =>
      jobs.some(({ kind, what }) => kind === 'sample' && plain(what, 'in').endsWith(piece.name)),
    );
    if (finishing.treatments.every(({ sittings }) => sittings.length === 0)) {
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

test('corner blocks and plugs that joints ask for are cut from offcuts: blocks from stock as thick, plugs of the wood they are set in', () => {
  const job = demoJob();
  const asked = (joins: (typeof job.pieces)[number]['joins']) => {
    const pieces = job.pieces.map((piece) => (piece.id === 'glaze' ? { ...piece, joins } : piece));
    const made = planWork({ ...job, pieces }, { today: '2026-11-24', effort: 'quick' });
    const jobs = made.offcuts.flatMap(({ board, jobs: of }) => of.map((one) => ({ board, ...one })));
    return { made, jobs };
  };
  const blocks = asked({ 'rail end': { by: 'corner block' } });
  const held = blocks.made.pieces
    .find(({ piece }) => piece.id === 'glaze')!
    .fastenings.filter(({ by }) => by === 'corner block');
  for (const one of blocks.jobs.filter(({ kind }) => kind === 'blocks')) {
    const from = blocks.made.buying.boards.find(({ number }) => number === one.board)!;
    expect(Math.max(...from.pieces.map(({ blank }) => blank.thickness))).toBeGreaterThanOrEqual(inches(1.5));
  }
  const widths = new Set(held.map(({ drilled }) => drilled.width));
  // As long together as the rails they stand at are wide, for every width that an offcut is long enough for.
  for (const width of widths) {
    const takes = held.filter(({ drilled }) => drilled.width === width).length * width;
    const found = blocks.jobs.find((one) => one.kind === 'blocks' && one.takes === takes);
    const roomy = blocks.made.offcuts.some(({ keep }) => keep >= takes);
    if (roomy) expect(found).toBeDefined();
  }
  expect(held.length).toBeGreaterThan(0);
  const plugged = asked({ 'rail end': { by: 'plugged screws' } });
  const plugs = plugged.jobs.find(({ kind }) => kind === 'plugs')!;
  expect(plain(plugs.what, 'in')).toMatch(/^\d+ plugs for Glaze table/);
  expect(asked({}).jobs.some(({ kind }) => kind === 'plugs' || kind === 'blocks')).toBe(false);
});

test('pulls may be made from an offcut instead of bought, as many as the piece has', () => {
  for (const { piece, model } of plan.pieces) {
    const pulls =
      model.needs.filter(({ kind }) => kind === 'pull').reduce((sum, { count }) => sum + count, 0) * piece.copies;
    const found = plan.offcuts
      .flatMap((use) => use.jobs)
      .filter(({ kind, what }) => kind === 'pulls' && plain(what, 'in').includes(piece.name));
    if (pulls === 0) expect(found).toEqual([]);
    else expect(found.map(({ takes }) => takes)).toEqual([pulls * inches(5)]);
  }
  expect(plan.pieces.some(({ model }) => model.needs.some(({ kind }) => kind === 'pull'))).toBe(true);
});
