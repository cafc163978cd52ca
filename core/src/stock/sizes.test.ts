import { inches, mm, printLength } from '../length';
import {
  AS_SOLD,
  BOARD_KEYS,
  boardKey,
  boardFeet,
  inLumber,
  LUMBER_NAMES,
  METRIC_SHEET,
  NOMINALS,
  nominalOf,
  printBoard,
  printMaterial,
  readMaterial,
  SAMPLE_YARDS,
  SHEETS,
  SHEET_NAMES,
  sizesIn,
  sizesOf,
  speciesOf,
  STOCKED,
  stocked,
  TABLE_SIZES,
  topNominals,
  type Lumber,
  type Nominal,
} from './index';

/** What a size of a line measures, thickness by width, as its tape reads it. */
const measures = (lumber: Lumber, nominal: Nominal, units: 'in' | 'mm'): string => {
  const { thickness, width } = TABLE_SIZES.board(boardKey(lumber, nominal));
  return `${printLength(thickness, units)} × ${printLength(width, units)}`;
};

/** Copied from the standards by hand, size by size; the program works most of them out of rows and columns. */
const WORKED: readonly (readonly [Nominal, us: string, anz: string, uk: string])[] = [
  ['1x2', '3/4 × 1 1/2', '19 × 42', '20.5 × 44'],
  ['1x3', '3/4 × 2 1/2', '19 × 66', '20.5 × 69'],
  ['1x4', '3/4 × 3 1/2', '19 × 90', '20.5 × 94'],
  ['1x5', '3/4 × 4 1/2', '19 × 115', '20.5 × 119'],
  ['1x6', '3/4 × 5 1/2', '19 × 140', '20.5 × 144'],
  ['1x8', '3/4 × 7 1/4', '19 × 190', '20.5 × 194'],
  ['1x10', '3/4 × 9 1/4', '19 × 240', '20.5 × 219'],
  ['1x12', '3/4 × 11 1/4', '19 × 290', '20.5 × 294'],
  ['5/4x4', '1 × 3 1/2', '35 × 90', '33 × 94'],
  ['5/4x6', '1 × 5 1/2', '35 × 140', '33 × 144'],
  ['5/4x8', '1 × 7 1/4', '35 × 190', '33 × 194'],
  ['5/4x10', '1 × 9 1/4', '35 × 240', '33 × 219'],
  ['5/4x12', '1 × 11 1/4', '35 × 290', '33 × 294'],
  ['2x2', '1 1/2 × 1 1/2', '45 × 42', '38 × 38'],
  ['2x3', '1 1/2 × 2 1/2', '45 × 66', '38 × 63'],
  ['2x4', '1 1/2 × 3 1/2', '45 × 90', '38 × 89'],
  ['2x6', '1 1/2 × 5 1/2', '45 × 140', '38 × 140'],
  ['2x8', '1 1/2 × 7 1/4', '45 × 190', '38 × 184'],
  ['2x10', '1 1/2 × 9 1/4', '45 × 240', '38 × 235'],
  ['2x12', '1 1/2 × 11 1/4', '45 × 290', '38 × 285'],
  ['4x4', '3 1/2 × 3 1/2', '90 × 90', '94 × 94'],
  ['4x6', '3 1/2 × 5 1/2', '90 × 140', '94 × 144'],
  ['6x6', '5 1/2 × 5 1/2', '140 × 140', '144 × 144'],
];

describe('nominal to actual', () => {
  test('every nominal size is in the table', () => expect(WORKED.map(([nominal]) => nominal)).toEqual([...NOMINALS]));

  test.each(WORKED)('%s measures %s; %s; %s', (nominal, us, anz, uk) => {
    for (const lumber of ['common', 'select', 'poplar', 'oak', 'cedar', 'treated'] as const)
      expect(measures(lumber, nominal, 'in')).toBe(us);
    expect(measures('anz', nominal, 'mm')).toBe(anz);
    const { thickness, width } = TABLE_SIZES.board(boardKey('uk', nominal));
    expect(`${thickness / mm(1)} × ${width / mm(1)}`).toBe(uk);
  });

  test('inch sheets are thinner than their name, metric ones are what they say', () => {
    expect(SHEETS['ply 3/4'].thickness).toBe(inches(23 / 32));
    expect(SHEETS['ply 1/2'].thickness).toBe(inches(15 / 32));
    expect(SHEETS['ply 1/4'].thickness).toBe(inches(7 / 32));
    expect(SHEETS['mdf 3/4'].thickness).toBe(inches(3 / 4));
    expect(SHEETS['ply 18'].thickness).toBe(mm(18));
    expect(SHEETS['hardboard 3'].thickness).toBe(mm(3));
    for (const sheet of SHEET_NAMES)
      if (!Object.values(METRIC_SHEET).includes(sheet) && sheet !== 'panel found')
        expect(METRIC_SHEET[sheet]).toBeDefined();
  });

  test('board feet go by the nominal size', () => {
    expect(boardFeet('2x6', 8)).toBe(8);
    expect(boardFeet('5/4x6', 8)).toBe(5);
    expect(boardFeet('1x5', 12)).toBe(5);
  });

  test('a top is joined from boards at least a 4 wide', () => {
    expect(topNominals('2x')).toEqual(['2x4', '2x6', '2x8', '2x10', '2x12']);
    expect(topNominals('1x')).toEqual(['1x4', '1x6', '1x8', '1x10', '1x12']);
    expect(topNominals('5/4x')).toEqual(['5/4x4', '5/4x6', '5/4x8', '5/4x10', '5/4x12']);
  });
});

