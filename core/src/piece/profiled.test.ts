import { first } from '../lists';
import { inches } from '../length';
import { newJob, type Job, type Piece, type Tool } from '../job';
import { planJob, planWork } from '../plan';
import { plain } from '../words';
import { newPiece, profileOf } from './index';

const piece = (start: string, profile: string): Piece => {
  const base = newPiece('p', start);
  return { ...base, topChoices: { ...base.topChoices, profile } };
};
const OPTIONS = { today: '2026-11-29', effort: 'quick' } as const;
const jobOf = (one: Piece, without: readonly Tool[] = []): Job => {
  const job = newJob('j');
  const shop = { ...job.shop, tools: job.shop.tools.filter((tool) => !without.includes(tool)) };
  return { ...job, shop, pieces: [one] };
};
const planOf = (one: Piece, without: readonly Tool[] = []) => planWork(jobOf(one, without), OPTIONS);

test('runs round the top: twice its sides, or its circle, to the inch', () => {
  const parts = (one: Piece) => first(planOf(one).pieces).parts;
  const desk = piece('desk', 'round 1/4'); // 52 x 26
  expect(profileOf(desk, parts(desk))).toEqual({ name: 'round 1/4', deep: inches(1 / 4), run: inches(156) });
  const round = piece('pedestal', 'round 1/2'); // 42 across
  expect(profileOf(round, parts(round))).toEqual({ name: 'round 1/2', deep: inches(1 / 2), run: inches(132) });
  expect(profileOf(newPiece('p', 'desk'), parts(desk))).toBeNull();
  expect(profileOf(newPiece('p', 'bookcase'), [])).toBeNull();
});

test('a router takes it in passes of an eighth, before anything is sanded; it changes no part and buys nothing', () => {
  const plan = planOf(piece('desk', 'round 1/2'));
  const plainOne = planOf(newPiece('p', 'desk'));
  expect(plan.list.total).toBe(plainOne.list.total);
  expect(plan.parts).toEqual(plainOne.parts);
  const { steps } = first(plan.pieces);
  const at = steps.findIndex(({ operations }) => operations.some(({ kind }) => kind === 'profile'));
  const op = steps[at]!.operations[0]!;
  expect(op).toMatchObject({ kind: 'profile', tool: 'router', passes: 4, shape: 'round' });
  // 8 to set it, 13 feet at 0.6 a pass.
  expect(op.minutes).toBeCloseTo(8 + 13 * 0.6 * 4, 6);
  expect(steps.findIndex(({ operations }) => operations.some(({ kind }) => kind === 'sand'))).toBeGreaterThan(at);
  expect(plain(steps[at]!.pickUp, 'in')).toContain('round-over bit 1/2');
});

test('without a router a plane does it, slower; a bead it can not, and the margin says what can', () => {
  const words = (one: Piece) =>
    first(planOf(one, ['router']).pieces).steps.flatMap(({ actions }) => actions.map(({ text }) => plain(text, 'in')));
  expect(words(piece('desk', 'chamfer 1/4')).join(' ')).toContain('Plane the upper edge of the top');
  const notes = planJob(jobOf(piece('desk', 'bead'), ['router']), OPTIONS).findings.filter(
    ({ kind }) => kind === 'shop',
  );
  const labels = notes.flatMap(({ remedies }) => remedies.map(({ label }) => plain(label, 'in')));
  expect(labels).toEqual(expect.arrayContaining(['Round it over, 1/4', 'I can have a router']));
});
