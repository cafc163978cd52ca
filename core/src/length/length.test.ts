import fc from 'fast-check';
import {
  floorToTape,
  inches,
  mm,
  parseLength,
  printLength,
  readAmount,
  readLength,
  roundToTape,
  type Units,
} from './index';

const read = (text: string, units: Units = 'in') => {
  const parsed = parseLength(text, units);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.length;
};

describe('parseLength', () => {
  test.each([
    ['34 1/2', 34.5],
    ['34.5', 34.5],
    ['34-1/2"', 34.5],
    ['2\' 10 1/2"', 34.5],
    ["2' 10 1/2", 34.5],
    ['2 ft 10.5 in', 34.5],
    ['34½', 34.5],
    ['34 ½″', 34.5],
    ['1/2', 0.5],
    ['¾', 0.75],
    ['.75', 0.75],
    ['36 - 1 1/2', 34.5],
    ['36-1 1/2', 34.5],
    ['36 − 1½', 34.5],
    ['20 + 10 + 4 1/2', 34.5],
    ["3' - 1 1/2", 34.5],
    ['-3', -3],
    ['34,5', 34.5],
    ['2\'-10 1/2"', 34.5],
    ["3'-1 1/2", 37.5],
    ['5 ft-6 in', 66],
    ['66 in.', 66],
    ['5 ft. 6 in.', 66],
    ["5'6", 66],
    ['5\'6"', 66],
    ["5' - 6", 54],
    ['12.125', 12.125],
    ['1,500 mm', 1500 / 25.4],
  ])('reads %s', (text, expected) => {
    expect(read(text)).toBe(inches(expected));
  });

  test.each([
    ['876mm', 'in', mm(876)],
    ['87.6 cm', 'in', mm(876)],
    ['0.876 m', 'in', mm(876)],
    ['876', 'mm', mm(876)],
    ['34 1/2 in', 'mm', inches(34.5)],
    ['900 - 24', 'mm', mm(876)],
    ['1,500mm', 'in', mm(1500)],
    ['1,500', 'mm', mm(1500)],
    ['1,500.5', 'mm', mm(1500.5)],
    ['1.500,5', 'mm', mm(1500.5)],
    ['1\u202f500', 'mm', mm(1500)],
    ['876,5', 'mm', mm(876.5)],
    ['876.000', 'mm', mm(876)],
    ['2,4 m', 'mm', mm(2400)],
    ['1 in + 10 mm', 'in', inches(1) + mm(10)],
  ] as const)('reads %s in %s', (text, units, expected) => {
    expect(read(text, units)).toBe(expected);
  });

  test.each([
    ['', 'needed'],
    ['long', 'not a length'],
    ['12 bananas', 'not a unit'],
    ['3/0', 'divides by zero'],
    ['12 14', 'side by side'],
    ['36 -', 'not a length'],
    ['200 m', 'longer than 100 m'],
    ['1e9', 'not a unit'],
    ['12;drop', 'not a length'],
    ['1,125', 'Did you mean 1125 or 1.125?'],
    ['1.500 mm', 'Did you mean 1500 or 1.5?'],
    ['1,500 m', 'Did you mean 1500 or 1.5?'],
    ["2' -10", 'Did you mean'],
    ['34 -1/2', 'Did you mean'],
    ["1'500", 'Did you mean'],
    ["5' 6'", 'after feet come inches'],
    ['2x4', 'two sizes'],
    ['10 20/8', 'not less than 1'],
    ['1.2.3', 'not a length'],
    ['1,20,300', 'not a length'],
  ])('refuses “%s” and says why', (text, why) => {
    const parsed = parseLength(text, 'in');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.message).toContain(why);
  });

  test('what is printed reads back as the same length, for every 1/64 and every mm', () => {
    fc.assert(
      fc.property(fc.integer({ min: -64 * 600, max: 64 * 600 }), (marks) => {
        expect(read(printLength(marks * 127, 'in'))).toBe(marks * 127);
        expect(read(printLength(mm(marks / 2), 'mm', true))).toBe(mm(marks / 2));
      }),
    );
  });
});

