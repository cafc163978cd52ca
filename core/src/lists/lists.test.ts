import { first, held, last } from '.';

test('the first and last of a list, and what a map holds', () => {
  expect([first([3, 4, 5]), last([3, 4, 5]), held(new Map([['a', 7]]), 'a')]).toEqual([3, 5, 7]);
});

test('what is not there is said where it is asked for', () => {
  expect(() => first([])).toThrow('An empty list has no first');
  expect(() => last([])).toThrow('An empty list has no last');
  expect(() => held(new Map(), 'b')).toThrow('Nothing is held under b');
});

test('zero, nothing written, no and none are things too', () => {
  expect([first([0]), last(['']), held(new Map([[1, false]]), 1), held(new Map([[1, null]]), 1)]).toEqual([
    0,
    '',
    false,
    null,
  ]);
});
