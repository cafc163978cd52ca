import * as v from 'valibot';
import { board, cents, id, name, oneOf, signed, tag, text, unique, whole } from './fields';
import { finishedWith, SURFACES, splitOff, surfaceOfKey, treatedKeys, UNFINISHED } from './finish';
import { hasPath } from './paths';
import { read } from './read';
import { ROLES } from './roles';

const Row = v.object({ id, count: whole(1, 9), note: v.optional(text(5), '') });
const List = v.object({ name, rows: v.pipe(v.array(Row), unique('a row is there twice')) });
const wrong = (input: unknown) => {
  const result = read(List, input, 'list');
  return result.ok ? [] : result.fields.map(({ field, message }) => `${field}: ${message}`);
};
const row = (more: object = {}) => ({ id: 'a', count: 1, ...more });

describe('what is read', () => {
  test('is what was sent, what may be left out filled in', () => {
    expect(read(List, { name: 'x', rows: [row()] }, 'list')).toEqual({
      ok: true,
      value: { name: 'x', rows: [row({ note: '' })] },
    });
  });

  test('names each field that is wrong, counted from one, and what would be right', () => {
    expect(wrong({ name: '', rows: [row(), row({ id: 'b', count: 0 }), row({ id: 'c', count: 1.5 })] })).toEqual([
      'name: must not be empty',
      'rows 2, count: must be at least 1',
      'rows 3, count: must be a whole number',
    ]);
    expect(wrong({ rows: [row({ id: undefined })] })).toEqual(['name: is missing', 'rows 1, id: is missing']);
    expect(wrong({ name: 'x', rows: [row(), row()] })).toEqual(['rows: a row is there twice']);
    expect(wrong({ name: 'x', rows: [row({ note: 'too long' })] })).toEqual([
      'rows 1, note: must be at most 5 letters',
    ]);
  });

  test('tells twenty at most of what is wrong', () => {
    expect(
      wrong({ name: 'x', rows: Array.from({ length: 50 }, (_, at) => row({ id: `r${at}`, count: 0 })) }),
    ).toHaveLength(20);
  });

  test('a number that no file can hold again is refused by its place', () => {
    expect(wrong({ name: 'x', rows: [row({ count: Infinity })] })).toEqual([
      'rows 1, count: must be a number that can be written out',
    ]);
    const result = read(v.number(), NaN, 'price');
    expect(!result.ok && result.message).toBe(
      'This price can not be read: the file must be a number that can be written out.',
    );
  });
});

describe('fields', () => {
  const takes = (schema: v.GenericSchema, value: unknown) => v.is(schema, value);

  test.each([
    [id, ['a', 'T1.x-2_3', 'A'.repeat(64)], ['', '.a', 'a b', 'A'.repeat(65), 'ü', 7]],
    [tag, ['T1', 'E12A'], ['', 'T-1', 'A'.repeat(13)]],
    [cents, [0, 100_000_000], [-1, 0.5, 100_000_001, '5']],
    [board, ['2x4', 'oak 1x6'], ['2x5', 'oak', 'ply 3/4', '2x4 ']],
    [oneOf(['top', 'base']), ['top'], ['tops', null]],
    [signed.at, ['2026-11-28T14:05', null], ['2026-11-28', '2026-11-28T14:05:00', 14]],
  ] as const)('%#: what it takes and what it does not', (schema, good, bad) => {
    for (const value of good) expect([value, takes(schema, value)]).toEqual([value, true]);
    for (const value of bad) expect([value, takes(schema, value)]).toEqual([value, false]);
  });
});

describe('paths that a job has', () => {
  test.each([
    [null, ['name'], true],
    [null, ['shop', 'kerf'], true],
    [null, ['shop', 'kerfs'], false],
    [null, ['yard', 'boards', 'b1', 'price'], true],
    [null, ['yard', 'boards', 'b1', 'price', 'cents'], false],
    [null, ['measured', '2x4'], true],
    [null, ['measured', '2x5'], false],
    ['p', ['size', 'length'], true],
    ['p', ['size', 'depth'], false],
    ['p', ['choices', 'apron'], true],
    ['p', ['finish', 'on', 'base/leg', 'recipe'], true],
    ['p', ['finish', 'on', 'base/wing', 'recipe'], false],
    ['p', ['kerf'], false],
  ] as const)('%s %j: %s', (piece, path, has) => expect(hasPath({ piece, path })).toBe(has));
});

describe('surfaces of a finish', () => {
  test('a top takes one recipe with its edges and underside, all else the other', () => {
    const { on } = finishedWith('fine', 'coarse');
    expect(treatedKeys({ on })).toEqual([...SURFACES]);
    expect(SURFACES.filter((surface) => on[surface]?.recipe === 'fine')).toEqual(['top', 'edges', 'underside']);
    expect(treatedKeys(UNFINISHED)).toEqual([]);
  });

  test('what is split off a surface is found again by its key', () => {
    for (const surface of SURFACES) {
      expect(surfaceOfKey(surface)).toEqual({ surface, role: null });
      for (const role of ROLES) expect(surfaceOfKey(splitOff(surface, role))).toEqual({ surface, role });
    }
  });
});
