import { nth } from '../lists';
import loadHighs, { type Highs } from 'highs';
import type { IntegerSolver, LinearRow } from './integer';

/** How HiGHS numbers the weights of edges that are quickest here (Devex, Harris 1973). */
const DEVEX = 1;

type Program = Parameters<IntegerSolver>[0];

/** Rows one after the other, as a matrix. */
function matrixOf(rows: readonly LinearRow[], numCols: number) {
  const starts = new Int32Array(rows.length + 1);
  rows.forEach(({ entries }, row) => (starts[row + 1] = nth(starts, row) + entries.length));
  const all = rows.flatMap(({ entries }) => entries);
  const indices = Int32Array.from(all, ([column]) => column);
  const values = Float64Array.from(all, ([, value]) => value);
  return { format: 'csr', numCols, numRows: rows.length, starts, indices, values } as const;
}

/** Linear programs by the dual simplex method, each time from the basis of the last. */
const linearBy =
  (highs: Highs): IntegerSolver['linear'] =>
  (costs, below) => {
    const { infinity, constants } = highs;
    const numCols = costs.length;
    const nothing = new Float64Array(0);
    const model = highs.createModel({
      ...{ numCols, numRows: 0, rowLower: nothing, rowUpper: nothing, matrix: matrixOf([], numCols) },
      colCost: Float64Array.from(costs),
      colLower: new Float64Array(numCols),
      colUpper: new Float64Array(numCols).fill(infinity),
    });
    const own = { presolve: 'off', objective_bound: below, simplex_dual_edge_weight_strategy: DEVEX };
    model.options.set({ output_flag: false, ...own } as never);
    return {
      add: (rows) =>
        void model.addRows({
          lower: Float64Array.from(rows, ({ least }) => least),
          upper: Float64Array.from(rows, ({ most = infinity }) => most),
          matrix: matrixOf(rows, numCols),
        }),
      limit: (most) =>
        void model.changeColsBounds({ kind: 'range', from: 0, to: numCols - 1 }, new Float64Array(numCols), most),
      solve: () => {
        model.run();
        const status = model.getModelStatus();
        const { infeasible, objectiveBound, optimal } = constants.modelStatus;
        if (status === infeasible || status === objectiveBound) return null;
        if (status !== optimal) return 'open';
        return Number(model.info.get('objective_function_value')) > below
          ? null
          : Array.from(model.getSolution().colValue, Number);
      },
      end: () => void model.dispose(),
    };
  };

/**
 * HiGHS (Huangfu and Hall 2018, MIT licence) as the integer solver. Loaded once; solving is synchronous, single
 * threaded and counted in branches, so that the same program gives the same answer.
 *
 * @param locate where the WebAssembly file is, in a browser; Node finds it beside the package.
 */
export async function loadIntegerSolver(locate?: string): Promise<IntegerSolver> {
  const highs = await loadHighs(locate === undefined ? undefined : { locateFile: () => locate });
  const { infinity, constants } = highs;
  const solver = ({ columns, need, exact = 0, below, nodes }: Program, stopped: () => boolean) => {
    const starts = new Int32Array(columns.length + 1);
    columns.forEach(({ rows }, at) => (starts[at + 1] = nth(starts, at) + rows.length + 1));
    const indices = new Int32Array(nth(starts, columns.length));
    const values = new Float64Array(indices.length);
    columns.forEach(({ cost, rows }, at) => {
      rows.forEach(([row, value], k) => {
        indices[nth(starts, at) + k] = row;
        values[nth(starts, at) + k] = value;
      });
      indices[nth(starts, at + 1) - 1] = need.length;
      values[nth(starts, at + 1) - 1] = cost;
    });
    return highs.withModel(
      {
        numCols: columns.length,
        numRows: need.length + 1,
        colCost: Float64Array.from(columns, ({ cost }) => cost),
        colLower: new Float64Array(columns.length),
        colUpper: new Float64Array(columns.length).fill(infinity),
        // The last row keeps the cost below what is known already.
        rowLower: Float64Array.from([...need, -infinity]),
        rowUpper: Float64Array.from([...need.map((n, row) => (row < exact ? n : infinity)), below]),
        matrix: { format: 'csc', numCols: columns.length, numRows: need.length + 1, starts, indices, values },
        integrality: new Int32Array(columns.length).fill(constants.variableType.integer),
      },
      (model) => {
        model.options.set({ output_flag: false, mip_max_nodes: nodes, mip_rel_gap: 0, mip_abs_gap: 0.5 } as never);
        model.run({
          [constants.callbackType.mipInterrupt](event: { interrupt(): void }) {
            if (stopped()) event.interrupt();
          },
        } as never);
        const status = model.getModelStatus();
        const { infeasible, optimal } = constants.modelStatus;
        const found = status !== infeasible && Number(model.info.get('primal_solution_status')) === 2;
        return {
          x: found ? Array.from(model.getSolution().colValue, Math.round) : null,
          complete: status === optimal || status === infeasible,
        };
      },
    );
  };
  return Object.assign(solver, { linear: linearBy(highs) });
}
