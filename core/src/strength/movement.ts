import { nth } from '../lists';
import { letsMove, type Fastening } from '../joinery';
import { toInches } from '../length';
import { boxOf, extent, JOINT_KINDS, type Axis, type JointKind, type Part } from '../piece';
import { through } from '../solid';
import { isBoard, isSolid, SPECIES, speciesOf, type Species } from '../stock';
import { together } from '../work';
import { joined } from './decks';

/** Change of width in inches of a joined top between two moisture contents: width x Ct x change (plain-sawn boards). */
export function movement(width: number, species: Species, change: number): number {
  return width * SPECIES[species].tangential * change;
}

const KINDS = Object.keys(JOINT_KINDS) as readonly JointKind[];
/** What holds the wood fast. */
const isFast = (item: Fastening): boolean => item.by !== 'hardware' && item.by !== 'nothing' && !letsMove(item);

/** Boards that are one across their grain, and how far apart across it other parts hold them fast, in. */
export type HeldAcross = {
  readonly boards: readonly Part[];
  readonly spread: number;
  /** The two that hold it farthest apart. */
  readonly outer: readonly [Fastening, Fastening];
};

/** A top that is there, or was bought, is taken to be of boards where it is of wood. */
const isWoodenTop = ({ bought }: Part): boolean =>
  bought?.kind === 'top' && (bought.size === 'found' || bought.size === 'wood');
const isWood = (part: Part): boolean =>
  !part.loose && (part.material === 'bought' ? isWoodenTop(part) : isSolid(part.material));

/** Along which axis a board lies with its length, and with its thickness; null where it stands at a slant. */
const squareAxes = (part: Part): { readonly along: Axis; readonly thick: Axis } | null => {
  const ways = [part.frame.u, through(part.frame)].map((way) => way.findIndex((size) => Math.abs(size) > 0.999));
  const [along, thick] = ways as [number, number];
  return along < 0 || thick < 0 ? null : { along: along as Axis, thick: thick as Axis };
};

/** The axis along which a solid board gets wider and narrower: square to its grain and to its thickness. */
const widthAxis = (part: Part): Axis | null => {
  const axes = isWood(part) ? squareAxes(part) : null;
  return axes && (([0, 1, 2] as const).find((axis) => axis !== axes.along && axis !== axes.thick) ?? null);
};

/** A place along an axis where a joint holds: its fasteners, or the middle of the smaller part. */
function placesOf({ shanks, drilled, into }: Fastening, axis: Axis): readonly number[] {
  if (shanks.length > 0) return shanks.map(({ from }) => from[axis]);
  const small = extent(boxOf(drilled), axis) < extent(boxOf(into), axis) ? drilled : into;
  return [(boxOf(small).min[axis] + boxOf(small).max[axis]) / 2];
}

/**
 * Panels of solid boards that are held fast across their grain at more than one place, by parts that keep their
 * distance there: one that does not get wider with them, or several that others hold together. What is as wide along
 * that axis moves with them.
 */
export function heldAcross(parts: readonly Part[], made: readonly Fastening[]): readonly HeldAcross[] {
  const fast = made.filter(isFast);
  const joints = made.map(({ joint }) => joint);
  const keeps = ([0, 1, 2] as const).map((axis) => {
    const still = parts.filter((part) => !part.loose && widthAxis(part) !== axis);
    const groups = joined(
      still,
      fast.map(({ joint }) => joint),
      KINDS,
    );
    return new Map(groups.flatMap((group, at) => group.map(({ id }) => [id, at] as const)));
  });
  return joined(parts.filter(isWood), joints, ['edge', 'lamination']).flatMap((boards): readonly HeldAcross[] => {
    const [one] = boards;
    const axis = one ? widthAxis(one) : null;
    if (axis === null || boards.some((part) => widthAxis(part) !== axis)) return [];
    const own = new Set(boards.map(({ id }) => id));
    const rows = fast.flatMap((item) => {
      const [a, b] = [own.has(item.drilled.id), own.has(item.into.id)];
      const group = a === b ? undefined : nth(keeps, axis).get(a ? item.into.id : item.drilled.id);
      return group === undefined ? [] : placesOf(item, axis).map((place) => ({ item, place, group }));
    });
    const apart = together(rows, ({ group }) => String(group)).map((all) => {
      const sorted = [...all].sort((p, q) => p.place - q.place);
      const [low, high] = [nth(sorted, 0), nth(sorted, sorted.length - 1)];
      return { boards, spread: toInches(high.place - low.place), outer: [low.item, high.item] as const };
    });
    const [worst] = [...apart].sort((p, q) => q.spread - p.spread);
    return worst && worst.spread > 0 ? [worst] : [];
  });
}

/** Edge-glued panels are of pine. */
const woodIn = ({ material }: Part): Species =>
  material !== 'bought' && isBoard(material) ? speciesOf(material) : 'pine';

/** How far boards that are held so pull at what holds them, in, between two moisture contents. */
export const pullsBy = ({ boards, spread }: HeldAcross, change: number): number =>
  movement(spread, woodIn(nth(boards, 0)), change);
