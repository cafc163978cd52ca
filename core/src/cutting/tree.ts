import { addAt, nth, sure } from '../lists';
import type { Length } from '../length';
import type { Orientation } from './region';
import type { Group } from './group';
import { cutInTwo, free, laneOf, layLane, piecesIn, type Rectangle, type Area } from './region';

/** What comes out of a rectangle, by how it is cut: pieces end to end, then sections that are ripped in two. */
export type CutTree = {
  readonly ends: readonly Orientation[];
  readonly sections: readonly { readonly width: Length; readonly low: CutTree; readonly high: CutTree }[];
};
export const EMPTY: CutTree = { ends: [], sections: [] };

/** Adds up what a tree gives. */
export function countUp({ ends, sections }: CutTree, counts: number[]): void {
  for (const { item } of ends) addAt(counts, item, 1);
  for (const { low, high } of sections) {
    countUp(low, counts);
    countUp(high, counts);
  }
}

/** Lays a tree out. Pieces used up and what rounding or unlike mitres make too long are left out. */
export function layTree(group: Group, { ends, sections }: CutTree, box: Rectangle, rest: number[]): Area {
  const taken: Orientation[] = [];
  for (const way of ends)
    if (nth(rest, way.item) > 0 && taken.reduce((sum, one) => sum + one.length, way.length) <= box.length) {
      addAt(rest, way.item, -1);
      taken.push(way);
    }
  const lanes = (part: Rectangle): Area => {
    // Pieces of one width in a lane; narrower ones after them, each width in a lane of its own.
    const width = Math.max(...taken.map((way) => way.width));
    const own = taken.filter((way) => way.width === width);
    let lane = laneOf(group, own);
    while (lane.length > part.length && own.length > 1) {
      addAt(rest, sure(own.pop(), 'piece in the lane').item, 1);
      lane = laneOf(group, own);
    }
    const others = taken.filter((way) => way.width !== width);
    taken.splice(0, taken.length, ...others);
    if (lane.length > part.length) return free(part);
    return cutInTwo(
      group,
      part,
      'crosscut',
      lane.length,
      (one) => layLane(group, one, lane),
      taken.length > 0 ? lanes : stack(0),
    );
  };
  const stack =
    (at: number) =>
    (part: Rectangle): Area => {
      if (at === sections.length) return free(part);
      const { width, low, high } = nth(sections, at);
      const ripped = cutInTwo(
        group,
        part,
        'rip',
        width - group.kerf,
        (strip) => layTree(group, low, strip, rest),
        (strip) => layTree(group, high, strip, rest),
      );
      return shrunk(group, ripped, stack(at + 1));
    };
  return taken.length > 0 ? lanes(box) : stack(0)(box);
}

/** A region cut off behind its last piece, with the next chunk in what is left. */
function shrunk(group: Group, region: Area, next: (part: Rectangle) => Area): Area {
  const pieces = piecesIn(region);
  if (pieces.length === 0) return next(region);
  const length = Math.max(...pieces.map((piece) => piece.x + piece.length)) - region.x;
  return cutInTwo(group, region, 'crosscut', length, (part) => cropped(region, part), next);
}

/** The same cuts in a shorter region that still holds all pieces. */
function cropped(region: Area, box: Rectangle): Area {
  const { use } = region;
  if (use === null || use.kind === 'lane') return { ...box, use };
  const { first, second } = use;
  const room = (of: Area) => ({
    x: of.x,
    y: of.y,
    width: of.width,
    length: Math.min(of.length, box.x + box.length - of.x),
  });
  if (use.kind === 'crosscut' && first.x + first.length >= box.x + box.length) return cropped(first, box);
  const rest = second && room(second).length > 0 ? cropped(second, room(second)) : null;
  return { ...box, use: { ...use, first: cropped(first, room(first)), second: rest } };
}
