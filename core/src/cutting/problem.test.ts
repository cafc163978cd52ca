import { read } from '../job';
import { CutProblemSchema, PROBLEM_FORMAT } from './index';

const problem = (length: number, left: number, right: number) => ({
  format: PROBLEM_FORMAT,
  unit: 'in',
  kerf: 0.125,
  stock: [
    {
      id: '2x4x8',
      kind: 'board',
      material: 'spf',
      length: 96,
      width: 3.5,
      thickness: 1.5,
      price: 4.78,
      available: null,
    },
  ],
  parts: [{ id: 'p', quantity: 1, material: 'spf', length, width: 3.5, thickness: 1.5, ends: { left, right } }],
});
const fieldsOf = (of: unknown) => {
  const taken = read(CutProblemSchema, of, 'cut problem');
  return taken.ok ? [] : taken.fields;
};

describe('ends that would cross are refused before they are cut', () => {
  test.each([
    // One slant takes 3.5 tan(30) = 2.0207 of the length; two that lean apart 7; two alike only 3.5.
    [2.02, 30, 0, 2.0208],
    [6.99, 45, -45, 7],
    [3.49, 45, 45, 3.5],
    [6.99, -45, 45, 7],
    [1.4, 0, -22.5, 1.4498],
  ])('%s long with %s and %s', (length, left, right, least) => {
    const [field] = fieldsOf(problem(length, left, right));
    expect(field!.message).toBe(`is too short for its angles: its ends would cross, it must be at least ${least} long`);
    expect(field!.field).toMatch(/parts/);
    expect(fieldsOf(problem(least, left, right))).toEqual([]);
  });
});
