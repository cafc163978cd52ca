import { inches } from '../length';
import { newJob, type Piece } from '../job';
import { newPiece } from '../piece';
import { planJob, planWork } from '../plan';
import { rehearse } from '../rehearsal';
import { coatedSize, hardwareName, SAMPLE_YARD, type Yard } from '../stock';
import { plain } from '../words';

const OPTIONS = { today: '2026-11-29', effort: 'quick' } as const;
const jobOf = (...pieces: readonly Piece[]) => ({ ...newJob('j'), pieces: [...pieces] });
const outside = (start: string, more: Partial<Piece> = {}): Piece => ({
  ...newPiece('p', start),
  outside: true,
  ...more,
});
const sizesOf = (job: ReturnType<typeof jobOf>, kind: string) => {
  const { hardware, notSold } = planWork(job, OPTIONS).list;
  expect(notSold).toEqual([]);
  return [...new Set(hardware.filter(({ offer }) => offer.kind === kind).map(({ offer }) => offer.size))];
};

test('a size is told apart by its coat; what does not rust by itself has none', () => {
  expect([coatedSize('screw', '#8 2'), coatedSize('clip', ''), coatedSize('dowel', '3/8 x 2')]).toEqual([
    '#8 2 coated',
    '',
    '3/8 x 2',
  ]);
  expect(hardwareName('pocket-screw', '2 1/2 coated')).toBe('pocket screws 2 1/2 coarse, coated');
  expect(hardwareName('pocket-screw', '2 fine coated')).toBe('pocket screws 2 fine, coated');
});

test('the yard keeps every screw coated too, dearer', () => {
  const screws = SAMPLE_YARD.hardware.filter(({ kind }) => ['screw', 'pocket-screw', 'lag', 'bolt'].includes(kind));
  const bare = screws.filter(({ size }) => !size.endsWith('coated'));
  for (const { kind, size, count, price } of bare) {
    const coated = screws.find(
      (one) => one.kind === kind && one.size === coatedSize(kind, size) && one.count === count,
    );
    expect(coated!.price).toBeGreaterThan(price);
  }
});

test('outside: coated screws and waterproof glue are bought, driven and used up; inside neither', () => {
  const job = jobOf(outside('standing'));
  expect(sizesOf(job, 'pocket-screw').every((size) => size.endsWith('coated'))).toBe(true);
  expect(sizesOf(job, 'glue')).toEqual(['waterproof']);
  expect(rehearse(planWork(job, OPTIONS), job).stopped ?? null).toBeNull();
  const within = jobOf(newPiece('p', 'standing'));
  expect(sizesOf(within, 'pocket-screw').some((size) => size.endsWith('coated'))).toBe(false);
  expect(sizesOf(within, 'glue')).toEqual(['']);
});

test('one inside and one outside in a job: both glues, each for its own', () => {
  const job = jobOf(outside('standing'), { ...newPiece('q', 'desk') });
  expect(sizesOf(job, 'glue').sort()).toEqual(['', 'waterproof']);
  expect(rehearse(planWork(job, OPTIONS), job).stopped ?? null).toBeNull();
});

test('plywood outside is exterior plywood; what swells, and wood that rots, is told with what lasts', () => {
  const shelf = outside('shelf-unit');
  const plan = planJob(jobOf(shelf), OPTIONS);
  expect(new Set(plan.parts.filter(({ role }) => role === 'shelf').map(({ material }) => material))).toEqual(
    new Set(['exterior ply 3/4']),
  );
  const note = plan.findings.find(({ kind }) => kind === 'outside')!;
  expect(note.level).toBe('care');
  const cedar = planJob(jobOf({ ...shelf, wood: 'cedar' }), OPTIONS).findings.find(({ kind }) => kind === 'outside')!;
  expect(cedar.level).toBe('good');
  const fibre = planJob(jobOf(outside('cupboard', { choices: { stock: 'mdf 3/4' } })), OPTIONS);
  expect(plain(fibre.findings.find(({ kind }) => kind === 'outside')!.because, 'in')).toContain('swell in the wet');
});

test('wood that lasts is offered where all sizes it takes are sold; where one is not, that is said', () => {
  const told = (start: string, yard: Yard) => {
    const { findings } = planJob({ ...jobOf(outside(start)), yard }, OPTIONS);
    const { remedies, because } = findings.find(({ kind }) => kind === 'outside')!;
    return { labels: remedies.map(({ label }) => plain(label, 'in')), because: plain(because, 'in') };
  };
  const [cedar, treated] = ['Take western redcedar', 'Take treated southern pine'];
  const without = { ...SAMPLE_YARD, boards: SAMPLE_YARD.boards.filter(({ board }) => board !== 'cedar 2x4') };
  expect(told('standing', SAMPLE_YARD).labels).toEqual([cedar, treated]);
  expect(told('standing', SAMPLE_YARD).because).not.toContain('No yard of yours');
  expect(told('standing', without).labels).toEqual([treated]);
  expect(told('standing', without).because).toContain('No yard of yours has western redcedar in 2×4, long enough.');
  // Sold shorter than it takes them is not sold.
  const short = { ...SAMPLE_YARD, boards: SAMPLE_YARD.boards.filter(({ length }) => length <= inches(60)) };
  expect(told('standing', short).labels).toEqual([]);
  // Rails of 2x3 are sold in neither.
  expect(told('shelf-unit', SAMPLE_YARD).labels).toEqual([]);
});
