import { tapeStep, type Length, type Units } from '../length';
import type { LumberSizes, Nominal } from '../stock';

/** How a top is divided into boards, front to back. */
export type TopDivision = {
  readonly nominal: Nominal;
  /** Finished width of each board; they add up to the top exactly. */
  readonly widths: readonly Length[];
  /** Boards whose finished width is less than the board as bought, so that they go through a saw lengthwise. */
  readonly ripped: number;
};

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/**
 * Divides a joined top `width` wide into the fewest boards of one nominal width.
 *
 * Ripped square: rounded edges come off, `edgeRip` a side, and all boards are ripped to one fence setting (a whole
 * tape step); the last board takes what is left. As bought: boards keep their width, and the two outer ones are ripped
 * alike to make up the size.
 */
export function divideTop(
  width: Length,
  nominal: Nominal,
  edges: 'ripped' | 'as bought',
  edgeRip: Length,
  units: Units,
  sizes: LumberSizes,
): TopDivision {
  const actual = sizes.dressed(nominal).width;
  const usable = edges === 'ripped' ? actual - 2 * edgeRip : actual;
  const count = Math.max(1, Math.ceil(width / usable));
  if (count === 1) return { nominal, widths: [width], ripped: width < actual ? 1 : 0 };
  if (edges === 'ripped') {
    const step = tapeStep(units);
    const fence = Math.min(usable, Math.ceil(width / count / step) * step);
    const widths = Array.from({ length: count - 1 }, () => fence);
    return { nominal, widths: [...widths, width - sum(widths)], ripped: count };
  }
  const outer = width - (count - 2) * actual;
  const first = Math.floor(outer / 2);
  const inner = Array.from({ length: count - 2 }, () => actual);
  const widths = [first, ...inner, outer - first];
  return { nominal, widths, ripped: widths.filter((board) => board < actual).length };
}
