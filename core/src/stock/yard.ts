import { inches, type Length } from '../length';
import type { Nominal, Sheet } from './sizes';
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

/** A sheet or panel as sold: `length` along the face grain. */
export type SheetOffer = {
  readonly id: string;
  readonly sheet: Sheet;
  readonly length: Length;
  readonly width: Length;
  readonly price: number;
  readonly inStock: boolean;
};

/** A box, bag or bottle as sold: `count` pieces or fluid ounces for `price` cents. */
export type HardwareOffer = {
  readonly id: string;
  readonly kind: HardwareKind;
  readonly size: string;
  readonly count: number;
  readonly price: number;
};

/** Cents a piece on a calendar day, `2026-11-24`, and whether it was to be had. */
export type DayPrice = { readonly day: string; readonly price: number; readonly inStock: boolean };

/** A store's price list. `tax` in percent. */
export type Yard = {
  readonly id: string;
  readonly name: string;
  readonly tax: number;
  readonly boards: readonly BoardOffer[];
  readonly sheets: readonly SheetOffer[];
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
    '4x6',
    'fir',
    '#2',
    [
      [8, 2190],
      [10, 2840],
      [12, 3412],
    ],
  ],
  [
    '6x6',
    'fir',
    '#2',
    [
      [8, 3460],
      [10, 4420],
      [12, 5310],
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

/** Price in cents of each size in inches: [long, wide, cents]. */
const SHEET_PRICES: readonly (readonly [Sheet, readonly (readonly [number, number, number])[]])[] = [
  [
    'ply 3/4',
    [
      [96, 48, 5480],
      [48, 48, 3190],
      [48, 24, 1840],
    ],
  ],
  [
    'ply 1/2',
    [
      [96, 48, 4360],
      [48, 48, 2540],
      [48, 24, 1420],
    ],
  ],
  [
    'ply 1/4',
    [
      [96, 48, 2580],
      [48, 48, 1510],
      [48, 24, 880],
    ],
  ],
  [
    'mdf 3/4',
    [
      [97, 49, 4120],
      [48, 48, 2390],
    ],
  ],
  [
    'hardboard 1/8',
    [
      [96, 48, 1490],
      [48, 24, 590],
    ],
  ],
  [
    'panel 3/4',
    [
      [36, 12, 1290],
      [48, 16, 2180],
      [48, 20, 2690],
      [60, 20, 3390],
      [72, 16, 3240],
      [72, 20, 4050],
      [72, 24, 4890],
    ],
  ],
];

/** Other things in boxes: kind, size, count, cents. */
const OTHER_HARDWARE: readonly (readonly [HardwareKind, string, number, number])[] = [
  ['clip', '', 10, 548],
  ['clip', '', 25, 1198],
  ['glue', '', 8, 518],
  ['glue', '', 16, 798],
  ['glue', '', 32, 1298],
  ['screw', '#8 1', 100, 548],
  ['screw', '#8 1 1/4', 100, 598],
  ['screw', '#8 1 1/2', 100, 648],
  ['screw', '#8 2', 100, 848],
  ['screw', '#8 2 1/2', 100, 948],
  ['screw', '#10 3', 50, 798],
  ['screw', '#10 3 1/2', 50, 898],
  ['brad', '1', 1000, 398],
  ['brad', '1 1/4', 1000, 448],
  ['brad', '1 1/2', 1000, 498],
  ['brad', '2', 1000, 598],
  ['bolt', '3/8 x 5', 2, 448],
  ['bolt', '3/8 x 7', 2, 548],
  ['bolt', '3/8 x 9', 2, 698],
  ['bolt', '3/8 x 12', 2, 898],
  ['hinge', '', 2, 498],
  ['stay', '', 1, 648],
  ['slide', '10', 1, 1098],
  ['slide', '12', 1, 1198],
  ['slide', '14', 1, 1298],
  ['slide', '16', 1, 1398],
  ['slide', '18', 1, 1498],
  ['slide', '20', 1, 1598],
  ['slide', '22', 1, 1698],
  ['shelf-pin', '', 20, 348],
  ['leg', '16', 1, 898],
  ['leg', '21', 1, 1148],
  ['leg', '28', 1, 1498],
  ['leg', '35', 1, 1898],
  ['hairpin-leg', '16', 4, 3890],
  ['hairpin-leg', '20', 4, 4290],
  ['hairpin-leg', '28', 4, 4990],
  ['pull', '', 1, 398],
  ['tile', '12', 1, 320],
  ['tile', '8', 1, 190],
  ['tile', '6', 1, 120],
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
  sheets: SHEET_PRICES.flatMap(([sheet, sizes]) =>
    sizes.map(([length, width, price]) => ({
      id: `${sheet.replace(/[ /]/g, '-')}-${width}x${length}`,
      sheet,
      length: inches(length),
      width: inches(width),
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
    ...OTHER_HARDWARE.map(([kind, size, count, price]) => ({
      id: [kind === 'clip' ? 'clips' : kind, size.replace(/[^\w]+/g, '-').replace(/^-|-$/g, ''), count]
        .filter((bit) => bit !== '')
        .join('-'),
      kind,
      size,
      count,
      price,
    })),
  ],
};

/** How the second yard's prices stand against the first's: dearer in common boards, cheaper in framing and sheets. */
const ELSEWHERE = { '1': 1.09, '2': 0.95, '4': 0.97, '6': 1.02, sheets: 0.92, hardware: 1.04 } as const;

const priced = (price: number, times: number): number => Math.round((price * times) / 2) * 2;

/** A second invented yard: it sells no 16-footers and no half sheets of MDF, and its prices are its own. */
export const SECOND_YARD: Yard = {
  ...SAMPLE_YARD,
  id: 'weir-street',
  name: 'Weir Street boards (sample)',
  boards: SAMPLE_YARD.boards
    .filter(({ feet }) => feet < 16)
    .map((offer) => ({
      ...offer,
      price: priced(offer.price, ELSEWHERE[offer.nominal.charAt(0) as keyof typeof ELSEWHERE]),
    })),
  sheets: SAMPLE_YARD.sheets
    .filter(({ sheet, width }) => sheet !== 'mdf 3/4' || width > inches(48))
    .map((offer) => ({ ...offer, price: priced(offer.price, ELSEWHERE.sheets) })),
  hardware: SAMPLE_YARD.hardware.map((offer) => ({ ...offer, price: priced(offer.price, ELSEWHERE.hardware) })),
};

/** The yards that ship with the application. */
export const SAMPLE_YARDS: readonly Yard[] = [SAMPLE_YARD, SECOND_YARD];
