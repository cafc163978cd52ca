import { inches, mm } from '../length';
import { about, counted, dim, listOf, plain, say, strong, tag } from './index';

test('phrases keep lengths and tags apart, nest, and print as plain text', () => {
  const inner = say`${strong(4)} screws`;
  const phrase = say`Lay ${tag('E1')} at ${dim(inches(3.5))}, drive ${inner}, read ${about(inches(43.51))}.`;
  expect(phrase.filter((bit) => typeof bit === 'object')).toHaveLength(4);
  expect(plain(phrase, 'in')).toBe('Lay E1 at 3 1/2, drive 4 screws, read about 43 1/2.');
  expect(plain(say`${dim(mm(88))}`, 'mm')).toBe('88 mm');
});

test('lists read as people write them', () => {
  expect(plain(listOf([tag('A')]), 'in')).toBe('A');
  expect(plain(listOf([tag('A'), tag('B'), tag('C')]), 'in')).toBe('A, B and C');
});

test('one is one, and of more than one each noun says so in its own way', () => {
  expect([counted(1, 'board'), counted(0, 'board'), counted(2, 'shelf', 'shelves')]).toEqual([
    '1 board',
    '0 boards',
    '2 shelves',
  ]);
});
