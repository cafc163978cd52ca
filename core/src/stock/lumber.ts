import { toMm, type Length } from '../length';
import { SPECIES, type Species } from './species';
import {
  METRIC_SHEET,
  NOMINALS,
  SHEETS,
  SHEET_NAMES,
  STANDARDS,
  thicknessOf,
  type Dressed,
  type Nominal,
  type Region,
  type Sheet,
  type Thickness,
} from './sizes';

type LumberOf = {
  readonly name: string;
  /** Said behind a size: 1×6 red oak. Empty where a size alone says enough. */
  readonly suffix: string;
  readonly region: Region;
  /** The wood of each thickness. */
  readonly woods: Readonly<Record<Thickness, Species>>;
  /** Soaked against rot: not for food, fires, or plain steel screws. */
  readonly treated?: true;
  /** Lasts outdoors by itself. */
  readonly durable?: true;
  /** Edges are milled nearly square. */
  readonly squareEdges?: true;
};

const all = (wood: Species): LumberOf['woods'] => ({ '1x': wood, '5/4x': wood, '2x': wood, '4x': wood, '6x': wood });

/** What a piece can be made of: a line of boards that a store keeps, with the sizes and the wood of each. */
export const LUMBER = {
  common: {
    name: 'Common boards and framing',
    suffix: '',
    region: 'us',
    woods: { '1x': 'pine', '5/4x': 'pine', '2x': 'spf', '4x': 'fir', '6x': 'fir' },
  },
  select: { name: 'Select pine', suffix: 'select pine', region: 'us', woods: all('white pine'), squareEdges: true },
  poplar: { name: 'Poplar boards', suffix: 'poplar', region: 'us', woods: all('poplar'), squareEdges: true },
  oak: { name: 'Red oak boards', suffix: 'red oak', region: 'us', woods: all('red oak'), squareEdges: true },
  cedar: { name: 'Western redcedar', suffix: 'cedar', region: 'us', woods: all('cedar'), durable: true },
  treated: {
    name: 'Treated southern pine',
    suffix: 'treated',
    region: 'us',
    woods: all('southern pine'),
    treated: true,
    durable: true,
  },
  anz: { name: 'Dressed pine, Australia and New Zealand', suffix: 'pine', region: 'anz', woods: all('radiata') },
  'anz-treated': {
    name: 'Treated pine, Australia and New Zealand',
    suffix: 'treated',
    region: 'anz',
    woods: all('radiata'),
    treated: true,
    durable: true,
  },
  uk: { name: 'Planed redwood and CLS, United Kingdom', suffix: 'softwood', region: 'uk', woods: all('redwood') },
  'uk-treated': {
    name: 'Treated softwood, United Kingdom',
    suffix: 'treated',
    region: 'uk',
    woods: all('redwood'),
    treated: true,
    durable: true,
  },
} as const satisfies Record<string, LumberOf>;
export type Lumber = keyof typeof LUMBER;
export const LUMBER_NAMES = Object.keys(LUMBER) as Lumber[];
type OtherLumber = Exclude<Lumber, 'common'>;

/** A board that a store keeps: a nominal size of a line. One of the common line goes by its size alone. */
export type BoardKey = Nominal | `${OtherLumber} ${Nominal}`;
export const boardKey = (line: Lumber, nominal: Nominal): BoardKey =>
  line === 'common' ? nominal : `${line} ${nominal}`;
export const BOARD_KEYS: readonly BoardKey[] = LUMBER_NAMES.flatMap((line) =>
  NOMINALS.map((nominal) => boardKey(line, nominal)),
);

/** What a part is made from: a board, a sheet, or a thing bought as it is. */
export type Stocked = BoardKey | Sheet;
export type Material = Stocked | 'bought';

const BOARDS: ReadonlySet<string> = new Set(BOARD_KEYS);
export const isSheet = (material: string): material is Sheet => material in SHEETS;
export const isBoard = (material: string): material is BoardKey => BOARDS.has(material);
export const STOCKED: readonly Stocked[] = [...BOARD_KEYS, ...SHEET_NAMES];

export const nominalOf = (board: BoardKey): Nominal => board.slice(board.indexOf(' ') + 1) as Nominal;
export const lumberOf = (board: BoardKey): Lumber =>
  board.includes(' ') ? (board.slice(0, board.indexOf(' ')) as OtherLumber) : 'common';
export const lumberAbout = (board: BoardKey): LumberOf => LUMBER[lumberOf(board)];
export const speciesOf = (board: BoardKey): Species => LUMBER[lumberOf(board)].woods[thicknessOf(nominalOf(board))];
/** Density in lb per cubic foot and stiffness along the grain in psi of what a part is made of. */
export const woodOf = (material: Stocked): { readonly density: number; readonly modulus: number } =>
  isSheet(material) ? SHEETS[material] : SPECIES[speciesOf(material)];

/** Wood with one grain all through: a board, or a panel glued of boards. Other sheets are of layers or fibres. */
export const isSolid = (material: string): boolean => !isSheet(material) || material.startsWith('panel');
/** Stiffness across the grain for that along it: of boards and panels a sixteenth or so (Wood Handbook, ch. 5). */
const ACROSS = { solid: 0.06, plywood: 0.5, fibre: 1 } as const;
export const crossShare = (material: Stocked): number =>
  isSolid(material) ? ACROSS.solid : material.includes('ply') ? ACROSS.plywood : ACROSS.fibre;

/**
 * What a family's material is in a line: its 2x4 is that line's 2x4, its 3/4 plywood is 18 mm where sheets are metric.
 */
