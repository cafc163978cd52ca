import { sure } from '../lists';
import { inches, mm, tapeStep, type Length, type Units } from '../length';
import type { Job, Piece } from '../job';
import { priceJob, type PlanOptions } from '../plan';
import type { Phrase } from '../words';

export type PieceSide = 'length' | 'width' | 'height';

/** What the whole job costs with one side of a piece at another size; `total` null where it can not be built. */
export type CostPoint = {
  readonly at: Length;
  /** Cents with tax. */
  readonly total: number | null;
  readonly because: Phrase | string | null;
};

/** Distance of the sizes looked at, and how many to either side. */
const STEP: Readonly<Record<Units, Length>> = { in: inches(1), mm: mm(25) };
const STEPS = 12;

/** Least size of a side that is worth a look. */
const LEAST: Length = inches(6);

/** The sizes looked at: the target, then whole inches (or 25 mm) around it, the nearest first. */
export function sizesAround(target: Length, units: Units): readonly Length[] {
  const step = STEP[units];
  const middle = Math.round(target / step);
  const grid = Array.from({ length: 2 * STEPS + 1 }, (_, at) => (middle - STEPS + at) * step);
  return [target, ...grid.filter((size) => size >= LEAST && size !== target)].sort(
    (a, b) => Math.abs(a - target) - Math.abs(b - target) || a - b,
  );
}

const withSize = (job: Job, pieceId: string, side: PieceSide, size: Length): Job => ({
  ...job,
  pieces: job.pieces.map((piece): Piece =>
    piece.id === pieceId ? { ...piece, size: { ...piece.size, [side]: size } } : piece,
  ),
});

/** The whole job's price with one side of a piece at another size, everything else as it is. */
export function costAt(job: Job, pieceId: string, side: PieceSide, at: Length, options: PlanOptions): CostPoint {
  const { list, buying, findings } = priceJob(withSize(job, pieceId, side, at), options);
  const stop = findings.find((finding) => finding.level === 'stop' && finding.piece === pieceId);
  const lacking = buying.unplaced[0];
  return {
    at,
    total: stop || lacking ? null : list.total,
    because: stop?.title ?? lacking?.because ?? null,
  };
}

/**
 * The prices of sizes around the target, the nearest first, then the exact size to a tape mark where the nearest
 * cheaper ones below and above begin. Given one by one, so that they can be drawn as they come and ended at any time; a
 * size given again takes the place of what was said before.
 */
export function* costAround(
  job: Job,
  pieceId: string,
  side: PieceSide,
  options: PlanOptions,
): Generator<CostPoint, void, void> {
  const piece = job.pieces.find(({ id }) => id === pieceId);
  if (!piece) return;
  const points: CostPoint[] = [];
  for (const size of sizesAround(piece.size[side], job.units)) {
    const point = costAt(job, pieceId, side, size, options);
    points.push(point);
    yield point;
  }
  // A smaller size that seems dearer than a larger one was searched too quickly: once more, to the end.
  for (const [at, point] of points.entries()) {
    if (point.total === null) continue;
    if (!points.some(({ at: size, total }) => size > point.at && total !== null && total < sure(point.total, 'price')))
      continue;
    points[at] = costAt(job, pieceId, side, point.at, { ...options, effort: 'full' });
    yield points[at];
  }
  const mark = tapeStep(job.units);
  const target = piece.size[side];
  const now = points[0]?.total ?? null;
  const { below, above } = nearestCheaper(points, target);
  for (const cheaper of [below, above]) {
    if (!cheaper || now === null) continue;
    // Between the last size that is not cheaper and this one lies the mark where it begins.
    const towards = Math.sign(target - cheaper.at);
    const dearer = points.filter(({ at, total }) => total !== null && total >= now && (at - cheaper.at) * towards > 0);
    let dear = dearer.reduce((near, { at }) => ((at - near) * towards < 0 ? at : near), target);
    let cheap = cheaper.at;
    while (Math.abs(cheap - dear) > mark) {
      const at = Math.round((cheap + dear) / 2 / mark) * mark;
      if (at === cheap || at === dear) break;
      const point = costAt(job, pieceId, side, at, options);
      yield point;
      if (point.total !== null && point.total < now) cheap = at;
      else dear = at;
    }
  }
}

/** The cheaper sizes nearest to the target, below and above it; null where there is none among the points. */
export function nearestCheaper(
  points: readonly CostPoint[],
  target: Length,
): { readonly below: CostPoint | null; readonly above: CostPoint | null } {
  const now = points.find(({ at }) => at === target)?.total ?? null;
  const cheaper = points.filter(({ total }) => now !== null && total !== null && total < now);
  const nearest = (row: readonly CostPoint[]): CostPoint | null =>
    row.reduce<CostPoint | null>(
      (best, point) => (best === null || Math.abs(point.at - target) < Math.abs(best.at - target) ? point : best),
      null,
    );
  return {
    below: nearest(cheaper.filter(({ at }) => at < target)),
    above: nearest(cheaper.filter(({ at }) => at > target)),
  };
}
