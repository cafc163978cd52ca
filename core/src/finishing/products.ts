import type { HardwareKind } from '../stock';
import type { Coat, ColourName, Recipe } from '../job';

/** What a product is thinned and cleaned with: it decides what may go over what. */
type Base = 'oil' | 'water';

/** What is put on: of what, how far a quart goes, and in what time. The label in hand comes first. */
export type Product = {
  readonly base: Base;
  /** Square feet a quart goes in one coat. */
  readonly coverage: number;
  /** Hours before the next of the same, and after which it must be sanded before the next; null where it never is. */
  readonly hours: number;
  readonly window: number | null;
  /** Hours before it is handled, used lightly, and has cured. */
  readonly handled: number;
  readonly use: number;
  readonly cured: number;
  /** Least degrees F, most degrees F, most percent of humidity in the shop. */
  readonly air: readonly [cold: number, hot: number, damp: number];
  /** Put on and wiped off again, after so many minutes; null where it is left. */
  readonly wipe: number | null;
  /** Months that an opened can keeps. */
  readonly keeps: number;
};

type Covering = Product & {
  /** Usual coats. */
  readonly coats: number;
  /** Grit between coats; 0 where none is sanded inside its window. */
  readonly between: number;
  readonly outdoors: boolean;
  /** Degrees of yellow that it gives, 0 to 1. */
  readonly ambers: number;
};

/** Most finishes go on and dry within this: between 55 and 90 F, under 80 % of humidity. */
const USUAL: Product['air'] = [55, 90, 80];
/** What is thinned with water dries badly in damp air. */
const DRY: Product['air'] = [55, 90, 70];

/**
 * Clear coats and paint. Rounded from common product sheets: they are typical, and a label wins.
 */
export const COATS: Readonly<Record<Coat, Covering>> = {
  'oil polyurethane': {
    base: 'oil',
    coverage: 125,
    hours: 12,
    window: 36,
    handled: 24,
    use: 72,
    cured: 168,
    air: USUAL,
    wipe: null,
    keeps: 12,
    coats: 3,
    between: 220,
    outdoors: false,
    ambers: 0.5,
  },
  'water polyurethane': {
    base: 'water',
    coverage: 125,
    hours: 2,
    window: 24,
    handled: 6,
    use: 24,
    cured: 504,
    air: DRY,
    wipe: null,
    keeps: 12,
    coats: 3,
    between: 220,
    outdoors: false,
    ambers: 0.05,
  },
  'wipe-on polyurethane': {
    base: 'oil',
    coverage: 125,
    hours: 3,
    window: 24,
    handled: 12,
    use: 24,
    cured: 168,
    air: USUAL,
    wipe: null,
    keeps: 12,
    coats: 5,
    between: 320,
    outdoors: false,
    ambers: 0.4,
  },
  'hard-wax oil': {
    base: 'oil',
    coverage: 250,
    hours: 10,
    window: 24,
    handled: 24,
    use: 24,
    cured: 120,
    air: USUAL,
    wipe: 10,
    keeps: 24,
    coats: 2,
    between: 0,
    outdoors: false,
    ambers: 0.3,
  },
  'penetrating oil': {
    base: 'oil',
    coverage: 125,
    hours: 0.5,
    window: null,
    handled: 24,
    use: 96,
    cured: 120,
    air: USUAL,
    wipe: 15,
    keeps: 24,
    coats: 2,
    between: 0,
    outdoors: false,
    ambers: 0.4,
  },
  'exterior urethane': {
    base: 'water',
    coverage: 125,
    hours: 3,
    window: 24,
    handled: 6,
    use: 24,
    cured: 336,
    air: DRY,
    wipe: null,
    keeps: 12,
    coats: 3,
    between: 220,
    outdoors: true,
    ambers: 0.1,
  },
  enamel: {
    base: 'water',
    coverage: 100,
    hours: 3,
    window: 36,
    handled: 6,
    use: 24,
    cured: 168,
    air: DRY,
    wipe: null,
    keeps: 24,
    coats: 2,
    between: 220,
    outdoors: true,
    ambers: 0,
  },
};

/** What goes on below the coats, rounded like the rest. */
export const UNDER: Readonly<Record<ColourName | 'conditioner' | 'primer', Product>> = {
  'oil stain': {
    base: 'oil',
    coverage: 125,
    hours: 24,
    window: null,
    handled: 24,
    use: 24,
    cured: 72,
    air: USUAL,
    wipe: 10,
    keeps: 24,
  },
  'water stain': {
    base: 'water',
    coverage: 150,
    hours: 3,
    window: null,
    handled: 3,
    use: 3,
    cured: 24,
    air: DRY,
    wipe: 3,
    keeps: 24,
  },
  'gel stain': {
    base: 'oil',
    coverage: 125,
    hours: 24,
    window: null,
    handled: 24,
    use: 24,
    cured: 72,
    air: USUAL,
    wipe: 3,
    keeps: 12,
  },
  // Paint thinned by half goes twice as far.
  wash: {
    base: 'water',
    coverage: 200,
    hours: 3,
    window: null,
    handled: 3,
    use: 24,
    cured: 168,
    air: DRY,
    wipe: 2,
    keeps: 0,
  },
  conditioner: {
    base: 'oil',
    coverage: 125,
    hours: 0.25,
    window: null,
    handled: 1,
    use: 1,
    cured: 2,
    air: USUAL,
    wipe: 10,
    keeps: 24,
  },
  primer: {
    base: 'water',
    coverage: 100,
    hours: 2,
    window: null,
    handled: 2,
    use: 24,
    cured: 168,
    air: DRY,
    wipe: null,
    keeps: 24,
  },
};

/** Months that what is left of glue, filler, caulk and what tiles are set with keeps. */
const KEPT_SO: Readonly<Partial<Record<HardwareKind, number>>> = {
  glue: 24,
  'thin-glue': 12,
  filler: 12,
  caulk: 12,
  'tile-adhesive': 12,
  grout: 12,
  sealant: 3,
};

/** Months that what is left in a can keeps, lid tight and away from frost; 0 for what is mixed for the day. */
export function keepsFor(kind: HardwareKind, size: string): number {
  const named = ([name]: readonly [string, Product]) => size.startsWith(name);
  const product = Object.entries(COATS).find(named) ?? Object.entries(UNDER).find(named);
  return product?.[1].keeps ?? KEPT_SO[kind] ?? 0;
}

/** Hours before a coat may go over a colour: oil under water must be dry through. */
export function waitOver(colour: ColourName, coat: Coat): number {
  const under = UNDER[colour];
  return under.base === 'oil' ? (COATS[coat].base === 'water' ? 48 : 24) : under.hours;
}

export const OUNCES_A_QUART = 32;

/** What each way to put it on loses: on the tool, in the tray, past the edge. */
export const LOSS: Readonly<Record<Recipe['by'], number>> = { brush: 1.1, wipe: 1.1, roller: 1.15, spray: 1.4 };
/** End grain drinks the first coat: so many times as much. */
export const END_GRAIN = 2;
/** Wood sanded no finer than this takes more of the first coat. */
export const [ROUGH_GRIT, ROUGH] = [120, 1.15] as const;
