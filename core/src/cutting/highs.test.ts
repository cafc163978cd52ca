import fc from 'fast-check';
import { loadIntegerSolver } from './highs';
import type { IntegerSolver, LinearRow } from './index';
import { leastCost } from './simplex';

let integer: IntegerSolver;
beforeAll(async () => {
  integer = await loadIntegerSolver();
});

const COLUMNS = 4;
const row = fc
  .record({
    values: fc.array(fc.integer({ min: -3, max: 5 }), { minLength: COLUMNS, maxLength: COLUMNS }),
    least: fc.nat(9),
  })
  .map(({ values, least }): LinearRow => ({ least, entries: values.map((value, column) => [column, value] as const) }));
const limits = fc.array(fc.nat(4), { minLength: COLUMNS, maxLength: COLUMNS });

/** More than any answer costs: what is not met at less can not be met. */
const PENALTY = 1e6;

/** The least cost by our own simplex, all at once; null where there is none. Limits are rows there. */
function anew(costs: readonly number[], rows: readonly LinearRow[], most: readonly number[]): number | null {
  const demand = [...rows.map(({ least }) => least), ...most.map((limit) => -limit)];
  const program = leastCost(demand, PENALTY);
  costs.forEach((cost, column) =>
    program.add({
      cost,
      rows: [
        ...rows.flatMap(({ entries }, row) =>
          entries.flatMap(([of, value]) => (of === column ? [[row, value] as const] : [])),
        ),
        [rows.length + column, -1],
      ],
    }),
  );
  const { x, duals } = program.solve();
  const cost = x.reduce((sum, value, column) => sum + value * costs[column]!, 0);
  // What it comes to with what is not met, by its prices.
  const whole = demand.reduce((sum, least, row) => sum + least * duals[row]!, 0);
  return whole > PENALTY / 1000 ? null : cost;
}

test('asked more and more, with other limits each time, the answer is the one there is to all of it at once', () => {
  let [found, none] = [0, 0];
  const costsOf = fc.array(fc.nat(7), { minLength: COLUMNS, maxLength: COLUMNS });
  fc.assert(
    fc.property(costsOf, fc.array(fc.tuple(row, limits), { minLength: 1, maxLength: 5 }), (costs, asked) => {
      const program = integer.linear(costs, 1e6);
      const rows: LinearRow[] = [];
      for (const [one, most] of asked) {
        rows.push(one);
        program.add([one]);
        program.limit(Float64Array.from(most));
        const x = program.solve();
        const cost = anew(costs, rows, most);
        if (x === null || x === 'open') {
          expect([x, cost]).toEqual([null, null]);
          none++;
          continue;
        }
        expect(x.reduce((sum, value, column) => sum + value * costs[column]!, 0)).toBeCloseTo(cost!, 6);
        x.forEach((value, column) => expect(value).toBeLessThanOrEqual(most[column]! + 1e-6));
        found++;
      }
      program.end();
    }),
  );
  expect(Math.min(found, none)).toBeGreaterThan(20);
});

test('a row has a most as well as a least; what costs more than is of use is no answer', () => {
  const program = integer.linear([1, 2], 5);
  program.add([
    {
      least: 3,
      most: 3,
      entries: [
        [0, 1],
        [1, 1],
      ],
    },
  ]);
  expect(program.solve()).toEqual([3, 0]);
  program.limit(Float64Array.of(1, 9));
  expect(program.solve()).toEqual([1, 2]);
  program.limit(Float64Array.of(0, 9));
  expect(program.solve()).toBeNull();
  program.limit(Float64Array.of(2, 9));
  expect(program.solve()).toEqual([2, 1]);
  program.end();
});
