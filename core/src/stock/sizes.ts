import { inches, mm, type Length } from '../length';

/**
 * Every nominal board, thickness by width. A family names the boards it is made of by these: each line of boards says
 * what a 2x4 is in it. 5/4 is said five quarter.
 */
export const NOMINALS = [
  '1x2',
  '1x3',
  '1x4',
  '1x5',
  '1x6',
  '1x8',
  '1x10',
  '1x12',
  '5/4x4',
  '5/4x6',
  '5/4x8',
  '5/4x10',
  '5/4x12',
  '2x2',
  '2x3',
  '2x4',
  '2x6',
  '2x8',
  '2x10',
  '2x12',
  '4x4',
  '4x6',
  '6x6',
] as const;
export type Nominal = (typeof NOMINALS)[number];

/** Nominal thickness names as sold. */
export type Thickness = '1x' | '5/4x' | '2x' | '4x' | '6x';
type Thick = '1' | '5/4' | '2' | '4' | '6';
type Wide = '2' | '3' | '4' | '5' | '6' | '8' | '10' | '12';

export type Dressed = { readonly width: Length; readonly thickness: Length };

const split = (nominal: Nominal): readonly [Thick, Wide] => nominal.split('x') as [Thick, Wide];

/** What the nominal sizes measure in one region's standard. */
type Standard = Readonly<Record<Nominal, Dressed>>;

const standard = (
  to: (value: number) => Length,
  thick: Readonly<Record<Thick, number>>,
  wide: Readonly<Record<Wide, number>>,
  apart: Partial<Record<Nominal, readonly [thickness: number, width: number]>> = {},
): Standard =>
  Object.fromEntries(
    NOMINALS.map((nominal) => {
      const [t, w] = apart[nominal] ?? [thick[split(nominal)[0]], wide[split(nominal)[1]]];
      return [nominal, { thickness: to(t), width: to(w) }];
    }),
  ) as Standard;

/**
 * Dry dressed softwood of the United States. Source: American Softwood Lumber Standard PS 20. Hardwood boards surfaced
 * on four sides are sold to the same figures.
 */
const US = standard(
  inches,
  { '1': 3 / 4, '5/4': 1, '2': 3 / 2, '4': 7 / 2, '6': 11 / 2 },
  { '2': 1.5, '3': 2.5, '4': 3.5, '5': 4.5, '6': 5.5, '8': 7.25, '10': 9.25, '12': 11.25 },
);

/**
 * Dressed pine of Australia and New Zealand: 19, 35 and 45 mm thick; 42, 66, 90, 140, 190, 240 and 290 wide; posts 90.
 * No list sells a five-inch board: it is taken half way.
 */
const ANZ = standard(
  mm,
  { '1': 19, '5/4': 35, '2': 45, '4': 90, '6': 140 },
  { '2': 42, '3': 66, '4': 90, '5': 115, '6': 140, '8': 190, '10': 240, '12': 290 },
);

/**
 * The United Kingdom: thin boards are planed square edge out of 25 and 38 (20.5 and 33 mm thick, a width 6 mm less than
 * sawn); two-inch boards are CLS, 38 thick; posts are planed out of 100 and 150.
 */
const UK = standard(
  mm,
  { '1': 20.5, '5/4': 33, '2': 38, '4': 94, '6': 144 },
  { '2': 44, '3': 69, '4': 94, '5': 119, '6': 144, '8': 194, '10': 219, '12': 294 },
  {
    '2x2': [38, 38],
    '2x3': [38, 63],
    '2x4': [38, 89],
    '2x6': [38, 140],
    '2x8': [38, 184],
    '2x10': [38, 235],
    '2x12': [38, 285],
  },
);

export const STANDARDS = { us: US, anz: ANZ, uk: UK } as const;
export type Region = keyof typeof STANDARDS;

export const thicknessOf = (nominal: Nominal): Thickness => `${split(nominal)[0]}x`;

/** The nominal widths a top can be joined from, narrow first: 3 1/2 in and up, and not the odd five-inch board. */
export const topNominals = (thickness: '1x' | '5/4x' | '2x'): readonly Nominal[] =>
  NOMINALS.filter(
    (nominal) =>
      thicknessOf(nominal) === thickness && !nominal.endsWith('x5') && US[nominal].width >= STANDARDS.us['2x4'].width,
  );

