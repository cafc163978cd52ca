import { first, last } from '../lists';
import { inches, type Length } from '../length';
import type { Job } from '../job';
import { holdingsOf, priceOf, receiptsOf, type Holdings, type Purchase, type Receipt } from '../ledger';
import { taxOn, type BoardOffer, type HardwareNeed, type HardwareOffer, type SheetOffer, type Yard } from '../stock';
import { boxesFor, type Boxes } from './boxes';
import type { Boards } from './boards';
import type { Board } from './board';
import { marketOf, soldAt, worthOf } from './market';
import { boughtOffer } from './offers';
import { fates, type Fate } from './receipts';
import { sparesFor } from './spares';
import { storeCuts } from './store-cuts';

/** What was bought of a line, at the prices paid. Cents before tax. */
type Owned = {
  /** Bought and not taken back. */
  readonly owned: number;
  readonly paid: number;
  /** Of them, those that nothing comes from, and those that are spoiled or gone. */
  readonly idle: number;
  readonly lost: number;
};
export type BoardLine = Owned & {
  /** As it is sold, or as it was bought where it is not sold any more. */
  readonly offer: BoardOffer | SheetOffer;
  /** Boards still to buy, spares among them. */
  readonly count: number;
  /** Spares still to buy. */
  readonly spare: number;
  /** Cents, of what is still to buy. */
  readonly total: number;
  /** What is still to be bought is for; of what is bought all that comes from it. */
  readonly partIds: readonly string[];
  /** Where the store should cut each board that is longer than the car; null for one it can not be cut for. */
  readonly storeCuts: readonly (readonly Length[] | null)[];
};
/** Boxes still to buy, and those bought. */
export type HardwareLine = Boxes & Owned & { readonly need: HardwareNeed; readonly total: number };
/** What is spent at one yard and still to spend there, cents. */
type YardTotal = { readonly yard: Receipt['yard']; readonly subtotal: number; readonly tax: number };

/**
 * Where the money is, cents with tax: in what is used, still to be spent, in what lies idle and could be taken back, in
 * what is spoiled or given away. The four are the total, to the cent.
 */
type Sums = Readonly<Record<Fate | 'toBuy', number>>;

