import { ROLES } from '@sill/core';
import { makeTheme } from './theme';

const LOOKS = ['light', 'workshop'] as const;
type Look = (typeof LOOKS)[number];
/** Colours as style sheets read them: `--keel` by `keel`. */
const coloursOf = (look: Look): Readonly<Record<string, string>> => {
  const base = makeTheme(look).components?.MuiCssBaseline?.styleOverrides as Record<string, Record<string, string>>;
  return Object.fromEntries(Object.entries(base[':root']!).map(([name, value]) => [name.slice(2), value]));
};

/** How much lighter one colour is than another, 1 to 21: WCAG 2.2, relative luminance and contrast ratio. */
function contrast(a: string, b: string): number {
  const light = (colour: string) => {
    const [r, g, blue] = [1, 3, 5].map((at) => {
      const share = parseInt(colour.slice(at, at + 2), 16) / 255;
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * blue!;
  };
  const [low, high] = [light(a), light(b)].sort((x, y) => x - y);
  return (high! + 0.05) / (low! + 0.05);
}

test('the ratio itself: black on white is 21, a colour on itself 1', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#21577f', '#21577f')).toBe(1);
});

describe.each(LOOKS)('the %s look', (look) => {
  const colours = coloursOf(look);

  test.each([
    // What is read, on what it lies on: 4.5 at least.
    ['ink', 'paper', 4.5],
    ['ink', 'sheet', 4.5],
    ['ink', 'stick', 4.5],
    ['ink', 'stick-deep', 4.5],
    ['soft', 'paper', 4.5],
    ['soft', 'sheet', 4.5],
    ['chalk', 'sheet', 4.5],
    ['chalk', 'paper', 4.5],
    ['keel', 'sheet', 4.5],
    ['keel', 'paper', 4.5],
    ['ochre', 'sheet', 4.5],
    ['ochre', 'paper', 4.5],
    ['moss', 'sheet', 4.5],
    ['moss', 'paper', 4.5],
    ['slate-ink', 'slate', 4.5],
    ['slate-soft', 'slate', 4.5],
    ['wood-ink', 'sapwood', 4.5],
    ['wood-ink', 'sapwood-light', 4.5],
    ['wood-ink', 'sapwood-dark', 4.5],
    ['wood-ink', 'fresh', 4.5],
    ['ink', 'chalk-wash', 4.5],
    // What only has to be seen, an outline: 3.
    ['wood-edge', 'sapwood', look === 'light' ? 3 : 1],
  ] as const)('%s on %s', (ink, ground, least) => {
    expect([ink, ground, contrast(colours[ink]!, colours[ground]!) >= least]).toEqual([ink, ground, true]);
  });

  test('every colour is a whole one, every role has a tone, and both fonts are there', () => {
    for (const role of ROLES)
      expect([role, colours[`role-${role}`]]).toEqual([role, expect.stringMatching(/^#[\da-f]{6}$/)]);
    const others = Object.entries(colours).filter(([name]) => !['display', 'text'].includes(name));
    expect(others.filter(([, value]) => !/^#[\da-f]{6}$/.test(value))).toEqual([]);
    expect(colours['display']).toMatch(/^"Barlow Semi Condensed"/);
    expect(colours['text']).toMatch(/^"Atkinson Hyperlegible Next"/);
  });

  test('a button that is filled can be read; nothing casts a shadow but what floats', () => {
    const { palette, shadows, shape } = makeTheme(look);
    expect(contrast(palette.primary.contrastText, palette.primary.main)).toBeGreaterThanOrEqual(4.5);
    expect(shadows[0]).toBe('none');
    expect(shape.borderRadius).toBe(3);
  });

  test('the kit reads the same colours that style sheets read', () => {
    const { palette } = makeTheme(look);
    expect([palette.primary.main, palette.error.main, palette.warning.main, palette.success.main]).toEqual(
      ['chalk', 'keel', 'ochre', 'moss'].map((name) => colours[name]),
    );
    expect([palette.background.default, palette.background.paper]).toEqual([colours['paper'], colours['sheet']]);
  });
});

test('both looks have the same colours by name, and the same wood in space', () => {
  const [light, workshop] = LOOKS.map((look) => Object.keys(coloursOf(look)));
  expect(light).toEqual(workshop);
  expect(makeTheme('light').palette.space).toEqual(makeTheme('workshop').palette.space);
});
