// Looked up millions of times: indices count rows and columns of the program.
/* oxlint-disable typescript/no-non-null-assertion */
import { last } from '../lists';

/** A column of the program: cost and its entries by row. */
export type Variable = { readonly cost: number; readonly rows: readonly (readonly [row: number, value: number])[] };

type Optimum = {
  /** Value of each column added so far. */
  readonly x: readonly number[];
  /** Price of each row: dual values. */
  readonly duals: readonly number[];
};

/** A program that grows by columns and is solved again from where it stood. */
export type Program = {
  readonly add: (column: Variable) => void;
  readonly solve: () => Optimum;
};

const TINY = 1e-9;

/** Columns one behind the other in flat arrays, which grow: the inner loop runs over all of them at every step. */
type Columns = {
  readonly costs: number[];
  /** Where each begins in `rows` and `entries`, and where the last ends. */
  readonly starts: number[];
  rows: Int32Array;
  entries: Float64Array;
};

function append(columns: Columns, { cost, rows: of }: Variable): void {
  const start = last(columns.starts);
  if (start + of.length > columns.rows.length) {
    const grown = Math.max(2 * columns.rows.length, start + of.length);
    const { rows, entries } = columns;
    (columns.rows = new Int32Array(grown)).set(rows);
    (columns.entries = new Float64Array(grown)).set(entries);
  }
  of.forEach(([row, entry], k) => {
    columns.rows[start + k] = row;
    columns.entries[start + k] = entry;
  });
  columns.costs.push(cost);
  columns.starts.push(start + of.length);
}

/** The sum of a column's entries, each times what a line has in its row. */
function along({ starts, rows, entries }: Columns, at: number, line: Float64Array): number {
  let sum = 0;
  for (let k = starts[at]!; k < starts[at + 1]!; k++) sum += line[rows[k]!]! * entries[k]!;
  return sum;
}

/**
 * Least cost x >= 0 with A x >= demand on every row, by the revised simplex method with an explicit inverse and an
 * artificial column of cost `penalty` a row (Chvatal, Linear Programming, 1983, chapter 7). Rows may have a negative
 * demand: that is how a limit (at most n) is stated. Small and dense by intent: the master problem of a group has a
 * row an item, and going on from the last basis costs far less than handing it to a general solver every round.
 */
export function leastCost(demand: readonly number[], penalty: number): Program {
  const size = demand.length;
  const columns: Columns = { costs: [], starts: [0], rows: new Int32Array(256), entries: new Float64Array(256) };
  const { costs } = columns;
  // Every row starts on a column of its own: an artificial where the demand is positive, a surplus where it is not.
  demand.forEach((need, row) =>
    append(columns, need > 0 ? { cost: penalty, rows: [[row, 1]] } : { cost: 0, rows: [[row, -1]] }),
  );
  demand.forEach((_, row) => append(columns, { cost: 0, rows: [[row, -1]] }));
  const given = costs.length;
  const basis = demand.map((_, row) => row);
  const inBasis = new Set(basis);
  const inverse = demand.map((need, row) =>
    Float64Array.from({ length: size }, (_, at) => (at !== row ? 0 : need > 0 ? 1 : -1)),
  );
  const value = Float64Array.from(demand, Math.abs);
  const duals = new Float64Array(size);
  const direction = new Float64Array(size);

  const priceRows = () => {
    duals.fill(0);
    basis.forEach((at, k) => {
      const cost = costs[at]!;
      if (cost === 0) return;
      const line = inverse[k]!;
      for (let row = 0; row < size; row++) duals[row]! += cost * line[row]!;
    });
  };

  /** The column to bring in: the one that saves most a unit, or the first that saves when `careful` (Bland's rule). */
  const entering = (careful: boolean): number => {
    const { starts, rows, entries } = columns;
    let best = -1;
    let steepest = -1e-7;
    for (let at = 0; at < costs.length; at++) {
      let reduced = costs[at]!;
      for (let k = starts[at]!; k < starts[at + 1]!; k++) reduced -= duals[rows[k]!]! * entries[k]!;
      if (reduced >= steepest || inBasis.has(at)) continue;
      if (careful) return at;
      best = at;
      steepest = reduced;
    }
    return best;
  };

  /** The row whose column goes out first when `direction` comes in; ties to the oldest column. */
  const leaving = (): number => {
    let row = -1;
    let step = Infinity;
    for (let k = 0; k < size; k++) {
      if (direction[k]! <= TINY) continue;
      const ratio = value[k]! / direction[k]!;
      if (ratio < step - TINY || (ratio < step + TINY && row >= 0 && basis[k]! < basis[row]!)) {
        row = k;
        step = ratio;
      }
    }
    return row;
  };

  const pivot = (row: number, at: number) => {
    const line = inverse[row]!;
    const by = direction[row]!;
    const step = Math.max(0, value[row]! / by);
    for (let k = 0; k < size; k++) line[k]! /= by;
    for (let k = 0; k < size; k++) {
      const factor = direction[k]!;
      if (k === row || Math.abs(factor) <= TINY) continue;
      const other = inverse[k]!;
      for (let j = 0; j < size; j++) other[j]! -= factor * line[j]!;
      value[k] = Math.max(0, value[k]! - factor * step);
    }
    value[row] = step;
    inBasis.delete(basis[row]!);
    inBasis.add(at);
    basis[row] = at;
  };

  const solve = (): Optimum => {
    // Stopping early costs only tightness: whoever uses the duals checks them against the bins again.
    const patience = 20 * size + 200;
    for (let round = 0; round < 2 * patience; round++) {
      priceRows();
      const at = entering(round > patience);
      if (at < 0) break;
      for (let k = 0; k < size; k++) direction[k] = along(columns, at, inverse[k]!);
      const row = leaving();
      if (row < 0) break;
      pivot(row, at);
    }
    const x = costs.slice(given).map(() => 0);
    basis.forEach((at, k) => {
      if (at >= given) x[at - given] = value[k]!;
    });
    return { x, duals: Array.from(duals, (price) => Math.max(0, price)) };
  };

  return { add: (column) => append(columns, column), solve };
}
