import type { Length } from '../../length';
import type { Cutout, Part } from '../part';

/** Corners clipped off both upper ends of a beam lying along its own x, seen from the side: rise and run alike. */
export function clipped(part: Part, size: Length, edge: 'upper' | 'lower'): Part {
  const { length, width, thickness } = part;
  const from = edge === 'upper' ? thickness : 0;
  const to = edge === 'upper' ? thickness - size : size;
  const corner = (x: number, inner: number): Cutout => ({
    kind: 'corner',
    axis: 1,
    outline:
      edge === 'upper'
        ? x === 0
          ? [
              [0, to],
              [inner, from],
              [0, from],
            ]
          : [
              [x, to],
              [x, from],
              [inner, from],
            ]
        : x === 0
          ? [
              [0, from],
              [inner, from],
              [0, to],
            ]
          : [
              [inner, from],
              [x, from],
              [x, to],
            ],
    from: -1,
    to: width + 1,
    for: null,
  });
  return { ...part, cuts: [...part.cuts, corner(0, size), corner(length, length - size)] };
}
