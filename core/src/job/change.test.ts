import { demoJob } from '../piece';
import { applyChanges, hasPath, set, type Lock } from './index';

const kept: Lock = { id: 'kept', from: '2x4x8', pieces: [], cuts: [], offcuts: [] };

describe('changes by id, on whatever the job is by then', () => {
  const job = { ...demoJob(), locks: [kept, { ...kept, id: 'other' }], done: ['a'] };

  test('a row is added at the end, patched in its place, and taken out', () => {
    const more = applyChanges(job, [set(null, ['locks', 'third'], { ...kept, id: 'third' })]);
    expect(more.locks.map(({ id }) => id)).toEqual(['kept', 'other', 'third']);
    const patched = applyChanges(more, [set(null, ['locks', 'other', 'from'], '2x6x8')]);
    expect(patched.locks.map(({ from }) => from)).toEqual(['2x4x8', '2x6x8', '2x4x8']);
    const fewer = applyChanges(patched, [set(null, ['locks', 'other'], undefined)]);
    expect(fewer.locks.map(({ id }) => id)).toEqual(['kept', 'third']);
  });

  test('what comes late stands beside what was changed meanwhile', () => {
    const late = set(null, ['locks', 'kept', 'cuts'], []);
    const typed = applyChanges(job, [set(null, ['locks', 'kept', 'from'], '2x6x8')]);
    expect(applyChanges(typed, [late]).locks[0]).toEqual({ ...kept, from: '2x6x8' });
    const removed = applyChanges(typed, [set(null, ['locks', 'kept'], undefined)]);
    expect(applyChanges(removed, [late])).toEqual(removed);
  });

  test('words of a list are named by themselves, parts of one’s own by their tags', () => {
    const ticked = applyChanges(job, [set(null, ['done', 'b'], 'b'), set(null, ['done', 'a'], undefined)]);
    expect(ticked.done).toEqual(['b']);
    const loose = { tag: 'X1', name: 'cleat', material: '1x4', length: 1, width: 1, count: 1 } as const;
    const [piece] = job.pieces;
    const [grown] = applyChanges(job, [
      set(piece!.id, ['loose', 'X1'], loose),
      set(piece!.id, ['loose', 'X1', 'count'], 3),
    ]).pieces;
    expect(grown!.loose).toEqual([{ ...loose, count: 3 }]);
  });

  test('what a record holds comes and goes by its key', () => {
    const [piece] = job.pieces;
    const said = applyChanges(job, [
      set(piece!.id, ['joins', 'rail end', 'by'], 'dowels'),
      set(piece!.id, ['joins', 'rail end', 'flip'], true),
    ]);
    expect(said.pieces[0]!.joins).toEqual({ ...piece!.joins, 'rail end': { by: 'dowels', flip: true } });
    expect(applyChanges(said, [set(piece!.id, ['joins', 'rail end'], undefined)])).toEqual(job);
  });

  test('a path that no job has is refused, by the compiler and when it comes', () => {
    // @ts-expect-error a finish has no colour
    const wrong = set('glaze', ['finish', 'colour'], 'red');
    expect(() => applyChanges(job, [wrong])).toThrow('A job has no finish, colour');
    // @ts-expect-error coats are counted
    set('glaze', ['finish', 'coats'], 'three');
    // @ts-expect-error the copies of a piece are never none
    set('glaze', ['copies'], null);
    // @ts-expect-error only pieces have a finish
    set(null, ['finish', 'coats'], 3);
    expect(hasPath({ piece: null, path: ['measured', '2x4', 'width'] })).toBe(true);
    expect(hasPath({ piece: null, path: ['measured', '2x5', 'width'] })).toBe(false);
    expect(hasPath({ piece: null, path: ['yard', 'boards', 'any', 'price'] })).toBe(true);
  });
});
