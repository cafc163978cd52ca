import { inches, type Length } from '../../length';
import { DEFAULT_SHOP, type Piece } from '../../job';
import { buildPiece, newPiece, topCandidates, type Part } from '../index';
import { board, boxAt } from '../kit';
import { boxOf } from '../shape';
import { openedForCords } from './cord';

const part = (tag: string, from: readonly [number, number, number], size: readonly [number, number, number]): Part =>
  board(
    'p',
    { tag, role: 'top', name: tag, material: 'ply 3/4' },
    boxAt([inches(from[0]), inches(from[1]), inches(from[2])], [inches(size[0]), inches(size[1]), inches(size[2])]),
    0,
    1,
  );
const ROOM = { length: inches(40), under: inches(29) };
const sheet = [part('T', [0, 0, 29], [40, 20, 0.75])];

/** The middle of the hole in the first part that has one, in inches of the piece. */
function middleIn(parts: readonly Part[] | null): readonly [number, number] | null {
  for (const one of parts ?? []) {
    const hole = one.cuts.find(({ kind }) => kind === 'hole');
    const { min } = boxOf(one);
    const at = (k: 0 | 1, of: 0 | 1): number =>
      (min[of] + hole!.outline.reduce((sum, p) => sum + (p[k] ?? 0), 0) / 2) / 8128;
    if (hole) return [at(0, 0), at(1, 1)];
  }
  return null;
}

test('in the middle of the back, 1 1/4 of wood behind it', () => {
  expect(middleIn(openedForCords(ROOM, sheet, [], inches(2)))).toEqual([20, 20 - 1.25 - 1]);
});

test('a back apron under the edge moves it inward, clear of that by 3/4', () => {
  const apron = part('A', [0, 17, 25], [40, 1.5, 4]);
  const [x, y] = middleIn(openedForCords(ROOM, sheet, [apron], inches(2)))!;
  expect(x).toBe(20);
  expect(y + 1 + 0.75).toBeLessThanOrEqual(17);
  expect(y + 1 + 0.75).toBeGreaterThan(17 - 0.26);
});

test('where the base lies under all of it there is no place', () => {
  expect(openedForCords(ROOM, sheet, [part('A', [0, 0, 25], [40, 20, 4])], inches(2))).toBeNull();
});

test('of boards it is inside one, so that one board is bored', () => {
  const built = (piece: Piece) => buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
  const desk = newPiece('p', 'desk');
  const across: Length = inches(2);
  const { parts } = built({ ...desk, topChoices: { ...desk.topChoices, cord: across } });
  expect(parts.filter(({ cuts }) => cuts.some(({ kind }) => kind === 'hole'))).toHaveLength(1);
});
