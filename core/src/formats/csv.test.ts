import fc from 'fast-check';
import { readCsv, writeCsv } from './csv';

const cells = (text: string) => text.split('\r\n')[1]!;

test('a name that a spreadsheet would work out is marked as text; numbers with a sign are left', () => {
  for (const live of ['=1+2', '@SUM(A1)', "+cmd|' /C calc'!A0", '-2+3', '\t=1', '-1-1'])
    expect(cells(writeCsv(['a', 'b'], [[live, 1]]))).toMatch(/^"'/);
  for (const plain of ['-45', '+3.5', '-1,200', '-5 1/2"', 'G1 = leg', '2x4', '45°'])
    expect(cells(writeCsv(['a', 'b'], [[plain, 1]]))).not.toContain("'");
});

test('law: what is written is read back, whatever it begins with', () => {
  const text = fc
    .tuple(fc.constantFrom('', '=', '+', '-', '@', "'"), fc.string({ maxLength: 12 }))
    .map((both) => both.join(''));
  fc.assert(
    fc.property(fc.array(text, { minLength: 1, maxLength: 4 }), (row) => {
      // A row of nothing but blanks is no row.
      fc.pre(row.some((cell) => cell.trim() !== '') && !row.some((cell) => /^'[=+\-@\t\r]/.test(cell)));
      const names = row.map((_, at) => `c${at}`);
      const { data } = readCsv(`\uFEFF${writeCsv(names, [row])}`, (head) => head);
      expect(names.map((name) => data[0]![name])).toEqual(row);
    }),
  );
});
