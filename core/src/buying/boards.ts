import { first, found, held, nth, sure } from '../lists';
import { PER_FOOT, printLength, toInches, toMm, type Length, type Units } from '../length';
import { kerfFor, type Job, type Lock, type OnHand, type Shop } from '../job';
import type { Blank } from '../milling';
import {
  boardKey,
  isSheet,
  LUMBER_NAMES,
  lumberAbout,
  NOMINALS,
  printBoard,
  printMaterial,
  SHEET_NAMES,
  sizesOf,
  type BoardOffer,
  type SheetOffer,
  type Sizes,
  type Stocked,
  type Yard,
} from '../stock';
import { lockedIn, type Unfit } from './locks';
import { marketOf, worthOf } from './market';
import {
  choicesFor,
  combine,
  flipped,
  PROBLEM_FORMAT,
  solveExactly,
  type Chosen,
  type CutProblem,
  type CutLayout,
  type SolveOptions,
  type Solved,
} from '../cutting';
import type { Board } from './board';

/** Size of an offer as sold. */
export const offerMaterial = (offer: BoardOffer | SheetOffer): Stocked =>
  'sheet' in offer ? offer.sheet : offer.board;
export const offerWidth = (offer: BoardOffer | SheetOffer, sizes: Sizes): Length =>
  'sheet' in offer ? offer.width : sizes.board(offer.board).width;

export type Boards = {
  readonly boards: readonly Board[];
  readonly status: Solved['status'];
  /** Cents before tax, spares not counted. */
  readonly cost: number;
  readonly lowerBound: number;
  readonly unplaced: readonly { readonly blank: Blank; readonly quantity: number; readonly because: string }[];
  /** Bought and spoiled: paid for, no piece comes from them. */
  readonly spoiled: readonly (BoardOffer | SheetOffer)[];
  /** Bought, and no piece of the plan comes from them now: paid for, to be taken back or kept. */
  readonly idle: readonly { readonly lock: Lock; readonly offer: BoardOffer | SheetOffer }[];
  /** Pieces that are cut and are no part of the plan. */
  readonly unfit: readonly Unfit[];
  /** Locks that can not stand any more, and were left out. */
  readonly lostLocks: readonly Lock[];
  /** Cents more than without the boards that are kept by wish; 0 where there are none. */
  readonly wish: number;
  /** Where boards are chosen for something else than their price: what that comes to, settled boards left out. */
  readonly aim: {
    readonly for: Exclude<Job['aim']['for'], 'cost'>;
    readonly value: number;
    /** Nothing measures less. */
    readonly atLeast: number;
    readonly cheapest: { readonly cost: number; readonly value: number };
  } | null;
};

/** Solved pools by what was asked, so that a change to one material does not solve the others again. */
export type SolveCache = Map<string, Solved | Chosen>;

/** An offer's name for people: 2×6×8, 140×45×2.4 m pine, or 3/4 plywood 96 × 48. */
export const offerName = (offer: BoardOffer | SheetOffer, units: Units): string =>
  'sheet' in offer
    ? `${printMaterial(offer.sheet)} ${printLength(offer.length, units)} × ${printLength(offer.width, units)}`
    : printBoard(
        offer.board,
        lumberAbout(offer.board).region === 'us'
          ? `${+(offer.length / PER_FOOT).toFixed(2)}`
          : `${+(toMm(offer.length) / 1000).toFixed(2)} m`,
      );

/** A piece on hand as an offer without a price. */
const offerOf = (hand: OnHand): BoardOffer | SheetOffer => {
  const common = { id: `hand.${hand.id}`, price: 0, inStock: true };
  return isSheet(hand.material)
    ? { ...common, sheet: hand.material, length: hand.length, width: hand.width }
    : { ...common, board: hand.material, length: hand.length, grade: 'on hand' };
};

/** What a board to cut is called: 2×6×8 where it is bought, 2×6 41 1/2 where it is there. */
export const boardName = ({ offer, hand }: Pick<Board, 'offer' | 'hand'>, units: Units): string =>
  hand === null || 'sheet' in offer
    ? offerName(offer, units)
    : `${printMaterial(hand.material)} ${printLength(hand.length, units)}`;

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

/** Everything the yard sells of a material today. */
export const offersOf = (material: Stocked, yard: Yard): readonly (BoardOffer | SheetOffer)[] =>
  isSheet(material)
    ? yard.sheets.filter((offer) => offer.sheet === material && offer.inStock)
    : yard.boards.filter((offer) => offer.board === material && offer.inStock);

/** Materials in the order they are cut: boards thick and wide first, then sheets. */
const ORDER: readonly Stocked[] = [
  ...[...NOMINALS].reverse().flatMap((nominal) => LUMBER_NAMES.map((line) => boardKey(line, nominal))),
  ...SHEET_NAMES,
];

