import { first, sure } from '../lists';
import { inches } from '../length';
import { applyChanges, newJob, type Job } from '../job';
import { doneAs } from '../ledger';
import { doingOf } from '../building';
import { newPiece } from '../piece';
import { told } from '../testing/telling';
import { planning } from '../testing/planning';

const plan = planning();
const noteIn = (job: Job) => plan(job).findings.find(({ kind }) => kind === 'built-otherwise');

test('what is glued up and then wished longer is told, by its step; done again or wished back it is not', () => {
  const job: Job = { ...newJob('built'), pieces: [newPiece('p', 'coffee')] };
  const { steps, parts } = first(plan(job).pieces);
  const glued = sure(
    steps.find(({ adds }) => adds.some((id) => parts.some((part) => part.id === id && part.role === 'top'))),
    'step that adds the top',
  );
  const done = told(
    job,
    glued.actions.map((action, at) => doneAs(doingOf(glued, action, parts), { id: `d${at}`, at: null })),
  );
  expect(noteIn(done)).toBeUndefined();
  const [piece] = done.pieces;
  const longer = { ...done, pieces: [{ ...piece!, size: { ...piece!.size, length: piece!.size.length + inches(3) } }] };
  const note = sure(noteIn(longer), 'note on what is built');
  expect(note).toMatchObject({ level: 'stop', stage: 'build', numbers: { steps: glued.actions.length } });
  expect(noteIn({ ...longer, pieces: done.pieces })).toBeUndefined();
  expect(noteIn(applyChanges(longer, first(note.remedies).changes))).toBeUndefined();
  // Another finish changes nothing that is built.
  const lower = { ...done, pieces: [{ ...piece!, where: 'elsewhere', boughtPrice: 1 }] };
  expect(noteIn(lower)).toBeUndefined();
});
