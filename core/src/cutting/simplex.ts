/** A column of the program: cost and its entries by row. */
export type Column = { readonly cost: number; readonly rows: readonly (readonly [row: number, value: number])[] };

export type Optimum = {
  /** Value of each column added so far. */
  readonly x: readonly number[];
  /** Price of each row: dual values. */
  readonly duals: readonly number[];
};

/** A program that grows by columns and is solved again from where it stood. */
export type Program = {
  readonly add: (column: Column) => void;
  readonly solve: () => Optimum;
};

const TINY = 1e-9;

/**
 * Least cost x >= 0 with A x >= demand on every row, by the revised simplex method with an explicit inverse and an
 * artificial column of cost `penalty` a row (Chvatal, Linear Programming, 1983, chapter 7). Rows may have a negative
 * demand: that is how a limit (at most n) is stated. Small and dense by intent: the master problem of a group has a
 * row an item, and going on from the last basis costs far less than handing it to a general solver every round.
 */
export function leastCost(demand: readonly number[], penalty: number): Program {
  const size = demand.length;
  // Every row starts on a column of its own: an artificial where the demand is positive, a surplus where it is not.
  const all: Column[] = demand.map((need, row) =>
    need > 0 ? { cost: penalty, rows: [[row, 1]] } : { cost: 0, rows: [[row, -1]] },
  );
  all.push(...demand.map((_, row): Column => ({ cost: 0, rows: [[row, -1]] })));
  const given = all.length;
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
      const { cost } = all[at]!;
      if (cost === 0) return;
      const line = inverse[k]!;
      for (let row = 0; row < size; row++) duals[row]! += cost * line[row]!;
    });
  };

  /** The column to bring in: the one that saves most a unit, or the first that saves when `careful` (Bland's rule). */
  const entering = (careful: boolean): number => {
    let best = -1;
    let steepest = -1e-7;
    for (let at = 0; at < all.length; at++) {
      if (inBasis.has(at)) continue;
      const column = all[at]!;
      let reduced = column.cost;
      for (const [row, entry] of column.rows) reduced -= duals[row]! * entry;
      if (reduced >= steepest) continue;
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
    const patience = 4 * size + 50;
    for (let round = 0; round < 2 * patience; round++) {
      priceRows();
      const at = entering(round > patience);
      if (at < 0) break;
      for (let k = 0; k < size; k++) {
        const line = inverse[k]!;
        direction[k] = all[at]!.rows.reduce((sum, [row, entry]) => sum + line[row]! * entry, 0);
      }
      const row = leaving();
      if (row < 0) break;
      pivot(row, at);
    }
    const x = all.slice(given).map(() => 0);
    basis.forEach((at, k) => {
      if (at >= given) x[at - given] = value[k]!;
    });
    return { x, duals: Array.from(duals, (price) => Math.max(0, price)) };
  };

  return { add: (column) => void all.push(column), solve };
}
