import type { Length } from '../length';
import type { Shop } from './schema';
import type { BLADES } from './tools';

type Blade = (typeof BLADES)[number];

/** How many clamps a shop has that open so far. */
export const clampsOver = (shop: Pick<Shop, 'clamps'>, opening: Length): number =>
  shop.clamps.reduce((sum, { length, count }) => sum + (length >= opening ? count : 0), 0);

export const clampCount = (shop: Pick<Shop, 'clamps'>): number => clampsOver(shop, 0);

/** Saws that may make a cut, the likeliest first. */
const CROSSCUT: readonly Blade[] = ['mitre saw', 'circular saw', 'table saw', 'hand saw'];
const RIP: readonly Blade[] = ['table saw', 'circular saw', 'band saw'];
const SHEET: readonly Blade[] = ['circular saw', 'table saw'];

/**
 * Width of the cut to plan with: that of the blade the shop would take. Boards are crosscut, and ripped where two
 * pieces lie side by side, so the wider of the two counts; sheets go through the saw that breaks them down. A blade
 * that was not measured is as wide as the shop says in general.
 */
export function kerfFor(shop: Pick<Shop, 'tools' | 'blades' | 'kerf'>, kind: 'board' | 'sheet'): Length {
  const width = (saws: readonly Blade[]): Length => {
    const saw = saws.find((tool) => shop.tools.includes(tool));
    return (saw && shop.blades[saw]) ?? shop.kerf;
  };
  return kind === 'sheet' ? width(SHEET) : Math.max(width(CROSSCUT), width(RIP));
}
