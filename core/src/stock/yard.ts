import type { Nominal } from './sizes';
import type { Species } from './species';
import type { HardwareKind, PocketScrew } from './hardware';

/** One board as sold. `price` in cents a piece; `inStock` false keeps it out of every plan. */
export type BoardOffer = {
  readonly id: string;
  readonly nominal: Nominal;
  readonly feet: number;
  readonly species: Species;
  readonly grade: string;
  readonly price: number;
  readonly inStock: boolean;
};

/** A box, bag or bottle as sold: `count` pieces or fluid ounces for `price` cents. */
export type HardwareOffer = {
  readonly id: string;
  readonly kind: HardwareKind;
  readonly size: PocketScrew | '';
  readonly count: number;
  readonly price: number;
};

/** A store's price list. `tax` in percent. */
export type Yard = {
  readonly id: string;
  readonly name: string;
  readonly tax: number;
  readonly boards: readonly BoardOffer[];
  readonly hardware: readonly HardwareOffer[];
};

/** Price in cents of each length in feet: [feet, cents]. */
const BOARD_PRICES: readonly [Nominal, Species, string, readonly (readonly [number, number])[]][] = [
  [
    '2x4',
    'spf',
    '#2',
    [
      [8, 436],
      [10, 588],
      [12, 724],
      [16, 1012],
    ],
  ],
  [
    '2x6',
    'spf',
    '#2',
    [
      [8, 712],
      [10, 916],
      [12, 1098],
      [16, 1548],
    ],
  ],
  [
    '2x8',
    'spf',
    '#2',
    [
      [8, 986],
      [10, 1264],
      [12, 1522],
      [16, 2130],
    ],
  ],
  [
    '2x10',
    'spf',
    '#2',
    [
      [8, 1388],
      [10, 1790],
      [12, 2146],
      [16, 2984],
    ],
  ],
  [
    '2x12',
    'spf',
    '#2',
    [
      [8, 1794],
      [10, 2318],
      [12, 2784],
      [16, 3842],
    ],
  ],
  ['2x2', 'spf', '#2', [[8, 312]]],
  ['2x3', 'spf', '#2', [[8, 358]]],
  [
    '4x4',
    'fir',
    '#2',
    [
      [6, 988],
      [8, 1342],
      [10, 1756],
      [12, 2118],
    ],
  ],
  [
    '1x2',
    'pine',
    'common',
    [
      [6, 214],
      [8, 288],
    ],
  ],
  [
    '1x3',
    'pine',
    'common',
    [
      [6, 296],
      [8, 392],
    ],
  ],
  [
    '1x4',
    'pine',
    'common',
    [
      [4, 262],
      [6, 388],
      [8, 512],
      [10, 672],
      [12, 824],
    ],
  ],
  [
    '1x6',
    'pine',
    'common',
    [
      [4, 448],
      [6, 648],
      [8, 846],
      [10, 1106],
      [12, 1362],
    ],
  ],
  [
    '1x8',
    'pine',
    'common',
    [
      [4, 616],
      [6, 892],
      [8, 1168],
      [10, 1524],
      [12, 1878],
    ],
  ],
  [
    '1x10',
    'pine',
    'common',
    [
      [4, 838],
      [6, 1214],
      [8, 1590],
      [10, 2072],
      [12, 2540],
    ],
  ],
  [
    '1x12',
    'pine',
    'common',
    [
      [4, 1062],
      [6, 1546],
      [8, 2018],
      [10, 2640],
      [12, 3234],
    ],
  ],
];

const SCREW_BOXES: readonly (readonly [PocketScrew, number, number])[] = [
  ['1', 100, 598],
  ['1 1/4', 50, 448],
  ['1 1/4', 100, 648],
  ['1 1/4', 250, 1298],
  ['1 1/2', 50, 498],
  ['1 1/2', 100, 698],
  ['2', 50, 548],
  ['2 1/2', 50, 598],
  ['2 1/2', 100, 1098],
  ['2 1/2', 250, 1848],
];

/** The invented yard that ships with the application. Every price in it is made up. */
export const SAMPLE_YARD: Yard = {
  id: 'tansy-lane',
  name: 'Tansy Lane yard (sample)',
  tax: 6.5,
  boards: BOARD_PRICES.flatMap(([nominal, species, grade, prices]) =>
    prices.map(([feet, price]) => ({
      id: `${nominal}x${feet}`,
      nominal,
      feet,
      species,
      grade,
      price,
      inStock: true,
    })),
  ),
  hardware: [
    ...SCREW_BOXES.map(([size, count, price]) => ({
      id: `pocket-${size.replace(/[ /]/g, '-')}-${count}`,
      kind: 'pocket-screw' as const,
      size,
      count,
      price,
    })),
    { id: 'clips-10', kind: 'clip', size: '', count: 10, price: 548 },
    { id: 'clips-25', kind: 'clip', size: '', count: 25, price: 1198 },
    { id: 'glue-8', kind: 'glue', size: '', count: 8, price: 518 },
    { id: 'glue-16', kind: 'glue', size: '', count: 16, price: 798 },
    { id: 'glue-32', kind: 'glue', size: '', count: 32, price: 1298 },
  ],
};
