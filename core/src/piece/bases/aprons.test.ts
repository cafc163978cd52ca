import { inches, printLength } from '../../length';
import { DEFAULT_SHOP, type Piece } from '../../job';
import { AS_SOLD, sizesIn, TABLE_SIZES } from '../../stock';
import { buildPiece, divideTop, newPiece } from '../index';

const SIZES = sizesIn(AS_SOLD, TABLE_SIZES);

/** 66 x 31 1/2 x 36 of 2x6, legs of two 2x4, 2x4 aprons set back 1/2, overhang 4 and 2 1/2: worked out by hand. */
const table: Piece = {
  ...newPiece('w', 'standing'),
  size: { length: inches(66), width: inches(31.5), height: inches(36) },
  choices: {
    legs: 'two 2x4',
    apron: '2x4',
    overhangEnds: inches(4),
    overhangSides: inches(2.5),
    setback: inches(1 / 2),
    crossSupports: 2,
    fixing: 'clips',
  },
  topChoices: { thickness: '2x', width: '6', edges: 'ripped' },
};

test('a table worked out by hand', () => {
  const { parts } = buildPiece(table, '2x6', DEFAULT_SHOP, 'in');
  const sizes = Object.fromEntries(
    parts.map((part) => [
      part.tag,
      [part.length, part.width, part.thickness].map((size) => printLength(size, 'in')).join(' x '),
    ]),
  );
  expect(sizes).toEqual({
    ...Object.fromEntries(['T1', 'T2', 'T3', 'T4', 'T5', 'T6'].map((tag) => [tag, '66 x 5 1/4 x 1 1/2'])), // 31 1/2 / 6
    ...Object.fromEntries(['L1', 'L2', 'L3', 'L4'].map((tag) => [tag, '34 1/2 x 3 1/2 x 3'])), // 36 - 1 1/2
    A1: '51 x 3 1/2 x 1 1/2', // 66 - 2 x 4 - 2 x 3 1/2
    A2: '51 x 3 1/2 x 1 1/2',
    E1: '20 1/2 x 3 1/2 x 1 1/2', // 31 1/2 - 2 x 2 1/2 - 2 x 3
    E2: '20 1/2 x 3 1/2 x 1 1/2',
    C1: '22 1/2 x 3 1/2 x 1 1/2', // 31 1/2 - 2 x 2 1/2 - 2 x 1/2 - 2 x 1 1/2
    C2: '22 1/2 x 3 1/2 x 1 1/2',
  });
  expect(parts.filter((part) => part.fit !== null).map((part) => part.tag)).toEqual(['C1', 'C2']);
  expect(parts.find((part) => part.tag === 'L1')).toMatchObject({ plies: 2, material: '2x4' });
});

describe('dividing a top', () => {
  const widths = (width: number, nominal: '2x4' | '2x6' | '2x8' | '2x12', edges: 'ripped' | 'as bought') =>
    divideTop(inches(width), nominal, edges, inches(1 / 8), 'in', SIZES).widths.map((board) =>
      printLength(board, 'in'),
    );

  test.each([
    [31.5, '2x6', 'ripped', ['5 1/4', '5 1/4', '5 1/4', '5 1/4', '5 1/4', '5 1/4']],
    [32, '2x6', 'ripped', ['4 5/8', '4 5/8', '4 5/8', '4 5/8', '4 5/8', '4 5/8', '4 1/4']],
    [31.5, '2x8', 'ripped', ['6 5/16', '6 5/16', '6 5/16', '6 5/16', '6 1/4']],
    [33, '2x6', 'as bought', ['5 1/2', '5 1/2', '5 1/2', '5 1/2', '5 1/2', '5 1/2']],
    [30, '2x6', 'as bought', ['4', '5 1/2', '5 1/2', '5 1/2', '5 1/2', '4']],
    [11, '2x12', 'ripped', ['11']],
    [14, '2x8', 'ripped', ['7', '7']],
  ] as const)('%s of %s, %s', (width, nominal, edges, expected) => {
    expect(widths(width, nominal, edges)).toEqual(expected);
  });

  test('counts what is ripped', () => {
    expect(divideTop(inches(33), '2x6', 'as bought', inches(1 / 8), 'in', SIZES).ripped).toBe(0);
    expect(divideTop(inches(30), '2x6', 'as bought', inches(1 / 8), 'in', SIZES).ripped).toBe(2);
    expect(divideTop(inches(31.5), '2x6', 'ripped', inches(1 / 8), 'in', SIZES).ripped).toBe(6);
  });
});
