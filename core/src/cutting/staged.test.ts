import fc from 'fast-check';
import { inches } from '../length';
import { runs } from '../testing/runs';
import { groupsOf, type Group } from './group';
import { free, freeIn, piecesIn } from './region';
import { stagedFor } from './staged';
import { boardOf, partOf, problemOf, type Part } from './testing/lists';

const KERF = 0.125;
const LONG = 24;
const WIDE = 11.25;

/** A board that is ripped and crosscut, and how what lies on it is worth. */
function boardWith(parts: readonly Part[]) {
  const [group] = groupsOf(problemOf([boardOf('b', LONG, WIDE, 10, 0)], parts));
  return { group: group!, bin: group!.bins[0]! };
}
const RUN = inches(LONG);

/**
 * The most that straight cuts from edge to edge get out of a rectangle of so many inches, of each piece as many as one
 * likes: every place that sums of pieces give is tried, both ways, knowing nothing of grids and levels.
 */
function mostOf(parts: readonly Part[], worth: readonly number[]) {
  const sumsOf = (sizes: readonly number[], most: number) => {
    const sums = new Set<number>();
    for (let todo = [0]; todo.length > 0;)
      todo = todo.flatMap((sum) =>
        sizes.flatMap((size) => {
          const next = sum + size + (sum > 0 ? KERF : 0);
          if (next > most || sums.has(next)) return [];
          sums.add(next);
          return [next];
        }),
      );
    return [...sums];
  };
  const lengths = sumsOf(
    parts.map(({ length }) => length),
    LONG,
  );
  const widths = sumsOf(
    parts.map(({ width }) => width),
    WIDE,
  );
  const known = new Map<string, number>();
  const most = (long: number, wide: number): number => {
    const key = `${long} ${wide}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = Math.max(
      0,
      ...parts.flatMap(({ length, width }, at) => (length <= long && width <= wide ? [worth[at]!] : [])),
    );
    for (const at of lengths)
      if (at < long) best = Math.max(best, most(at, wide) + most(Math.max(0, long - at - KERF), wide));
    for (const at of widths)
      if (at < wide) best = Math.max(best, most(long, at) + most(long, Math.max(0, wide - at - KERF)));
    known.set(key, best);
    return best;
  };
  return most(LONG, WIDE);
}

const parts = fc.array(
  fc.record({
    length: fc.integer({ min: 5, max: 14 }),
    width: fc.integer({ min: 2, max: 9 }),
    quantity: fc.integer({ min: 1, max: 4 }),
    worth: fc.integer({ min: 1, max: 30 }),
  }),
  { minLength: 1, maxLength: 3 },
);
const listed = (rows: readonly { length: number; width: number; quantity: number; worth: number }[]) => {
  const list = rows.map(({ length, width, quantity }, at) => partOf(`p${at}`, quantity, length, width));
  const { group, bin } = boardWith(list);
  // Rows of one size are one item.
  const values = group.items.map(({ parts: own }) => rows[Number(own[0]!.id.slice(1))]!.worth);
  return { list: group.items.map(({ parts: own }) => list[Number(own[0]!.id.slice(1))]!), group, bin, values };
};
const worthOf = (counts: readonly number[], values: readonly number[]) =>
  counts.reduce((sum, count, item) => sum + count * values[item]!, 0);

describe('a board 24 by 11 1/4, ripped and crosscut', () => {
  test('by hand: five pieces of 4 by 11 1/4 and a kerf each, or two rows of 11 7/8 by 5 1/2', () => {
    const { group, bin } = boardWith([partOf('a', 9, 4, WIDE), partOf('b', 9, 11.875, 5.5)]);
    // 5 x 4 + 4 x 1/8 = 20 1/2; a sixth would want 24 5/8.
    expect(stagedFor(group, bin, [10, 1])!.counts(RUN)).toEqual([5, 0]);
    // 2 x 11 7/8 + 1/8 = 23 7/8; 2 x 5 1/2 + 1/8 = 11 1/8.
    expect(stagedFor(group, bin, [1, 10])!.counts(RUN)).toEqual([0, 4]);
    expect(stagedFor(group, bin, [1, 10])!.worth(RUN)).toBe(40);
  });

  test('it is worth what trying every cut finds, and what it counts is worth that', () => {
    fc.assert(
      fc.property(parts, (rows) => {
        const { list, group, bin, values } = listed(rows);
        const staged = stagedFor(group, bin, values);
        if (staged === null) return;
        const most = mostOf(list, values);
        expect(staged.worth(RUN)).toBeCloseTo(most, 6);
        expect(worthOf(staged.counts(RUN), values)).toBeCloseTo(most, 6);
      }),
      runs(60, 81),
    );
  });

  test('laid out it takes no more than there are, and all lies on the board', () => {
    fc.assert(
      fc.property(parts, (rows) => {
        const { group, bin, values } = listed(rows);
        const staged = stagedFor(group, bin, values);
        if (staged === null) return;
        const board = free({ x: 0, y: 0, length: bin.length, width: bin.usableWidth });
        const region = staged.cut(
          board,
          group.items.map(({ quantity }) => quantity),
        );
        const laid = piecesIn(region);
        group.items.forEach(({ quantity, length, width }, item) => {
          const own = laid.filter((piece) => piece.item === item);
          expect(own.length).toBeLessThanOrEqual(quantity);
          for (const piece of own) expect([piece.length, piece.width]).toEqual([length, width]);
        });
        for (const { x, y, length, width } of [...laid, ...freeIn(region)]) {
          expect(x + length).toBeLessThanOrEqual(bin.length);
          expect(y + width).toBeLessThanOrEqual(bin.usableWidth);
        }
      }),
      runs(100, 82),
    );
  });

  test('the sets of pieces that come out of it: each once, none more than there are, as wasteful as is said', () => {
    fc.assert(
      fc.property(parts, fc.integer({ min: 0, max: 25 }), (rows, slack) => {
        const { group, bin, values } = listed(rows);
        const staged = stagedFor(group, bin, values);
        const sets = staged?.within(RUN, slack, 2000);
        if (!staged || !sets) return;
        const best = staged.worth(RUN);
        expect(new Set(sets.map(({ counts }) => counts.join())).size).toBe(sets.length);
        for (const { counts, loss } of sets) {
          expect(loss).toBeLessThanOrEqual(slack);
          expect(best - loss).toBeCloseTo(worthOf(counts, values), 6);
          counts.forEach((count, item) => expect(count).toBeLessThanOrEqual(group.items[item]!.quantity));
        }
      }),
      runs(60, 83),
    );
  });

  test('end to end by hand, all sets of at most two long and three short', () => {
    const { group, bin } = boardWith([partOf('long', 2, 10, WIDE), partOf('short', 3, 6, WIDE)]);
    const sets = stagedFor(group, bin, [10, 6])!.within(RUN, 30, 100)!;
    // 24 1/8 with a kerf each of 10 1/8 and 6 1/8: two long, or one and two short, or three short, and all below.
    expect(sets.map(({ counts }) => counts.join('+')).sort()).toEqual(
      ['0+0', '0+1', '0+2', '0+3', '1+0', '1+1', '1+2', '2+0'].sort(),
    );
  });
});

test('where sizes are too many for a table nothing is said', () => {
  const many = Array.from({ length: 70 }, (_, at) => partOf(`p${at}`, 1, 5 + at / 8, 2 + (at % 9) / 3));
  const { group, bin }: { group: Group; bin: Group['bins'][number] } = boardWith(many);
  expect(
    stagedFor(
      group,
      bin,
      group.items.map(() => 1),
    ),
  ).toBeNull();
});
