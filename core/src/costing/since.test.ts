import { first } from '../lists';
import { boughtAs, cutAs, spoiledAs } from '../buying';
import { inches } from '../length';
import { newJob, type Job } from '../job';
import { newPiece } from '../piece';
import { newStamp, told } from '../testing/telling';
import { planning } from '../testing/planning';
import { sinceWords } from './since';

const plan = planning();
const job: Job = { ...newJob('since'), spares: 'none', pieces: [newPiece('p', 'coffee')] };
const before = plan(job);
const board = first(before.buying.boards);
const since = (from: Job, to: Job) => sinceWords(plan(from), plan(to), 'in');

test('a plan that is carried out as it stands has nothing to say', () => {
  const bought = told(job, boughtAs(job, board, newStamp()));
  expect(since(job, bought)).toBeNull();
  expect(since(job, told(job, cutAs(job, board, null, newStamp())))).toBeNull();
});

test('a board that is spoiled: another to buy, and what that costs with tax', () => {
  const { offer } = board;
  const dearer = (offer.price * (1 + job.yard.tax / 100)) / 100;
  const words = since(job, told(job, spoiledAs(job, board, newStamp()))) ?? '';
  const [, lost, more] = /^\$(\d+\.\d\d) of wood is spoiled or gone; \$(\d+\.\d\d) more in all\.$/.exec(words) ?? [];
  for (const figure of [lost, more]) expect(Math.abs(Number(figure) - dearer)).toBeLessThan(0.011);
  // Bought before, it is one more to buy.
  const bought = told(job, boughtAs(job, board, newStamp()));
  const spoiled = told(bought, [{ id: 's', at: null, what: 'spoiled', of: 'e1' }]);
  expect(since(bought, spoiled)).toMatch(
    /^To buy now: 1 .*; \$\d+\.\d\d of wood is spoiled or gone; \$\d+\.\d\d more in all\.$/,
  );
});

test('all bought, then smaller: what lies idle is said', () => {
  const stamp = newStamp();
  const bought = told(
    job,
    before.buying.boards.flatMap((one) => boughtAs(job, one, stamp)),
  );
  const [piece] = bought.pieces;
  const small = { ...bought, pieces: [{ ...piece!, size: { ...piece!.size, width: inches(12), length: inches(24) } }] };
  expect(since(bought, small)).toMatch(/^\d bought boards? (is|are) not needed now/);
});
