import { inches } from '../length';
import { readOnHand } from './index';

const read = (text: string) => {
  const entry = readOnHand(text, 'in');
  if (!entry.ok) throw new Error(entry.message);
  return entry.value;
};

describe('what lies there, from one typed line', () => {
  test.each([
    ['2x4 41 1/2 x3, split last 3', { material: '2x4', length: 41.5, width: 3.5, count: 3, bad: [[38.5, 41.5]] }],
    ['2×6 61', { material: '2x6', length: 61, width: 5.5, count: 1, bad: [] }],
    [
      '1x4 6\' 2" x 2, first 1 1/2, knots 12 to 15 1/2',
      {
        material: '1x4',
        length: 74,
        width: 3.5,
        count: 2,
        bad: [
          [0, 1.5],
          [12, 15.5],
        ],
      },
    ],
    ['3/4 plywood 23 x 30', { material: 'ply 3/4', length: 23, width: 30, count: 1, bad: [] }],
    ['ply 1/2 24 by 11 1/4 x4', { material: 'ply 1/2', length: 24, width: 11.25, count: 4, bad: [] }],
    ['4x4 30 x12, squared', { material: '4x4', length: 30, width: 3.5, count: 12, bad: [], squared: true }],
  ])('%s', (text, expected) => {
    const { length, width, bad, ...rest } = read(text);
    expect({
      ...rest,
      length: length / inches(1),
      width: width / inches(1),
      bad: bad.map(({ from, to }) => [from / inches(1), to / inches(1)]),
    }).toMatchObject(expected);
  });

  test('where it lies and what else is said are kept', () => {
    expect(read('2x4 30, in the rafters, painted')).toMatchObject({ where: 'in the rafters', note: 'painted' });
  });

  test.each([
    ['plank 30', 'no board or sheet'],
    ['2x4', 'no board or sheet'],
    ['2x4 long', 'not a length'],
    ['2x4 40 x0', 'no count'],
    ['2x4 40 x2 x3', 'needs a length'],
    ['3/4 plywood 40', 'a width'],
    ['2x4 40, split last 50', 'no stretch'],
    ['2x4 40, knots 12 to 8', 'no stretch'],
    ['2x4 0', 'more than 0'],
    ['', 'no board'],
  ])('“%s” is refused and says why', (text, why) => {
    const entry = readOnHand(text, 'in');
    expect(entry.ok).toBe(false);
    if (!entry.ok) expect(entry.message).toContain(why);
  });
});
