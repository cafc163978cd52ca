// The inner loops, where all of the time goes: indices count rows and columns.
/* oxlint-disable typescript/no-non-null-assertion */
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

/**
 * An empty one, with room in row i from column `from[i]` on, or from a little before: rows are kept in pairs that begin
 * at one even column, for four entries to be worked out at a time.
 */
export function envelope(from: Int32Array): Envelope {
  const first = from.map((column, row) => {
    const other = row ^ 1;
    return Math.min(column, other < from.length ? from[other]! : column) & ~1;
  });
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
  for (let i = 0; i < size; i += 2) {
    const from = first[i]!;
    const [upper, lower] = [base[i]!, i + 1 < size ? base[i + 1]! : base[i]!];
    // Two rows by two columns: each number that is read serves twice.
    for (let j = from; j < i; j += 2) {
      const [left, right] = [base[j]!, base[j + 1]!];
      let a = 0;
      let b = 0;
      let c = 0;
      let d = 0;
      for (let k = Math.max(from, first[j]!); k < j; k++) {
        const p = values[upper + k]!;
        const q = values[lower + k]!;
        const r = values[left + k]!;
        const s = values[right + k]!;
        a += p * r;
        b += p * s;
        c += q * r;
        d += q * s;
      }
      const [top, side, bottom] = [values[left + j]!, values[right + j]!, values[right + j + 1]!];
      const up = (values[upper + j]! - a) / top;
      values[upper + j + 1] = (values[upper + j + 1]! - b - up * side) / bottom;
      values[upper + j] = up;
      if (lower === upper) continue;
      const low = (values[lower + j]! - c) / top;
      values[lower + j + 1] = (values[lower + j + 1]! - d - low * side) / bottom;
      values[lower + j] = low;
    }
    for (let row = i; row < Math.min(i + 2, size); row++)
      for (let column = i; column <= row; column++) {
        const [own, other] = [base[row]!, base[column]!];
        let sum = values[own + column]!;
        for (let k = from; k < column; k++) sum -= values[own + k]! * values[other + k]!;
        if (column < row) values[own + column] = sum / values[other + column]!;
        else if (sum <= NOTHING * given[own + row]!) return null;
        else values[own + row] = Math.sqrt(sum);
      }
  }
  return { size, first, base, values };
}

/** x of L L^T x = b, for a matrix that is factored. */
export function solved({ size, first, base, values }: Envelope, b: Float64Array): Float64Array {
  const x = b.slice();
  for (let i = 0; i < size; i++) {
    const own = base[i]!;
    let sum = x[i]!;
    for (let k = first[i]!; k < i; k++) sum -= values[own + k]! * x[k]!;
    x[i] = sum / values[own + i]!;
  }
  for (let i = size - 1; i >= 0; i--) {
    const own = base[i]!;
    const value = x[i]! / values[own + i]!;
    x[i] = value;
    for (let k = first[i]!; k < i; k++) x[k]! -= values[own + k]! * value;
  }
  return x;
}
