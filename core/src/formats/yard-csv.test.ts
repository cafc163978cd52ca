import fc from 'fast-check';
import { inches, mm } from '../length';
import { SAMPLE_YARDS, boardFeet } from '../stock';
import { readYardCsv, withRows, yardCsv } from './index';
import { runs } from '../testing/runs';

const HEAD = 'kind,size,length,width,grade,species,count,price,per,in stock';
const read = (...rows: readonly string[]) => readYardCsv([HEAD, ...rows].join('\n'), 'in');

test('money as people write it: never another sum than the one in the file', () => {
  const row = (price: string) => readYardCsv(`${HEAD}\nboard,2x4,8,,,,1,${price},,`, 'in');
  for (const [price, cents] of [
    ['"1,200"', 120000],
    ['"1,200.50"', 120050],
    ['"1.200,50"', 120050],
    ['$12.4', 1240],
    ['"12,40"', 1240],
    ['1 200', 120000],
  ] as const)
    expect(row(price).boards[0]).toMatchObject({ price: cents });
  expect(row('1.200').problems[0]!.message).toContain('Did you mean 1200 or 1.2?');
  expect(row('-3').problems).toHaveLength(1);
  // A comma without quotes parts the price: everything behind it is one column off.
  const parted = row('1,200,piece,yes');
  expect(parted.boards).toEqual([]);
  expect(parted.problems[0]!.message).toContain('Put quotes round');
});

describe('a price list as CSV', () => {
  test.each(SAMPLE_YARDS)('$name goes out and comes back the same', (yard) => {
    const rows = readYardCsv(yardCsv(yard, 'in'), 'in');
    expect(rows.problems).toEqual([]);
    expect(withRows(yard, rows)).toEqual(yard);
    expect(withRows({ ...yard, boards: [], sheets: [], hardware: [] }, rows).boards.map(({ price }) => price)).toEqual(
      yard.boards.map(({ price }) => price),
    );
  });

  // 2x6 of 12 ft: 2 x 6 x 12 / 12 = 12 board feet; 12 ft = 3.6576 m; a half sheet is 16 square feet.
  test.each([
    ['board,2x6,12,,#2,spf,1,10.98,piece,yes', 1098],
    ['board,2x6,12 ft,,#2,spf,1,0.92,foot,yes', 1104],
    ['board,2x6,12,,#2,spf,1,$0.95,board foot,yes', 1140],
    ['board,2x6,12,,#2,spf,1,"3,10",metre,no', 1134],
    ['board,1x4,8,,,,,5.12,,', 512],
  ])('%s costs %i cents', (row, price) => {
    const { boards, problems } = read(row);
    expect(problems).toEqual([]);
    expect(boards[0]).toMatchObject({ price });
  });

  test('boards by the metre, and a wood beside a bare size', () => {
    const { boards, problems } = read(
      'board,140x45 pine,2.4,,dressed,,1,9.60,metre,yes',
      'board,90x45 pine,2400 mm,,dressed,,1,14.88,piece,yes',
      'board,1x6,8,,S4S,red oak,1,54.88,piece,yes',
      'board,2x4,8,,#2,spf,1,4.36,piece,yes',
      'board,140x45 pine,2.4,,dressed,,1,9.60,board foot,yes',
    );
    expect(boards.map(({ id, board, length, price }) => [id, board, length, price])).toEqual([
      ['anz-2x6x2.4', 'anz 2x6', mm(2400), 2304],
      ['anz-2x4x2.4', 'anz 2x4', mm(2400), 1488],
      ['oak-1x6x8', 'oak 1x6', inches(96), 5488],
      ['2x4x8', '2x4', inches(96), 436],
    ]);
    expect(problems).toEqual([{ row: 6, message: expect.stringContaining('metre') }]);
  });

  test('sheets by the square foot, boxes with their count', () => {
    const { sheets, hardware } = read('sheet,3/4 plywood,48,48,,,1,2.00,square foot,yes', 'clip,,,,,,25,11.98,box,');
    expect(sheets[0]).toMatchObject({ sheet: 'ply 3/4', length: inches(48), price: 3200, inStock: true });
    expect(hardware[0]).toMatchObject({ kind: 'clip', count: 25, price: 1198 });
  });

  test('every bad row is named with what would be right, the good ones are read', () => {
    const { boards, problems } = read(
      'board,2x4,8,,#2,spf,1,4.36,piece,yes',
      'board,2x7,8,,#2,spf,1,4.36,piece,yes',
      'board,2x4,long,,#2,spf,1,4.36,piece,yes',
      'board,2x4,10,,#2,spf,1,cheap,piece,yes',
      'board,2x4,10,,#2,spf,1,4.36,stone,yes',
      'board,2x4,10,,#2,balsa,1,4.36,piece,yes',
      'board,2x4,10,,#2,spf,1,4.36,piece,maybe',
      'nail,2,,,,,10,4.36,box,yes',
      'board,2x4,8,,#2,spf,1,4.99,piece,yes',
    );
    expect(boards).toHaveLength(1);
    expect(problems.map(({ row }) => row)).toEqual([3, 4, 5, 6, 7, 8, 9, 10]);
    expect(problems.map(({ message }) => message)).toEqual([
      expect.stringContaining('no board'),
      expect.stringContaining('Write feet'),
      expect.stringContaining('12.40'),
      expect.stringContaining('board foot'),
      expect.stringContaining('balsa'),
      expect.stringContaining('yes or no'),
      expect.stringContaining('no kind'),
      expect.stringContaining('twice'),
    ]);
    expect(readYardCsv('size,price\n2x4,3', 'in').problems[0]!.message).toContain('kind');
  });

  test('rows that are there take the price and keep their id, new ones come with one of their own', () => {
    const rows = read('board,2x4,8,,#2,spf,1,9.99,piece,no', 'board,2x4,9,,#2,spf,1,5.00,piece,yes');
    const { boards } = withRows(SAMPLE_YARDS[0]!, rows);
    expect(boards).toHaveLength(SAMPLE_YARDS[0]!.boards.length + 1);
    expect(boards.find(({ id }) => id === '2x4x8')).toMatchObject({ price: 999, inStock: false });
    expect(new Set(boards.map(({ id }) => id)).size).toBe(boards.length);
  });

  test('whatever the text, nothing is thrown and every row is either read or named', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string({ maxLength: 8 }), { minLength: 10, maxLength: 10 })), (rows) => {
        const { boards, sheets, hardware, problems } = read(
          ...rows.map((row) => row.map((cell) => `"x${cell.replace(/"/g, '')}"`).join(',')),
        );
        expect(boards.length + sheets.length + hardware.length + problems.length).toBeGreaterThanOrEqual(rows.length);
      }),
      runs(50),
    );
  });

  test('board feet by hand: a 1x12 of 8 ft is 8, a 4x4 of 10 ft is 13 1/3', () => {
    expect(boardFeet('1x12', 8)).toBe(8);
    expect(boardFeet('4x4', 10)).toBeCloseTo(40 / 3);
  });
});
