import { toInches } from '../length';
import type { Part } from '../piece';
import { woodOf } from '../stock';
import type { Fastening } from './fastening';

/**
 * Long grain glued bears 200 lb a square inch for good: a fifth of the shear strength of softwood (Wood Handbook, ch.
 * 5).
 */
export const GLUE_POUNDS = 200;

/** Specific gravity of the wood of a part; of what is bought, a softwood's. */
const gravityOf = ({ material }: Part): number => (material === 'bought' ? 0.42 : woodOf(material).density / 62.4);

/** Inches of wood that all fasteners of a joint hold in. */
export const bitesOf = ({ shanks }: Fastening): number =>
  shanks.reduce((sum, { bite }) => sum + toInches(Math.round(bite)), 0);

const isEndGrain = ({ joint }: Fastening): boolean => joint.kind === 'rail end';

/** What the glue between faces of long grain adds: nothing at the end of a rail. */
export const sideGrain = (item: Fastening): number => (isEndGrain(item) ? 0 : (item.glue / 2) * GLUE_POUNDS);

/** Wood screws, lb: 2850 G^2 D an inch of thread (National Design Specification for Wood Construction, 12.2). */
export const screwPounds = (part: Part, shank: number, bites: number): number =>
  2850 * gravityOf(part) ** 2 * toInches(shank) * bites;

/**
 * Wood screws straight through: three quarters in end grain, and half of the glue's strength where the grain is long.
 */
export const screwedPounds = (item: Fastening): number => {
  const end = isEndGrain(item);
  const { drilled, into, fastener } = item;
  return (
    screwPounds(end ? drilled : into, fastener?.shank ?? 0, bitesOf(item)) * (end ? 0.75 : 1) + sideGrain(item) / 2
  );
};

/** Lag screws and bolts, lb: 1800 G^(3/2) D^(3/4) an inch of thread, three quarters in end grain (the same, 12.2). */
export const lagPounds = (item: Fastening): number => {
  const end = isEndGrain(item);
  const shank = toInches(item.fastener?.shank ?? 0);
  return 1800 * gravityOf(end ? item.drilled : item.into) ** 1.5 * shank ** 0.75 * bitesOf(item) * (end ? 0.75 : 1);
};

/** Glue by its long grain area; end grain nothing, and a housing little. */
export const gluedPounds = (item: Fastening): number =>
  isEndGrain(item) ? 0 : (item.glue / 2) * GLUE_POUNDS * (item.joint.kind === 'dado' ? 0.3 : 0.5);