describe('every way to write a length, typed and read back', () => {
  const sixteenths = fc.integer({ min: 1, max: 16 * 600 });
  const fraction = (marks: number) => {
    const rest = marks % 16;
    return rest === 0 ? '' : `${rest}/16`;
  };
  const ways: Readonly<Record<string, (marks: number) => string>> = {
    'inches, a space': (marks) =>
      [Math.floor(marks / 16) || (fraction(marks) ? '' : '0'), fraction(marks)].filter((bit) => bit !== '').join(' '),
    'inches, a hyphen': (marks) => [Math.floor(marks / 16), fraction(marks)].filter((bit) => bit !== '').join('-'),
    'decimals, a point': (marks) => String(marks / 16),
    'feet, a hyphen, inches': (marks) =>
      `${Math.floor(marks / 192)}'-${Math.floor((marks % 192) / 16)}${fraction(marks) ? ` ${fraction(marks)}` : ''}"`,
    'feet and inches in words': (marks) => `${Math.floor(marks / 192)} ft. ${(marks % 192) / 16} in.`,
    'feet, bare inches': (marks) => `${Math.floor(marks / 192)}'${(marks % 192) / 16}`,
    'a difference': (marks) => `700 - ${700 - marks / 16}`,
  };
  test.each(Object.entries(ways))('%s', (_, write) => {
    fc.assert(fc.property(sixteenths, (marks) => expect(read(write(marks))).toBe(inches(marks / 16))));
  });
  test('millimetres, bare, grouped by commas or thin spaces, with halves', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), (halves) => {
        const size = halves / 2;
        expect(read(String(size), 'mm')).toBe(mm(size));
        expect(read(`${size.toLocaleString('en-US')} mm`, 'in')).toBe(mm(size));
        expect(read(size.toLocaleString('en-US').replace(',', '\u202f'), 'mm')).toBe(mm(size));
        expect(read(`${String(size).replace('.', ',')}mm`, 'mm')).toBe(mm(size));
      }),
    );
  });
});

describe('amounts, within the limits of their field', () => {
  const amount = (text: string, least = 0, most = 1_000_000) => {
    const found = readAmount(text, least, most);
    return found.ok ? found.value : found.mean;
  };
  test.each([
    ['1,200', 1200],
    ['$1,200.50', 1200.5],
    ['1.200,50', 1200.5],
    ['1 200 €', 1200],
    ['12,40', 12.4],
    ['188.40', 188.4],
    ['.5', 0.5],
    ['1,234,567', []],
    ['1.200', [1200, 1.2]],
    ['12;', []],
    ['1e5', []],
    ['0x10', []],
    ['', []],
  ] as const)('%s', (text, expected) => {
    expect(amount(text)).toEqual(expected);
  });
  test('limits tell which of two readings is meant', () => {
    expect([amount('6.875', 0, 100), amount('6,875', 0, 100), amount('-3', -5, 5)]).toEqual([6.875, 6.875, -3]);
  });
  test('dollars and cents are read back from every way they are written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_999 }), (cents) => {
        const sum = cents / 100;
        for (const text of [
          sum.toFixed(2),
          `$${sum.toLocaleString('en-US', { minimumFractionDigits: 2 })}`,
          sum.toLocaleString('de-DE', { minimumFractionDigits: 2 }),
        ])
          expect(Math.round((amount(text) as number) * 100)).toBe(cents);
      }),
    );
  });
});

describe('reading', () => {
  test('reduces fractions and can write feet', () => {
    expect(readLength(inches(66.375), 'in')).toMatchObject({ whole: 66, over: 3, under: 8, rounded: false });
    expect(readLength(inches(66.375), 'in', true)).toMatchObject({ feet: 5, whole: 6, over: 3, under: 8 });
    expect(readLength(mm(100), 'in')).toMatchObject({ whole: 3, over: 15, under: 16, rounded: true });
    expect(readLength(inches(1), 'mm')).toMatchObject({ whole: 25, over: 1, under: 2, rounded: true });
    expect([mm(9.5), mm(9.2), mm(-0.2)].map((one) => printLength(one, 'mm', true))).toEqual(['9.5 mm', '9 mm', '0 mm']);
  });

  test('an inch and a millimetre are both whole numbers of the unit', () => {
    expect(inches(1)).toBe(8128);
    expect(inches(1 / 64)).toBe(127);
    expect(mm(25.4)).toBe(inches(1));
  });

  test('tape steps', () => {
    expect(floorToTape(inches(4.6), 'in')).toBe(inches(4.5625));
    expect(roundToTape(inches(4.6), 'in')).toBe(inches(4.625));
    expect(floorToTape(mm(10.9), 'mm')).toBe(mm(10));
  });
});
