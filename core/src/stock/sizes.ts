import { inches, type Length } from '../length';

/** Nominal thickness names as sold: 1x, 2x, 4x, 6x. */
export type Thickness = '1x' | '2x' | '4x' | '6x';

/** Every nominal board this program can buy, thickness by width. */
export const NOMINALS = [
  '1x2',
  '1x3',
  '1x4',
  '1x6',
  '1x8',
  '1x10',
  '1x12',
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

/** Dry dressed thickness, American Softwood Lumber Standard PS 20. */
const THICKNESS: Record<string, number> = { '1': 3 / 4, '2': 3 / 2, '4': 7 / 2, '6': 11 / 2 };
/** Dry dressed width, American Softwood Lumber Standard PS 20. */
const WIDTH: Record<string, number> = {
  '2': 1.5,
  '3': 2.5,
  '4': 3.5,
  '6': 5.5,
  '8': 7.25,
  '10': 9.25,
  '12': 11.25,
};

/** Actual width and thickness of a nominal board: a 2x6 measures 1 1/2 by 5 1/2. Source: PS 20. */
export function dressed(nominal: Nominal): { readonly width: Length; readonly thickness: Length } {
  const [thick, wide] = nominal.split('x') as [string, string];
  return { thickness: inches(THICKNESS[thick]!), width: inches(WIDTH[wide]!) };
}

export const thicknessOf = (nominal: Nominal): Thickness => `${nominal.split('x')[0]}x` as Thickness;

/** The nominal widths a top can be joined from, narrow first. */
export const topNominals = (thickness: '1x' | '2x'): readonly Nominal[] =>
  NOMINALS.filter((nominal) => thicknessOf(nominal) === thickness && dressed(nominal).width >= inches(3.5));

/** Board feet of a board so long: nominal inches of thickness by width by feet, over twelve. */
export function boardFeet(nominal: Nominal, feet: number): number {
  const [thick, wide] = nominal.split('x').map(Number) as [number, number];
  return (thick * wide * feet) / 12;
}

/** Sheets and edge-glued panels as sold: true thickness and weight in lb per cubic foot. */
export const SHEETS = {
  'ply 3/4': { name: '3/4 plywood', inches: 23 / 32, density: 36, modulus: 1.2e6 },
  'ply 1/2': { name: '1/2 plywood', inches: 15 / 32, density: 36, modulus: 1.2e6 },
  'ply 1/4': { name: '1/4 plywood', inches: 7 / 32, density: 36, modulus: 1.2e6 },
  'mdf 3/4': { name: '3/4 MDF', inches: 3 / 4, density: 47, modulus: 0.5e6 },
  'hardboard 1/8': { name: '1/8 hardboard', inches: 1 / 8, density: 47, modulus: 0.5e6 },
  'panel 3/4': { name: '3/4 edge-glued panel', inches: 3 / 4, density: 28, modulus: 1.29e6 },
} as const;
export type Sheet = keyof typeof SHEETS;
export const SHEET_NAMES = Object.keys(SHEETS) as Sheet[];

/** What a part is made from: a nominal board, a sheet, or a thing bought as it is. */
export type Material = Nominal | Sheet | 'bought';
export const isSheet = (material: Material): material is Sheet => material in SHEETS;
export const isBoard = (material: Material): material is Nominal => (NOMINALS as readonly string[]).includes(material);

/** True thickness of a board or sheet as sold. */
export const thicknessAsSold = (material: Nominal | Sheet): Length =>
  isSheet(material) ? inches(SHEETS[material].inches) : dressed(material).thickness;

/** How a material is written for people: 2×6, 3/4 plywood. */
export const printMaterial = (material: Material): string =>
  material === 'bought' ? 'bought' : isSheet(material) ? SHEETS[material].name : printNominal(material);

/** How a nominal is written for people: 2×6. */
export const printNominal = (nominal: Nominal): string => nominal.replace('x', '×');
