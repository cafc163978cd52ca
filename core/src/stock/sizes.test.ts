import { printLength } from '../length';
import { NOMINALS, SAMPLE_YARD, dressed, topNominals, type Nominal } from './index';

describe('nominal to actual, American Softwood Lumber Standard PS 20', () => {
  test.each<[Nominal, string, string]>([
    ['1x2', '3/4', '1 1/2'],
    ['1x3', '3/4', '2 1/2'],
    ['1x4', '3/4', '3 1/2'],
    ['1x6', '3/4', '5 1/2'],
    ['1x8', '3/4', '7 1/4'],
    ['1x10', '3/4', '9 1/4'],
    ['1x12', '3/4', '11 1/4'],
    ['2x2', '1 1/2', '1 1/2'],
    ['2x3', '1 1/2', '2 1/2'],
    ['2x4', '1 1/2', '3 1/2'],
    ['2x6', '1 1/2', '5 1/2'],
    ['2x8', '1 1/2', '7 1/4'],
    ['2x10', '1 1/2', '9 1/4'],
    ['2x12', '1 1/2', '11 1/4'],
    ['4x4', '3 1/2', '3 1/2'],
  ])('%s measures %s by %s', (nominal, thickness, width) => {
    const actual = dressed(nominal);
    expect([printLength(actual.thickness, 'in'), printLength(actual.width, 'in')]).toEqual([thickness, width]);
  });

  test('a top is joined from boards at least a 4 wide', () => {
    expect(topNominals('2x')).toEqual(['2x4', '2x6', '2x8', '2x10', '2x12']);
    expect(topNominals('1x')).toEqual(['1x4', '1x6', '1x8', '1x10', '1x12']);
  });

  test('the sample yard sells every nominal, each offer under its own id', () => {
    const ids = SAMPLE_YARD.boards.map((offer) => offer.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const nominal of NOMINALS) expect(SAMPLE_YARD.boards.some((offer) => offer.nominal === nominal)).toBe(true);
  });
});
