import { addAt, nth } from '../lists';
import { fillAll, type Pattern } from './fill';
import type { Group } from './group';
import { better, type Cutting } from './search';
import { settingsOf } from './settings';

/** How much it is worth that a layout repeats, beside how full it is. */
const FAVOURS = [0.02, 0.06, 0.15, 0.4];

/** Times a layout may repeat that are tried: all small numbers, then half as many again. */
const TIMES = [1, 2, 3, 4, 5, 6, 8, 10, 12, 16, 24, 32, 48, 64, 96, 128];

/** One cutting: board after board, each time the layout that is best for its price and for how often it can be used. */
function repeated(group: Group, favour: number, stopped: () => boolean): Cutting | null {
  const left = group.items.map(({ quantity }) => quantity);
  const used = group.bins.map(() => 0);
  const values = group.items.map(({ length, width }) => length * width);
  const patterns: Pattern[] = [];
  while (left.some((count) => count > 0) && !stopped()) {
    let best: { readonly pattern: Pattern; readonly times: number; readonly score: number } | null = null;
    for (const times of TIMES) {
      const each = left.map((count) => Math.floor(count / times));
      if (each.every((count) => count === 0)) break;
      const open = group.bins.flatMap(({ available }, bin) =>
        (available ?? Infinity) - nth(used, bin) >= times ? [bin] : [],
      );
      for (const pattern of fillAll(group, each, values, open)) {
        const worth = pattern.counts.reduce((sum, count, item) => sum + count * nth(values, item), 0);
        if (worth === 0) continue;
        const all = times === 1 && pattern.counts.every((count, item) => count === left[item]);
        const price = Math.max(nth(group.bins, pattern.bin).price, 0.01);
        // A board that takes all that is left ends the work: then only its price counts.
        const score = all ? price * 1e-9 : price / worth / (1 + favour * Math.log2(times));
        if (best === null || score < best.score) best = { pattern, times, score };
      }
    }
    if (best === null) return null;
    for (let time = 0; time < best.times; time++) patterns.push(best.pattern);
    addAt(used, best.pattern.bin, best.times);
    best.pattern.counts.forEach((count, item) => addAt(left, item, -count * best.times));
  }
  if (left.some((count) => count > 0)) return null;
  return { patterns, cost: patterns.reduce((sum, { bin }) => sum + nth(group.bins, bin).price, 0), missing: 0 };
}

/**
 * Cuttings in which layouts repeat, so that many boards are cut at one setting (sequential heuristic procedure,
 * Haessler 1971): the more a repeat is favoured, the more is left over.
 */
export const repeatedCuttings = (group: Group, stopped: () => boolean): readonly Cutting[] =>
  FAVOURS.flatMap((favour) => repeated(group, favour, stopped) ?? []);

/** With more pieces than this no other cutting of the same price is looked for. */
const MOST_PIECES = 200;

/** Of the cutting and others from the very bins it uses, no worse in anything: the one cut at the fewest settings. */
export function fewestSettings(group: Group, cutting: Cutting, stopped: () => boolean): Cutting {
  const pieces = group.items.reduce((sum, { quantity }) => sum + quantity, 0);
  if (cutting.missing > 0 || pieces > MOST_PIECES) return cutting;
  const bins = group.bins.map((bin, at) => ({
    ...bin,
    available: cutting.patterns.filter((pattern) => pattern.bin === at).length,
  }));
  return repeatedCuttings({ ...group, bins }, stopped)
    .filter((other) => !better(group, cutting, other))
    .reduce((best, other) => (settingsOf(group, other) < settingsOf(group, best) ? other : best), cutting);
}
