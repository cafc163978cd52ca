import { held, nth } from '../lists';
import { inches, type Length } from '../length';
import { boxOf, extent, type Axis, type Joint, type Part } from '../piece';

/** Clips stand so far apart at most along the rails at the ends of the boards: every 8 to 12 in is usual. */
const APART: Length = inches(12);
/** A board that lies on the rail with less than this share of what its widest neighbour does gets none. */
const GOOD = 0.6;

/** Rails that have another such rail on both sides along the boards: the boards are held down there by those. */
function betweenOthers(clips: readonly Joint[], parts: ReadonlyMap<string, Part>): ReadonlySet<string> {
  const rails = [...new Set(clips.map(({ drilled }) => drilled))].map((id) => {
    const box = boxOf(held(parts, id));
    const run: Axis = extent(box, 0) >= extent(box, 1) ? 0 : 1;
    return { id, run, at: box.min[run === 0 ? 1 : 0] };
  });
  const isBetween = ({ run, at }: (typeof rails)[number]) => {
    const alike = rails.filter((other) => other.run === run).map((other) => other.at);
    return Math.min(...alike) < at && at < Math.max(...alike);
  };
  return new Set(rails.filter(isBetween).map(({ id }) => id));
}

/**
 * Of the joints of a rail with the boards that it crosses, those that get a clip where the boards are one by their
 * glue: the two outermost that lie on it well, and at the ends of the boards one for every twelve inches between. All
 * of those of a rail along the boards. Eight to sixteen a table are usual; a large one has a few more.
 *
 * @returns ids of joints of kind `top clips`.
 */
export function clippedJoints(joints: readonly Joint[], parts: ReadonlyMap<string, Part>): ReadonlySet<string> {
  const glued = new Set(joints.filter(({ kind }) => kind === 'edge').flatMap(({ drilled, into }) => [drilled, into]));
  const kept = new Set<string>();
  const clips = joints.filter(({ kind }) => kind === 'top clips');
  const between = betweenOthers(clips, parts);
  for (const rail of new Set(clips.map(({ drilled }) => drilled))) {
    const own = clips.filter(({ drilled }) => drilled === rail);
    const box = boxOf(held(parts, rail));
    const run: Axis = extent(box, 0) >= extent(box, 1) ? 0 : 1;
    const rows = own
      .map(({ id, into }) => {
        const { min, max } = boxOf(held(parts, into));
        return {
          id,
          into,
          at: (min[run] + max[run]) / 2,
          lies: Math.min(max[run], box.max[run]) - Math.max(min[run], box.min[run]),
        };
      })
      .sort((a, b) => a.at - b.at);
    const most = Math.max(...rows.map(({ lies }) => lies));
    const good = rows.filter(({ lies }) => lies > GOOD * most);
    const [first, last] = [nth(good, 0), nth(good, good.length - 1)];
    // Between the outer two, the last board within every stretch of ten inches.
    const stretch = ({ at }: (typeof good)[number]) => Math.floor((at - first.at) / APART);
    const chosen = good.filter(
      (row, k) =>
        row === first ||
        row === last ||
        (!between.has(rail) && stretch(nth(good, k + 1)) > stretch(row) && last.at - row.at > APART / 2),
    );
    for (const { id, into } of rows) if (!glued.has(into) || chosen.some((row) => row.id === id)) kept.add(id);
  }
  return kept;
}
