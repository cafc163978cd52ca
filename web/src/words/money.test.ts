import { cents, difference, dollars } from './money';

test('money is always written to the cent, with its sign where it matters', () => {
  expect([18840, 5, 0].map(cents)).toEqual(['188.40', '0.05', '0.00']);
  expect([18840, -520].map(dollars)).toEqual(['$188.40', '−$5.20']);
  expect([920, -520, 0].map(difference)).toEqual(['+$9.20', '−$5.20', '+$0.00']);
});
