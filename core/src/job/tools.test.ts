import { able, BLADES, KITS, TOOL_NAMES, toolFor, TOOLS, WAYS, type Tool } from './index';

test('a way wants all of its tools: a circular saw rips along its guide alone', () => {
  expect(able(['circular saw'], WAYS.rip)).toBe(false);
  expect(able(['circular saw', 'guide'], WAYS.rip)).toBe(true);
  expect(able(['pocket jig'], WAYS.pockets)).toBe(false);
  expect(able([], WAYS.holes)).toBe(false);
});

test('of several ways the first that a shop can go, told by what does the work', () => {
  expect(toolFor(['band saw', 'table saw'], WAYS.rip)).toBe('table saw');
  expect(toolFor(['band saw', 'circular saw', 'guide'], WAYS.rip)).toBe('circular saw');
  expect(toolFor(['drill', 'pocket jig'], WAYS.pockets)).toBe('pocket jig');
  expect(toolFor(['hand saw'], WAYS.groove)).toBeNull();
});

test('a shop with everything can do all; with nothing it can do none', () => {
  for (const ways of Object.values(WAYS)) {
    expect(able(TOOL_NAMES, ways)).toBe(true);
    expect(able([], ways)).toBe(false);
  }
});

test('each kit has what the one before it has and more, and does no less', () => {
  KITS.slice(1).forEach(({ tools }, at) => {
    const before = KITS[at]!.tools;
    expect(before.filter((tool) => !tools.includes(tool))).toEqual([]);
    expect(tools.length).toBeGreaterThan(before.length);
    for (const ways of Object.values(WAYS)) if (able(before, ways)) expect(able(tools, ways)).toBe(true);
  });
  for (const { tools } of KITS) expect(tools.filter((tool) => !(tool in TOOLS))).toEqual([]);
});

test('what has a blade is a saw, and every shop that is offered has one', () => {
  const blades: readonly Tool[] = BLADES;
  for (const blade of blades) expect(TOOLS[blade]).toMatch(/saw$/);
  for (const { tools } of KITS) expect(tools.some((tool) => blades.includes(tool))).toBe(true);
});
