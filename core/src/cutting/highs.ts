import { nth } from '../lists';
import loadHighs, { type Highs } from 'highs';
import type { IntegerSolver, LinearRow } from './integer';

/** How HiGHS numbers the weights of edges that are quickest here (Devex, Harris 1973). */
const DEVEX = 1;

type Program = Parameters<IntegerSolver>[0];

/** Lines of a matrix, its rows or its columns, one after the other. */
function packed(lines: readonly LinearRow['entries'][]) {
  const starts = new Int32Array(lines.length + 1);
  lines.forEach((line, at) => (starts[at + 1] = nth(starts, at) + line.length));
  const all = lines.flat();
  return { starts, indices: Int32Array.from(all, ([at]) => at), values: Float64Array.from(all, ([, value]) => value) };
}

const rowsOf = (rows: readonly LinearRow[], numCols: number) =>
  ({ format: 'csr', numCols, numRows: rows.length, ...packed(rows.map(({ entries }) => entries)) }) as const;

/** Linear programs by the dual simplex method, each time from the basis of the last. */
const linearBy =
  (highs: Highs): IntegerSolver['linear'] =>
  (costs, below) => {
    const { infinity, constants } = highs;
    const numCols = costs.length;
    const nothing = new Float64Array(0);
    const model = highs.createModel({
      ...{ numCols, numRows: 0, rowLower: nothing, rowUpper: nothing, matrix: rowsOf([], numCols) },
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
          matrix: rowsOf(rows, numCols),
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
    const matrix = packed(columns.map(({ cost, rows }) => [...rows, [need.length, cost]]));
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
        matrix: { format: 'csc', numCols: columns.length, numRows: need.length + 1, ...matrix },
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
