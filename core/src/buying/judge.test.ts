import { inches } from '../length';
import { plain } from '../words';
import { judge, type Sighted } from './index';

const good: Sighted = { crook: 0, bow: 0, twist: 0, cup: 0, split: 0, looseKnot: null, moisture: 12 };
const of = (board: Partial<Sighted>, feet = 12, longest = 70) =>
  judge({ ...good, ...board }, inches(feet * 12), inches(longest));

describe('a board at the rack, worked out by hand', () => {
  test('crook of 3/4 over 12 ft is 3/4 x (70/144)^2 = 0.177 over 70: kept; of 7/8 it is 0.207: not', () => {
    expect(of({ crook: inches(3 / 4) }).verdict).toBe('keep');
    expect(of({ crook: inches(7 / 8) }).verdict).toBe('reject');
    expect(plain(of({ crook: inches(7 / 8) }).because, 'in')).toContain('Crook of about 3/16');
    // The same board for short pieces is as good as straight.
    expect(of({ crook: inches(7 / 8) }, 12, 30).verdict).toBe('keep');
  });

  test('twist shrinks with the length, cup with nothing', () => {
    expect(of({ twist: inches(1 / 4) }).verdict).toBe('keep'); // 1/4 x 70/144 = 0.122
    expect(of({ twist: inches(5 / 16) }).verdict).toBe('reject'); // 0.152
    expect(of({ cup: inches(3 / 16) }, 12, 10).verdict).toBe('reject');
  });

  test('a split of 5 at the end costs 6; kept where a run long enough is left', () => {
    const kept = of({ split: inches(5) }, 8, 88);
    expect(kept).toMatchObject({ verdict: 'stretch', bad: [{ from: inches(90), to: inches(96) }] });
    expect(of({ split: inches(5) }, 8, 91).verdict).toBe('reject');
  });

  test('a loose knot at 40 of 96 leaves 54 1/2 and 38 1/2', () => {
    expect(of({ looseKnot: inches(40) }, 8, 54.5)).toMatchObject({
      verdict: 'stretch',
      bad: [{ from: inches(38.5), to: inches(41.5) }],
    });
    expect(of({ looseKnot: inches(40) }, 8, 54.75).verdict).toBe('reject');
  });

  test('wet boards: over 15 % to lie, over 19 % to leave', () => {
    expect(plain(of({ moisture: 15 }).because, 'in')).toBe('Straight and sound.');
    expect(plain(of({ moisture: 17.2 }).because, 'in')).toContain('17.2 % wet');
    expect(of({ moisture: 19.5 }).verdict).toBe('reject');
  });
});
