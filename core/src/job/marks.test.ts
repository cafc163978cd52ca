import { newPiece } from '../piece';
import { labelsOf, marksOf, newJob, type Job } from './index';

const jobOf = (...names: readonly string[]): Job => ({
  ...newJob('marks'),
  pieces: names.map((name, at) => ({ ...newPiece(`p${at}`, 'coffee'), name })),
});
const marks = (...names: readonly string[]) => [...marksOf(jobOf(...names)).values()];

test('one piece alone needs no mark on its wood', () => {
  expect(marks('Glaze table')).toEqual(['']);
  expect(labelsOf(jobOf('Glaze table'))('p0.T1')).toBe('T1');
});

test('as many first letters as tell the pieces apart, three at most; then they are counted', () => {
  expect(marks('Glaze table', 'Ware shelf')).toEqual(['G', 'W']);
  expect(marks('Ware shelf', 'Window bench')).toEqual(['WA', 'WI']);
  expect(marks('Ware shelf', 'Ware rack', 'Cart')).toEqual(['WAR', 'WAR2', 'C']);
  expect(marks('Table', 'Table', 'Table')).toEqual(['TAB', 'TAB2', 'TAB3']);
});

test('letters of any script count, signs and blanks do not; what has none is a piece', () => {
  expect(marks('é tagère', 'Ofen')).toEqual(['É', 'O']);
  expect(marks('“A” shelf', 'Bench')).toEqual(['A', 'B']);
  expect(marks('…', '—')).toEqual(['P', 'P2']);
});

test('no two pieces share a mark, and a label names both piece and part', () => {
  const job = jobOf('Ware shelf', 'Ware shelf', 'Window bench', 'W', '?');
  const all = [...marksOf(job).values()];
  expect(new Set(all).size).toBe(all.length);
  const labelOf = labelsOf(job);
  expect(labelOf('p2.E1A')).toBe(`${all[2]}-E1A`);
  // Of a piece that is not there any more only the tag is known.
  expect(labelOf('gone.T4')).toBe('T4');
});
