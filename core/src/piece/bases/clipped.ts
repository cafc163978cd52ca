import { nth } from '../../lists';
import type { Length } from '../../length';
import type { Cutout, Part } from '../part';
import { waysOf } from '../shape';

/** A corner off one end of a beam, seen from the side: rise and run alike. `far`: the end its length runs to. */
export function clippedEnd(part: Part, size: Length, edge: 'upper' | 'lower', end: 'near' | 'far'): Part {
  // Which of its own directions stands up, and whether it points up.
  const up = Math.abs(waysOf(part)[1][2]) > Math.abs(waysOf(part)[2][2]) ? 1 : 2;
  const rises = nth(waysOf(part), up)[2] > 0;
  const [high, wide] = up === 1 ? [part.width, part.thickness] : [part.thickness, part.width];
  const atHigh = (edge === 'upper') === rises;
  const [from, to] = atHigh ? [high, high - size] : [0, size];
  const [x, inner] = end === 'near' ? [0, size] : [part.length, part.length - size];
  const corner: readonly (readonly [number, number])[] = [
    [x, from],
    [inner, from],
    [x, to],
  ];
  const cut: Cutout = {
    kind: 'corner',
    axis: up === 1 ? 2 : 1,
    // Counter-clockwise.
    outline: atHigh === (end === 'near') ? [...corner].reverse() : corner,
    from: -1,
    to: wide + 1,
    for: null,
  };
  return { ...part, cuts: [...part.cuts, cut] };
}

/** Corners clipped off both upper or lower ends of a beam. */
export const clipped = (part: Part, size: Length, edge: 'upper' | 'lower'): Part =>
  clippedEnd(clippedEnd(part, size, edge, 'near'), size, edge, 'far');
