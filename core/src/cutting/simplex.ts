/** A column of the program: cost and its entries by row. */
export type Column = { readonly cost: number; readonly rows: readonly (readonly [row: number, value: number])[] };

export type Optimum = {
  /** Value of each column given. */
  readonly x: readonly number[];
  /** Price of each row: dual values. */
  readonly duals: readonly number[];
};

const TINY = 1e-9;

/**
 * Least cost x >= 0 with A x >= demand on every row, by the revised simplex method with an explicit inverse and an
 * artificial column of cost `penalty` a row (Chvatal, Linear Programming, 1983, chapter 7). Rows may have a negative
 * demand: that is how a limit (at most n) is stated. Small and dense by intent: the master problem of a group has a
 * row an item, and solving it here costs far less than handing it to a general solver every round.
 */
export function leastCost(columns: readonly Column[], demand: readonly number[], penalty: number): Optimum {
  const size = demand.length;
  // Every row starts on a column of its own: an artificial where the demand is positive, a surplus where it is not.
  const extra: Column[] = demand.map((need, row) =>
    need > 0 ? { cost: penalty, rows: [[row, 1]] } : { cost: 0, rows: [[row, -1]] },
  );
  const surplus: Column[] = demand.map((_, row) => ({ cost: 0, rows: [[row, -1]] }));
  const all = [...columns, ...extra, ...surplus];
  const basis = demand.map((_, row) => columns.length + row);
  const inverse: number[][] = demand.map((need, row) => demand.map((_, at) => (at !== row ? 0 : need > 0 ? 1 : -1)));
  const value = demand.map((need) => Math.abs(need));

  const priceRows = () =>
    demand.map((_, row) => basis.reduce((sum, at, k) => sum + all[at]!.cost * inverse[k]![row]!, 0));

  for (let round = 0; round < 50 * (size + columns.length) + 500; round++) {
    const duals = priceRows();
    const careful = round > 5 * (size + columns.length);
    let entering = -1;
    let steepest = -1e-7;
    const inBasis = new Set(basis);
    for (let at = 0; at < all.length; at++) {
      if (inBasis.has(at)) continue;
      const column = all[at]!;
      let reduced = column.cost;
      for (const [row, entry] of column.rows) reduced -= duals[row]! * entry;
      if (reduced < steepest) {
        entering = at;
        if (careful) break; // Bland's rule, against cycling
        steepest = reduced;
      }
    }
    if (entering < 0) break;
    const direction = inverse.map((line) =>
      all[entering]!.rows.reduce((sum, [row, entry]) => sum + line[row]! * entry, 0),
    );
    let leaving = -1;
    let step = Infinity;
    for (let k = 0; k < size; k++) {
      if (direction[k]! <= TINY) continue;
      const ratio = value[k]! / direction[k]!;
      if (ratio < step - TINY || (ratio < step + TINY && leaving >= 0 && basis[k]! < basis[leaving]!)) {
        leaving = k;
        step = ratio;
      }
    }
    if (leaving < 0) break;
    const pivot = direction[leaving]!;
    const pivotLine = inverse[leaving]!.map((entry) => entry / pivot);
    for (let k = 0; k < size; k++) {
      if (k === leaving || Math.abs(direction[k]!) <= TINY) continue;
      const line = inverse[k]!;
      for (let row = 0; row < size; row++) line[row]! -= direction[k]! * pivotLine[row]!;
      value[k] = Math.max(0, value[k]! - direction[k]! * step);
    }
    inverse[leaving] = pivotLine;
    value[leaving] = Math.max(0, step);
    basis[leaving] = entering;
  }
  const x = columns.map(() => 0);
  basis.forEach((at, k) => {
    if (at < columns.length) x[at] = value[k]!;
  });
  return { x, duals: priceRows().map((price) => Math.max(0, price)) };
}