describe('lines of boards', () => {
  test.each<[Lumber, Nominal, string, string]>([
    ['common', '2x6', '2×6', '2×6×8'],
    ['oak', '1x6', '1×6 red oak', '1×6×8 red oak'],
    ['treated', '5/4x6', '5/4×6 treated', '5/4×6×8 treated'],
    ['anz', '2x6', '140×45 pine', '140×45×8 pine'],
    ['uk', '1x4', '94×20.5 softwood', '94×20.5×8 softwood'],
  ])('%s %s is written %s', (lumber, nominal, size, long) => {
    expect(printMaterial(boardKey(lumber, nominal))).toBe(size);
    expect(printBoard(boardKey(lumber, nominal), '8')).toBe(long);
  });

  test('what is written is read back as what it was', () => {
    for (const material of STOCKED) {
      expect(readMaterial(printMaterial(material))).toBe(material);
      expect(readMaterial(material.toUpperCase())).toBe(material);
    }
    expect(readMaterial('45x140')).toBe('anz 2x6');
    expect(readMaterial('38x89')).toBe('uk 2x4');
    expect(readMaterial('4x9')).toBeNull();
  });

  test('a family’s boards and sheets become those of the line; a chosen board stays what it is', () => {
    expect(stocked('oak', '1x6')).toBe('oak 1x6');
    expect(stocked('oak', 'ply 3/4')).toBe('ply 3/4');
    expect(stocked('uk', 'ply 3/4')).toBe('ply 18');
    expect(stocked('uk', 'oak 1x6')).toBe('oak 1x6');
    expect(stocked('anz', 'bought')).toBe('bought');
    expect(speciesOf('cedar 5/4x4')).toBe('cedar');
    expect([speciesOf('1x4'), speciesOf('2x4'), speciesOf('4x4')]).toEqual(['pine', 'spf', 'fir']);
    for (const key of BOARD_KEYS) expect(NOMINALS).toContain(nominalOf(key));
  });

  test('options of a family are told in the sizes of the line', () => {
    expect(inLumber('common', 'two 2×4, glued')).toBe('two 2×4, glued');
    expect(inLumber('anz', 'two 2×4, glued')).toBe('two 90×45, glued');
    expect(inLumber('uk', 'hollow box of 1×6')).toBe('hollow box of 144×20.5');
    expect(inLumber('anz', '3/4 plywood')).toBe('18 mm plywood');
    expect(inLumber('anz', '3 by 2 tiles')).toBe('3 by 2 tiles');
  });

  test('a measurement overrides the table for that board alone', () => {
    const sizes = sizesOf({ '2x4': { width: inches(3.4375) }, 'ply 3/4': { thickness: inches(0.7) } });
    expect(sizes.board('2x4')).toEqual({ width: inches(3.4375), thickness: inches(1.5) });
    expect(sizes.board('treated 2x4').width).toBe(inches(3.5));
    expect(sizes.thickness('ply 3/4')).toBe(inches(0.7));
    expect(sizesIn(AS_SOLD, sizes).dressed('2x4').width).toBe(inches(3.4375));
    expect(sizesIn({ wood: 'treated', planed: 0 }, sizes).dressed('2x4').width).toBe(inches(3.5));
    // An eighth off both faces of a five-quarter board leaves three quarters; sheets are not planed.
    const planed = sizesIn({ wood: 'oak', planed: inches(1 / 8) }, sizes);
    expect(planed.dressed('5/4x6')).toEqual({ width: inches(5.5), thickness: inches(3 / 4) });
    expect(planed.thickness('ply 3/4')).toBe(inches(0.7));
  });
});

test('every line is sold somewhere, and at each yard every offer goes by its own id', () => {
  for (const yard of SAMPLE_YARDS) {
    const ids = [...yard.boards, ...yard.sheets, ...yard.hardware].map((offer) => offer.id);
    expect(new Set(ids).size).toBe(ids.length);
  }
  const sold = new Set(SAMPLE_YARDS.flatMap(({ boards }) => boards.map(({ board }) => board)));
  for (const nominal of NOMINALS) expect(sold.has(nominal)).toBe(true);
  for (const lumber of LUMBER_NAMES)
    expect(sold.has(boardKey(lumber, '1x4')) || sold.has(boardKey(lumber, '2x4'))).toBe(true);
  // What is found is sold nowhere.
  for (const sheet of SHEET_NAMES.filter((name) => name !== 'panel found'))
    expect(SAMPLE_YARDS.some(({ sheets }) => sheets.some((offer) => offer.sheet === sheet))).toBe(true);
});