type BoardLaid = Omit<Board, 'number'>;
/** How pools of boards are searched: all alike, or only so many of them for long, the others quickly. */
export type ChooseOptions = SolveOptions & { readonly searched?: number };

type Solving = Pick<Job, 'yard' | 'alsoAt' | 'shop' | 'onHand' | 'measured'>;
type Aim = Job['aim'];
/** One way to cut a pool: the cheapest, or one that measures less by the aim. */
type PoolCut = { readonly cost: number; readonly measure: number; readonly boards: readonly BoardLaid[] };
type Pool = {
  /** From the cheapest on; one where boards are chosen for their price. */
  readonly options: readonly PoolCut[];
  readonly atLeast: number;
  readonly cost: number;
  readonly lowerBound: number;
  readonly optimal: boolean;
  readonly unplaced: Boards['unplaced'];
};

/** The boards for the blanks of one material, from what is sold and what is there. */
function solvePool(
  wanted: readonly Blank[],
  there: readonly OnHand[],
  job: Solving,
  market: Yard,
  aim: Aim['for'],
  options: SolveOptions,
  cache: SolveCache,
): Pool {
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
  const key = `${options.effort ?? 'full'} ${JSON.stringify(problem)}`;
  let solved = cache.get(key);
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
    return {
      ...blankBoard(offer, hand, sizes),
      pieces: layout.pieces.map(({ part, flip, ...piece }) => {
        const blank = held(blankOfPart, part);
        return { blank, ...piece, slants: flipped(blank.ends ?? { left: 0, right: 0 }, flip) };
      }),
      cuts: layout.cuts,
      offcuts: layout.offcuts,
    };
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
const blankBoard = (offer: BoardOffer | SheetOffer, hand: OnHand | null, sizes: Sizes): BoardLaid => ({
  offer,
  hand,
  lock: null,
  material: offerMaterial(offer),
  length: hand?.length ?? offer.length,
  width: hand?.width ?? offerWidth(offer, sizes),
  pieces: [],
  cuts: [],
  offcuts: [],
});

/** What is there once some of it is used: by the ids of locks' boards. */
const without = (onHand: readonly OnHand[], used: readonly string[]): readonly OnHand[] =>
  onHand.flatMap((hand) => {
    const count = hand.count - used.filter((from) => from === `hand.${hand.id}`).length;
    return count > 0 ? [{ ...hand, count }] : [];
  });

/** A board that is bought and may be laid anew: a piece on hand to whoever looks for boards, at no further price. */
const asOwned = (lock: Lock, offer: BoardOffer | SheetOffer, sizes: Sizes): OnHand => ({
  id: `lock.${lock.id}`,
  material: offerMaterial(offer),
  length: offer.length,
  width: offerWidth(offer, sizes),
  count: 1,
  squared: false,
  bad: [],
  price: 0,
  where: '',
  note: '',
});

/** The board a lock stands for; null where it is no longer sold or there. */
function boardOf(
  from: string,
  onHand: readonly OnHand[],
  market: Yard,
): { offer: BoardOffer | SheetOffer; hand: OnHand | null } | null {
  const hand = onHand.find(({ id }) => `hand.${id}` === from) ?? null;
  if (hand) return { offer: offerOf(hand), hand };
  const offer = [...market.boards, ...market.sheets].find(({ id }) => id === from);
  return offer ? { offer, hand: null } : null;
}

/**
 * The boards and sheets for all blanks, each material solved on its own: boards that are settled first, the rest with
 * the least that must be bought besides.
 */
export function chooseBoards(
  blanks: readonly Blank[],
  job: Solving & Partial<Pick<Job, 'locks' | 'aim'>>,
  { searched = Infinity, ...solving }: ChooseOptions,
  cache: SolveCache,
): Boards {
  const market = marketOf(job);
  const worth = worthOf(job);
  const sizes = sizesOf(job.measured);
  const standing = new Map((job.locks ?? []).map((lock) => [lock, boardOf(lock.from, job.onHand, market)]));
  const standsFor = (lock: Lock) => sure(standing.get(lock), 'board of the lock');
  const there = (job.locks ?? []).filter((lock) => standing.get(lock) !== null);
  const gone = (job.locks ?? []).filter((lock) => !there.includes(lock));
  const materialOf = (lock: Lock) => offerMaterial(standsFor(lock).offer);
  const settled = lockedIn(blanks, there, materialOf);
  const held = settled.kept.map(({ lock, pieces }): BoardLaid => {
    const { offer, hand } = standsFor(lock);
    return { ...blankBoard(offer, hand, sizes), lock, pieces, cuts: lock.cuts, offcuts: lock.offcuts };
  });
  const spoiled = settled.spoiled.map(standsFor);
  // What was cut into pieces that are no parts now is gone all the same, and paid.
  const { cutUp } = settled;
  const used = [...settled.kept.map(({ lock }) => lock), ...settled.spoiled, ...cutUp].map(({ from }) => from);
  const boughtOf = (locks: readonly Lock[]) =>
    locks.flatMap((lock) => {
      const { offer, hand } = standsFor(lock);
      return hand ? [] : [{ lock, offer, stock: asOwned(lock, offer, sizes) }];
    });
  const whole = boughtOf(settled.whole);
  const paidFor = [...whole, ...boughtOf(cutUp)];
  const onHand = [...without(job.onHand, used), ...whole.map(({ stock }) => stock)];
  const priceOf = ({ offer, hand }: Pick<BoardLaid, 'offer' | 'hand'>) => (hand ? 0 : worth(offer));
  const aim = job.aim ?? { for: 'cost', extra: null };
  const pools: (Pool & { readonly mine: readonly BoardLaid[] })[] = [];
  let wish = 0;
  for (const material of ORDER) {
    const of = (rows: readonly Blank[]) => rows.filter((blank) => blank.material === material);
    const here = (hand: OnHand) => hand.material === material;
    const mine = held.filter((board) => board.material === material);
    if (of(settled.blanks).length === 0 && mine.length === 0) continue;
    const options: SolveOptions = pools.length < searched ? solving : { ...solving, effort: 'quick' };
    const pool = solvePool(of(settled.blanks), onHand.filter(here), job, market, aim.for, options, cache);
    pools.push({ ...pool, mine });
    const wished = mine.filter(({ lock }) => sure(lock, 'lock on the board').state === 'kept');
    if (wished.length > 0) {
      // What it would cost if only what is bought, cut or spoiled stayed as it is.
      const firm = there.filter(({ state }) => state !== 'kept');
      const free = lockedIn(blanks, firm, materialOf);
      const firmUse = firm.map(({ from }) => from);
      const other = solvePool(
        of(free.blanks),
        [...without(job.onHand, firmUse), ...boughtOf(free.whole).map(({ stock }) => stock)].filter(here),
        job,
        market,
        'cost',
        options,
        cache,
      );
      wish += pool.cost + wished.reduce((sum, board) => sum + priceOf(board), 0) - other.cost;
    }
  }
  // The pools share what may be spent besides: every mix worth having, and the last that is not too dear.
  const mixes = combine(pools);
  const most = first(mixes).cost + (aim.extra ?? Infinity);
  const mix = sure(
    mixes.findLast(({ cost }) => cost <= most),
    'mix within the cost',
  );
  const longest = (board: BoardLaid) => Math.max(...board.pieces.map((piece) => piece.length));
  // A bought board that was laid anew is that board, with the pieces it has now.
  const asBought = (board: BoardLaid): BoardLaid => {
    const own = whole.find(({ stock }) => stock.id === board.hand?.id);
    return own ? { ...board, offer: own.offer, hand: null, lock: own.lock } : board;
  };
  const chosen = mix.picked.flatMap(({ boards }, at) =>
    [...nth(pools, at).mine, ...boards.map(asBought)].sort((a, b) => longest(b) - longest(a) || b.length - a.length),
  );
  const idle = paidFor.filter(({ lock }) => chosen.every((board) => board.lock?.id !== lock.id));
  const unplaced = pools.flatMap((pool) => pool.unplaced);
  const paid = paidFor.reduce((sum, { offer }) => sum + worth(offer), 0);
  const fixed = [...held, ...spoiled].reduce((sum, board) => sum + priceOf(board), paid);
  return {
    boards: chosen.map((board, at) => ({ ...board, number: at + 1 })),
    status: unplaced.length > 0 ? 'infeasible' : pools.every(({ optimal }) => optimal) ? 'optimal' : 'feasible',
    cost: mix.cost + fixed,
    lowerBound: pools.reduce((sum, { lowerBound }) => sum + lowerBound, fixed),
    unplaced,
    spoiled: spoiled.filter(({ hand }) => hand === null).map(({ offer }) => offer),
    idle: idle.map(({ lock, offer }) => ({ lock, offer })),
    unfit: settled.unfit,
    lostLocks: [...gone, ...settled.void],
    wish,
    aim:
      aim.for === 'cost'
        ? null
        : {
            for: aim.for,
            value: mix.measure,
            atLeast: pools.reduce((sum, { atLeast }) => sum + atLeast, 0),
            cheapest: { cost: first(mixes).cost + fixed, value: first(mixes).measure },
          },
  };
}
