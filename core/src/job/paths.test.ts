import { newJob } from './defaults';
import { hasPath } from './paths';
import { ROLES } from './roles';
import { nameOf } from './rows';

describe('what can stand in a job', () => {
  test.each([
    [['budget'], true],
    [['shop', 'clamps'], true],
    [['shop', 'colour'], false],
    [['locks', 'any-id'], true],
    [['aim', 'for'], true],
    [['aim', 'for', 'cost'], false],
    [['no-such'], false],
    // Boards by their names, and none that there are not.
    [['measured', '2x4', 'width'], true],
    [['measured', '3x9', 'width'], false],
    // What every object has is no field.
    [['constructor'], false],
    [['toString'], false],
  ])('of the job, %j: %s', (path, isThere) => expect(hasPath({ piece: null, path })).toBe(isThere));

  test.each([
    [['size', 'length'], true],
    [['size', 'depth'], false],
    [['choices', 'anything'], true],
    [['overrides', 'A1', 'length'], true],
    [['overrides', 'A1', 'colour'], false],
    [['loose', 'X1', 'count'], true],
    // A field of the job is none of a piece.
    [['budget'], false],
  ])('of a piece, %j: %s', (path, isThere) => expect(hasPath({ piece: 'p', path })).toBe(isThere));

  test('every field of a new job is one', () => {
    for (const field of Object.keys(newJob('j')).filter((name) => !['format', 'version'].includes(name)))
      expect([field, hasPath({ piece: null, path: [field] })]).toEqual([field, true]);
  });
});

test('a row goes by its id, else by its tag; a word by itself; what has neither by nothing', () => {
  expect([{ id: 'a', tag: 'T1' }, { tag: 'T1' }, 'table saw', { id: 7 }, 7, null, undefined].map(nameOf)).toEqual([
    'a',
    'T1',
    'table saw',
    null,
    null,
    null,
    null,
  ]);
});

test('no role is named twice', () => expect(new Set(ROLES).size).toBe(ROLES.length));
