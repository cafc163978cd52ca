import { besides } from './besides';

test('what is besides on a line of the list, by why; nothing where nothing is', () => {
  const none = { spare: 0, owned: 0, paid: 0, idle: 0, lost: 0 };
  expect(besides({ spare: 2, owned: 4, paid: 2992, idle: 1, lost: 1 })).toBe(
    '2 spare, 4 bought for 29.92, 1 of them not used now, 1 of them spoiled',
  );
  expect(besides({ ...none, owned: 1, paid: 748 })).toBe('1 bought for 7.48');
  expect(besides(none)).toBe('');
});
