import { demoJob, inches, planJob, type Job, type Piece } from '@sill/core';
import { missingIn } from './missing';

const glaze = demoJob().pieces[0]!;
const missing = (piece: Partial<Piece>, more: Partial<Job> = {}) =>
  missingIn(
    planJob({ ...demoJob(), pieces: [{ ...glaze, ...piece }], ...more }, { today: '2026-01-31', effort: 'quick' }),
    (id) => id.replace('glaze.', ''),
  );

test('of a plan that is whole nothing is missing', () => expect(missing({})).toEqual([]));

test('boards that no yard sells so long: by what they are made of, how many, and the parts that want them', () => {
  const rows = missing({ size: { ...glaze.size, length: inches(200) } });
  expect(rows.map(({ name, count }) => `${count} ${name}`)).toEqual(['6 2×6', '2 2×3', '1 3/4 plywood']);
  expect(rows[0]!.why).toBe('T1–T6: nothing on sale or on hand gives them, not in the total');
});

test('a piece of which nothing can be built stands there by name, with its copies', () => {
  const [row, ...rest] = missing({ size: { ...glaze.size, height: inches(2) }, copies: 2 });
  expect(row).toMatchObject({ name: 'Glaze table', count: 2 });
  expect(row!.why).toContain('can not be built as it stands');
  expect(rest).toEqual([]);
});

test('hardware that the price list does not have: how many boxes no longer matters, that it is needed does', () => {
  const { yard } = demoJob();
  const bare = { ...yard, hardware: yard.hardware.filter(({ kind }) => kind !== 'clip') };
  expect(missing({}, { yard: bare })).toEqual([
    {
      name: 'table-top clips with screws',
      count: expect.any(Number),
      why: 'not sold here, not in the total: get it elsewhere',
    },
  ]);
});
