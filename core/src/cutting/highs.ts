import { nth } from '../lists';
import loadHighs from 'highs';
import type { IntegerSolver } from './integer';

/**
 * HiGHS (Huangfu and Hall 2018, MIT licence) as the integer solver. Loaded once; solving is synchronous, single
 * threaded and counted in branches, so that the same program gives the same answer.
 *
 * @param locate where the WebAssembly file is, in a browser; Node finds it beside the package.
 */
export async function loadIntegerSolver(locate?: string): Promise<IntegerSolver> {
  const highs = await loadHighs(locate === undefined ? undefined : { locateFile: () => locate });
  const { infinity, constants } = highs;
  return ({ columns, need, exact = 0, below, nodes }, stopped) => {
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
        ...(nodes > 0 && { integrality: new Int32Array(columns.length).fill(constants.variableType.integer) }),
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
          x: found ? Array.from(model.getSolution().colValue, nodes > 0 ? Math.round : Number) : null,
          complete: status === optimal || status === infeasible,
        };
      },
    );
  };
}
