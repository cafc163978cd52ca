import { inches } from '../length';
import { clampCount, clampsOver, DEFAULT_SHOP, kerfFor, type Shop } from './index';

test('clamps are counted by how far they open', () => {
  const shop = {
    clamps: [
      { length: inches(12), count: 6 },
      { length: inches(36), count: 3 },
      { length: inches(60), count: 1 },
    ],
  };
  expect(clampCount(shop)).toBe(10);
  expect(clampsOver(shop, inches(12))).toBe(10);
  expect(clampsOver(shop, inches(13))).toBe(4);
  expect(clampsOver(shop, inches(36))).toBe(4);
  expect(clampsOver(shop, inches(61))).toBe(0);
  expect(clampCount({ clamps: [] })).toBe(0);
});

describe('the width of the cut that is planned with', () => {
  const shop = (tools: Shop['tools'], blades: Shop['blades']): Shop => ({
    ...DEFAULT_SHOP,
    kerf: inches(1 / 8),
    tools,
    blades,
  });
  const thin = inches(3 / 32);
  const track = inches(1 / 16);

  test('the wider of what crosscuts and what rips, for boards', () => {
    expect(
      kerfFor(shop(['mitre saw', 'circular saw', 'guide'], { 'mitre saw': thin, 'circular saw': track }), 'board'),
    ).toBe(thin);
    expect(kerfFor(shop(['mitre saw', 'table saw'], { 'mitre saw': thin }), 'board')).toBe(inches(1 / 8));
    expect(kerfFor(shop(['circular saw'], { 'circular saw': track }), 'board')).toBe(track);
  });

  test('sheets go through the saw that breaks them down', () => {
    expect(kerfFor(shop(['mitre saw', 'circular saw'], { 'mitre saw': thin, 'circular saw': track }), 'sheet')).toBe(
      track,
    );
    expect(kerfFor(shop(['table saw'], { 'table saw': thin }), 'sheet')).toBe(thin);
  });

  test('what was not measured, and a shop without saws, cut as wide as the shop says in general', () => {
    expect(kerfFor(shop(['hand saw'], {}), 'board')).toBe(inches(1 / 8));
    expect(kerfFor(shop([], { 'table saw': thin }), 'sheet')).toBe(inches(1 / 8));
  });
});
