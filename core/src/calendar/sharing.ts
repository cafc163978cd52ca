import type { IntegerSolver } from '../cutting';
import { nth, sure } from '../lists';
import { deadlines, heads } from './bound';
import type { Problem } from './problem';
import { endOfDay } from './windows';

type Column = { readonly cost: number; readonly rows: [number, number][] };
/** A task in a window: its column, and the earliest it could end there. */
type Place = { readonly window: number; readonly column: number; readonly end: number };

/** Branches of the integer program: the root tells of half of the days that can be refuted, some fifty of most. */
const NODES = 400;

/**
 * Whether work can be shared out among windows so that all is ready by a day: each task whole in one window, none
 * fuller than it is long nor than it may be loud, nothing in a window before what it waits for can be over. Order
 * within a window, clamps and room are left out, so a no is a proof and a yes is none.
 *
 * @returns false where it can not; true where it can, or where that was not found out.
 */
export function canBeShared(problem: Problem, day: number, integer: IntegerSolver, stopped: () => boolean): boolean {
  const { nodes, windows } = problem;
  const due = deadlines(problem, endOfDay(problem.zone, day));
  const ends = heads(problem);
  if (!due || ends.some((end) => end === null)) return false;
  const columns: Column[] = [];
  const places = nodes.map((node, at): readonly Place[] =>
    node.open.flatMap((window) => {
      const span = sure(node.spans[window], 'span');
      const end = Math.max(span.from, sure(nth(ends, at), 'end') - node.minutes) + node.minutes;
      if (end > span.to || end > nth(due, at)) return [];
      columns.push({ cost: 0, rows: [[at, 1]] });
      return [{ window, column: columns.length - 1, end }];
    }),
  );
  if (places.some((own) => own.length === 0)) return false;
  const need = nodes.map(() => 1);
  const add = (column: number, row: number, value: number) => nth(columns, column).rows.push([row, value]);
  const newRow = (least: number): number => need.push(least) - 1;
  // How full windows are: all of each, and where a kind of time is shorter, that.
  const kinds = [windows, ...new Set(nodes.map(({ spans }) => spans))];
  windows.forEach((window, w) => {
    if (window.day > day) return;
    for (const spans of kinds) {
      const span = spans[w];
      if (!span || (spans !== windows && span.from === window.from && span.to === window.to)) continue;
      const row = newRow(span.from - span.to);
      nodes.forEach((node, at) => {
        const place = nth(places, at).find((one) => one.window === w);
        if (place && (spans === windows || node.spans === spans)) add(place.column, row, -node.minutes);
      });
    }
  });
  nodes.forEach((node, at) =>
    node.before.forEach(({ at: first, wait }) => {
      for (const { window } of nth(places, at)) {
        const { to } = sure(node.spans[window], 'span');
        const row = newRow(0);
        for (const one of nth(places, at)) if (one.window <= window) add(one.column, row, -1);
        for (const one of nth(places, first))
          if (one.window <= window && one.end + wait + node.minutes <= to) add(one.column, row, 1);
      }
    }),
  );
  const { x, complete } = integer({ columns, need, exact: nodes.length, below: 1, nodes: NODES }, stopped);
  return x !== null || !complete;
}