export function stocked(line: Lumber, role: Material): Material {
  if (role === 'bought') return role;
  if (isSheet(role)) return LUMBER[line].region === 'us' ? role : (METRIC_SHEET[role] ?? role);
  return role.includes(' ') ? role : boardKey(line, role as Nominal);
}

/** A person's own measurement of today's boards and sheets, where it is not what the table says. */
export type Measured = Readonly<
  Partial<Record<string, { readonly width?: Length | undefined; readonly thickness?: Length | undefined }>>
>;

/** How wide and thick boards and sheets really are: the table, or what was measured. */
export type Sizes = {
  readonly board: (board: BoardKey) => Dressed;
  readonly thickness: (material: Stocked) => Length;
};

export function sizesOf(measured: Measured): Sizes {
  const board = (key: BoardKey): Dressed => {
    const table = STANDARDS[LUMBER[lumberOf(key)].region][nominalOf(key)];
    const found = measured[key];
    return found ? { width: found.width ?? table.width, thickness: found.thickness ?? table.thickness } : table;
  };
  return {
    board,
    thickness: (material) =>
      isSheet(material) ? (measured[material]?.thickness ?? SHEETS[material].thickness) : board(material).thickness,
  };
}

/** Sizes as the table has them. */
export const TABLE_SIZES = sizesOf({});

/** The sizes a family reads, by its own names for what it is made of. */
export type LumberSizes = {
  readonly dressed: (nominal: Nominal) => Dressed;
  readonly thickness: (material: Nominal | Sheet) => Length;
};
/** @param of the line of boards, and how much is planed off each face of them before they are used. */
export function sizesIn(of: { readonly wood: Lumber; readonly planed: Length }, sizes: Sizes): LumberSizes {
  const dressed = (nominal: Nominal): Dressed => {
    const { width, thickness } = sizes.board(boardKey(of.wood, nominal));
    return { width, thickness: thickness - 2 * of.planed };
  };
  return {
    dressed,
    thickness: (material) =>
      isSheet(material) ? sizes.thickness(stocked(of.wood, material) as Sheet) : dressed(material).thickness,
  };
}

/** Common boards as they are sold. */
export const AS_SOLD = { wood: 'common', planed: 0 } as const;

const sized = (board: BoardKey): string => {
  const { region } = LUMBER[lumberOf(board)];
  const nominal = nominalOf(board);
  if (region === 'us') return nominal.replace('x', '×');
  const { width, thickness } = STANDARDS[region][nominal];
  return `${toMm(width)}×${toMm(thickness)}`;
};
const suffixed = (size: string, suffix: string): string => (suffix === '' ? size : `${size} ${suffix}`);

/** How a material is written for people: 2×6, 1×6 red oak, 140×45 pine, 3/4 plywood. */
export const printMaterial = (material: Material): string =>
  material === 'bought'
    ? 'bought'
    : isSheet(material)
      ? SHEETS[material].name
      : suffixed(sized(material), lumberAbout(material).suffix);

/**
 * Option words of a family, which speak of inch boards, in a line's own sizes: `two 2×4, glued` as `two 90×45, glued`.
 */
export function inLumber(lumber: Lumber, words: string): string {
  if (LUMBER[lumber].region === 'us') return words;
  const boards = words.replace(/\d(?:\/4)?×\d+/g, (size) => {
    const nominal = size.replace('×', 'x') as Nominal;
    return NOMINALS.includes(nominal) ? sized(boardKey(lumber, nominal)) : size;
  });
  return Object.entries(METRIC_SHEET).reduce(
    (said, [inch, metric]) => said.replace(SHEETS[inch as Sheet].name, SHEETS[metric].name),
    boards,
  );
}

/** Every way a material is written, in small letters, with an x for the sign. */
const WRITTEN: ReadonlyMap<string, Stocked> = new Map(
  [...STOCKED].reverse().flatMap((material): [string, Stocked][] => {
    const printed = printMaterial(material).toLowerCase().replace(/×/g, 'x');
    if (isSheet(material) || LUMBER[lumberOf(material)].region === 'us')
      return [
        [printed, material],
        [material, material],
      ];
    const [size = '', ...wood] = printed.split(' ');
    const turned = size.split('x').reverse().join('x');
    return [size, turned].flatMap((way): [string, Stocked][] => [
      [way, material],
      [[way, ...wood].join(' '), material],
      [material, material],
    ]);
  }),
);

/** A line of boards as people say its wood: oak, red oak, treated, spf. Null where it is none we know. */
export function readLumber(text: string): Lumber | null {
  const said = text.trim().toLowerCase();
  return (
    LUMBER_NAMES.find((name) => {
      const { name: long, suffix, woods } = LUMBER[name];
      return [name, long.toLowerCase(), suffix].includes(said) || (Object.values(woods) as string[]).includes(said);
    }) ?? null
  );
}

/**
 * A material as people write it: 2x4, 2×4, 1x6 red oak, 140x45, 3/4 plywood, ply 3/4. Null where it is none we know. A
 * metric size alone is the first line that has it.
 */
export const readMaterial = (text: string): Stocked | null =>
  WRITTEN.get(text.trim().toLowerCase().replace(/×/g, 'x').replace(/\s+/g, ' ')) ?? null;

/** The same with a length behind the size: 2×6×8, 1×6×8 red oak, 140×45×2.4 m pine. */
export const printBoard = (board: BoardKey, length: string): string =>
  suffixed(`${sized(board)}×${length}`, lumberAbout(board).suffix);
