import { type Box, extent, outOf, type Part, toInches } from '@sill/core';
import { type Vector, worldOf } from './scene';

/** A dimension: its line in the world of the model, and what it says. */
export type Measure = { readonly from: Vector; readonly to: Vector; readonly length: number };

/** Lines for the three outside dimensions, a little off the piece. */
export function outsideMeasures(whole: Box): readonly Measure[] {
  const [l, w, h] = [0, 1, 2].map((axis) => toInches(extent(whole, axis as 0 | 1 | 2))) as Vector;
  const out = Math.max(2, Math.max(l, w, h) / 24);
  return [
    { from: [-l / 2, 0, w / 2 + out], to: [l / 2, 0, w / 2 + out], length: extent(whole, 0) },
    { from: [l / 2 + out, 0, -w / 2], to: [l / 2 + out, 0, w / 2], length: extent(whole, 1) },
    { from: [l / 2 + out, 0, -w / 2 - out], to: [l / 2 + out, h, -w / 2 - out], length: extent(whole, 2) },
  ];
}

/** Lines for length, width and thickness of one part, on its faces. */
export function partMeasures(part: Part, whole: Box): readonly Measure[] {
  const { frame, length, width, thickness } = part;
  const at = (x: number, y: number, z: number) => worldOf(outOf(frame, [x, y, z]), whole);
  return [
    { from: at(0, width, thickness), to: at(length, width, thickness), length },
    { from: at(0, 0, thickness), to: at(0, width, thickness), length: width },
    { from: at(length, 0, 0), to: at(length, 0, thickness), length: thickness },
  ];
}

/** Where a dimension is written. */
export const middle = ({ from, to }: Measure): Vector => [
  (from[0] + to[0]) / 2,
  (from[1] + to[1]) / 2,
  (from[2] + to[2]) / 2,
];
