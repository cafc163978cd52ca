import { liesOn, type Bin, type Group } from './group';
import type { Orientation } from './region';

const known = new WeakMap<Bin, { readonly items: Group['items']; readonly ways: readonly Orientation[] }>();

/** Every way the group's items may lie on a bin. Asked for at every filling, so the answer is kept with the bin. */
export function waysOn(group: Group, bin: Bin): readonly Orientation[] {
  const before = known.get(bin);
  if (before && before.items === group.items) return before.ways;
  const ways = group.items.flatMap((item, at) => liesOn(item, bin).map((way) => ({ item: at, ...way })));
  known.set(bin, { items: group.items, ways });
  return ways;
}

/** True where no two pieces fit beside each other and none may lie two ways: the bin is filled end to end. */
export function singleLane(group: Group, bin: Bin): boolean {
  const ways = waysOn(group, bin);
  const narrowest = Math.min(...ways.map((way) => way.width));
  if (new Set(ways.map(({ item }) => item)).size < ways.length) return false;
  return 2 * narrowest + group.kerf > bin.usableWidth;
}
