import { last, nth } from '../lists';
import type { Aim } from './aim';
import type { Bin, Group } from './group';
import { leastCost, type SolvedWith } from './least-cost';
import { piecesIn } from './region';
import { repeatedCuttings } from './repeats';
import type { Cutting } from './search';
import { settingsOf } from './settings';

/** A cutting among others, with what it costs in cents and measures by the aim. */
type Option = { readonly cutting: Cutting; readonly cost: number; readonly measure: number };
export type Options = {
  /** From the cheapest on: each dearer one measures less. */
  readonly options: readonly Option[];
  /** What no cutting measures less than. */
  readonly atLeast: number;
};

/** Square units of 1/320 mm in one square inch: areas are told in those, to two places. */
const SQUARE_INCH = 8128 * 8128;
const inSquareInches = (area: number): number => Math.round((area / SQUARE_INCH) * 100) / 100;
const bought = ({ price }: Bin): boolean => price > 0;

/**
 * What a cutting measures. Waste: area of bought stock that ends in no piece, square inches. Boards: those bought.
 * Setups: settings of the saw.
 */
function measureOf(group: Group, { patterns }: Pick<Cutting, 'patterns'>, aim: Exclude<Aim, 'cost'>): number {
  const onBought = patterns.filter(({ bin }) => bought(nth(group.bins, bin)));
  if (aim === 'boards') return onBought.length;
  if (aim === 'waste') {
    const stock = onBought.reduce((sum, { bin }) => sum + nth(group.bins, bin).length * nth(group.bins, bin).width, 0);
    const used = onBought
      .flatMap(({ regions }) => regions.flatMap(piecesIn))
      .reduce((sum, { length, width }) => sum + length * width, 0);
    return inSquareInches(stock - used);
  }
  return settingsOf(group, { patterns });
}

/** A group whose stock has other prices: what it is then cut for cheapest. */
const repriced = (group: Group, price: (bin: Bin) => number): Group => ({
  ...group,
  bins: group.bins.map((bin) => ({ ...bin, price: bought(bin) ? Math.round(price(bin)) : 0 })),
});

/** How much the aim counts beside the price: a little, as much, far more. In haste only two of them. */
const WEIGHTS = [0.25, 1, 4, 32];
const HASTY = [1, 32];

/** So little beside the price that it only decides between equals. */
const TOUCH = 0.02;

/** With more pieces than this only the weights are tried. */
const MOST_PIECES = 120;
const MOST_COUNTS = 6;

/** Bins of a cutting with fewer of them than it uses: what lies between the cheapest and the best is found so. */
function fewerOf(group: Group, { patterns }: Cutting): readonly (readonly [bin: number, count: number])[] {
  if (group.items.reduce((sum, { quantity }) => sum + quantity, 0) > MOST_PIECES) return [];
  return group.bins.flatMap((bin, at) => {
    const used = bought(bin) ? patterns.filter((pattern) => pattern.bin === at).length : 0;
    const step = Math.max(1, Math.ceil(used / MOST_COUNTS));
    return Array.from({ length: Math.ceil(used / step) }, (_, k) => [at, used - 1 - k * step] as const).filter(
      ([, count]) => count >= 0,
    );
  });
}

/** Cents that a bin is worth under an aim alone, for the bound: hundredths of boards, tenths of square inches. */
const PER_BOARD = 100;
const PER_SQUARE_INCH = 10;

/**
 * Cuttings that measure less than the cheapest, from solving the group again at prices to which the aim adds; for
 * settings from cuttings that repeat. The bound comes from the aim alone as a price.
 */
export function optionsFor(group: Group, cheapest: Cutting, aim: Exclude<Aim, 'cost'>, means: SolvedWith): Options {
  const realCost = ({ patterns }: Cutting) => patterns.reduce((sum, { bin }) => sum + nth(group.bins, bin).price, 0);
  const weigh = (bin: Bin) => (aim === 'waste' ? (bin.length * bin.width) / SQUARE_INCH : 1);
  const average = (of: (bin: Bin) => number) =>
    group.bins.filter(bought).reduce((sum, bin) => sum + of(bin), 0) / Math.max(1, group.bins.filter(bought).length);
  const rate = average(({ price }) => price) / Math.max(1e-9, average(weigh));
  const cuttings = [cheapest];
  const hasty = means.effort.nodes === 0;
  if (cheapest.missing === 0)
    for (const weight of hasty ? HASTY : WEIGHTS) {
      const other = repriced(group, (bin) => bin.price + weight * rate * weigh(bin));
      cuttings.push(leastCost(other, means).cutting);
    }
  if (cheapest.missing === 0 && aim !== 'setups' && !hasty)
    for (const [bin, count] of fewerOf(group, cheapest)) {
      const less = { ...group, bins: group.bins.map((one, at) => (at === bin ? { ...one, available: count } : one)) };
      cuttings.push(
        leastCost(
          repriced(less, (one) => one.price + TOUCH * rate * weigh(one)),
          means,
        ).cutting,
      );
    }
  let atLeast = 0;
  if (aim === 'setups') {
    if (cheapest.missing === 0) cuttings.push(...repeatedCuttings(group, means.stopped));
    // Every different length of what lies one way only must be set once at least.
    const along = group.items.filter(
      ({ grain }) => grain !== 'any' || group.bins.every(({ kind }) => kind === 'board'),
    );
    atLeast = new Set(along.map(({ length, width, grain }) => (grain === 'width' ? width : length))).size;
  } else {
    const unit = aim === 'boards' ? PER_BOARD : PER_SQUARE_INCH;
    const alone = leastCost(
      repriced(group, (bin) => Math.floor(unit * weigh(bin))),
      means,
    );
    cuttings.push(alone.cutting);
    const pieces = group.items.reduce((sum, { quantity, length, width }) => sum + quantity * length * width, 0);
    atLeast =
      aim === 'boards'
        ? Math.ceil(alone.bound / unit - 1e-9)
        : Math.max(0, inSquareInches((alone.bound / unit) * SQUARE_INCH - pieces));
  }
  const options = cuttings
    .filter(({ missing }) => missing === cheapest.missing)
    .map((cutting) => ({ cutting, cost: realCost(cutting), measure: measureOf(group, cutting, aim) }));
  return { options: frontOf(options), atLeast };
}

/** Those that no other beats, the cheapest first. */
function frontOf<T extends { readonly cost: number; readonly measure: number }>(options: readonly T[]): readonly T[] {
  const front: T[] = [];
  for (const option of [...options].sort((a, b) => a.cost - b.cost || a.measure - b.measure))
    if (front.length === 0 || option.measure < last(front).measure) front.push(option);
  return front;
}

type Combined<T> = { readonly cost: number; readonly measure: number; readonly picked: readonly T[] };

/** One option of each list in every way worth having: no other way is as cheap and measures as little. */
export const combine = <T extends { readonly cost: number; readonly measure: number }>(
  lists: readonly { readonly options: readonly T[] }[],
): readonly Combined<T>[] =>
  lists.reduce<readonly Combined<T>[]>(
    (ways, { options }) =>
      frontOf(
        ways.flatMap((way) =>
          options.map((option) => ({
            cost: way.cost + option.cost,
            measure: way.measure + option.measure,
            picked: [...way.picked, option],
          })),
        ),
      ),
    [{ cost: 0, measure: 0, picked: [] }],
  );
