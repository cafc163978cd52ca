// The inner loops, where all of the time goes: indices count rows and columns.
/* eslint-disable @typescript-eslint/no-non-null-assertion */
import { held, nth } from '../lists';

/**
 * Numbers nodes so that joined ones are near in number, which keeps the envelope of their matrix small: reverse
 * Cuthill-McKee, from a node of the fewest neighbours of each part that hangs together. Gives for each node its place.
 */
export function narrowOrder(neighbours: readonly (readonly number[])[]): readonly number[] {
  const few = (a: number, b: number) => nth(neighbours, a).length - nth(neighbours, b).length || a - b;
  const seen = new Set<number>();
  const order: number[] = [];
  for (const start of neighbours.map((_, at) => at).sort(few)) {
    if (seen.has(start)) continue;
    seen.add(start);
    order.push(start);
    for (let at = order.length - 1; at < order.length; at++)
      for (const next of [...nth(neighbours, nth(order, at))].sort(few)) {
        if (seen.has(next)) continue;
        seen.add(next);
        order.push(next);
      }
  }
  const place = new Map(order.reverse().map((node, at) => [node, at]));
  return neighbours.map((_, at) => held(place, at));
}

/** A symmetric matrix of which each row is kept from its first entry to the diagonal. */
export type Envelope = {
  readonly size: number;
  /** Column of the first entry of each row. */
  readonly first: Int32Array;
  /** Where the row would begin in `values` if it began at column 0. */
  readonly base: Int32Array;
  readonly values: Float64Array;
};

/** An empty one, with room in row i from column `first[i]` on. */
export function envelope(first: Int32Array): Envelope {
  const base = new Int32Array(first.length);
  let used = 0;
  first.forEach((column, row) => {
    base[row] = used - column;
    used += row - column + 1;
  });
  return { size: first.length, first, base, values: new Float64Array(used) };
}

/** A diagonal entry that lost all but this share of itself is nothing: something moves freely. */
const NOTHING = 1e-11;

/**
 * The matrix as L L^T in its own envelope (Jennings, Matrix Computation for Engineers and Scientists, ch. 5: rows of L
 * are no longer than those of the matrix). Returns null where it is not positive: what it stands for can move freely.
 * Typed arrays stand on plain loops here, as this is where all of the time goes.
 */
export function factored({ size, first, base, values: given }: Envelope): Envelope | null {
  const values = given.slice();
  for (let i = 0; i < size; i++) {
    const [from, own] = [first[i]!, base[i]!];
    for (let j = from; j <= i; j++) {
      const [other, start] = [base[j]!, Math.max(from, first[j]!)];
      let sum = values[own + j]!;
      let k = start;
      // Four sums at a time: none waits for the one before it.
      if (j - start >= 8) {
        let [a, b, c, d] = [0, 0, 0, 0];
        for (; k + 3 < j; k += 4) {
          a += values[own + k]! * values[other + k]!;
          b += values[own + k + 1]! * values[other + k + 1]!;
          c += values[own + k + 2]! * values[other + k + 2]!;
          d += values[own + k + 3]! * values[other + k + 3]!;
        }
        sum -= a + b + (c + d);
      }
      for (; k < j; k++) sum -= values[own + k]! * values[other + k]!;
      if (j < i) values[own + j] = sum / values[other + j]!;
      else if (sum <= NOTHING * given[own + i]!) return null;
      else values[own + i] = Math.sqrt(sum);
    }
  }
  return { size, first, base, values };
}

/** x of L L^T x = b, for a matrix that is factored. */
export function solved({ size, first, base, values }: Envelope, b: Float64Array): Float64Array {
  const x = b.slice();
  for (let i = 0; i < size; i++) {
    let sum = x[i]!;
    for (let k = first[i]!; k < i; k++) sum -= values[base[i]! + k]! * x[k]!;
    x[i] = sum / values[base[i]! + i]!;
  }
  for (let i = size - 1; i >= 0; i--) {
    const value = x[i]! / values[base[i]! + i]!;
    x[i] = value;
    for (let k = first[i]!; k < i; k++) x[k]! -= values[base[i]! + k]! * value;
  }
  return x;
}
