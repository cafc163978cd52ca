// Looked up millions of times: indices count runs, lanes and items of the group.
/* oxlint-disable typescript/no-non-null-assertion */
import type { Length } from '../length';
import { isMitred, laneRoom, laneWeight, type Bin, type Group } from './group';
import { knapsackTable } from './knapsack';
import {
  cutInTwo,
  free,
  laneOf,
  layLane,
  piecesIn,
  type Rectangle,
  type Lane,
  type Area,
  type Orientation,
} from './region';
import { stagedFor } from './staged';
import { singleLane, waysOn } from './ways';

/** One way to cut a bin: how many of each item come out of it, and how each of its runs is cut. */
export type Pattern = {
  readonly bin: number;
  readonly counts: readonly number[];
  readonly regions: readonly Area[];
};

/** The rectangles of a bin that pieces may lie in: its runs between trimmed ends, edges and what is no good. */
export const runsOf = (bin: Bin): readonly Area[] =>
  bin.runs.map((run) => free({ x: run.from, y: bin.bottom, length: run.to - run.from, width: bin.usableWidth }));

/** A pattern from the runs of a bin as they are cut. */
export function patternOf(group: Group, bin: number, regions: readonly Area[]): Pattern {
  const counts = group.items.map(() => 0);
  for (const region of regions) for (const { item } of piecesIn(region)) counts[item]!++;
  return { bin, counts, regions };
}

/**
 * Fills every bin with pieces of most value out of `left`: exactly where square pieces lie end to end only, else by
 * the best of a few ways. Every result is made by straight cuts from edge to edge. Bins of one width and kind share
 * the work.
 */
export function fillAll(
  group: Group,
  left: readonly number[],
  values: readonly number[],
  bins: readonly number[] = group.bins.map((_, at) => at),
): readonly Pattern[] {
  const fillers = new Map<string, (region: Area, rest: number[]) => Area>();
  return bins.map((at) => {
    const bin = group.bins[at]!;
    const single = singleLane(group, bin);
    const key = `${bin.kind} ${bin.usableWidth} ${single}`;
    const longest = longestAlike(group, bin);
    const make = () => (single ? inOneLane(group, longest, left, values) : sideBySide(group, longest, values));
    const fill = fillers.get(key) ?? make();
    fillers.set(key, fill);
    const rest = [...left];
    const regions = runsOf(bin)
      .map((region, place) => ({ region, place }))
      .sort((a, b) => b.region.length - a.region.length)
      .map(({ region, place }) => {
        const filled = fill(region, rest);
        for (const { item } of piecesIn(filled)) rest[item]!--;
        return { filled, place };
      })
      .sort((a, b) => a.place - b.place)
      .map(({ filled }) => filled);
    return patternOf(group, at, regions);
  });
}

const longestRun = (bin: Bin): Length => Math.max(0, ...bin.runs.map((run) => run.to - run.from));

/** Of the bins of a kind and width the one with the longest run: whatever lies on one of them lies on it. */
export const longestAlike = (group: Group, bin: Bin): Bin =>
  group.bins
    .filter((other) => other.kind === bin.kind && other.usableWidth === bin.usableWidth)
    .reduce((a, b) => (longestRun(b) > longestRun(a) ? b : a));

/** Fills one bin; see `fillAll`. */
export const fill = (group: Group, bin: number, left: readonly number[], values: readonly number[]): Pattern =>
  fillAll(group, left, values, [bin])[0]!;

