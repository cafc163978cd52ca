import { inTurns } from './in-turns';

test('one after the other, also after one that failed, and each has its own answer', async () => {
  const inTurn = inTurns();
  const heard: string[] = [];
  const work = (name: string, fails: boolean) => async () => {
    heard.push(`${name} begins`);
    await Promise.resolve();
    heard.push(`${name} ends`);
    if (fails) throw new Error(name);
    return name;
  };
  const [first, second, third] = [inTurn(work('a', true)), inTurn(work('b', false)), inTurn(work('c', false))];
  await expect(first).rejects.toThrow('a');
  expect(await second).toBe('b');
  expect(await third).toBe('c');
  expect(heard).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
});
