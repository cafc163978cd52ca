import { boxOf, demoJob, inches, type Board, type Leaned, type Part } from '@sill/core';
import { planned } from '../../../core/src/testing/planning';
import { moreRows } from './BoardRow';
import { stateWords } from './board-state';
import { firstLean, middleOn, timesDrawn, USUAL } from './leaning';

const plan = planned(demoJob(), '2026-11-24');

describe('someone who leans', () => {
  test.each(plan.pieces.map(({ piece, parts }) => [piece.name, parts] as const))(
    'on the %s: on what lies highest, in the middle of its upper side',
    (_, parts) => {
      const lean = firstLean(parts)!;
      const part = parts.find(({ id }) => id === lean.part)!;
      expect(['top', 'shelf']).toContain(part.role);
      const lying = parts.filter(({ role }) => role === 'top' || role === 'shelf');
      expect(boxOf(part).max[2]).toBe(Math.max(...lying.map((one) => boxOf(one).max[2])));
      expect(lean.at[2]).toBe(boxOf(part).max[2]);
      expect([lean.way, lean.pounds]).toEqual(['down', USUAL.down]);
    },
  );

  test('without a top or a shelf on the highest part there is; on nothing nobody leans', () => {
    const legs = plan.pieces[0]!.parts.filter(({ role }) => role === 'leg');
    expect(legs.map(({ id }) => id)).toContain(firstLean(legs)!.part);
    expect(firstLean([])).toBeNull();
  });

  test('the middle of a part is half way between its sides', () => {
    const part: Part = plan.pieces[0]!.parts[0]!;
    const { min, max } = boxOf(part);
    const { at } = middleOn(part);
    for (const axis of [0, 1] as const) expect(at[axis] - min[axis]).toBeCloseTo(max[axis] - at[axis], 6);
  });
});

describe('how many times too far a bend is drawn', () => {
  const edges = (by: number): Leaned['edges'] =>
    [
      {
        points: [
          [0, 0, 0],
          [inches(60), 0, 0],
        ],
        by: [
          [0, 0, 0],
          [0, 0, -by],
        ],
      },
    ] as unknown as Leaned['edges'];

  test('a tenth of the piece at most, in round numbers', () => {
    // A tenth of 60 in is 6: 0.05 in may be drawn 120 times, so a hundred.
    expect(timesDrawn(edges(0.05))).toBe(100);
    expect(timesDrawn(edges(0.06))).toBe(100);
    expect(timesDrawn(edges(0.061))).toBe(50);
    expect(timesDrawn(edges(1e-12))).toBe(1000);
  });

  test('what bends so far already is drawn as it is', () => {
    expect(timesDrawn(edges(6))).toBe(1);
    expect(timesDrawn(edges(40))).toBe(1);
    expect(timesDrawn([])).toBe(1);
  });
});

describe('a board in its row', () => {
  const board = (change: Partial<Board>) => ({
    ...plan.buying.boards[0]!,
    state: 'to buy' as const,
    kept: null,
    ...change,
  });

  test('what happened is said before what is wished', () => {
    expect(stateWords(board({}))).toBe('buy');
    expect(stateWords(board({}), true)).toBe('store cuts');
    expect(stateWords(board({ kept: 'k' }), true)).toBe('kept');
    expect(stateWords(board({ state: 'bought' }))).toBe('bought');
    expect(stateWords(board({ state: 'bought', kept: 'k' }))).toBe('bought, kept');
    expect(stateWords(board({ state: 'begun', kept: 'k' }))).toBe('cut in part');
    expect(stateWords(board({ state: 'cut', kept: 'k' }))).toBe('cut');
    expect(stateWords(board({ state: 'on hand' }))).toBe('on hand');
  });

  test('numbers of cuts that would touch stand in rows above: none where there is room, more where it is narrow', () => {
    const boards = plan.buying.boards.filter(({ offer }) => !('sheet' in offer));
    const longest = Math.max(...boards.map(({ length }) => length));
    const many = boards.reduce((a, b) => (a.pieces.length >= b.pieces.length ? a : b));
    const cuts = plan.cuts.filter((cut) => cut.board === many.number);
    expect(moreRows(many, cuts, longest, 100_000)).toBe(0);
    expect(moreRows(many, [], longest, 640)).toBe(0);
    const narrow = moreRows(many, cuts, longest, 60);
    expect(narrow).toBeGreaterThan(0);
    // As many rows at most as there are numbers, each as high as the next.
    expect(narrow % 21).toBe(0);
    expect(narrow / 21).toBeLessThan(cuts.length);
  });
});