/** End to end: one table answers for every run of this width, for as long as nothing is used up between two runs. */
function inOneLane(group: Group, bin: Bin, left: readonly number[], values: readonly number[]) {
  const all = waysOn(group, bin).filter(({ item }) => left[item]! > 0);
  const tableOf = (rest: readonly number[], run: Length) =>
    knapsackTable(
      all.map((way) => values[way.item]!),
      all.map((way) => laneWeight(group, group.items[way.item]!)),
      all.map((way) => rest[way.item]!),
      laneRoom(group, run),
    );
  const table = tableOf(left, longestRun(bin));
  return (region: Area, rest: readonly number[]): Area => {
    const whole = rest.every((count, item) => count === left[item]);
    const { counts } = (whole ? table : tableOf(rest, region.length))(laneRoom(group, region.length));
    return rowOf(
      group,
      region,
      all.flatMap((way, k) => Array.from({ length: counts[k]! }, () => way)),
      values,
    );
  };
}

/**
 * Pieces end to end along a region, longest first, those of one width in lanes of their own. Where unlike mitres meet
 * and it gets too long, what is worth least for its length is left out.
 */
export function rowOf(group: Group, region: Area, ways: readonly Orientation[], values: readonly number[]): Area {
  const lanes = lanesOf(group, ways);
  if (lengthOf(group, lanes) > region.length) {
    const worth = (way: Orientation) => values[way.item]! / way.length;
    const least = ways.reduce((best, way) => (worth(way) < worth(best) ? way : best));
    const without = ways.indexOf(least);
    return rowOf(group, region, [...ways.slice(0, without), ...ways.slice(without + 1)], values);
  }
  const lay =
    (at: number) =>
    (box: Rectangle): Area =>
      at === lanes.length
        ? free(box)
        : at === lanes.length - 1 && lanes[at]!.width === box.width
          ? layLane(group, box, { ...lanes[at]!, length: box.length })
          : cutInTwo(group, box, 'crosscut', lanes[at]!.length, (one) => layLane(group, one, lanes[at]!), lay(at + 1));
  return lay(0)(region);
}

const lengthOf = (group: Group, lanes: readonly Lane[]): Length =>
  lanes.reduce((sum, lane) => sum + lane.length, 0) + Math.max(0, lanes.length - 1) * group.gap;

/** Square pieces in lanes as they follow each other by length; mitred ones a lane a width, since they nest. */
function lanesOf(group: Group, ways: readonly Orientation[]): readonly Lane[] {
  const sorted = [...ways].sort((a, b) => b.length - a.length || a.item - b.item);
  const lanes: Orientation[][] = [];
  for (const way of sorted) {
    const lane = isMitred(group) ? lanes.find(([first]) => first!.width === way.width) : lanes.at(-1);
    if (lane && lane[0]!.width === way.width) lane.push(way);
    else lanes.push([way]);
  }
  return lanes.map((lane) => laneOf(group, lane));
}

/** Side by side: the better of the staged cutting and of sections by worth for length, topped up from what is left. */
function sideBySide(group: Group, bin: Bin, values: readonly number[]) {
  const staged = stagedFor(group, bin, values);
  const ways = waysOn(group, bin);
  const worth = (region: Area) => piecesIn(region).reduce((sum, { item }) => sum + values[item]!, 0);
  return (region: Area, rest: readonly number[]): Area => {
    const ripped = staged ? topUp(group, staged.cut(region, rest), ways, rest, values) : free(region);
    const sections = topUp(group, sectionsOf(group, region, ways, rest, values), ways, rest, values);
    return worth(sections) > worth(ripped) + 1e-9 ? sections : ripped;
  };
}

/** Puts what is worth most into the free rectangles of a region, until nothing fits or nothing is left. */
function topUp(
  group: Group,
  region: Area,
  ways: readonly Orientation[],
  left: readonly number[],
  values: readonly number[],
): Area {
  const rest = [...left];
  for (const { item } of piecesIn(region)) rest[item]!--;
  const fillUp = (box: Area): Area => {
    const fits = ways.filter(
      (way) => rest[way.item]! > 0 && values[way.item]! > 1e-9 && way.length <= box.length && way.width <= box.width,
    );
    if (fits.length === 0) return box;
    const best = fits.reduce((a, b) => (values[b.item]! > values[a.item]! ? b : a));
    rest[best.item]!--;
    const along = (box.length - best.length) * box.width >= (box.width - best.width) * box.length;
    const laid = layLane(group, box, laneOf(group, [best]), along ? 'crosscut' : 'rip');
    return inFree(laid, fillUp);
  };
  return inFree(region, fillUp);
}

