import { inches, PER_FOOT, type Length } from '../length';
import type { Job } from '../job';
import type { Blank } from '../milling';
import type { BoardOffer, HardwareNeed, Nominal } from '../stock';
import { boxesFor, type Boxes } from './boxes';
import type { Boards } from './boards';

export type BoardLine = {
  readonly offer: BoardOffer;
  /** Boards to buy, spares among them. */
  readonly count: number;
  readonly spare: number;
  /** Cents. */
  readonly total: number;
  readonly partIds: readonly string[];
};
export type HardwareLine = Boxes & { readonly need: HardwareNeed; readonly total: number };

export type BuyingList = {
  readonly boards: readonly BoardLine[];
  readonly hardware: readonly HardwareLine[];
  /** What no box at this yard holds. */
  readonly notSold: readonly HardwareNeed[];
  readonly subtotal: number;
  readonly tax: number;
  readonly total: number;
  /** Cents of the subtotal spent on spares. */
  readonly spares: number;
  readonly boardCount: number;
  readonly spareCount: number;
  /** Share of the bought wood, by volume and spares left out, that ends in no blank: 0 to 1. */
  readonly leftShare: number;
  /** Length of offcuts long enough to keep, together. */
  readonly usable: Length;
};

/** Shorter offcuts are not worth a place on the rack. */
export const KEEP_OFFCUT: Length = inches(12);

/** One spare of each nominal size: the cheapest board that can replace the longest blank, should a cut go wrong. */
function sparesFor(job: Job, boards: Boards): readonly BoardOffer[] {
  if (job.spares === 'none') return [];
  const longest = new Map<Nominal, Length>();
  for (const { offer, pieces } of boards.boards)
    for (const piece of pieces) longest.set(offer.nominal, Math.max(longest.get(offer.nominal) ?? 0, piece.length));
  return [...longest].flatMap(([nominal, length]) => {
    const able = job.yard.boards
      .filter((offer) => offer.nominal === nominal && offer.inStock)
      .filter((offer) => offer.feet * PER_FOOT - 2 * job.shop.squareEnds >= length)
      .sort((a, b) => a.price - b.price || a.feet - b.feet);
    return able.slice(0, 1);
  });
}

const volume = (length: Length, blank: Pick<Blank, 'width' | 'thickness'>) => length * blank.width * blank.thickness;

/** The list for the store: boards by size, spares, boxes, tax. Every total is in whole cents and they add up. */
export function buyingList(job: Job, boards: Boards, needs: readonly HardwareNeed[]): BuyingList {
  const spares = sparesFor(job, boards);
  const offers = [...new Set([...boards.boards.map((board) => board.offer), ...spares])];
  const lines = offers.map((offer): BoardLine => {
    const cut = boards.boards.filter((board) => board.offer === offer);
    const spare = spares.filter((row) => row === offer).length;
    const count = cut.length + spare;
    const partIds = [...new Set(cut.flatMap((board) => board.pieces.map((piece) => piece.blank.part.id)))];
    return { offer, count, spare, total: count * offer.price, partIds };
  });
  const hardware: HardwareLine[] = [];
  const notSold: HardwareNeed[] = [];
  for (const need of needs) {
    const boxes = boxesFor(need, job.yard.hardware);
    if (boxes === null) notSold.push(need);
    else hardware.push(...boxes.map((box) => ({ ...box, need, total: box.count * box.offer.price })));
  }
  const subtotal = [...lines, ...hardware].reduce((sum, line) => sum + line.total, 0);
  const tax = Math.round((subtotal * job.yard.tax) / 100);

  let bought = 0;
  let used = 0;
  let usable = 0;
  for (const { pieces, length, offcuts } of boards.boards) {
    bought += volume(length, pieces[0]!.blank);
    used += pieces.reduce((sum, piece) => sum + volume(piece.length, piece.blank), 0);
    usable += offcuts.reduce((sum, offcut) => sum + (offcut.length >= KEEP_OFFCUT ? offcut.length : 0), 0);
  }
  return {
    boards: lines,
    hardware,
    notSold,
    subtotal,
    tax,
    total: subtotal + tax,
    spares: spares.reduce((sum, offer) => sum + offer.price, 0),
    boardCount: boards.boards.length,
    spareCount: spares.length,
    leftShare: bought > 0 ? 1 - used / bought : 0,
    usable,
  };
}
