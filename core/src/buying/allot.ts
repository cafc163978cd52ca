import { held } from '../lists';
import type { Body, Holdings } from '../ledger';
import type { Sizes } from '../stock';
import { boughtOffer } from './offers';
import type { BoardLaid } from './pool';
import { cutBoard, isBoughtFor, originOf, sourceOf, type CutBody } from './there';

type Lying = { readonly part: string; readonly length: number; readonly width: number };

/** What a board gives, wherever it lies on it: two boards that give the same may be cut one as the other. */
export const gives = (pieces: readonly Lying[]): string =>
  pieces
    .map(({ part, length, width }) => `${part} ${length} ${width}`)
    .sort()
    .join();
const givesOf = ({ pieces }: BoardLaid): string =>
  gives(pieces.map(({ blank, length, width }) => ({ part: blank.part.id, length, width })));

/** Each board as the cut body that it was cut just like; bodies that no board is like. */
function likeCut(boards: readonly BoardLaid[], loose: readonly CutBody[], sizes: Sizes) {
  const told: (BoardLaid | null)[] = boards.map((board) => (board.body === null ? null : board));
  const unlike = loose.filter((body) => {
    const at = boards.findIndex(
      (board, k) => told[k] === null && sourceOf(board) === originOf(body) && givesOf(board) === gives(body.cut.pieces),
    );
    const board = boards[at];
    if (!board) return true;
    const blanks = new Map(board.pieces.map(({ blank }) => [blank.part.id, blank]));
    const pieces = body.cut.pieces.map(({ part, ...lies }) => ({ blank: held(blanks, part), ...lies }));
    told[at] = cutBoard(body, pieces, sizes);
    return false;
  });
  return { told, unlike };
}

/**
 * Which body each board is: what was cut just so, else what is bought, first for just these pieces, or there; what is
 * none is still to be bought.
 *
 * @param loose cut bodies that may be taken for boards of the plan.
 * @param wholes bought boards that may be.
 */
export function allotted(
  boards: readonly BoardLaid[],
  { bodies }: Holdings,
  loose: readonly CutBody[],
  wholes: readonly Body[],
  sizes: Sizes,
): { readonly boards: readonly BoardLaid[]; readonly unlike: readonly CutBody[] } {
  const { told, unlike } = likeCut(boards, loose, sizes);
  const taken = new Set([...told.flatMap((board) => board?.body ?? []), ...loose.map(({ id }) => id)]);
  const isFree = (body: Body) => body.state === 'whole' && !taken.has(body.id);
  const claim = (own: readonly Body[], suits: (body: Body) => boolean): Body | undefined => {
    const body = own.find((one) => isFree(one) && suits(one));
    if (body) taken.add(body.id);
    return body;
  };
  for (const forThese of [true, false])
    boards.forEach((board, at) => {
      if (told[at] !== null || board.hand !== null) return;
      const own = claim(
        wholes,
        ({ bought, length }) =>
          bought?.offer === board.offer.id && length === board.length && (!forThese || isBoughtFor(bought, board)),
      );
      if (own?.bought) told[at] = { ...board, body: own.id, state: 'bought', offer: boughtOffer(own.bought) };
    });
  const ofRow = new Map<string, Body[]>();
  for (const body of bodies.values()) {
    const of = originOf(body);
    ofRow.set(of, [...(ofRow.get(of) ?? []), body]);
  }
  return {
    boards: boards.map((board, at): BoardLaid => {
      const before = told[at] ?? board;
      if (before.body !== null || board.hand === null) return before;
      const body = claim(ofRow.get(sourceOf(board)) ?? [], () => true);
      return { ...board, body: body?.id ?? null, state: 'on hand' };
    }),
    unlike,
  };
}