/** The region with every free rectangle in it replaced. Room behind the last piece of a lane stays as it is. */
function inFree(region: Area, replace: (box: Area) => Area): Area {
  const { use } = region;
  if (use === null) return replace(region);
  if (use.kind === 'lane') return region;
  const first = inFree(use.first, replace);
  return { ...region, use: { ...use, first, second: use.second && inFree(use.second, replace) } };
}

/** Sections across a region, each as long as its longest piece, or ripped all along; chosen by value for length. */
function sectionsOf(
  group: Group,
  region: Area,
  ways: readonly Orientation[],
  left: readonly number[],
  values: readonly number[],
): Area {
  const rest = [...left];
  const more = (box: Rectangle): Area => {
    const fits = ways.filter((way) => rest[way.item]! > 0 && way.length <= box.length);
    const lengths = new Set(fits.map((way) => way.length).concat(fits.length > 0 ? [box.length] : []));
    let best: { length: Length; lanes: readonly Lane[]; density: number } | null = null;
    for (const length of lengths) {
      const { lanes, value } = lanesAcross(group, { ...box, length }, fits, rest, values);
      const density = value / (length + group.gap);
      if (value > 1e-9 && density > (best?.density ?? 0)) best = { length, lanes, density };
    }
    if (best === null) return free(box);
    const { lanes, length } = best;
    for (const { pieces } of lanes) for (const { item } of pieces) rest[item]!--;
    const stack =
      (at: number) =>
      (one: Rectangle): Area =>
        at === lanes.length
          ? free(one)
          : cutInTwo(group, one, 'rip', lanes[at]!.width, (strip) => layLane(group, strip, lanes[at]!), stack(at + 1));
    return cutInTwo(group, box, 'crosscut', length, stack(0), more);
  };
  return more(region);
}

/** Lanes of one section, each of one width, filled by worth; the next lane from what is left. */
function lanesAcross(
  group: Group,
  box: Rectangle,
  ways: readonly Orientation[],
  left: readonly number[],
  values: readonly number[],
): { readonly lanes: readonly Lane[]; readonly value: number } {
  const rest = [...left];
  const lanes: Lane[] = [];
  let value = 0;
  for (let room = box.width; ;) {
    let best: { lane: Orientation[]; worth: number; width: Length } | null = null;
    for (const width of new Set(ways.map((way) => way.width))) {
      if (width > room) continue;
      const lane = greedyLane(
        group,
        box.length,
        ways.filter((way) => way.width === width),
        rest,
        values,
      );
      const worth = lane.reduce((sum, way) => sum + values[way.item]!, 0);
      if (worth > 1e-9 && worth / (width + group.kerf) > (best ? best.worth / (best.width + group.kerf) : 0))
        best = { lane, worth, width };
    }
    if (best === null) return { lanes, value };
    lanes.push(laneOf(group, best.lane));
    value += best.worth;
    for (const { item } of best.lane) rest[item]!--;
    room -= best.width + group.gapAcross;
  }
}

/** One lane, by worth for length. */
function greedyLane(
  group: Group,
  length: Length,
  ways: readonly Orientation[],
  left: readonly number[],
  values: readonly number[],
): Orientation[] {
  const lane: Orientation[] = [];
  const rest = [...left];
  let room = length;
  const density = (way: Orientation) => values[way.item]! / (way.length + group.gap);
  for (const way of [...ways].sort((a, b) => density(b) - density(a)))
    while (rest[way.item]! > 0 && values[way.item]! > 1e-9 && way.length <= room) {
      lane.push(way);
      rest[way.item]!--;
      room -= way.length + group.gap;
    }
  return lane;
}
