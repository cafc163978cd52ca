import fc from 'fast-check';
import { floorToTape, inches, mm, parseLength, printLength, readLength, roundToTape, type Units } from './index';

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
