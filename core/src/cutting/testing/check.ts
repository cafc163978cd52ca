import type { CutProblem } from '../problem';
import type { CutSolution } from '../solution';

/**
 * An independent reader of solutions: shares no code with the solver and knows only docs/formats. Returns every fault
 * in words; an empty list means the solution can be cut as it says.
 */
export function faults(problem: CutProblem, solution: Omit<CutSolution, 'seconds'>): string[] {
  const found: string[] = [];
  const near = 2e-4;
  const placed = new Map<string, number>();
  const used = new Map<string, number>();
  let cost = 0;
  for (const [at, board] of solution.boards.entries()) {
    const stock = problem.stock.find((row) => row.id === board.stock);
    if (!stock) {
      found.push(`board ${at} is of unknown stock`);
      continue;
    }
    used.set(stock.id, (used.get(stock.id) ?? 0) + board.count);
    cost += board.count * stock.price;
    const { ends, edges } = stock.trim;
    for (const piece of board.pieces) {
      const part = problem.parts.find((row) => row.id === piece.part);
      if (!part) {
        found.push(`board ${at} holds an unknown part`);
        continue;
      }
      placed.set(part.id, (placed.get(part.id) ?? 0) + board.count);
      if (part.material !== stock.material || part.thickness !== stock.thickness)
        found.push(`${part.id} comes from the wrong material`);
      const [length, width] = piece.turned ? [part.width, part.length] : [part.length, part.width];
      if (Math.abs(piece.length - length) > near || Math.abs(piece.width - width) > near)
        found.push(`${part.id} has the wrong size`);
      if (piece.turned && (stock.kind === 'board' || part.grain === 'length')) found.push(`${part.id} lies across`);
      if (!piece.turned && stock.kind === 'sheet' && part.grain === 'width') found.push(`${part.id} should lie across`);
      const inside =
        piece.x >= ends - near &&
        piece.x + piece.length <= stock.length - ends + near &&
        piece.y >= edges - near &&
        piece.y + piece.width <= stock.width - edges + near;
      if (!inside) found.push(`${part.id} leaves board ${at}`);
      for (const defect of stock.defects)
        if (piece.x < defect.to && piece.x + piece.length > defect.from) found.push(`${part.id} lies on a defect`);
    }
    const slants = board.pieces.map((piece) => slantsOf(problem, piece));
    board.pieces.forEach((a, i) =>
      board.pieces.forEach((b, j) => {
        if (i === j || b.x < a.x || (b.x === a.x && j < i)) return;
        if (inOneLane(a, b) && (slants[i]!.right !== 0 || slants[j]!.left !== 0)) {
          const steepest = Math.max(Math.abs(slants[i]!.right), Math.abs(slants[j]!.left));
          const least = problem.kerf / Math.cos((steepest * Math.PI) / 180);
          const gap = Math.min(
            ...[0, a.width].map((y) => edge(b, slants[j]!.left, 'left', y) - edge(a, slants[i]!.right, 'right', y)),
          );
          if (gap < least - near) found.push(`${a.part} and ${b.part} leave ${gap} for a slanted kerf of ${least}`);
          return;
        }
        const gapX = Math.max(b.x - a.x - a.length, a.x - b.x - b.length);
        const gapY = Math.max(b.y - a.y - a.width, a.y - b.y - b.width);
        if (Math.max(gapX, gapY) < problem.kerf - near) found.push(`${a.part} and ${b.part} lie closer than a kerf`);
      }),
    );
    if (!separable(lanesOf(board.pieces), problem.kerf - near))
      found.push(`board ${at} can not be cut by straight cuts`);
  }
  for (const [id, count] of used) {
    const { available } = problem.stock.find((row) => row.id === id)!;
    if (available !== null && count > available) found.push(`${id} is used ${count} times`);
  }
  for (const part of problem.parts) {
    const missing = solution.unplaced.find((row) => row.part === part.id)?.quantity ?? 0;
    if ((placed.get(part.id) ?? 0) + missing !== part.quantity)
      found.push(`${part.id} is not made ${part.quantity} times`);
  }
  if (Math.abs(cost - solution.cost) > 0.005) found.push(`costs ${cost}, says ${solution.cost}`);
  if (solution.lowerBound > solution.cost + 1e-9) found.push('the bound is above the cost');
  const { objective } = solution;
  const open = objective ? objective.value - objective.atLeast : solution.cost - solution.lowerBound;
  if (solution.status === 'optimal' && open > 1e-9) found.push('says optimal without proof');
  return found;
}

type Placed = CutSolution['boards'][number]['pieces'][number];

/** Degrees of both ends of a piece as it lies, by what its flip means. */
function slantsOf({ parts }: CutProblem, { part, flip, turned }: Placed): { left: number; right: number } {
  const { left, right } = parts.find(({ id }) => id === part)?.ends ?? { left: 0, right: 0 };
  if (turned) return { left: 0, right: 0 };
  return {
    none: { left, right },
    end: { left: -right, right: -left },
    over: { left: -left, right: -right },
    both: { left: right, right: left },
  }[flip];
}

const inOneLane = (a: Placed, b: Placed) => !a.turned && !b.turned && a.y === b.y && a.width === b.width;

/** Where an end runs at a height over the piece's lower edge. */
function edge({ x, length, width }: Placed, degrees: number, end: 'left' | 'right', y: number): number {
  const tan = Math.tan((degrees * Math.PI) / 180);
  return end === 'left' ? x - Math.min(0, width * tan) + y * tan : x + length - Math.max(0, width * tan) + y * tan;
}

/** Pieces whose slants lie over each other as one: slanted cuts part them when their lane is free. */
function lanesOf(pieces: readonly Placed[]): readonly Rect[] {
  const rects: (Rect & { piece: Placed })[] = [];
  for (const piece of [...pieces].sort((a, b) => a.x - b.x)) {
    const at = rects.findIndex((rect) => inOneLane(rect.piece, piece) && rect.x + rect.length > piece.x);
    const end = piece.x + piece.length;
    if (at < 0) rects.push({ x: piece.x, y: piece.y, length: piece.length, width: piece.width, piece });
    else rects[at] = { ...rects[at]!, length: Math.max(end, rects[at]!.x + rects[at]!.length) - rects[at]!.x };
  }
  return rects;
}

type Rect = { readonly x: number; readonly y: number; readonly length: number; readonly width: number };

/** True where straight cuts from edge to edge, a kerf wide, take all pieces apart. */
function separable(pieces: readonly Rect[], kerf: number): boolean {
  if (pieces.length < 2) return true;
  const split = (start: (p: Rect) => number, size: (p: Rect) => number): boolean => {
    const sorted = [...pieces].sort((a, b) => start(a) - start(b));
    let end = -Infinity;
    for (let at = 0; at < sorted.length; at++) {
      if (at > 0 && start(sorted[at]!) - end >= kerf)
        return separable(sorted.slice(0, at), kerf) && separable(sorted.slice(at), kerf);
      end = Math.max(end, start(sorted[at]!) + size(sorted[at]!));
    }
    return false;
  };
  return (
    split(
      (p) => p.x,
      (p) => p.length,
    ) ||
    split(
      (p) => p.y,
      (p) => p.width,
    )
  );
}
