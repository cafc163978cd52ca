import type { Body, Holdings } from '../ledger';
import type { Board } from './board';
import type { BoardLine, HardwareLine } from './list';
import { isBoughtFor } from './there';

const stateOf = ({ state, bought }: Body): Board['state'] =>
  state === 'cut' || state === 'begun' ? state : bought ? 'bought' : 'on hand';

/**
 * Boards of a plan as they stand after what was told since it was made: until it is made anew, what was bought for the
 * pieces of a board is that board.
 */
export function boardsNow(boards: readonly Board[], { bodies }: Holdings): readonly Board[] {
  const known = new Set(boards.flatMap(({ body }) => body ?? []));
  const fresh = [...bodies.values()].filter(({ id, bought }) => bought && bought.parts.length > 0 && !known.has(id));
  return boards.map((board) => {
    const at = fresh.findIndex(({ bought }) => bought && isBoughtFor(bought, board));
    const body = board.body === null ? fresh.splice(at, at < 0 ? 0 : 1)[0] : bodies.get(board.body);
    return body ? { ...board, body: body.id, state: stateOf(body) } : board;
  });
}

/** A line of boards as it stands after what was bought since. */
export function lineNow(line: BoardLine, { bodies }: Holdings): BoardLine {
  const { offer, count, owned, paid, total } = line;
  const bought = [...bodies.values()].flatMap(({ bought: own, state }) =>
    own?.offer === offer.id && state !== 'returned' ? [own.price] : [],
  );
  const more = Math.min(count, Math.max(0, bought.length - owned));
  const now = bought.reduce((sum, price) => sum + price, 0);
  return more === 0
    ? line
    : {
        ...line,
        count: count - more,
        owned: owned + more,
        paid: Math.max(paid, now),
        total: total - more * offer.price,
      };
}

/** A line of boxes as it stands after what was bought or taken back since. */
export function boxesNow(line: HardwareLine, { boxes }: Holdings): HardwareLine {
  const own = boxes.filter(({ offer }) => offer === line.offer.id);
  const more = own.length - line.owned;
  return more === 0
    ? line
    : {
        ...line,
        count: Math.max(0, line.count - more),
        owned: own.length,
        paid: own.reduce((sum, { price }) => sum + price, 0),
      };
}