export type BuyingList = {
  readonly boards: readonly BoardLine[];
  readonly hardware: readonly HardwareLine[];
  /** What is in cans that are there already, of what is needed: it need not be bought. */
  readonly there: readonly HardwareNeed[];
  /** What no box at this yard holds. */
  readonly notSold: readonly HardwareNeed[];
  readonly receipts: readonly Receipt[];
  readonly sums: Sums;
  /** Of all receipts, tax included. */
  readonly spent: number;
  readonly subtotal: number;
  readonly tax: number;
  /** The same by yard, in the job's order: those where something is bought. */
  readonly byYard: readonly YardTotal[];
  readonly total: number;
  /** Cents of the subtotal still to be spent on spares. */
  readonly spares: number;
  /** Boards to buy, boards that are bought, and pieces on hand that are used instead. */
  readonly boardCount: number;
  readonly boughtCount: number;
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

const ownedOf = (own: readonly Purchase[], fate: ReadonlyMap<Purchase, Fate>): Owned => ({
  owned: own.length,
  paid: priceOf(own),
  idle: own.filter((one) => fate.get(one) === 'idle').length,
  lost: own.filter((one) => fate.get(one) === 'lost').length,
});

/** What is needed beyond what cans that are there hold, and what they give. */
function lessCans(needs: readonly HardwareNeed[], { cans }: Holdings) {
  const there: HardwareNeed[] = [];
  const lacking = needs.flatMap((need): readonly HardwareNeed[] => {
    const ounces = cans.reduce((sum, { kind, size, ounces: own }) => {
      return kind === need.kind && size === need.size ? sum + own : sum;
    }, 0);
    const count = Math.min(need.count, ounces);
    if (count === 0) return [need];
    there.push({ ...need, count });
    return count === need.count ? [] : [{ ...need, count: need.count - count }];
  });
  return { lacking, there };
}

/** Boards by size: what is still to buy and what is bought. */
function boardLines(
  job: Job,
  boards: Boards,
  { bodies }: Holdings,
  spares: ReturnType<typeof sparesFor>,
  fate: ReadonlyMap<Purchase, Fate>,
): readonly BoardLine[] {
  const { boards: soldBoards, sheets } = marketOf(job);
  const sold = new Map<string, BoardOffer | SheetOffer>([...soldBoards, ...sheets].map((row) => [row.id, row]));
  const bought = [...bodies.values()].flatMap(({ bought: own, state }) => (own && state !== 'returned' ? [own] : []));
  const mine = boards.boards.filter(({ hand }) => hand === null);
  const wanted = [
    ...mine.map(({ offer }) => sold.get(offer.id) ?? offer),
    ...bought.map((own) => sold.get(own.offer) ?? boughtOffer(own)),
    ...spares.flatMap(({ offer, count }) => (count > 0 ? [offer] : [])),
  ];
  const offers = new Map(wanted.map((offer) => [offer.id, offer]));
  return [...offers.values()].map((offer): BoardLine => {
    const cut = mine.filter((board) => board.offer.id === offer.id);
    const spare = spares.reduce((sum, row) => sum + (row.offer.id === offer.id ? row.count : 0), 0);
    const toBuy = cut.filter(({ state }) => state === 'to buy');
    const count = toBuy.length + spare;
    // What is cut is no longer driven anywhere.
    const driven = 'sheet' in offer ? [] : cut.filter(({ state }) => state === 'to buy' || state === 'bought');
    const long = driven.filter(({ length }) => length > job.shop.car);
    return {
      ...ownedOf(
        bought.filter((own) => own.offer === offer.id),
        fate,
      ),
      ...{ offer, count, spare, total: count * offer.price },
      partIds: [
        ...new Set((count > 0 ? toBuy : cut).flatMap((board) => board.pieces.map((piece) => piece.blank.part.id))),
      ],
      storeCuts: long.map((board) => storeCuts(board, job.shop.car)),
    };
  });
}

/** Boxes by what they are needed for: what those that are bought do not hold is still to buy. */
function hardwareLines(
  job: Job,
  { boxes }: Holdings,
  needs: readonly HardwareNeed[],
  fate: ReadonlyMap<Purchase, Fate>,
): { readonly lines: readonly HardwareLine[]; readonly notSold: readonly HardwareNeed[] } {
  const worth = worthOf(job);
  const { hardware } = marketOf(job);
  const lines: HardwareLine[] = [];
  const notSold: HardwareNeed[] = [];
  const line = (offer: HardwareOffer, count: number, need: HardwareNeed, own: readonly Purchase[]) =>
    lines.push({ ...ownedOf(own, fate), offer, count, need, total: count * offer.price });
  const told = new Set<Purchase>();
  for (const need of needs) {
    const own = boxes.filter((box) => box.kind === need.kind && box.size === need.size && !told.has(box));
    own.forEach((box) => told.add(box));
    const lacks = need.count - own.reduce((sum, { count }) => sum + count, 0);
    const more = lacks > 0 ? boxed({ ...need, count: lacks }, hardware, worth) : [];
    if (more === null) notSold.push({ ...need, count: lacks });
    const rows = new Map((more ?? []).map((row) => [row.offer.id, row]));
    for (const { offer, count } of rows.values())
      line(
        offer,
        count,
        need,
        own.filter((box) => box.offer === offer.id),
      );
    for (const id of new Set(own.map(({ offer }) => offer))) {
      if (rows.has(id)) continue;
      const these = own.filter(({ offer }) => offer === id);
      const { kind, size, count, price } = last(these);
      line({ id, kind, size, count, price }, 0, need, these);
    }
  }
  for (const box of boxes) {
    if (told.has(box)) continue;
    const { offer: id, kind, size, count, price } = box;
    line({ id, kind, size, count, price }, 0, { kind, size, count: 0 } as HardwareNeed, [box]);
  }
  return { lines, notSold };
}

/** Where the money is: receipts by what became of each purchase, and what is still to spend at each yard. */
function sumsOf(
  { yard, alsoAt }: Pick<Job, 'yard' | 'alsoAt'>,
  receipts: readonly Receipt[],
  fate: ReadonlyMap<Purchase, Fate>,
  toBuyAt: (yard: Yard) => number,
) {
  const sums = { used: 0, toBuy: 0, idle: 0, lost: 0 };
  const at = new Map<string, YardTotal>();
  const add = ({ id, name, tax: rate }: Receipt['yard'], subtotal: number, tax: number) => {
    const before = at.get(id);
    const total = { subtotal: (before?.subtotal ?? 0) + subtotal, tax: (before?.tax ?? 0) + tax };
    at.set(id, { yard: before?.yard ?? { id, name, tax: rate }, ...total });
  };
  for (const one of [yard, ...alsoAt]) {
    const subtotal = toBuyAt(one);
    // What is still to buy is put on the receipt of the same visit: tax is rounded once.
    const visit = receipts.findLast((row) => row.yard.id === one.id && row.yard.tax === one.tax)?.subtotal ?? 0;
    const tax = taxOn(visit + subtotal, one) - taxOn(visit, one);
    sums.toBuy += subtotal + tax;
    if (one === yard || subtotal > 0) add(one, subtotal, tax);
  }
  for (const receipt of receipts) {
    add(receipt.yard, receipt.subtotal, receipt.tax);
    const of = (...which: readonly Fate[]) =>
      priceOf(receipt.purchases.filter((one) => which.includes(fate.get(one) ?? 'used')));
    const withTax = (cents: number) => cents + taxOn(cents, receipt.yard);
    const idle = withTax(of('idle'));
    const unused = withTax(of('idle', 'lost'));
    sums.idle += idle;
    sums.lost += unused - idle;
    sums.used += receipt.subtotal + receipt.tax - unused;
  }
  return { sums, byYard: [...at.values()] };
}

/** The list for the store: what is bought and still to buy, boards by size, spares, boxes, tax. All sums add up. */
export function buyingList(job: Job, boards: Boards, all: readonly HardwareNeed[]): BuyingList {
  const holdings = holdingsOf(job);
  const { lacking: needs, there } = lessCans(all, holdings);
  const spares = sparesFor(job, boards);
  const fate = fates(
    holdings,
    boards,
    spares.flatMap(({ own }) => own),
    needs,
  );
  const lines = boardLines(job, boards, holdings, spares, fate);
  const { lines: hardware, notSold } = hardwareLines(job, holdings, needs, fate);
  const receipts = receiptsOf(holdings);
  const bought = [...lines, ...hardware];
  const { sums, byYard } = sumsOf(job, receipts, fate, (yard) =>
    bought.reduce((sum, { offer, total }) => sum + (soldAt(job, offer).id === yard.id ? total : 0), 0),
  );
  const subtotal = byYard.reduce((sum, row) => sum + row.subtotal, 0);
  const tax = byYard.reduce((sum, row) => sum + row.tax, 0);

  const sawn = boards.boards.filter(({ hand }) => hand === null);
  let volume = 0;
  let used = 0;
  let usable = 0;
  for (const board of sawn) {
    const { thickness } = first(board.pieces).blank;
    volume += board.length * board.width * thickness;
    used += area(board) * thickness;
    usable += board.offcuts.reduce((sum, offcut) => sum + (offcut.length >= KEEP_OFFCUT ? offcut.length : 0), 0);
  }
  const boardCount = sawn.filter(({ state }) => state === 'to buy').length;
  return {
    boards: lines,
    hardware,
    there,
    notSold,
    receipts,
    sums,
    spent: sums.used + sums.idle + sums.lost,
    subtotal,
    tax,
    byYard,
    total: subtotal + tax,
    spares: spares.reduce((sum, { offer, count }) => sum + count * offer.price, 0),
    boardCount,
    boughtCount: sawn.length - boardCount,
    onHandCount: boards.boards.length - sawn.length,
    spareCount: spares.reduce((sum, { count }) => sum + count, 0),
    leftShare: volume > 0 ? 1 - used / volume : 0,
    usable,
  };
}