/** Board feet of a board so long: nominal inches of thickness by width by feet, over twelve. */
export function boardFeet(nominal: Nominal, feet: number): number {
  const [thick, wide] = split(nominal);
  return ((thick === '5/4' ? 5 / 4 : Number(thick)) * Number(wide) * feet) / 12;
}

const DENSITY = { ply: 36, hardwood: 42, mdf: 47, pine: 28 } as const;
const PLY = { density: DENSITY.ply, modulus: 1.2e6 };
const HARD_PLY = { density: DENSITY.hardwood, modulus: 1.2e6 };
const FIBRE = { density: DENSITY.mdf, modulus: 0.5e6 };
const EDGE_GLUED = { density: DENSITY.pine, modulus: 1.29e6 };

/**
 * Sheets and edge-glued panels as sold: true thickness, weight in lb per cubic foot, stiffness along the face grain in
 * psi. Inch plywood is thinner than its name; metric sheets are what they say.
 */
export const SHEETS = {
  'ply 3/4': { name: '3/4 plywood', thickness: inches(23 / 32), ...PLY },
  'ply 1/2': { name: '1/2 plywood', thickness: inches(15 / 32), ...PLY },
  'ply 1/4': { name: '1/4 plywood', thickness: inches(7 / 32), ...PLY },
  'hardwood ply 3/4': { name: '3/4 hardwood plywood', thickness: inches(23 / 32), ...HARD_PLY },
  'mdf 3/4': { name: '3/4 MDF', thickness: inches(3 / 4), ...FIBRE },
  'mdf 1/2': { name: '1/2 MDF', thickness: inches(1 / 2), ...FIBRE },
  'hardboard 1/8': { name: '1/8 hardboard', thickness: inches(1 / 8), ...FIBRE },
  'panel 3/4': { name: '3/4 edge-glued panel', thickness: inches(3 / 4), ...EDGE_GLUED },
  // Sold nowhere: as thick as it is measured.
  'panel found': { name: 'found panel', thickness: inches(3 / 4), ...EDGE_GLUED },
  'exterior ply 3/4': { name: '3/4 exterior plywood', thickness: inches(23 / 32), ...PLY },
  'exterior ply 1/2': { name: '1/2 exterior plywood', thickness: inches(15 / 32), ...PLY },
  'ply 18': { name: '18 mm plywood', thickness: mm(18), ...PLY },
  'ply 12': { name: '12 mm plywood', thickness: mm(12), ...PLY },
  'ply 6': { name: '6 mm plywood', thickness: mm(6), ...PLY },
  'exterior ply 18': { name: '18 mm exterior plywood', thickness: mm(18), ...PLY },
  'exterior ply 12': { name: '12 mm exterior plywood', thickness: mm(12), ...PLY },
  'hardwood ply 18': { name: '18 mm hardwood plywood', thickness: mm(18), ...HARD_PLY },
  'mdf 18': { name: '18 mm MDF', thickness: mm(18), ...FIBRE },
  'mdf 12': { name: '12 mm MDF', thickness: mm(12), ...FIBRE },
  'hardboard 3': { name: '3 mm hardboard', thickness: mm(3), ...FIBRE },
  'panel 18': { name: '18 mm edge-glued panel', thickness: mm(18), ...EDGE_GLUED },
} as const;
export type Sheet = keyof typeof SHEETS;
export const SHEET_NAMES = Object.keys(SHEETS) as Sheet[];

/** What stands for an inch sheet where sheets are metric. */
export const METRIC_SHEET: Partial<Record<Sheet, Sheet>> = {
  'ply 3/4': 'ply 18',
  'ply 1/2': 'ply 12',
  'ply 1/4': 'ply 6',
  'hardwood ply 3/4': 'hardwood ply 18',
  'mdf 3/4': 'mdf 18',
  'mdf 1/2': 'mdf 12',
  'hardboard 1/8': 'hardboard 3',
  'panel 3/4': 'panel 18',
  'exterior ply 3/4': 'exterior ply 18',
  'exterior ply 1/2': 'exterior ply 12',
};
/** What stands for a sheet where a piece stands outside. */
export const EXTERIOR: Partial<Record<string, Sheet>> = {
  'ply 3/4': 'exterior ply 3/4',
  'ply 1/2': 'exterior ply 1/2',
  'ply 18': 'exterior ply 18',
  'ply 12': 'exterior ply 12',
};
export const isMetric = (sheet: Sheet): boolean => Object.values(METRIC_SHEET).includes(sheet);
