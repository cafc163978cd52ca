import fc from 'fast-check';
import { demoJob } from '../piece';
import { applyChanges, type Change } from './change';
import { differences, isAlike, merged } from './merge';
import { readJob } from '../formats';
import type { Job } from './schema';

const base = demoJob();
const glaze = base.pieces[0]!.id;
const change = (job: Job, ...[piece, path, value]: readonly [string | null, Change['path'], unknown]) =>
  applyChanges(job, [{ piece, path, value } as Change]);

describe('two jobs that grew from one', () => {
  test('what only one side changed is as that side has it', () => {
    const mine = change(base, glaze, ['size', 'length'], 8128 * 70);
    const theirs = change(change(base, null, ['name'], 'Theirs'), glaze, ['size', 'width'], 8128 * 30);
    const { job, clashes } = merged(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect(job.name).toBe('Theirs');
    expect(job.pieces[0]!.size).toMatchObject({ length: 8128 * 70, width: 8128 * 30 });
  });

  test('what both changed is told, and taken as picked', () => {
    const mine = change(base, null, ['budget'], 50_000);
    const theirs = change(base, null, ['budget'], 60_000);
    expect(merged(base, mine, theirs).clashes).toEqual([
      { path: ['budget'], base: base.budget, mine: 50_000, theirs: 60_000 },
    ]);
    expect(merged(base, mine, theirs).job.budget).toBe(50_000);
    expect(merged(base, mine, theirs, () => 'theirs').job.budget).toBe(60_000);
  });

  test('a piece added here and one taken away there; one changed here and removed there is asked about', () => {
    const added = { ...base.pieces[0]!, id: 'new' };
    const mine = { ...base, pieces: [...base.pieces, added] };
    const theirs = { ...base, pieces: base.pieces.slice(1) };
    expect(merged(base, mine, theirs).job.pieces.map(({ id }) => id)).toEqual([
      ...base.pieces.slice(1).map(({ id }) => id),
      'new',
    ]);
    const grown = change(base, glaze, ['copies'], 3);
    const { clashes, job } = merged(base, grown, theirs);
    expect(clashes).toMatchObject([{ path: ['pieces', glaze], theirs: undefined }]);
    expect(job.pieces.some(({ id }) => id === glaze)).toBe(true);
    expect(merged(base, grown, theirs, () => 'theirs').job.pieces.some(({ id }) => id === glaze)).toBe(false);
  });

  test('ticks of both are kept, and what one took back is gone', () => {
    const start = { ...base, done: ['a', 'b'] };
    expect(merged(start, { ...start, done: ['a', 'b', 'mine'] }, { ...start, done: ['b', 'theirs'] }).job.done).toEqual(
      ['b', 'theirs', 'mine'],
    );
  });

  test('differences name the field, by piece', () => {
    const after = change(base, glaze, ['size', 'length'], 1);
    expect(differences(base, after)).toEqual([
      { path: ['pieces', glaze, 'size', 'length'], before: base.pieces[0]!.size.length, after: 1 },
    ]);
    expect(differences(base, structuredClone(base))).toEqual([]);
  });

  /** Changes that any form of the job makes. */
  const edits = fc.array(
    fc.oneof(
      fc.record({ piece: fc.constant(null), path: fc.constant(['name']), value: fc.constantFrom('A', 'B', 'C') }),
      fc.record({ piece: fc.constant(null), path: fc.constant(['budget']), value: fc.integer({ min: 1, max: 9 }) }),
      fc.record({
        piece: fc.constantFrom(...base.pieces.map(({ id }) => id)),
        path: fc.constantFrom(['size', 'length'], ['size', 'width'], ['copies']),
        value: fc.integer({ min: 1, max: 9 }),
      }),
    ),
    { maxLength: 5 },
  ) as fc.Arbitrary<Change[]>;

  test('law: nothing of either is lost, the same from both sides, and it is a job that can be read', () => {
    fc.assert(
      fc.property(edits, edits, (ours, others) => {
        const [mine, theirs] = [applyChanges(base, ours), applyChanges(base, others)];
        const { job, clashes } = merged(base, mine, theirs);
        const asked = (path: readonly string[]) =>
          clashes.some((clash) => clash.path.every((name, at) => path[at] === name));
        for (const { path } of differences(mine, job))
          expect(asked(path) || differences(base, theirs).some((other) => isAlike(other.path, path))).toBe(true);
        for (const { path } of differences(theirs, job))
          expect(asked(path) || differences(base, mine).some((other) => isAlike(other.path, path))).toBe(true);
        const turned = merged(base, theirs, mine, () => 'theirs');
        expect(turned.job).toEqual(job);
        expect(readJob(job).ok).toBe(true);
      }),
    );
  });
});
