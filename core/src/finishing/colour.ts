import { nth } from '../lists';
import type { Recipe } from '../job';
import { isBoard, isSheet, speciesOf, type Material, type Species, type Tone } from '../stock';
import { COATS } from './products';
import { GRITS } from './ladder';
import type { Treatment } from './treatments';

/**
 * An estimate of a finish on a wood, by the two-constant theory of Kubelka and Munk (Zeitschrift für technische Physik
 * 12, 1931): what absorbs (K) and what scatters (S) add up by their amounts, and a thick layer throws back
 * R = 1 + K/S - sqrt((K/S)^2 + 2 K/S) of the light. Reckoned in three bands, red, green and blue; woods and colours are
 * our own, read off no card. A sample on an offcut decides.
 */
type Bands = readonly [red: number, green: number, blue: number];
type Optics = { readonly k: Bands; readonly s: Bands };

const eachBand = (of: (band: 0 | 1 | 2) => number): Bands => [of(0), of(1), of(2)];

/** Share of the light that a colour on the screen stands for (sRGB, IEC 61966-2-1), and back. */
const toLight = (value: number): number => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);
const toScreen = (light: number): number => (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
const fromHex = (hex: string): Bands =>
  eachBand((band) => toLight(Number.parseInt(hex.slice(1 + 2 * band, 3 + 2 * band), 16) / 255));
const toHex = (light: Bands): string =>
  `#${light
    .map((one) => Math.round(255 * Math.min(1, Math.max(0, toScreen(one)))))
    .map((byte) => byte.toString(16).padStart(2, '0'))
    .join('')}`;

/** Share of light thrown back by a thick layer, and the ratio of what absorbs to what scatters that does so. */
export const reflected = (ratio: number): number => 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);
export const ratioOf = (light: number): number => (1 - light) ** 2 / (2 * light);

/** Bare wood sanded to 150, by daylight. */
const WOODS: Readonly<Record<Species, string>> = {
  spf: '#e6cfa3',
  fir: '#ddb98a',
  pine: '#e8cfa0',
  'white pine': '#ead6ae',
  'southern pine': '#e0c08c',
  poplar: '#d9cfa6',
  'red oak': '#d6ae85',
  cedar: '#c48e66',
  radiata: '#e9d2a6',
  redwood: '#dfbd8d',
};
const SHEET_WOOD = '#e3c79b';

/** Colours in full, and how strongly they colour beside the wood under them, put on once at 150. */
const TONES_IN_FULL: Readonly<Record<Tone, string>> = {
  honey: '#b8722c',
  'nut brown': '#6b4423',
  'red brown': '#7a3420',
  'dark brown': '#3a2415',
  black: '#16130f',
  grey: '#7c7b77',
  white: '#f4f1e8',
};
const STRENGTH = { 'oil stain': 0.55, 'water stain': 0.6, 'gel stain': 0.7, wash: 0.8 } as const;
/** One coat of paint hides nearly all. */
const [PRIMER, PAINT] = [3, 12] as const;

const opticsOf = (hex: string, amount: number): Optics => {
  const light = fromHex(hex);
  return { k: eachBand((band) => amount * ratioOf(light[band])), s: eachBand(() => amount) };
};
const added = (a: Optics, b: Optics): Optics => ({
  k: eachBand((band) => a.k[band] + b.k[band]),
  s: eachBand((band) => a.s[band] + b.s[band]),
});

/**
 * How much colour wood takes beside what it takes sanded to 150: each finer grit less, each coarser more; end grain and
 * what is rough half as much again; conditioned wood less, wetted wood more.
 */
export function uptake(
  { sandTo, conditioner, wetted }: Pick<Recipe, 'sandTo' | 'conditioner' | 'wetted'>,
  end = false,
): number {
  const steps = sandTo === 0 ? null : GRITS.indexOf(sandTo) - GRITS.indexOf(150);
  const sanded = steps === null ? 1.5 : steps > 0 ? 0.85 ** steps : 1.15 ** -steps;
  return sanded * (end ? 1.5 : 1) * (conditioner ? 0.75 : 1) * (wetted ? 1.2 : 1);
}

/** Longer on the wood it colours more, up to a point. */
const stayed = (minutes: number): number => (Math.min(30, Math.max(1, minutes)) / 10) ** 0.3;

/** A clear finish fills the pores: less light is scattered back. Oils yellow it as well. */
const FILLED = 0.75;
const YELLOW = 0.06;

/** Wood of a part, as it is seen bare. */
export const bareColour = (material: Material): string =>
  material === 'bought' || isSheet(material) || !isBoard(material) ? SHEET_WOOD : WOODS[speciesOf(material)];

/** The colour to expect of a treatment on a wood: `#a0522d`. An estimate. */
export function expectedColour(
  material: Material,
  { recipe, coats }: Pick<Treatment, 'recipe' | 'coats'>,
  end = false,
): string {
  let now = opticsOf(bareColour(material), 1);
  const takes = uptake(recipe, end);
  for (const { product, mix, leave } of recipe.colours) {
    const parts = mix.reduce((sum, one) => sum + one.parts, 0);
    for (const one of mix)
      now = added(
        now,
        opticsOf(TONES_IN_FULL[one.tone], takes * stayed(leave) * STRENGTH[product] * (one.parts / parts)),
      );
  }
  if (recipe.coat === 'enamel' && coats > 0)
    now = added(added(now, opticsOf(TONES_IN_FULL.white, PRIMER)), opticsOf(TONES_IN_FULL[recipe.tone], PAINT * coats));
  else if (recipe.coat !== 'none' && coats > 0) {
    const { ambers } = COATS[recipe.coat];
    const filled = (of: Bands) => eachBand((band) => nth(of, band) * FILLED);
    now = { k: eachBand((band) => now.k[band] + YELLOW * ambers * nth([0, 0.4, 1.6], band)), s: filled(now.s) };
  }
  return toHex(eachBand((band) => reflected(now.k[band] / now.s[band])));
}
