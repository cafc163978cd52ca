import type { CutProblem } from '../problem';
import type { CutSolution } from '../solution';

type Rect = { readonly x: number; readonly y: number; readonly length: number; readonly width: number };

const near = (a: number, b: number): boolean => Math.abs(a - b) < 3e-4;

const inside = (a: Rect, b: Rect): boolean =>
  a.x > b.x - 3e-4 &&
  a.y > b.y - 3e-4 &&
  a.x + a.length < b.x + b.length + 3e-4 &&
  a.y + a.width < b.y + b.width + 3e-4;

/**
 * Makes the cuts of a solution one after the other on a drawn board and says what goes wrong: a cut that does not run
 * from edge to edge of what is in hand, and a piece that is not one of what lies there in the end. Shares no code with
 * the solver. Stock without trimmed edges only: those cuts are not listed.
 */
export function sawFaults(problem: CutProblem, solution: Omit<CutSolution, 'seconds'>): string[] {
  const found: string[] = [];
  solution.boards.forEach((board, at) => {
    const stock = problem.stock.find(({ id }) => id === board.stock)!;
    let rects: Rect[] = [{ x: 0, y: 0, length: stock.length, width: stock.width }];
    for (const cut of board.cuts) {
      const across = cut.kind === 'crosscut';
      const hit = rects.find((rect) =>
        across
          ? near(rect.y, cut.from) &&
            near(rect.y + rect.width, cut.to) &&
            cut.at >= rect.x - 3e-4 &&
            cut.at < rect.x + rect.length
          : near(rect.x, cut.from) &&
            near(rect.x + rect.length, cut.to) &&
            cut.at >= rect.y - 3e-4 &&
            cut.at < rect.y + rect.width,
      );
      if (!hit) {
        found.push(`board ${at}: the ${cut.kind} at ${cut.at} does not run from edge to edge`);
        continue;
      }
      // What is squared off, or cut off before a defect ends, is waste: the blade runs in it.
      const waste = across && !board.pieces.some((piece) => inside(piece, { ...hit, length: cut.at - hit.x }));
      const lost = waste ? 0 : problem.kerf;
      const [first, rest]: [Rect, Rect] = across
        ? [
            { ...hit, length: cut.at - hit.x },
            { ...hit, x: cut.at + lost, length: hit.x + hit.length - cut.at - lost },
          ]
        : [
            { ...hit, width: cut.at - hit.y },
            { ...hit, y: cut.at + problem.kerf, width: hit.y + hit.width - cut.at - problem.kerf },
          ];
      rects = [
        ...rects.filter((rect) => rect !== hit),
        ...[first, rest].filter((rect) => rect.length > 0 && rect.width > 0),
      ];
    }
    for (const piece of board.pieces)
      if (
        !rects.some(
          (rect) =>
            near(rect.x, piece.x) &&
            near(rect.y, piece.y) &&
            near(rect.length, piece.length) &&
            near(rect.width, piece.width),
        )
      )
        found.push(`board ${at}: ${piece.part} is not cut free`);
  });
  return found;
}
