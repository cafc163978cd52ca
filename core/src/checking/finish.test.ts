import { recipeOf } from '../finishing';
import { applyChanges, finishedWith, newJob, type FindingKind, type Job, type Piece, type Recipe } from '../job';
import { newPiece } from '../piece';
import { planJob } from '../plan';
import { plain } from '../words';

const ready = (id: string): Recipe => recipeOf(newJob('j'), id)!;
/** A dining table finished with a recipe of its own on its top and another on the rest. */
const jobOf = (top: Partial<Recipe>, more: Partial<Piece> = {}, rest: string = 'natural.wipeable.rest'): Job => {
  const own: Recipe = { ...ready('dark.wipeable'), ...top, id: 'own', name: 'own' };
  return {
    ...newJob('j'),
    recipes: [own],
    pieces: [{ ...newPiece('p', 'dining'), finish: finishedWith('own', rest), ...more }],
  };
};
const notesOf = (job: Job) =>
  planJob(job, { today: '2026-11-28', effort: 'quick' }).findings.filter(({ stage }) => stage === 'finish');
const found = (job: Job, kind: FindingKind) => notesOf(job).find((note) => note.kind === kind);

test('a usual recipe on a usual table is told nothing but what is left in the cans', () => {
  expect(notesOf(jobOf({})).filter(({ level }) => level !== 'good')).toEqual([]);
  const left = found(jobOf({}), 'leftover')!;
  expect(plain(left.because, 'in')).toMatch(/fl oz of .*good for \d+ months/);
});

const MENDED: readonly (readonly [FindingKind, string, Job, RegExp])[] = [
  [
    'empty-recipe',
    'a recipe of nothing',
    jobOf({ sandTo: 0, colours: [], coat: 'none', coats: 0 }),
    /neither sands, colours nor coats/,
  ],
  ['no-recipe', 'a recipe that is gone', { ...jobOf({}), recipes: [] }, /in this job no more/],
  [
    'blotches',
    'oil stain on pine without conditioner',
    jobOf({ conditioner: false }),
    /Conditioner fifteen minutes before/,
  ],
  ['fine-stain', 'stain on wood sanded to 320', jobOf({ sandTo: 320 }), /closes the wood/],
  ['oil-under', 'an oil stain under a coat of water', jobOf({ coat: 'water polyurethane' }), /beads up or peels/],
  ['unlike', 'one colour on two grits', jobOf({ sandTo: 180 }, {}, 'dark.wipeable'), /comes out darker/],
  [
    'indoor-coat',
    'a coat for indoors outside',
    jobOf({}, { outside: true }, 'natural.outdoors.rest'),
    /Sun makes it brittle/,
  ],
  ['bare', 'a dining table left bare', jobOf({ colours: [], coat: 'none', coats: 0 }), /every ring and spill/],
];

test.each(MENDED)('%s: %s is said plainly, and its way out mends it', (kind, _, job, because) => {
  const note = found(job, kind)!;
  expect(plain(note.because, 'in')).toMatch(because);
  expect(note.remedies.length).toBeGreaterThan(0);
  for (const { changes } of note.remedies) expect(found(applyChanges(job, changes), kind)).toBeUndefined();
});

test('a top coated above alone cups; one coat less below is ordinary', () => {
  const job = jobOf({});
  const below = (coats: number): Job => ({
    ...job,
    pieces: job.pieces.map((piece) => ({
      ...piece,
      finish: { ...piece.finish, on: { ...piece.finish.on, underside: { recipe: 'own', coats } } },
    })),
  });
  expect(found(below(1), 'uneven')).toBeUndefined();
  const note = found(below(0), 'uneven')!;
  expect(note.numbers).toEqual({ above: 3, below: 0 });
  for (const { changes } of note.remedies) expect(found(applyChanges(below(0), changes), 'uneven')).toBeUndefined();
});

test('fibreboard takes no stain: paint is offered', () => {
  const shelf = { ...newPiece('p', 'bookcase'), finish: finishedWith('own') };
  const sides = planJob({ ...newJob('j'), pieces: [shelf] }, { today: '2026-11-28', effort: 'quick' }).parts;
  const overrides = Object.fromEntries(
    sides.filter(({ role }) => role === 'shelf').map(({ tag }) => [tag, { material: 'mdf 3/4' as const }]),
  );
  const job: Job = { ...jobOf({}), pieces: [{ ...shelf, overrides }] };
  const note = found(job, 'no-stain')!;
  expect(note.level).toBe('stop');
  for (const { changes } of note.remedies) expect(found(applyChanges(job, changes), 'no-stain')).toBeUndefined();
});

test('what is joined in the room would be sanded there: part by part is offered', () => {
  const job = jobOf({});
  const narrow: Job = { ...job, shop: { ...job.shop, door: 8128 * 26 } };
  const wide: Job = { ...job, shop: { ...job.shop, door: 8128 * 60 } };
  expect(found(wide, 'in-the-room-finish')).toBeUndefined();
  const note = found(narrow, 'in-the-room-finish')!;
  expect(note.numbers.steps).toBeGreaterThan(4);
  for (const { changes } of note.remedies)
    expect(found(applyChanges(narrow, changes), 'in-the-room-finish')).toBeUndefined();
});

test('what nothing reaches later is told as done before', () => {
  const octagon = { ...newPiece('p', 'octagon'), finish: finishedWith('natural.outdoors') };
  const note = found({ ...newJob('j'), pieces: [octagon] }, 'closed-in')!;
  expect(note.numbers.squareFeet).toBeGreaterThan(3);
});
