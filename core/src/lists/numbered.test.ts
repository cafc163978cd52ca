import { numbered } from './index';

const board = { length: 96, width: 4 };
const byLength = () => numbered(({ length }: typeof board) => length);

describe('things by what they have in common', () => {
  test('the same number for what is the same, another for what is not', () => {
    const number = byLength();
    expect(number({ ...board, width: 6 })).toBe(number(board));
    expect(number({ ...board, length: 120 })).not.toBe(number(board));
  });

  test('after more than are remembered no number is given twice', () => {
    const number = byLength();
    const given = Array.from({ length: 12_000 }, (_, length) => number({ ...board, length }));
    expect(new Set(given).size).toBe(given.length);
    const again = number({ ...board, length: 3 });
    expect(given.indexOf(again) === -1 || given.indexOf(again) === 3).toBe(true);
  });
});
