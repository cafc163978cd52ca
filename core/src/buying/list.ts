import { first } from '../lists';
import { inches, type Length } from '../length';
import type { Job } from '../job';
import type { BoardOffer, HardwareNeed, HardwareOffer, SheetOffer, Yard } from '../stock';
import { boxesFor, type Boxes } from './boxes';
import type { Boards } from './boards';
import type { Board } from './board';
import { marketOf, soldAt, worthOf } from './market';
import { sparesFor } from './spares';
import { storeCuts } from './store-cuts';

export type BoardLine = {
  readonly offer: BoardOffer | SheetOffer;
  /** Boards to buy, spares among them. */
  readonly count: number;
  readonly spare: number;
  /** Bought before and spoiled: paid for, and in the count. */
  readonly spoiled: number;
  /** Bought before, and no piece comes from them now: paid for, and in the count. */
  readonly idle: number;
  /** Cents. */
  readonly total: number;
  readonly partIds: readonly string[];
  /** Where the store should cut each board that is longer than the car; null for one it can not be cut for. */
  readonly storeCuts: readonly (readonly Length[] | null)[];
};
export type HardwareLine = Boxes & { readonly need: HardwareNeed; readonly total: number };
/** What is spent at one yard, cents. */
type YardTotal = { readonly yard: Yard; readonly subtotal: number; readonly tax: number };

export type BuyingList = {
  readonly boards: readonly BoardLine[];
  readonly hardware: readonly HardwareLine[];
  /** What no box at this yard holds. */
  readonly notSold: readonly HardwareNeed[];
  /** Cents of boards taken with a bad stretch on this trip: they are on hand now, and paid. */
  readonly inCart: number;
  readonly subtotal: number;
  readonly tax: number;
  /** The same by yard, in the job's order: those where something is bought. */
  readonly byYard: readonly YardTotal[];
  readonly total: number;
  /** Cents of the subtotal spent on spares. */
  readonly spares: number;
  /** Boards to buy, and pieces on hand that are used instead. */
  readonly boardCount: number;
  readonly onHandCount: number;
  readonly spareCount: number;
  /** Share of the bought wood, by volume and spares left out, that ends in no blank: 0 to 1. */
  readonly leftShare: number;
  /** Length of offcuts long enough to keep, together. */
  readonly usable: Length;
};

/** Shorter offcuts are not worth a place on the rack. */
export const KEEP_OFFCUT: Length = inches(12);

/** Boxes for a need, or the thing itself where the person states its price. */
function boxed(
  need: HardwareNeed,
  offers: readonly HardwareOffer[],
  worth: (offer: HardwareOffer) => number,
): readonly Boxes[] | null {
  if (need.price === undefined) return boxesFor(need, offers, worth);
  const own = { id: `${need.kind}-${need.size}`, kind: need.kind, size: need.size, count: 1, price: need.price };
  return [{ offer: own, count: need.count }];
}

const area = (board: Board) => board.pieces.reduce((sum, piece) => sum + piece.length * piece.width, 0);

/** The list for the store: boards by size, spares, boxes, tax. Every total is in whole cents and they add up. */
export function buyingList(job: Job, boards: Boards, needs: readonly HardwareNeed[]): BuyingList {
  const spares = sparesFor(job, boards).filter(({ count }) => count > 0);
  const toBuy = boards.boards.filter(({ hand }) => hand === null);
  const offers = [
    ...new Set([
      ...toBuy.map((board) => board.offer),
      ...boards.spoiled,
      ...boards.idle.map(({ offer }) => offer),
      ...spares.map(({ offer }) => offer),
    ]),
  ];
  const lines = offers.map((offer): BoardLine => {
    const cut = toBuy.filter((board) => board.offer === offer);
    const spare = spares.reduce((sum, row) => sum + (row.offer === offer ? row.count : 0), 0);
    const spoiled = boards.spoiled.filter((lost) => lost === offer).length;
    const idle = boards.idle.filter((one) => one.offer === offer).length;
    const count = cut.length + spare + spoiled + idle;
    const partIds = [...new Set(cut.flatMap((board) => board.pieces.map((piece) => piece.blank.part.id)))];
    // What is cut is no longer driven anywhere.
    const driven = 'sheet' in offer ? [] : cut.filter(({ lock }) => lock?.state !== 'cut');
    const long = driven.filter(({ length }) => length > job.shop.car);
    return {
      offer,
      count,
      spare,
      spoiled,
      idle,
      total: count * offer.price,
      partIds,
      storeCuts: long.map((board) => storeCuts(board, job.shop.car)),
    };
  });
  const worth = worthOf(job);
  const { hardware: hardwareSold } = marketOf(job);
  const hardware: HardwareLine[] = [];
  const notSold: HardwareNeed[] = [];
  for (const need of needs) {
    const boxes = boxed(need, hardwareSold, worth);
    if (boxes === null) notSold.push(need);
    else hardware.push(...boxes.map((box) => ({ ...box, need, total: box.count * box.offer.price })));
  }
  const inCart = job.onHand.reduce((sum, { price, count }) => sum + price * count, 0);
  const subtotal = [...lines, ...hardware].reduce((sum, line) => sum + line.total, inCart);
  const byYard = [job.yard, ...job.alsoAt].flatMap((yard, at): YardTotal[] => {
    const here = [...lines, ...hardware].filter(({ offer }) => soldAt(job, offer).id === yard.id);
    const spent = here.reduce((sum, line) => sum + line.total, at === 0 ? inCart : 0);
    return at === 0 || spent > 0 ? [{ yard, subtotal: spent, tax: Math.round((spent * yard.tax) / 100) }] : [];
  });
  const tax = byYard.reduce((sum, row) => sum + row.tax, 0);

  let bought = 0;
  let used = 0;
  let usable = 0;
  for (const board of toBuy) {
    const { thickness } = first(board.pieces).blank;
    bought += board.length * board.width * thickness;
    used += area(board) * thickness;
    usable += board.offcuts.reduce((sum, offcut) => sum + (offcut.length >= KEEP_OFFCUT ? offcut.length : 0), 0);
  }
  return {
    boards: lines,
    hardware,
    notSold,
    inCart,
    subtotal,
    tax,
    byYard,
    total: subtotal + tax,
    spares: spares.reduce((sum, { offer, count }) => sum + count * offer.price, 0),
    boardCount: toBuy.length,
    onHandCount: boards.boards.length - toBuy.length,
    spareCount: spares.reduce((sum, { count }) => sum + count, 0),
    leftShare: bought > 0 ? 1 - used / bought : 0,
    usable,
  };
}
