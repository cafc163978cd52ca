import { addAt, first, found, held, keeping, last, metFirst, nth, pairs, sure } from '.';

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

test('an index is in the list, or it is said which was asked of how many', () => {
  expect([nth([3, 4, 0], 2), nth(Float64Array.of(1.5), 0)]).toEqual([0, 1.5]);
  expect(() => nth([3, 4], 2)).toThrow('A list of 2 has nothing at 2');
  expect(() => nth([3, 4], -1)).toThrow('A list of 2 has nothing at -1');
});

test('the one that is so is found, or it is said that none is', () => {
  expect(found([1, 2, 3], (one) => one > 1)).toBe(2);
  expect(() => found([1, 2, 3], (one) => one > 3)).toThrow('No one of the list is so');
});

test('what is known to be there is called by its name where it is not; zero and no are there', () => {
  expect([sure(0, 'count'), sure(false, 'answer'), sure('', 'word')]).toEqual([0, false, '']);
  expect(() => sure(null, 'top')).toThrow('There is no top');
  expect(() => sure(undefined, 'top')).toThrow('There is no top');
});

test('neighbours in a list, one pair less than it is long', () => {
  expect(pairs(['a', 'b', 'c'])).toEqual([
    ['a', 'b'],
    ['b', 'c'],
  ]);
  expect([pairs([1]), pairs([])]).toEqual([[], []]);
});

test('a number in a list grows in its place, and only where there is one', () => {
  const counts = [2, 5];
  addAt(counts, 1, -3);
  expect(counts).toEqual([2, 2]);
  expect(() => addAt(counts, 2, 1)).toThrow('A list of 2 has nothing at 2');
  expect(counts).toEqual([2, 2]);
});

test('the one that is so is asked first the next time', () => {
  const list = [1, 2, 3, 4];
  const asked: number[] = [];
  const isThree = (one: number) => asked.push(one) > 0 && one === 3;
  expect([metFirst(list, isThree), metFirst(list, isThree), asked]).toEqual([true, true, [1, 2, 3, 3]]);
  expect(metFirst(list, (one) => one > 4)).toBe(false);
  expect(list).toEqual([3, 1, 2, 4]);
});

test('what was worked out is kept by its key, nothing too; of more than so many the oldest goes', () => {
  const by = keeping<string, number | null>(2);
  const worked: string[] = [];
  const ask = (key: string, value: number | null) => by(key, () => (worked.push(key), value));
  expect([ask('a', 1), ask('b', null), ask('a', 2), ask('b', 3)]).toEqual([1, null, 1, null]);
  ask('c', 4);
  expect([ask('b', 5), ask('a', 6)]).toEqual([null, 6]);
  expect(worked).toEqual(['a', 'b', 'c', 'a']);
});
