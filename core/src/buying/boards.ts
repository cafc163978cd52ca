import { PER_FOOT, toInches, type Length } from '../length';
import type { Shop } from '../job';
import type { Blank } from '../milling';
import { NOMINALS, type BoardOffer, type Nominal, type Yard } from '../stock';
import { PROBLEM_FORMAT, solveExactly, type CutProblem, type Layout, type SolveOptions, type Solved } from '../cutting';

/** A piece on a numbered board. */
export type CutPiece = { readonly blank: Blank; readonly x: Length; readonly length: Length };

/** One board to buy and cut. Numbers run through the job, in the order boards are cut. */
export type Board = {
  readonly number: number;
  readonly offer: BoardOffer;
  readonly length: Length;
  readonly pieces: readonly CutPiece[];
  readonly offcuts: Layout['offcuts'];
};

export type Boards = {
  readonly boards: readonly Board[];
  readonly status: Solved['status'];
  /** Cents before tax, spares not counted. */
  readonly cost: number;
  readonly lowerBound: number;
  readonly unplaced: readonly { readonly blank: Blank; readonly quantity: number; readonly because: string }[];
};

/** Solved pools by what was asked, so that a change to one nominal size does not solve the others again. */
export type SolveCache = Map<string, Solved>;

/** The cut problem of one nominal size: its blanks, and the lengths the yard has of it. */
export function problemOf(blanks: readonly Blank[], offers: readonly BoardOffer[], shop: Shop): CutProblem {
  return {
    format: PROBLEM_FORMAT,
    unit: 'in',
    kerf: toInches(shop.kerf),
    objective: 'cost',
    stock: offers.map((offer) => ({
      id: offer.id,
      kind: 'board',
      material: offer.nominal,
      length: offer.feet * 12,
      width: toInches(blanks[0]!.width),
      thickness: toInches(blanks[0]!.thickness),
      price: offer.price / 100,
      available: null,
      trim: { ends: toInches(shop.squareEnds), edges: 0 },
      defects: [],
    })),
    parts: blanks.map((blank) => ({
      id: blank.part.id,
      quantity: blank.quantity,
      material: blank.nominal,
      length: toInches(blank.length),
      width: toInches(blank.width),
      thickness: toInches(blank.thickness),
      grain: 'any',
    })),
  };
}

/** The boards to buy for all blanks, each nominal size solved on its own, numbered thick and wide first. */
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
  const order: readonly Nominal[] = [...NOMINALS].reverse();
  for (const nominal of order) {
    const wanted = blanks.filter((blank) => blank.nominal === nominal);
    if (wanted.length === 0) continue;
    const offers = yard.boards.filter((offer) => offer.nominal === nominal && offer.inStock);
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
    const ofNominal = solved.layouts.map((layout) => {
      const offer = offers.find((row) => row.id === layout.stock)!;
      return {
        offer,
        length: offer.feet * PER_FOOT,
        pieces: layout.pieces.map((piece) => ({
          blank: blankOfPart.get(piece.part)!,
          x: piece.x,
          length: piece.length,
        })),
        offcuts: layout.offcuts,
      };
    });
    const longest = (board: Omit<Board, 'number'>) => Math.max(...board.pieces.map((piece) => piece.length));
    found.push(...ofNominal.sort((a, b) => longest(b) - longest(a) || b.length - a.length));
  }
  return {
    boards: found.map((board, at) => ({ ...board, number: at + 1 })),
    status: unplaced.length > 0 ? 'infeasible' : proved ? 'optimal' : 'feasible',
    cost,
    lowerBound,
    unplaced,
  };
}
