import { last } from '@sill/core';
/**
 * Packs blocks of known height onto pages in order, as many on each as fit; a block taller than a page gets one of its
 * own. Heights and `room` in the same unit.
 */
export function paginate<T>(
  blocks: readonly T[],
  heightOf: (block: T) => number,
  room: number,
): readonly (readonly T[])[] {
  const pages: T[][] = [];
  let left = -Infinity;
  for (const block of blocks) {
    const height = heightOf(block);
    if (height > left || pages.length === 0) {
      pages.push([]);
      left = room;
    }
    last(pages).push(block);
    left -= height;
  }
  return pages;
}
