import { PER_FOOT, printLength, toInches, type Length, type Units } from '../length';
import type { Shop } from '../job';
import type { Blank } from '../milling';
import {
  dressed,
  isSheet,
  NOMINALS,
  printMaterial,
  SHEET_NAMES,
  type BoardOffer,
  type Nominal,
  type Sheet,
  type SheetOffer,
  type Yard,
} from '../stock';
import { PROBLEM_FORMAT, solveExactly, type CutProblem, type Layout, type SolveOptions, type Solved } from '../cutting';

/** A piece on a numbered board or sheet, as it lies: x along the board, y across. */
export type CutPiece = {
  readonly blank: Blank;
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
  readonly turned: boolean;
};

/** One board or sheet to buy and cut. Numbers run through the job, in the order they are cut. */
export type Board = {
  readonly number: number;
  readonly offer: BoardOffer | SheetOffer;
  readonly material: Nominal | Sheet;
  readonly length: Length;
  readonly width: Length;
  readonly pieces: readonly CutPiece[];
  /** Straight cuts in the order they are made; for a sheet, each from edge to edge of what is left. */
  readonly cuts: Layout['cuts'];
  readonly offcuts: Layout['offcuts'];
};

/** Size of an offer as sold. */
export const offerMaterial = (offer: BoardOffer | SheetOffer): Nominal | Sheet =>
  'sheet' in offer ? offer.sheet : offer.nominal;
export const offerLength = (offer: BoardOffer | SheetOffer): Length =>
  'sheet' in offer ? offer.length : offer.feet * PER_FOOT;
export const offerWidth = (offer: BoardOffer | SheetOffer): Length =>
  'sheet' in offer ? offer.width : dressed(offer.nominal).width;

export type Boards = {
  readonly boards: readonly Board[];
  readonly status: Solved['status'];
  /** Cents before tax, spares not counted. */
  readonly cost: number;
  readonly lowerBound: number;
  readonly unplaced: readonly { readonly blank: Blank; readonly quantity: number; readonly because: string }[];
};

/** Solved pools by what was asked, so that a change to one material does not solve the others again. */
export type SolveCache = Map<string, Solved>;

/** An offer's name for people: 2×6×8, or 3/4 plywood 96 × 48. */
export const offerName = (offer: BoardOffer | SheetOffer, units: Units): string =>
  'sheet' in offer
    ? `${printMaterial(offer.sheet)} ${printLength(offer.length, units)} × ${printLength(offer.width, units)}`
    : `${printMaterial(offer.nominal)}×${offer.feet}`;

/** The cut problem of one nominal size or sheet: its blanks, and the sizes the yard has of it. */
export function problemOf(
  blanks: readonly Blank[],
  offers: readonly (BoardOffer | SheetOffer)[],
  shop: Shop,
): CutProblem {
  return {
    format: PROBLEM_FORMAT,
    unit: 'in',
    kerf: toInches(shop.kerf),
    objective: 'cost',
    stock: offers.map((offer) => ({
      id: offer.id,
      kind: 'sheet' in offer ? 'sheet' : 'board',
      material: offerMaterial(offer),
      length: toInches(offerLength(offer)),
      width: toInches(offerWidth(offer)),
      thickness: toInches(blanks[0]!.thickness),
      price: offer.price / 100,
      available: null,
      trim: { ends: 'sheet' in offer ? 0 : toInches(shop.squareEnds), edges: 0 },
      defects: [],
    })),
    parts: blanks.map((blank) => ({
      id: blank.part.id,
      quantity: blank.quantity,
      material: blank.material,
      length: toInches(blank.length),
      width: toInches(blank.width),
      thickness: toInches(blank.thickness),
      grain: isSheet(blank.material) && blank.grain ? 'length' : 'any',
      ...(blank.ends ? { ends: blank.ends } : {}),
    })),
  };
}

/** Everything the yard sells of a material today. */
export const offersOf = (material: Nominal | Sheet, yard: Yard): readonly (BoardOffer | SheetOffer)[] =>
  isSheet(material)
    ? yard.sheets.filter((offer) => offer.sheet === material && offer.inStock)
    : yard.boards.filter((offer) => offer.nominal === material && offer.inStock);

/** Materials in the order they are cut: boards thick and wide first, then sheets. */
const ORDER: readonly (Nominal | Sheet)[] = [...[...NOMINALS].reverse(), ...SHEET_NAMES];

/** The boards and sheets to buy for all blanks, each material solved on its own. */
export function chooseBoards(
  blanks: readonly Blank[],
  yard: Yard,
  shop: Shop,
  options: SolveOptions,
  cache: SolveCache,
): Boards {
  const found: Omit<Board, 'number'>[] = [];
  const unplaced: Boards['unplaced'][number][] = [];
  let cost = 0;
  let lowerBound = 0;
  let proved = true;
  for (const material of ORDER) {
    const wanted = blanks.filter((blank) => blank.material === material);
    if (wanted.length === 0) continue;
    const offers = offersOf(material, yard);
    const problem = problemOf(wanted, offers, shop);
    const key = `${options.effort ?? 'full'} ${JSON.stringify(problem)}`;
    const solved = cache.get(key) ?? solveExactly(problem, options);
    if (!options.stopped?.()) cache.set(key, solved);
    cost += solved.cost;
    lowerBound += solved.lowerBound;
    proved &&= solved.status === 'optimal';
    const blankOfPart = new Map(wanted.map((blank) => [blank.part.id, blank]));
    for (const { part, quantity, because } of solved.unplaced)
      unplaced.push({ blank: blankOfPart.get(part)!, quantity, because });
    const laid = solved.layouts.map((layout): Omit<Board, 'number'> => {
      const offer = offers.find((row) => row.id === layout.stock)!;
      return {
        offer,
        material,
        length: offerLength(offer),
        width: offerWidth(offer),
        pieces: layout.pieces.map(({ part, ...piece }) => ({ blank: blankOfPart.get(part)!, ...piece })),
        cuts: layout.cuts,
        offcuts: layout.offcuts,
      };
    });
    const longest = (board: Omit<Board, 'number'>) => Math.max(...board.pieces.map((piece) => piece.length));
    found.push(...laid.sort((a, b) => longest(b) - longest(a) || b.length - a.length));
  }
  return {
    boards: found.map((board, at) => ({ ...board, number: at + 1 })),
    status: unplaced.length > 0 ? 'infeasible' : proved ? 'optimal' : 'feasible',
    cost,
    lowerBound,
    unplaced,
  };
}
