import Papa from 'papaparse';
import { toMm } from '../length';
import { labelsOf } from '../job';
import { demoJob } from '../piece';
import { cutListCsv, layoutOf, orderCsv, svgOf } from './index';
import { dxfOf } from './out';
import { planned } from '../testing/planning';

const job = demoJob();
const plan = planned(job, '2026-11-24');
const label = labelsOf(job);
const { boards } = plan.buying;
const read = (text: string) => Papa.parse<Record<string, string>>(text, { header: true }).data;

test('the list of pieces has every piece once, with its board and cut', () => {
  const rows = read(cutListCsv(boards, plan.cuts, 'in', label));
  const pieces = boards.flatMap((board) =>
    board.pieces.map((piece) => `${board.number} ${label(piece.blank.part.id)}`),
  );
  expect(rows.map((row) => `${row['board']} ${row['piece']}`)).toEqual(pieces);
  const numbers = rows.map((row) => row['cut']).filter((cut) => cut !== '');
  expect(new Set(numbers).size).toBe(numbers.length);
  expect(rows.find((row) => row['piece'] === 'G-T1')).toMatchObject({
    length: '65',
    'left long for': 'squaring the glued top',
  });
});

test('the order of work has every clean cut once, in the order of the settings', () => {
  const rows = read(orderCsv(plan.setups, plan.cuts, 'in', label));
  const clean = rows
    .filter((row) => row['by'] !== 'mark')
    .flatMap((row) => row['cuts']!.split(' ').filter((cut) => cut !== ''));
  expect(new Set(clean).size).toBe(clean.length);
  const settings = rows.map((row) => Number(row['setting']));
  expect(settings).toEqual([...settings].sort((a, b) => a - b));
  expect(settings.at(-1)).toBe(plan.setups.length);
});

test('a layout is the board at full size, pieces inside with their areas, named', () => {
  const area = (points: readonly (readonly [number, number, number?])[]) =>
    Math.abs(
      points.reduce((sum, [x, y], at) => {
        const [nx, ny] = points[(at + 1) % points.length]!;
        return sum + x * ny - nx * y;
      }, 0),
    ) / 2;
  for (const board of boards) {
    const layout = layoutOf(board, label);
    expect(layout.width).toBeCloseTo(toMm(board.length), 6);
    const [outline, ...inside] = layout.lines;
    expect(area(outline!.points)).toBeCloseTo(toMm(board.length) * toMm(board.width), 3);
    const pieces = inside.filter(({ kind }) => kind === 'through');
    expect(pieces).toHaveLength(board.pieces.length);
    board.pieces.forEach((piece, at) => {
      const { left, right } = piece.slants;
      const tan = (degrees: number) => Math.tan((Math.abs(degrees) * Math.PI) / 180);
      // Length is from long point to long point: each slant takes half a square of its reach, unless both lean alike.
      const off = left * right > 0 ? Math.max(tan(left), tan(right)) : (tan(left) + tan(right)) / 2;
      const expected = toMm(piece.width) * (toMm(piece.length) - off * toMm(piece.width));
      expect(area(pieces[at]!.points)).toBeCloseTo(expected, 1);
    });
  }
  const [, board] = boards;
  const names = board!.pieces.map(({ blank }) => label(blank.part.id));
  const [svg, dxf] = [svgOf, dxfOf].map((write) => write([layoutOf(board!, label)], 'Board 2'));
  for (const name of names) {
    expect(svg).toContain(`>${name}<`);
    expect(dxf).toContain(name);
  }
});
