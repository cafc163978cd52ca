import { toInches } from '../length';
import { boxOf, weightOf, type Part } from '../piece';

/**
 * Pounds straight down on the edge of the top that lift the far feet, for the less favourable of ends and sides:
 * own weight times its distance from the feet, over the overhang. Infinite where nothing overhangs.
 */
export function tipsAt(parts: readonly Part[]): { readonly pounds: number; readonly edge: 'end' | 'side' } {
  const weight = parts.reduce((sum, part) => sum + weightOf(part), 0);
  // What stands on the floor: legs, feet, sides.
  const standing = parts.filter((part) => !part.loose && boxOf(part).min[2] === 0).map(boxOf);
  const tops = parts.filter((part) => part.role === 'top').map(boxOf);
  const over = (axis: 0 | 1) => {
    const foot = toInches(
      Math.min(...standing.map((box) => box.min[axis])) - Math.min(...tops.map((box) => box.min[axis])),
    );
    const half = toInches(Math.max(...tops.map((box) => box.max[axis]))) / 2;
    return foot > 0 ? (weight * (half - foot)) / foot : Infinity;
  };
  const end = over(0);
  const side = over(1);
  return end <= side ? { pounds: end, edge: 'end' } : { pounds: side, edge: 'side' };
}
