import { addAt, first, held, nth } from '../lists';
import { patternOf, rowOf, runsOf } from './fill';
import type { Orientation } from './region';
import { waysOn } from './ways';
import { laneRoom, laneWeight, type Bin, type Group } from './group';
import type { Cutting } from './search';

/** A board while it is filled: half units left in each of its runs, and the items that lie there. */
type Open = { readonly bin: number; readonly rooms: number[]; readonly runs: number[][] };

const lengthOf = ({ runs }: Bin): number => runs.reduce((sum, run) => sum + run.to - run.from, 0);

/**
 * A whole cutting of a long list whose square pieces lie end to end, at once: the longest first, each where it leaves
 * least (best fit decreasing, Johnson et al. 1974: never more than 11/9 of the fewest boards and a few). What is there
 * already is begun first, then the stock that sells length cheapest; at the end each board is changed for the cheapest
 * that holds the same.
 */
export function bestFit(group: Group): Cutting {
  const { bins, items } = group;
  const used = bins.map(() => 0);
  const ways = bins.map((bin) => new Map(waysOn(group, bin).map((way): [number, Orientation] => [way.item, way])));
  const rooms = bins.map((bin) => bin.runs.map((run) => laneRoom(group, run.to - run.from)));
  const canTake = (bin: number) => nth(used, bin) < (nth(bins, bin).available ?? Infinity);
  const rate = (bin: number) => nth(bins, bin).price / lengthOf(nth(bins, bin));
  const boards: Open[] = [];
  let missing = 0;

  const order = items.map((_, at) => at).sort((a, b) => nth(items, b).length - nth(items, a).length);
  for (const item of order) {
    const weight = laneWeight(group, nth(items, item));
    for (let count = nth(items, item).quantity; count > 0; count--) {
      let [least, on, at]: [number, Open | null, number] = [Infinity, null, 0];
      for (const board of boards)
        for (let run = 0; run < board.rooms.length; run++) {
          const room = nth(board.rooms, run);
          if (room >= weight && room < least && nth(ways, board.bin).has(item)) [least, on, at] = [room, board, run];
        }
      if (on === null) {
        const able = bins.flatMap((_, bin) =>
          canTake(bin) && nth(ways, bin).has(item) && nth(rooms, bin).some((room) => room >= weight) ? [bin] : [],
        );
        if (able.length === 0) {
          missing += count;
          break;
        }
        const bin = able.reduce((best, next) => (rate(next) < rate(best) ? next : best));
        addAt(used, bin, 1);
        on = { bin, rooms: [...nth(rooms, bin)], runs: nth(bins, bin).runs.map(() => []) };
        at = on.rooms.findIndex((room) => room >= weight);
        boards.push(on);
      }
      addAt(on.rooms, at, -weight);
      nth(on.runs, at).push(item);
    }
  }

  /** The cheapest stock of one run that holds what lies in the one run of this board. */
  const cheapest = (board: Open): number => {
    if (board.runs.length > 1) return board.bin;
    const weight = first(board.runs).reduce((sum, item) => sum + laneWeight(group, nth(items, item)), 0);
    return bins.reduce((best, { price }, bin) => {
      const holds =
        price < nth(bins, best).price &&
        canTake(bin) &&
        nth(rooms, bin).length === 1 &&
        first(nth(rooms, bin)) >= weight &&
        first(board.runs).every((item) => nth(ways, bin).has(item));
      return holds ? bin : best;
    }, board.bin);
  };
  const values = items.map(({ length }) => length);
  const patterns = boards.map((board) => {
    const bin = cheapest(board);
    addAt(used, board.bin, -1);
    addAt(used, bin, 1);
    const regions = runsOf(nth(bins, bin)).map((region, run) =>
      rowOf(
        group,
        region,
        nth(board.runs, run).map((item) => held(nth(ways, bin), item)),
        values,
      ),
    );
    return patternOf(group, bin, regions);
  });
  return { patterns, cost: patterns.reduce((sum, { bin }) => sum + nth(bins, bin).price, 0), missing };
}
