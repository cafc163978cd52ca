import { held, last } from '../lists';
import { inches, mm, PER_FOOT, type Length } from '../length';
import { coatedSize, inTone, TONES, WATERPROOF, type HardwareKind } from './hardware';
import { boardKey, type BoardKey, type Lumber } from './lumber';
import type { Nominal, Sheet } from './sizes';

/** One board as sold. `price` in cents a piece; `inStock` false keeps it out of every plan. */
export type BoardOffer = {
  readonly id: string;
  readonly board: BoardKey;
  readonly length: Length;
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

/**
 * The sample price lists, written short: after each size its offers, `length price` or `length width price`. Every
 * price in them is made up. Lengths of boards are feet or metres, sizes of sheets inches or millimetres, prices cents.
 */
type Short<Key extends string> = Readonly<Partial<Record<Key, string>>>;

const COMMON: Short<Nominal> = {
  '2x4': '8 436, 10 588, 12 724, 16 1012',
  '2x6': '8 712, 10 916, 12 1098, 16 1548',
  '2x8': '8 986, 10 1264, 12 1522, 16 2130',
  '2x10': '8 1388, 10 1790, 12 2146, 16 2984',
  '2x12': '8 1794, 10 2318, 12 2784, 16 3842',
  '2x2': '8 312',
  '2x3': '8 358',
  '4x4': '6 988, 8 1342, 10 1756, 12 2118',
  '4x6': '8 2190, 10 2840, 12 3412',
  '6x6': '8 3460, 10 4420, 12 5310',
  '1x2': '6 214, 8 288',
  '1x3': '6 296, 8 392',
  '1x4': '4 262, 6 388, 8 512, 10 672, 12 824',
  '1x6': '4 448, 6 648, 8 846, 10 1106, 12 1362',
  '1x8': '4 616, 6 892, 8 1168, 10 1524, 12 1878',
  '1x10': '4 838, 6 1214, 8 1590, 10 2072, 12 2540',
  '1x12': '4 1062, 6 1546, 8 2018, 10 2640, 12 3234',
  '1x5': '6 548, 8 702',
  '5/4x4': '8 938, 10 1190',
  '5/4x6': '8 1424, 10 1806, 12 2196',
  '5/4x8': '8 1958, 10 2492',
  '5/4x10': '8 2614',
  '5/4x12': '8 3248',
};

/** Lines sold by the foot at one rate: cents a foot of each size, the lengths kept, the grade. */
type Rated = {
  readonly line: Lumber;
  readonly grade: string;
  readonly lengths: readonly number[];
  readonly rates: Readonly<Partial<Record<Nominal, number>>>;
};

const BY_FOOT: readonly Rated[] = [
  {
    line: 'select',
    grade: 'select',
    lengths: [4, 6, 8],
    rates: { '1x2': 92, '1x3': 138, '1x4': 184, '1x6': 296, '1x8': 408, '1x10': 548, '1x12': 712 },
  },
  {
    line: 'poplar',
    grade: 'S4S',
    lengths: [4, 6, 8],
    rates: { '1x2': 134, '1x3': 196, '1x4': 258, '1x6': 412, '1x8': 564, '1x10': 738, '1x12': 918 },
  },
  {
    line: 'oak',
    grade: 'S4S',
    lengths: [4, 6, 8],
    rates: { '1x2': 218, '1x3': 322, '1x4': 428, '1x6': 686, '1x8': 938, '1x10': 1236, '1x12': 1542, '5/4x6': 934 },
  },
  {
    line: 'cedar',
    grade: 'appearance',
    lengths: [8, 10, 12],
    rates: { '1x4': 142, '1x6': 224, '1x8': 318, '5/4x4': 176, '5/4x6': 262, '2x4': 238, '2x6': 372, '4x4': 518 },
  },
  {
    line: 'treated',
    grade: 'ground contact',
    lengths: [8, 10, 12, 16],
    rates: {
      '5/4x6': 118,
      '2x4': 74,
      '2x6': 112,
      '2x8': 156,
      '2x10': 208,
      '2x12': 268,
      '4x4': 152,
      '4x6': 248,
      '6x6': 396,
    },
  },
];

/** The same by the metre. */
const BY_METRE_ANZ: readonly Rated[] = [
  {
    line: 'anz',
    grade: 'dressed',
    lengths: [1.8, 2.4, 3.0, 3.6, 4.2, 5.4],
    rates: {
      '1x2': 310,
      '1x3': 460,
      '1x4': 590,
      '1x6': 930,
      '1x8': 1290,
      '1x10': 1690,
      '1x12': 2080,
      '5/4x4': 840,
      '2x2': 520,
      '2x3': 660,
      '2x4': 620,
      '2x6': 960,
      '2x8': 1340,
      '2x10': 1780,
      '2x12': 2240,
      '4x4': 1560,
    },
  },
  {
    line: 'anz-treated',
    grade: 'outdoor',
    lengths: [2.4, 3.0, 3.6, 4.8],
    rates: { '1x4': 640, '1x6': 990, '5/4x4': 910, '2x4': 700, '2x6': 1080, '2x8': 1490, '4x4': 1720 },
  },
];

const BY_METRE_UK: readonly Rated[] = [
  {
    line: 'uk',
    grade: 'planed or CLS',
    lengths: [1.8, 2.4, 3.0, 3.6, 4.8],
    rates: {
      '1x2': 180,
      '1x3': 250,
      '1x4': 320,
      '1x6': 480,
      '1x8': 690,
      '1x10': 880,
      '1x12': 1340,
      '5/4x4': 470,
      '5/4x6': 690,
      '2x2': 150,
      '2x3': 210,
      '2x4': 260,
      '2x6': 410,
      '2x8': 590,
      '2x10': 820,
      '2x12': 1040,
      '4x4': 1180,
    },
  },
  {
    line: 'uk-treated',
    grade: 'outdoor',
    lengths: [2.4, 3.0, 3.6, 4.8],
    rates: { '1x4': 340, '1x6': 510, '2x3': 230, '2x4': 290, '2x6': 450, '2x8': 640, '4x4': 1240 },
  },
];

const SHEET_PRICES: Short<Sheet> = {
  'exterior ply 3/4': '96 48 6240, 48 48 3680, 48 24 2120',
  'exterior ply 1/2': '96 48 4980, 48 48 2960',
  'ply 3/4': '96 48 5480, 48 48 3190, 48 24 1840',
  'ply 1/2': '96 48 4360, 48 48 2540, 48 24 1420',
  'ply 1/4': '96 48 2580, 48 48 1510, 48 24 880',
  'mdf 3/4': '97 49 4120, 48 48 2390',
  'hardboard 1/8': '96 48 1490, 48 24 590',
  'panel 3/4': '36 12 1290, 48 16 2180, 48 20 2690, 60 20 3390, 72 16 3240, 72 20 4050, 72 24 4890',
  'hardwood ply 3/4': '96 48 8640, 48 48 4980',
  'mdf 1/2': '97 49 3180',
};

const METRIC_SHEETS: Short<Sheet> = {
  'exterior ply 18': '2400 1200 10400, 1200 1200 5900, 1200 600 3400',
  'exterior ply 12': '2400 1200 7900, 1200 1200 4600',
  'ply 18': '2400 1200 8900, 1200 1200 5100, 1200 600 2900',
  'ply 12': '2400 1200 6800, 1200 1200 3900, 1200 600 2200',
  'ply 6': '2400 1200 4200, 1200 600 1400',
  'hardwood ply 18': '2400 1200 13200',
  'mdf 18': '2400 1200 5600, 1200 600 1900',
  'mdf 12': '2400 1200 4300',
  'hardboard 3': '2440 1220 1900, 1220 610 700',
  'panel 18': '1200 300 1850, 1200 400 2450, 1800 400 3600, 1800 600 5300, 2400 600 6900',
};

/** Things in boxes: before a colon the size, then `count price` of each box. */
const BOXES: Readonly<Partial<Record<HardwareKind, string>>> = {
  'pocket-screw':
    '1: 100 598; 1 1/4: 50 448, 100 648, 250 1298; 1 1/2: 50 498, 100 698; 2: 50 548; 2 1/2: 50 598, 100 1098, 250 1848; 1 fine: 100 648; 1 1/4 fine: 50 498, 100 698; 1 1/2 fine: 50 548, 100 748; 2 fine: 50 598; 2 1/2 fine: 50 648, 100 1148',
  clip: '10 548, 25 1198',
  glue: '8 518, 16 798, 32 1298',
  screw:
    '#8 1: 100 548; #8 1 1/4: 100 598; #8 1 1/2: 100 648; #8 2: 100 848; #8 2 1/2: 100 948; #10 3: 50 798; #10 3 1/2: 50 898',
  brad: '1: 1000 398; 1 1/4: 1000 448; 1 1/2: 1000 498; 2: 1000 598',
  bolt: '3/8 x 3: 2 348; 3/8 x 3 1/2: 2 378; 3/8 x 4: 2 398; 3/8 x 4 1/2: 2 428; 3/8 x 5: 2 448; 3/8 x 5 1/2: 2 478; 3/8 x 6: 2 498; 3/8 x 7: 2 548; 3/8 x 8: 2 628; 3/8 x 9: 2 698; 3/8 x 10: 2 778; 3/8 x 12: 2 898',
  lag: '1/4 x 2: 4 218; 1/4 x 3: 4 278; 5/16 x 3 1/2: 4 398; 5/16 x 5: 4 518; 3/8 x 6: 2 418',
  insert: '1/4-20 x 1 1/2: 4 548; 1/4-20 x 2 1/2: 4 598; 1/4-20 x 4: 4 698',
  dowel: '1/4 x 1: 50 298; 3/8 x 1 1/2: 50 398; 3/8 x 2: 50 448; 1/2 x 2: 30 428; 1/2 x 2 1/2: 30 468',
  biscuit: '#20: 50 498; #0: 50 448',
  tenon: '1/4 x 3/4 x 1 1/2: 20 548; 5/16 x 1 x 2: 20 698; 1/2 x 1 1/4 x 2 1/2: 20 948',
  plug: '3/8: 20 328, 50 598; 1/2: 20 378',
  'pocket-plug': '3/8: 50 698',
  hinge: '2 498',
  'long-hinge': '12: 1 598; 24: 1 898; 30: 1 1098; 36: 1 1298; 48: 1 1698; 72: 1 2398',
  stay: '6: 1 548; 10: 1 648',
  catch: '2 398',
  slide: '10: 1 1098; 12: 1 1198; 14: 1 1298; 16: 1 1398; 18: 1 1498; 20: 1 1598; 22: 1 1698',
  'shelf-pin': '20 348',
  leg: '4: 1 498; 6: 1 548; 8: 1 648; 16: 1 898; 21: 1 1148; 28: 1 1498; 35: 1 1898',
  'hairpin-leg': '8: 4 3290; 16: 4 3890; 20: 4 4290; 28: 4 4990',
  'folding-bracket': '2 1298',
  pull: '1 398',
  leveller: '4 798',
  tile: '12: 1 320; 8: 1 190; 6: 1 120',
  'tile-adhesive': '32 1098, 128 2798',
  'tile-spacer':
    '1/16: 200 448; 1/8: 200 448; 3/16: 150 448; 1/4: 150 498; 2 mm: 200 448; 3 mm: 200 448; 5 mm: 150 448',
  grout: '32 1198, 128 3198',
  sealant: '10 898',
  'tile-tool': 'notched trowel 3/16: 1 598; notched trowel 1/4: 1 648; rubber float: 1 898; sponge: 1 348',
  disc: '36: 5 448; 60: 5 428; 80: 5 398, 15 898; 120: 5 398, 15 898; 150: 5 398, 15 898; 180: 5 398, 15 898; 220: 5 398, 15 898; 320: 5 448, 15 998; 400: 5 498',
  paper: '80: 6 348; 120: 6 348; 150: 6 348; 180: 6 348; 220: 6 348; 320: 6 378; 400: 6 398',
  filler: 'stainable: 4 498, 16 998; paintable: 10 448',
  belt: '60: 2 598, 5 1298',
  'thin-glue': '1 798, 2 1198',
  caulk: '10 398',
  brush: 'oil: 1 898; water: 1 798',
  roller: '3 548',
  rag: '10 498, 50 1698',
  tape: '1 398, 3 998',
  glove: '10 498',
  cartridge: '1 1698',
  'lead-test': '2 998',
  stain: 'conditioner: 8 798, 32 1298',
  finish:
    'oil polyurethane: 8 998, 32 2198, 128 5998; water polyurethane: 8 1198, 32 2598, 128 7298; wipe-on polyurethane: 16 1498, 32 2398; hard-wax oil: 13 3298, 32 6898; penetrating oil: 16 1398, 32 2298; exterior urethane: 32 2898, 128 8498; primer: 32 1398, 128 3398; stripper: 32 1998',
};

const plainId = (text: string): string => text.replace(/[^\w]+/g, '-').replace(/^-|-$/g, '');
const rowsOf = (text: string): readonly (readonly [number, number, number])[] =>
  text.split(', ').map((bit) => bit.split(' ').map(Number) as [number, number, number]);

const boardOffer = (line: Lumber, nominal: Nominal, length: Length, shown: number, grade: string, price: number) => ({
  id: `${boardKey(line, nominal).replace(/[ /]/g, '-')}x${shown}`,
  board: boardKey(line, nominal),
  length,
  grade,
  price,
  inStock: true,
});

const common: readonly BoardOffer[] = Object.entries(COMMON).flatMap(([size, text]) =>
  rowsOf(text).map(([feet, price]) => {
    const nominal = size as Nominal;
    const grade = nominal.startsWith('1x') || nominal.startsWith('5/4') ? 'common' : '#2';
    return boardOffer('common', nominal, feet * PER_FOOT, feet, grade, price);
  }),
);

const rated = (rows: readonly Rated[], to: (value: number) => Length): readonly BoardOffer[] =>
  rows.flatMap(({ line, grade, lengths, rates }) =>
    Object.entries(rates).flatMap(([nominal, rate]) =>
      lengths.map((length) =>
        boardOffer(line, nominal as Nominal, to(length), length, grade, 2 * Math.round((rate * length) / 2)),
      ),
    ),
  );

const sheetsOf = (prices: Short<Sheet>, to: (value: number) => Length): readonly SheetOffer[] =>
  Object.entries(prices).flatMap(([sheet, text]) =>
    rowsOf(text).map(([length, width, price]) => ({
      id: `${plainId(sheet)}-${width}x${length}`,
      sheet: sheet as Sheet,
      length: to(length),
      width: to(width),
      price,
      inStock: true,
    })),
  );

const priced = (price: number, times: number): number => Math.round((price * times) / 2) * 2;

/** What is coated, and glue that is waterproof, cost so much more. */
const WEATHER = 1.4;

/** What is sold in every colour: boxes as above. */
const IN_TONES: readonly (readonly [HardwareKind, Parameters<typeof inTone>[0], string])[] = [
  ['stain', 'oil stain', '8 648, 32 1398'],
  ['stain', 'water stain', '8 748, 32 1598'],
  ['stain', 'gel stain', '8 898, 32 1798'],
  ['finish', 'enamel', '8 898, 32 1998, 128 4898'],
];
const toned = IN_TONES.map(([kind, product, boxes]): readonly [string, string] => [
  kind,
  TONES.map((tone) => `${inTone(product, tone)}: ${boxes}`).join('; '),
]);

const plainHardware: readonly HardwareOffer[] = [...Object.entries(BOXES), ...toned].flatMap(([kind, text]) =>
  text.split('; ').flatMap((row) => {
    const [size, boxes] = row.includes(': ') ? (row.split(': ') as [string, string]) : ['', row];
    const name = kind === 'clip' ? 'clips' : kind === 'pocket-screw' ? 'pocket' : kind;
    return rowsOf(boxes).map(([count, price]) => ({
      id: [name, plainId(size), `${count}`].filter((bit) => bit !== '').join('-'),
      kind: kind as HardwareKind,
      size,
      count,
      price,
    }));
  }),
);

/** For outside: every fastener that is kept coated, and the glue. */
const weathered: readonly HardwareOffer[] = plainHardware.flatMap((offer) => {
  const size = offer.kind === 'glue' ? WATERPROOF : coatedSize(offer.kind, offer.size);
  return size === offer.size
    ? []
    : [
        {
          ...offer,
          id: `${offer.id}-${plainId(size.slice(offer.size.length))}`,
          size,
          price: priced(offer.price, WEATHER),
        },
      ];
});
const hardware = [...plainHardware, ...weathered];

/** The invented yard that ships with the application. Every price in it is made up. */
export const SAMPLE_YARD: Yard = {
  id: 'tansy-lane',
  name: 'Tansy Lane yard (sample)',
  tax: 6.5,
  boards: [...common, ...rated(BY_FOOT, (feet) => feet * PER_FOOT)],
  sheets: sheetsOf(SHEET_PRICES, inches),
  hardware,
};

/** How the second yard's prices stand against the first's: dearer in common boards, cheaper in framing and sheets. */
const ELSEWHERE = new Map([
  ['1', 1.09],
  ['5', 1.04],
  ['2', 0.95],
  ['4', 0.97],
  ['6', 1.02],
]);
const SHEETS_ELSEWHERE = 0.92;
const HARDWARE_ELSEWHERE = 1.04;

/** A second invented yard: no 16-footers, no hardwood, no half sheets of MDF, and its prices are its own. */
export const SECOND_YARD: Yard = {
  ...SAMPLE_YARD,
  id: 'weir-street',
  name: 'Weir Street boards (sample)',
  tax: 5.5,
  boards: SAMPLE_YARD.boards
    .filter(({ board, length }) => length < 16 * PER_FOOT && !/^(oak|poplar) /.test(board))
    .map((offer) => ({
      ...offer,
      price: priced(offer.price, held(ELSEWHERE, last(offer.board.split(' ')).charAt(0))),
    })),
  sheets: SAMPLE_YARD.sheets
    .filter(({ sheet, width }) => !sheet.startsWith('mdf') || width > inches(48))
    .map((offer) => ({ ...offer, price: priced(offer.price, SHEETS_ELSEWHERE) })),
  hardware: SAMPLE_YARD.hardware.map((offer) => ({ ...offer, price: priced(offer.price, HARDWARE_ELSEWHERE) })),
};

/** Two invented yards that sell by the metre. */
export const METRIC_YARDS: readonly Yard[] = [
  {
    id: 'fern-gully',
    name: 'Fern Gully timber, metric (sample)',
    tax: 10,
    boards: rated(BY_METRE_ANZ, (metres) => mm(metres * 1000)),
    sheets: sheetsOf(METRIC_SHEETS, mm),
    hardware: hardware.map((offer) => ({ ...offer, price: priced(offer.price, 1.5) })),
  },
  {
    id: 'mill-race',
    name: 'Mill Race timber, metric (sample)',
    tax: 20,
    boards: rated(BY_METRE_UK, (metres) => mm(metres * 1000)),
    sheets: sheetsOf(METRIC_SHEETS, mm).map((offer) => ({ ...offer, price: priced(offer.price, 0.55) })),
    hardware: hardware.map((offer) => ({ ...offer, price: priced(offer.price, 0.8) })),
  },
];

/** The yards that ship with the application. */
export const SAMPLE_YARDS: readonly Yard[] = [SAMPLE_YARD, SECOND_YARD, ...METRIC_YARDS];
