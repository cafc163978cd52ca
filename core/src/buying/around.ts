import { first, held } from '../lists';
import type { EntryOf, Job, Lock, OnHand } from '../job';
import { pieceBody, type Body, type Holdings } from '../ledger';
import type { Blank } from '../milling';
import { sizesOf, type BoardOffer, type SheetOffer, type Stocked } from '../stock';
import { allotted, gives } from './allot';
import { canBecome, isAsPlanned, wantsOf, type Wants } from './locks';
import { boughtOffer, offerOf } from './offers';
import { blankBoard, lacking, type BoardLaid, type StockPool } from './pool';
import { asRow, cutBoard, isCut, originOf, thereOf, type CutBody, type There } from './there';

/** A cut piece that is no part of the plan: of another size, wood or angle, or more than are wanted. */
export type Unfit = {
  readonly body: string;
  readonly piece: EntryOf<'cut'>['pieces'][number];
  readonly material: Stocked;
};

/** The boards of one material around what is there, cut or wished for. Costs are of what is still to be bought. */
export type Around = StockPool & { readonly unfit: readonly Unfit[]; readonly lost: readonly Lock[] };

type Offer = BoardOffer | SheetOffer;

/** What is planned around: blanks and wishes of one material. */
export type Surroundings = {
  readonly material: Stocked;
  readonly blanks: readonly Blank[];
  readonly locks: readonly Lock[];
  readonly holdings: Holdings;
  readonly job: Pick<Job, 'ledger' | 'measured'>;
  /** Everything sold of the material, in stock or not. */
  readonly offers: readonly Offer[];
  readonly worth: (offer: Offer) => number;
  /** Boards are chosen by price: then those of a plan that is carried out as it stands do not change. */
  readonly byPrice: boolean;
  readonly solve: (blanks: readonly Blank[], there: readonly OnHand[]) => StockPool;
};

/** Costs that differ by less are the same, cents. */
const SAME = 0.5;

/** Boards that stay as they were cut, with the pieces that serve; those that do not. */
function carriedOver({ holdings, job, material }: Surroundings, cuts: readonly CutBody[], wants: Wants) {
  const serving = new Set<string>();
  const unfit: Unfit[] = [];
  const sizes = sizesOf(job.measured);
  const boards = cuts.flatMap((body) => {
    const pieces = body.cut.pieces.flatMap((piece, k) => {
      const id = pieceBody(body.id, k);
      // A piece that is spoiled, gone or cut up itself serves no part.
      if (body.state === 'cut' && holdings.bodies.get(id)?.state !== 'whole') return [];
      const taken = wants.take(piece, (blank) => canBecome(blank, piece, material));
      if (taken) serving.add(id);
      else unfit.push({ body: id, piece, material });
      return taken ?? [];
    });
    return pieces.length > 0 ? [cutBoard(body, pieces, sizes)] : [];
  });
  return { boards, serving, unfit };
}

/** Whether all of a layout lies on what a board is now, and on none of its bad stretches. */
const liesOn = ({ pieces }: Lock, { length, width, bad }: OnHand): boolean =>
  pieces.every(
    (piece) =>
      piece.x + piece.length <= length &&
      piece.y + piece.width <= width &&
      bad.every(({ from, to }) => piece.x >= to || piece.x + piece.length <= from),
  );

/** Boards laid out as a person wishes, from what is there or sold; wishes that can not be; what is left then. */
function wishedFor({ locks, offers, material, job }: Surroundings, { rows, wholes }: There, wants: Wants) {
  const sizes = sizesOf(job.measured);
  const left = new Map(rows.map((hand) => [`hand.${hand.id}`, hand.count]));
  const spare = [...wholes];
  const lost: Lock[] = [];
  const boards = locks.flatMap((lock): readonly BoardLaid[] => {
    const { id, from, cuts, offcuts } = lock;
    const hand = rows.find((row) => `hand.${row.id}` === from && held(left, from) > 0) ?? null;
    const own = spare.findIndex(({ bought }) => bought?.offer === from);
    const bought = spare[own]?.bought;
    const offer = hand ? offerOf(hand) : bought ? boughtOffer(bought) : offers.find((row) => row.id === from);
    const isFree = hand === null || liesOn(lock, hand);
    const pieces = isFree && offer && wants.takeAll(lock.pieces, (blank, piece) => isAsPlanned(blank, piece, material));
    if (!offer || !pieces) {
      lost.push(lock);
      return [];
    }
    if (hand) left.set(from, held(left, from) - 1);
    else if (bought) spare.splice(own, 1);
    return [{ ...blankBoard(offer, hand, sizes), kept: id, pieces, cuts, offcuts }];
  });
  const free = rows.flatMap((hand) => {
    const count = held(left, `hand.${hand.id}`);
    return count > 0 ? [{ ...hand, count }] : [];
  });
  return { boards, lost, free, spare };
}

/** What is still to be bought of boards once bought ones take the places of their like; bought ones with no place. */
function stillToBuy(boards: readonly BoardLaid[], spare: readonly Body[], worth: Surroundings['worth']) {
  const owned = new Map<string, number>();
  for (const { bought } of spare) if (bought) owned.set(bought.offer, (owned.get(bought.offer) ?? 0) + 1);
  let cost = 0;
  for (const { hand, offer } of boards) {
    const there = owned.get(offer.id) ?? 0;
    if (hand === null && there > 0) owned.set(offer.id, there - 1);
    else if (hand === null) cost += worth(offer);
  }
  return { cost, idle: [...owned.values()].reduce((sum, count) => sum + count, 0) };
}

