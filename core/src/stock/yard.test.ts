import { inches, mm, PER_FOOT } from '../length';
import {
  isMetric,
  isSheet,
  METRIC_YARDS,
  SAMPLE_YARD,
  SAMPLE_YARDS,
  SECOND_YARD,
  WATERPROOF,
  type HardwareKind,
} from './index';

const offer = (id: string, yard = SAMPLE_YARD) =>
  [...yard.boards, ...yard.sheets, ...yard.hardware].find((one) => one.id === id);
const boxes = (kind: HardwareKind, size: string, yard = SAMPLE_YARD) =>
  yard.hardware.filter((one) => one.kind === kind && one.size === size);

test.each(SAMPLE_YARDS.map((yard) => [yard.id, yard] as const))(
  '%s: no two rows go by one id, and what is sold of one size in larger boxes costs less each',
  (_, { boards, sheets, hardware }) => {
    const ids = [...boards, ...sheets, ...hardware].map(({ id }) => id);
    expect(ids.filter((id, at) => ids.indexOf(id) !== at)).toEqual([]);
    const kinds = new Map<string, { count: number; price: number }[]>();
    for (const one of hardware)
      kinds.set(`${one.kind} ${one.size}`, [...(kinds.get(`${one.kind} ${one.size}`) ?? []), one]);
    for (const [name, rows] of kinds) {
      const each = [...rows].sort((a, b) => a.count - b.count).map(({ count, price }) => price / count);
      expect([name, each]).toEqual([name, [...each].sort((a, b) => b - a)]);
    }
  },
);

test('a 2x4 of eight feet is 96 in long; a sheet 96 by 48, factory edges', () => {
  expect(offer('2x4x8')).toMatchObject({ board: '2x4', length: 8 * PER_FOOT, grade: '#2', inStock: true });
  expect(offer('1x4x8')).toMatchObject({ grade: 'common' });
  const ply = SAMPLE_YARD.sheets.find(({ sheet, width }) => sheet === 'ply 3/4' && width === inches(48))!;
  expect(ply.length).toBe(inches(96));
});

test('half and quarter sheets cost more a square foot than whole ones', () => {
  for (const { sheets } of SAMPLE_YARDS) {
    // Glued panels are planks of their own width, not halves of a sheet.
    for (const one of sheets.filter(({ sheet }) => !sheet.startsWith('panel'))) {
      const whole = sheets
        .filter(({ sheet }) => sheet === one.sheet)
        .sort((a, b) => b.length * b.width - a.length * a.width);
      expect([
        one.id,
        one.price / (one.length * one.width) >= whole[0]!.price / (whole[0]!.length * whole[0]!.width),
      ]).toEqual([one.id, true]);
    }
  }
});

test('what is bought for outside is there in each box that it is there bare, dearer by two fifths', () => {
  const [bare, coated] = [boxes('screw', '#8 1 1/2'), boxes('screw', '#8 1 1/2 coated')];
  expect(coated.map(({ count }) => count)).toEqual(bare.map(({ count }) => count));
  coated.forEach(({ price }, at) => expect(price / bare[at]!.price).toBeCloseTo(1.4, 2));
  expect(boxes('glue', WATERPROOF).length).toBe(boxes('glue', '').length);
  // What does not rust is not sold twice.
  expect(SAMPLE_YARD.hardware.some(({ kind, size }) => kind === 'dowel' && size.includes('coated'))).toBe(false);
});

test('the second yard: no board of sixteen feet, no oak, its own prices', () => {
  expect(SECOND_YARD.boards.every(({ length }) => length < 16 * PER_FOOT)).toBe(true);
  expect(SECOND_YARD.boards.some(({ board }) => board.startsWith('oak '))).toBe(false);
  const [here, there] = [offer('2x4x8')!, offer('2x4x8', SECOND_YARD)!];
  // 95 of a hundred, to an even cent.
  expect(there.price).toBe(2 * Math.round((here.price * 0.95) / 2));
});

test('metric yards sell metric sheets alone, and boards by tenths of a metre', () => {
  for (const { sheets, boards } of METRIC_YARDS) {
    expect(sheets.every(({ sheet }) => isSheet(sheet) && isMetric(sheet))).toBe(true);
    for (const { length } of boards) expect(length % mm(100)).toBe(0);
  }
});
