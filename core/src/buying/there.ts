import type { EntryOf, OnHand } from '../job';
import { offcutBody, type Body, type Holdings } from '../ledger';
import { lean } from '../cutting';
import type { Sizes, Stocked } from '../stock';
import { boughtOffer, offerOf } from './offers';
import type { Board } from './board';
import { blankBoard, type BoardLaid } from './pool';

/** A body that is cut, at some settings or wholly. */
export type CutBody = Body & { readonly cut: EntryOf<'cut'> };
export const isCut = (body: Body): body is CutBody =>
  body.cut !== null && (body.state === 'begun' || body.state === 'cut');

/** A body as a row of what is there, to whoever looks for boards. Of a slanted piece, what is square of it. */
export function asRow({ id, material, length, width, squared, bad, note, piece }: Body): OnHand {
  const slant = piece ? Math.abs(lean(piece.slants.left, width)) + Math.abs(lean(piece.slants.right, width)) : 0;
  return {
    id,
    material,
    length: Math.max(1, length - Math.ceil(slant)),
    width,
    count: 1,
    squared,
    bad,
    where: '',
    note,
  };
}

/** Bought, and as it is sold. */
const isAsSold = ({ bought, bad, ...body }: Body): boolean =>
  bought !== null && bad.length === 0 && isLike(body, bought);
/** One of a row on hand, and as that row says. */
const isOfRow = ({ hand, bad, ...body }: Body): boolean => hand !== null && bad === hand.bad && isLike(body, hand);
const isLike = (one: Pick<Body, 'length' | 'width'>, other: Pick<Body, 'length' | 'width'>): boolean =>
  one.length === other.length && one.width === other.width;

/** Where a board comes from: an offer, or a row of what is there. */
export const sourceOf = ({ hand, offer }: Pick<BoardLaid, 'hand' | 'offer'>): string =>
  hand ? `hand.${hand.id}` : offer.id;
/** The same of a body, as a plan would name it that knew of no cut. */
export const originOf = (body: Body): string =>
  body.bought && isAsSold(body) ? body.bought.offer : `hand.${body.hand && isOfRow(body) ? body.hand.id : body.id}`;

/** A body as an empty board. */
const boardOf = (body: Body, sizes: Sizes): BoardLaid => {
  const hand = isAsSold(body) ? null : body.hand && isOfRow(body) ? body.hand : asRow(body);
  const offer = body.bought && hand === null ? boughtOffer(body.bought) : offerOf(hand ?? asRow(body));
  const board = blankBoard(offer, hand, sizes);
  return { ...board, length: body.length, width: body.width, body: body.id };
};

/** A body as it was cut, with those of its pieces that serve a part. */
export const cutBoard = (body: CutBody, pieces: BoardLaid['pieces'], sizes: Sizes): BoardLaid => ({
  ...boardOf(body, sizes),
  state: body.state === 'cut' ? 'cut' : 'begun',
  pieces,
  cuts: body.cut.cuts,
  offcuts: body.cut.offcuts,
});

/** Whether a board was bought for just the pieces of a board of the plan, by the offer that it is of. */
export const isBoughtFor = (
  { offer, parts }: EntryOf<'bought'>,
  board: Pick<BoardLaid, 'offer' | 'pieces'>,
): boolean => {
  const wanted = board.pieces.map(({ blank }) => blank.part.id);
  return offer === board.offer.id && [...parts].sort().join() === wanted.sort().join();
};

/** What is there of a material while some of what is cut stays so, the rest looked at as if it were whole. */
export type There = {
  /** Rows on hand and boards with a bad stretch: they go first. */
  readonly rows: readonly OnHand[];
  /** Bought whole, as they are sold. */
  readonly wholes: readonly Body[];
  /** Offcuts, and cut pieces that serve no part. */
  readonly leftovers: readonly Body[];
};

/**
 * @param fixed cut bodies that stay as they were cut.
 * @param serving cut pieces that are parts.
 */
export function thereOf(
  material: Stocked,
  { bodies, hands }: Holdings,
  fixed: ReadonlySet<string>,
  serving: ReadonlySet<string>,
): There {
  const rows = new Map<string, OnHand>();
  const wholes: Body[] = [];
  const leftovers: Body[] = [];
  for (const body of bodies.values()) {
    const isFree = body.state === 'whole' || (isCut(body) && !fixed.has(body.id));
    if (body.material !== material || !isFree || serving.has(body.id)) continue;
    if (body.from !== null) {
      if (fixed.has(body.from)) leftovers.push(body);
    } else if (isAsSold(body)) wholes.push(body);
    else {
      const origin = originOf(body);
      const count = (rows.get(origin)?.count ?? 0) + 1;
      rows.set(origin, {
        ...((origin.startsWith('hand.') && hands.get(origin.slice('hand.'.length))) || asRow(body)),
        count,
      });
    }
  }
  // In the order they were told of on hand, so that nothing else changes what is asked of the optimiser.
  return { rows: [...rows.values()], wholes, leftovers };
}

/** Boards with those of their offcuts that are there and that no other piece is cut from. */
export function withOffcutsLeft(boards: readonly Board[], { bodies }: Holdings): readonly Board[] {
  const used = new Set(boards.flatMap(({ body }) => body ?? []));
  return boards.map((board) => {
    const { body, state, offcuts } = board;
    if (body === null || state !== 'cut') return board;
    const isLeft = (id: string) => bodies.get(id)?.state === 'whole' && !used.has(id);
    return { ...board, offcuts: offcuts.filter((_, k) => isLeft(offcutBody(body, k))) };
  });
}
