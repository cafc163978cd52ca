import { toInches } from '../length';
import type { Part } from '../piece';
import { dot, through, type Vec } from '../solid';
import { isSolid, woodOf } from '../stock';
import type { Fastening } from './fastening';

/**
 * Long grain glued bears 200 lb a square inch for good: a fifth of the shear strength of softwood (Wood Handbook, ch.
 * 5).
 */
export const GLUE_POUNDS = 200;

/** Specific gravity of the wood of a part; of what is bought, a softwood's. */
export const gravityOf = ({ material }: Part): number =>
  material === 'bought' ? 0.42 : woodOf(material).density / 62.4;

/** Inches of wood that all fasteners of a joint hold in. */
export const bitesOf = ({ shanks }: Fastening): number =>
  shanks.reduce((sum, { bite }) => sum + toInches(Math.round(bite)), 0);

/** Layers of a sheet that run along its edge, for all of them. */
const HALF = 0.5;

/**
 * How much of a face, by the way it looks, is long grain that glue holds on: all of a board's sides and nothing of its
 * end, half way between at a mitre; of a sheet all of its face and half of its edge (Wood Handbook, ch. 10: butt joints
 * of end grain are not relied on).
 */
export function longGrain({ material, frame }: Pick<Part, 'material' | 'frame'>, normal: Vec): number {
  if (material === 'bought') return 1;
  if (!isSolid(material)) return HALF + HALF * dot(normal, through(frame)) ** 2;
  return 1 - dot(normal, frame.u) ** 2;
}

/** Of two faces that meet the worse one says how much holds. */
export const glueShare = ({ drilled, into, closes }: Fastening): number =>
  closes ? Math.min(longGrain(drilled, closes), longGrain(into, closes)) : 1;

/** Threads in the end of a board, or in the edge of a sheet, hold three quarters. */
const isInEnd = (part: Part, { closes }: Fastening): boolean => closes !== null && longGrain(part, closes) < 0.6;

/** The part that the threads of a straight screw are in: into the end of a rail it comes through what that ends on. */
const threaded = ({ joint, drilled, into }: Fastening): Part => (joint.kind === 'rail end' ? drilled : into);

/** What the glue between the faces adds, by their long grain: nothing at the end of a rail. */
export const sideGrain = (item: Fastening): number => (item.glue / 2) * GLUE_POUNDS * glueShare(item);

/** Wood screws, lb: 2850 G^2 D an inch of thread (National Design Specification for Wood Construction, 12.2). */
export const screwPounds = (part: Part, shank: number, bites: number): number =>
  2850 * gravityOf(part) ** 2 * toInches(shank) * bites;

/**
 * Wood screws straight through: three quarters in end grain, and half of the glue's strength where the grain is long.
 */
export const screwedPounds = (item: Fastening): number => {
  const part = threaded(item);
  const held = screwPounds(part, item.fastener?.shank ?? 0, bitesOf(item));
  return held * (isInEnd(part, item) ? 0.75 : 1) + sideGrain(item) / 2;
};

/** Lag screws and bolts, lb: 1800 G^(3/2) D^(3/4) an inch of thread, three quarters in end grain (the same, 12.2). */
export const lagPounds = (item: Fastening): number => {
  const part = threaded(item);
  const shank = toInches(item.fastener?.shank ?? 0);
  return 1800 * gravityOf(part) ** 1.5 * shank ** 0.75 * bitesOf(item) * (isInEnd(part, item) ? 0.75 : 1);
};

/** Glue by its long grain area; end grain nothing, and a housing little. */
export const gluedPounds = (item: Fastening): number => sideGrain(item) * (item.joint.kind === 'dado' ? 0.3 : 0.5);
