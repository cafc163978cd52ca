import type { CutProblem } from '../problem';

/**
 * The least cost of small lists by trying everything: slow, sharing nothing with the solver. Pieces are told by bits;
 * `needs` says how long a set is at least on a board of a width, and every set is then given to the cheapest board.
 */
type Piece = { readonly length: number; readonly width: number; readonly left: number; readonly right: number };

const piecesOf = ({ parts }: CutProblem): readonly Piece[] =>
  parts.flatMap(({ quantity, length, width, ends }) =>
    Array.from({ length: quantity }, () => ({ length, width, left: ends?.left ?? 0, right: ends?.right ?? 0 })),
  );

function leastCost({ stock }: CutProblem, count: number, needs: (set: number, width: number) => number): number {
  const all = (1 << count) - 1;
  const price = (set: number) =>
    Math.min(
      ...stock
        .filter(({ length, width, trim }) => needs(set, width - 2 * trim.edges) <= length - 2 * trim.ends + 1e-9)
        .map((row) => Math.round(row.price * 100)),
      Infinity,
    );
  const cost = new Array<number>(all + 1).fill(Infinity);
  cost[0] = 0;
  for (let set = 1; set <= all; set++) {
    const lowest = set & -set;
    // The first piece left goes on some board, with any of the others.
    for (let on = set; on > 0; on = (on - 1) & set)
      if (on & lowest) cost[set] = Math.min(cost[set]!, price(on) + cost[set ^ on]!);
  }
  return cost[all]! / 100;
}

/** Mitred pieces end to end, every order and every flip. */
export function leastMitred(problem: CutProblem): number {
  const pieces = piecesOf(problem);
  const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
  const flips = pieces.map(({ left, right }) => [
    [left, right],
    [-right, -left],
    [-left, -right],
    [right, left],
  ]);
  /** Least x from the end of one to the start of the next, long point to long point, at both edges. */
  const step = (right: number, left: number, width: number) => {
    const gap = problem.kerf / Math.cos((Math.max(Math.abs(right), Math.abs(left)) * Math.PI) / 180);
    const between = [0, width].map((y) => {
      const end = y * tan(right) - Math.max(0, width * tan(right));
      const start = y * tan(left) - Math.min(0, width * tan(left));
      return gap + end - start;
    });
    return Math.max(...between);
  };
  const known = new Map<string, number>();
  const length = (set: number, last: number, flip: number): number => {
    const rest = set ^ (1 << last);
    if (rest === 0) return pieces[last]!.length;
    const key = `${set} ${last} ${flip}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let least = Infinity;
    for (let at = 0; at < pieces.length; at++)
      if (rest & (1 << at))
        flips[at]!.forEach(([, right], how) => {
          const gap = step(right!, flips[last]![flip]![0]!, pieces[last]!.width);
          least = Math.min(least, length(rest, at, how) + gap + pieces[last]!.length);
        });
    known.set(key, least);
    return least;
  };
  const needs = (set: number) =>
    Math.min(...pieces.flatMap((_, at) => (set & (1 << at) ? [0, 1, 2, 3].map((how) => length(set, at, how)) : [])));
  const lengths = Array.from({ length: 1 << pieces.length }, (_, set) => (set === 0 ? 0 : needs(set)));
  return leastCost(problem, pieces.length, (set) => lengths[set]!);
}

/** Square pieces on boards that may be ripped: every way to cut a set in two, along and across. */
export function leastRipped(problem: CutProblem): number {
  const pieces = piecesOf(problem);
  const { kerf } = problem;
  const known = new Map<string, number>();
  const widths = [...new Set(pieces.map(({ width }) => width))];
  const strips = (width: number): readonly number[] => {
    const sums = new Set<number>();
    const grow = (sum: number) => {
      for (const one of widths) {
        const next = sum === 0 ? one : sum + kerf + one;
        if (next <= width && !sums.has(next)) {
          sums.add(next);
          grow(next);
        }
      }
    };
    grow(0);
    return [...sums];
  };
  const needs = (set: number, width: number): number => {
    const alone = pieces.findIndex((_, at) => set === 1 << at);
    if (alone >= 0) return pieces[alone]!.width <= width + 1e-9 ? pieces[alone]!.length : Infinity;
    const key = `${set} ${width.toFixed(4)}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let least = Infinity;
    for (let part = (set - 1) & set; part > 0; part = (part - 1) & set) {
      const rest = set ^ part;
      if (part > rest) least = Math.min(least, needs(part, width) + kerf + needs(rest, width));
      for (const strip of strips(width))
        if (width - strip - kerf > 0)
          least = Math.min(least, Math.max(needs(part, strip), needs(rest, width - strip - kerf)));
    }
    known.set(key, least);
    return least;
  };
  return leastCost(problem, pieces.length, needs);
}
