import { newJob, type Recipe } from '../job';
import { bareColour, expectedColour, ratioOf, recipeOf, reflected, uptake } from './index';

const recipe = (id: string): Recipe => recipeOf(newJob('j'), id)!;
/** How light a colour is, 0 to 255 a band. */
const light = (hex: string) => [1, 3, 5].reduce((sum, at) => sum + Number.parseInt(hex.slice(at, at + 2), 16), 0);
const stained = (more: Partial<Recipe>) => {
  const of = { ...recipe('dark.bare'), conditioner: false, ...more };
  return light(expectedColour('1x6', { recipe: of, coats: of.coats }));
};

test('what a ratio of absorbing to scattering throws back, and the ratio that does so', () => {
  for (const share of [0.02, 0.2, 0.5, 0.9]) expect(reflected(ratioOf(share))).toBeCloseTo(share, 10);
  // Kubelka and Munk by hand: R = 0.5 is K/S = 0.25 / 1.
  expect(ratioOf(0.5)).toBeCloseTo(0.25);
});

test('two constants by hand: as much of a colour as there is wood, in the red band', () => {
  // Bare wood e6cfa3 and dark brown 3a2415 by sRGB: 230 is 0.7913 of the light, 58 is 0.0423.
  const [wood, brown] = [ratioOf(0.7913), ratioOf(0.0423)];
  const amount = 0.55;
  const red = reflected((wood + amount * brown) / (1 + amount));
  const screen = 1.055 * red ** (1 / 2.4) - 0.055;
  const found = expectedColour('2x6', { recipe: { ...recipe('dark.bare'), conditioner: false }, coats: 0 });
  expect(Number.parseInt(found.slice(1, 3), 16)).toBeCloseTo(Math.round(255 * screen), -1);
});

test('finer sanding takes less, end grain and rough wood more, conditioner less, wetted more', () => {
  expect(uptake({ sandTo: 150, conditioner: false, wetted: false })).toBe(1);
  expect(stained({ sandTo: 220 })).toBeGreaterThan(stained({ sandTo: 150 }));
  expect(stained({ sandTo: 80 })).toBeLessThan(stained({ sandTo: 150 }));
  expect(stained({ sandTo: 0 })).toBeLessThan(stained({ sandTo: 80 }));
  expect(stained({ conditioner: true })).toBeGreaterThan(stained({}));
  expect(stained({ wetted: true })).toBeLessThan(stained({}));
  const end = expectedColour('1x6', { recipe: recipe('dark.bare'), coats: 0 }, true);
  expect(light(end)).toBeLessThan(light(expectedColour('1x6', { recipe: recipe('dark.bare'), coats: 0 })));
});

test('a colour over another is darker; longer on the wood too; a clear coat deepens it', () => {
  const { colours } = recipe('dark.bare');
  expect(stained({ colours: [...colours, ...colours] })).toBeLessThan(stained({}));
  expect(stained({ colours: colours.map((colour) => ({ ...colour, leave: 2 })) })).toBeGreaterThan(stained({}));
  const coated = expectedColour('1x6', { recipe: recipe('natural.wipeable'), coats: 3 });
  expect(light(coated)).toBeLessThan(light(bareColour('1x6')));
});

test('paint hides what is under it: oak and pine end up alike', () => {
  const of = { recipe: recipe('painted.wipeable'), coats: 2 };
  expect(Math.abs(light(expectedColour('oak 1x6', of)) - light(expectedColour('1x6', of)))).toBeLessThan(20);
  expect(light(expectedColour('1x6', of))).toBeGreaterThan(640);
});
