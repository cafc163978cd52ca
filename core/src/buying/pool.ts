import { first, found, held, sure } from '../lists';
import { toInches, type Length } from '../length';
import { kerfFor, type Job, type OnHand, type Shop } from '../job';
import type { Blank } from '../milling';
import { isSheet, sizesOf, type BoardOffer, type SheetOffer, type Sizes, type Yard } from '../stock';
import { worthOf } from './market';
import {
  choicesFor,
  flipped,
  PROBLEM_FORMAT,
  solveExactly,
  type Chosen,
  type CutLayout,
  type CutProblem,
  type SolveOptions,
  type Solved,
} from '../cutting';
import type { Board } from './board';
import { offerMaterial, offerOf, offersOf, offerWidth } from './offers';
import { drawnTogether, longestRun, type Strip } from './strips';

/** Solved pools by what was asked, so that a change to one material does not solve the others again. */
export type SolveCache = Map<string, Solved | Chosen>;

/** The cut problem of one nominal size or sheet: its blanks, the sizes the yard has of it, and what is there. */
function problemOf(
  blanks: readonly Blank[],
  offers: readonly (BoardOffer | SheetOffer)[],
  shop: Shop,
  onHand: readonly OnHand[],
  sizes: Sizes,
  worth: (offer: BoardOffer | SheetOffer) => number,
  objective: CutProblem['objective'] = 'cost',
): CutProblem {
  const thickness = toInches(first(blanks).thickness);
  return {
    format: PROBLEM_FORMAT,
    unit: 'in',
    kerf: toInches(kerfFor(shop, isSheet(first(blanks).material) ? 'sheet' : 'board')),
    objective,
    stock: [
      ...onHand.map((hand) => ({
        id: `hand.${hand.id}`,
        kind: isSheet(hand.material) ? ('sheet' as const) : ('board' as const),
        material: hand.material,
        length: toInches(hand.length),
        width: toInches(hand.width),
        thickness,
        price: 0,
        available: hand.count,
        trim: { ends: hand.squared || isSheet(hand.material) ? 0 : toInches(shop.squareEnds), edges: 0 },
        defects: hand.bad.map(({ from, to }) => ({ from: toInches(from), to: toInches(to) })),
      })),
      ...offers.map((offer) => ({
        id: offer.id,
        kind: 'sheet' in offer ? ('sheet' as const) : ('board' as const),
        material: offerMaterial(offer),
        length: toInches(offer.length),
        width: toInches(offerWidth(offer, sizes)),
        thickness,
        price: worth(offer) / 100,
        available: null,
        trim: { ends: 'sheet' in offer ? 0 : toInches(shop.squareEnds), edges: 0 },
        defects: [],
      })),
    ],
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

/** Pieces that no board is found for, and why. */
export type Unplaced = { readonly blank: Blank; readonly quantity: number; readonly because: string };

export type BoardLaid = Omit<Board, 'number'>;

export type Solving = Pick<Job, 'yard' | 'alsoAt' | 'shop' | 'measured'>;
type Aim = Job['aim'];
/** One way to cut a pool: the cheapest, or one that measures less by the aim. */
type PoolCut = { readonly cost: number; readonly measure: number; readonly boards: readonly BoardLaid[] };
export type StockPool = {
  /** From the cheapest on; one where boards are chosen for their price. */
  readonly options: readonly PoolCut[];
  readonly atLeast: number;
  readonly cost: number;
  readonly lowerBound: number;
  readonly optimal: boolean;
  readonly unplaced: readonly Unplaced[];
};

/** What the boards of one material are chosen from, for what, and how. */
export type PoolAsked = {
  readonly there: readonly OnHand[];
  readonly job: Solving;
  readonly market: Yard;
  readonly aim: Aim['for'];
  readonly options: SolveOptions;
  readonly cache: SolveCache;
};

/**
 * The boards for the blanks of one material, from what is sold and what is there. Blanks whose grain runs on lie in one
 * strip, as many of them as some board holds; fewer where more of all blanks find a place so.
 */
export function solvePool(wanted: readonly Blank[], asked: PoolAsked): StockPool {
  const kerf = kerfFor(asked.job.shop, wanted[0] && isSheet(wanted[0].material) ? 'sheet' : 'board');
  let best: StockPool | null = null;
  for (let most = longestRun(wanted); most > 0; most--) {
    const { laid, strips } = drawnTogether(wanted, kerf, most);
    const pool = solveLaid(laid, strips, kerf, asked);
    const isWhole = pool.unplaced.every(({ blank }) => !strips.some(({ whole }) => whole === blank));
    if (isWhole && (best === null || lacking(pool) < lacking(best))) best = pool;
    if (best && lacking(best) === 0) break;
  }
  return sure(best, 'pool without strips');
}

/** How many pieces find no board. */
export const lacking = ({ unplaced }: Pick<StockPool, 'unplaced'>): number =>
  unplaced.reduce((sum, { quantity }) => sum + quantity, 0);

/** A board with its strips taken apart: their pieces, and the cuts that part them. */
function takenApart(board: BoardLaid, strips: readonly Strip[], kerf: Length): BoardLaid {
  const cuts = [...board.cuts];
  const pieces = board.pieces.flatMap((piece) => {
    const of = strips.find(({ whole }) => whole === piece.blank)?.of;
    if (!of) return [piece];
    let { x } = piece;
    return of.map((blank, at) => {
      const lies = { ...piece, blank, x, length: blank.length };
      x += blank.length + kerf;
      if (at < of.length - 1)
        cuts.push({ kind: 'crosscut', at: x - kerf, from: piece.y, to: piece.y + piece.width, angle: 0 });
      return lies;
    });
  });
  return { ...board, pieces, cuts };
}

function solveLaid(
  wanted: readonly Blank[],
  strips: readonly Strip[],
  kerf: Length,
  { there, job, market, aim, options, cache }: PoolAsked,
): StockPool {
  if (wanted.length === 0)
    return {
      options: [{ cost: 0, measure: 0, boards: [] }],
      atLeast: 0,
      cost: 0,
      lowerBound: 0,
      optimal: true,
      unplaced: [],
    };
  const sizes = sizesOf(job.measured);
  const offers = offersOf(first(wanted).material, market);
  const problem = problemOf(wanted, offers, job.shop, there, sizes, worthOf(job), aim);
  const asked = JSON.stringify(problem);
  const key = `${options.effort ?? 'full'} ${asked}`;
  // What was searched for long is not worse than what a quick look finds, and does not change under the person.
  let solved = cache.get(`full ${asked}`) ?? cache.get(key);
  try {
    solved ??= aim === 'cost' ? solveExactly(problem, options) : choicesFor(problem, aim, options);
  } catch (error) {
    // A pool that can not be solved is told part by part; the other materials are planned all the same.
    const because = `one whose cuts could not be worked out (${error instanceof Error ? error.message : String(error)})`;
    return {
      options: [{ cost: 0, measure: 0, boards: [] }],
      atLeast: 0,
      cost: 0,
      lowerBound: 0,
      optimal: false,
      unplaced: wanted.map((blank) => ({ blank, quantity: blank.quantity, because })),
    };
  }
  if (!options.stopped?.()) cache.set(key, solved);
  const blankOfPart = new Map(wanted.map((blank) => [blank.part.id, blank]));
  const laid = (layout: CutLayout): BoardLaid => {
    const hand = there.find(({ id }) => `hand.${id}` === layout.stock) ?? null;
    const offer = hand ? offerOf(hand) : found(offers, (row) => row.id === layout.stock);
    const board = {
      ...blankBoard(offer, hand, sizes),
      pieces: layout.pieces.map(({ part, flip, ...piece }) => {
        const blank = held(blankOfPart, part);
        return { blank, ...piece, slants: flipped(blank.ends ?? { left: 0, right: 0 }, flip) };
      }),
      cuts: layout.cuts,
      offcuts: layout.offcuts,
    };
    return takenApart(board, strips, kerf);
  };
  const cheapest = { cost: solved.cost, measure: 0, layouts: solved.layouts };
  const chosen = isChosen(solved) && solved.choices.length > 0 ? solved : null;
  return {
    options: (chosen?.choices ?? [cheapest]).map(({ layouts, ...way }) => ({ ...way, boards: layouts.map(laid) })),
    atLeast: chosen?.atLeast ?? 0,
    cost: solved.cost,
    lowerBound: solved.lowerBound,
    optimal: solved.status === 'optimal',
    unplaced: solved.unplaced.map(({ part, ...why }) => ({ blank: held(blankOfPart, part), ...why })),
  };
}

const isChosen = (solved: Solved | Chosen): solved is Chosen => 'choices' in solved;

/** A board or sheet before anything is cut from it. */
export const blankBoard = (offer: BoardOffer | SheetOffer, hand: OnHand | null, sizes: Sizes): BoardLaid => ({
  offer,
  hand,
  body: null,
  state: 'to buy',
  kept: null,
  material: offerMaterial(offer),
  length: hand?.length ?? offer.length,
  width: hand?.width ?? offerWidth(offer, sizes),
  pieces: [],
  cuts: [],
  offcuts: [],
});
