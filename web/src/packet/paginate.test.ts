import { paginate } from './paginate';

const self = (height: number) => height;

test('keeps order, fills pages, never overfills one with more than one block', () => {
  expect(paginate([50, 60, 40, 100, 10], self, 100)).toEqual([[50], [60, 40], [100], [10]]);
  expect(paginate([150, 20], self, 100)).toEqual([[150], [20]]);
  expect(paginate([], self, 100)).toEqual([]);
});
