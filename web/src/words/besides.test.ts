import { besides } from './besides';

test('boards that no piece comes from are told by why; nothing where there are none', () => {
  expect(besides({ spare: 2, spoiled: 1, idle: 3 })).toBe('2 spare, 1 spoiled, 3 bought, not used now');
  expect(besides({ spare: 0, spoiled: 0, idle: 1 })).toBe('1 bought, not used now');
  expect(besides({ spare: 0, spoiled: 0, idle: 0 })).toBe('');
});