/**
 * The cheapest boards where some are bought already, and some are left of others. Neither changes a plan that makes use
 * of what is bought anyway: any cheaper one would have been cheaper before. Where it does not, or something is left
 * that a piece can be cut from, that is planned for as wood that costs nothing, and taken where less must be bought.
 */
function cheapest(
  { solve, worth }: Surroundings,
  rest: readonly Blank[],
  free: readonly OnHand[],
  spare: readonly Body[],
  scraps: readonly Body[],
): StockPool {
  const plain = solve(rest, free);
  const { cost, idle } = stillToBuy(first(plain.options).boards, spare, worth);
  const lowerBound = plain.lowerBound - (plain.cost - cost);
  const asIs = { ...plain, cost, lowerBound, optimal: plain.optimal && cost - lowerBound < SAME };
  if (idle === 0 && scraps.length === 0) return asIs;
  if (cost < SAME && lacking(plain) === 0) return { ...asIs, lowerBound: cost, optimal: true };
  const other = solve(rest, [...free, ...[...scraps, ...spare].map(asRow)]);
  if (lacking(other) !== lacking(plain) ? lacking(other) < lacking(plain) : other.cost < cost - SAME) return other;
  const least = Math.min(cost, other.lowerBound);
  return { ...plain, cost, lowerBound: least, optimal: lacking(plain) === 0 && cost - least < SAME };
}

/** Boards for the blanks while the bodies of `fixed` stay as they were cut, and cut bodies that are in none of them. */
function layAround(asked: Surroundings, fixed: ReadonlySet<string>, cuts: readonly CutBody[]) {
  const { holdings, material, worth, byPrice, solve, job } = asked;
  const sizes = sizesOf(job.measured);
  const wants = wantsOf(asked.blanks);
  const over = carriedOver(
    asked,
    cuts.filter(({ id }) => fixed.has(id)),
    wants,
  );
  const there = thereOf(material, holdings, fixed, over.serving);
  const wished = wishedFor(asked, there, wants);
  const { free, spare } = wished;
  const rest = wants.rest();
  const scraps = there.leftovers.filter((body) => {
    const row = asRow(body);
    return rest.some(({ length, width }) => length <= row.length && width <= row.width);
  });
  const pool = byPrice
    ? cheapest(asked, rest, free, spare, scraps)
    : solve(rest, [...free, ...[...scraps, ...spare].map(asRow)]);
  const asBought = (board: BoardLaid): BoardLaid => {
    const bought = spare.find(({ id }) => id === board.hand?.id)?.bought;
    return bought ? { ...board, offer: boughtOffer(bought), hand: null } : board;
  };
  const loose = cuts.filter(({ id }) => !fixed.has(id));
  const wishes = stillToBuy(
    wished.boards,
    there.wholes.filter((body) => !spare.includes(body)),
    worth,
  );
  const told = pool.options.map(({ boards, ...way }) => {
    const all = [...over.boards, ...wished.boards, ...boards.map(asBought)];
    const cost = (byPrice ? pool.cost : way.cost) + wishes.cost;
    return { ...way, cost, ...allotted(all, holdings, loose, there.wholes, sizes) };
  });
  const used = new Set(first(told).boards.flatMap(({ body }) => body ?? []));
  const around: Around = {
    ...pool,
    options: told.map(({ unlike: _, ...way }) => way),
    cost: pool.cost + wishes.cost,
    lowerBound: pool.lowerBound + wishes.cost,
    unfit: over.unfit.filter(({ body }) => !used.has(body)),
    lost: wished.lost,
  };
  return { around, unlike: first(told).unlike };
}

/**
 * The boards of one material around what is there. What is cut just as the plan without it would have it changes
 * nothing; else the first that was cut otherwise stays as it is and the rest is planned anew, and so on, so that a plan
 * that is carried out does not move under the saw.
 */
export function settleAround(asked: Surroundings): Around {
  const { holdings, material, job, byPrice } = asked;
  const order = new Map(job.ledger.map(({ id }, at) => [id, at]));
  const bodies = [...holdings.bodies.values()];
  const cuts = bodies
    .filter((body) => body.material === material)
    .filter(isCut)
    .sort((a, b) => held(order, a.cut.id) - held(order, b.cut.id));
  // Where a piece of it is spoiled, gone or cut up, it can not be taken for what the plan had.
  const disturbed = new Set(
    bodies.flatMap(({ state, piece, from }) => (piece && state !== 'whole' ? (from ?? []) : [])),
  );
  const fixed = new Set(cuts.filter(({ id }) => !byPrice || disturbed.has(id)).map(({ id }) => id));
  // A wish that was carried out is none any more: its board is cut, and what is left of it is there.
  const locks = asked.locks.filter((lock) => {
    const body = cuts.find(
      (one) => !fixed.has(one.id) && originOf(one) === lock.from && gives(one.cut.pieces) === gives(lock.pieces),
    );
    if (body) fixed.add(body.id);
    return !body;
  });
  const withParents = (body: CutBody): readonly string[] => {
    const parent = cuts.find(({ id }) => id === body.from);
    return parent ? [...withParents(parent), body.id] : [body.id];
  };
  for (let more = 1; ; more *= 2) {
    const { around, unlike } = layAround({ ...asked, locks }, fixed, cuts);
    if (unlike.length === 0) return around;
    for (const body of unlike.slice(0, more)) withParents(body).forEach((id) => fixed.add(id));
  }
}
