import { inches } from '../length';
import { applyChanges, newJob, type Job, type OnHand, type Piece } from '../job';
import { readOnHand } from '../formats';
import { newPiece } from '../piece';
import { planJob } from '../plan';
import { rehearse } from '../rehearsal';
import { found } from '../testing/telling';
import { plain } from '../words';

const OPTIONS = { today: '2026-11-30', effort: 'quick' } as const;
const handOf = (line: string, id: string): OnHand => {
  const entry = readOnHand(line, 'in');
  if (!entry.ok) throw new Error(entry.message);
  return { id, ...entry.value };
};
/** A bookcase, 24 x 12 x 30 on the floor with one shelf, of panels 5/8 thick that are there. */
const caseOf = (...lines: readonly string[]): Job => {
  const base = newPiece('case', 'bookcase');
  const choices = { ...base.choices, stock: 'panel found', stand: 'floor', shelves: 1 };
  const size = { length: inches(24), width: inches(12), height: inches(30) };
  const job: Job = {
    ...newJob('found'),
    pieces: [{ ...base, choices, size } as Piece],
    measured: { 'panel found': { thickness: inches(5 / 8) } },
  };
  return found(
    job,
    lines.map((line, at) => handOf(line, `h${at}`)),
  );
};
const stopsOf = (job: Job) => planJob(job, OPTIONS).findings.filter(({ level }) => level === 'stop');

test('two old shelves and a table leaf make a case: nothing of it is bought but its back', () => {
  const job = caseOf('found panel 60 x 14 x2', 'found panel 47 3/8 x 19 3/4, under the stairs');
  const plan = planJob(job, OPTIONS);
  expect(stopsOf(job)).toEqual([]);
  const bought = plan.buying.boards.filter(({ hand }) => hand === null);
  expect(bought.map(({ material }) => material)).toEqual(['ply 1/4']);
  const panels = plan.parts.filter(({ material }) => material === 'panel found');
  expect(panels.map(({ tag }) => tag).sort()).toEqual(['B1', 'G1', 'G2', 'H1A', 'T1']);
  // As thick as they were measured, and the sides shorter by the top.
  expect(new Set(panels.map(({ thickness }) => thickness))).toEqual(new Set([inches(5 / 8)]));
  expect(panels.find(({ tag }) => tag === 'G1')!.length).toBe(inches(30 - 5 / 8));
  expect(rehearse(plan, job).stopped).toBeNull();
});

test('what is not there is named, and plywood is a way out', () => {
  const [stop, ...more] = stopsOf(caseOf('found panel 60 x 14'));
  expect(more).toEqual([]);
  expect(plain(stop!.title, 'in')).toBe('No board for T1, B1 and H1A');
  // The bottom between sides of 5/8, in front of a back of 7/32.
  expect(plain(stop!.because, 'in')).toMatch(
    /On hand, and nothing left there gives T1 of 24 × 12, B1 of 22 3\/4 × 11 25\/32/,
  );
  const after = applyChanges(caseOf(), stop!.remedies[0]!.changes);
  expect(stopsOf(after)).toEqual([]);
});

test('nails in what was used before are a note where it is taken', () => {
  const job = caseOf('found panel 60 x 14 x2, nails', 'found panel 47 3/8 x 19 3/4');
  const notes = planJob(job, OPTIONS).findings.filter(({ kind }) => kind === 'on-hand');
  expect(notes.length).toBeGreaterThan(0);
});
