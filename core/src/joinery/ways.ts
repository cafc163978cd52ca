import { toInches } from '../length';
import { able, type Job, type Method, type Piece } from '../job';
import { buildPiece, joinOf, pairKey, tongueFits, type Joint, type Part } from '../piece';
import { sizesOf, woodOf, type HardwareOffer, type Nominal } from '../stock';
import type { Fastening } from './fasten';
import { fastenings } from './fastening';
import type { Trouble } from './placing';
import { METHOD_ABOUT, WAYS_FOR, type Look } from './methods';
import { fastenerOf, plugsFor } from './needs';
import { drillingOf, inchesOf, lengthOf } from './other-fasteners';

/** One way to make a joint, or all alike, with what it comes to. */
export type Way = {
  readonly by: Method;
  readonly name: string;
  readonly when: string;
  /** Pounds of straight pull the joint should bear for good; an estimate to compare ways by, not a rating. */
  readonly pounds: number;
  readonly look: Look;
  /** Minutes for one joint. */
  readonly minutes: number;
  /** Cents of fasteners for one joint, at the cheapest box; null where the yard keeps none. */
  readonly cents: number | null;
  /** How many fasteners it takes, and of which size. */
  readonly count: number;
  readonly size: string;
  /** What the shop lacks for it; empty where it has all. */
  readonly lacks: readonly string[];
  /** Why it does not work here; null where it does. */
  readonly trouble: Trouble | null;
  readonly now: boolean;
};

/** Long grain glued bears 200 lb a square inch for good: a fifth of the shear strength of softwood (Wood Handbook, ch. 5). */
const GLUE_POUNDS = 200;
/** A fifth of what tears a hardwood dowel in two. */
const DOWEL_PSI = 2000;

/**
 * Straight pull that a joint should bear, lb. Wood screws 2850 G^2 D an inch of thread, lag screws 1800 G^(3/2) D^(3/4),
 * each a fifth of what draws them, three quarters of it in end grain (National Design Specification for Wood Construction,
 * 12.2); glue by its long grain area, end grain nothing.
 */
export function poundsFor(item: Fastening): number {
  const { by, shanks, into, drilled, glue, joint } = item;
  const gravity = (part: Part) => (part.material === 'bought' ? 0.42 : woodOf(part.material).density / 62.4);
  const bites = shanks.reduce((sum, { bite }) => sum + toInches(Math.round(bite)), 0);
  const endGrain = joint.kind === 'rail end';
  switch (by) {
    case 'pocket screws':
    case 'clips':
      return 2850 * gravity(into) ** 2 * 0.164 * bites;
    case 'screws':
    case 'plugged screws':
    case 'slotted screws': {
      const shank = drillingOf(item.screw)?.shank ?? 0.164;
      return 2850 * gravity(endGrain ? drilled : into) ** 2 * shank * bites * (endGrain ? 0.75 : 1) + (endGrain ? 0 : (glue / 2) * GLUE_POUNDS * 0.5); // prettier-ignore
    }
    case 'corner block':
      // Half of the screws and one glued face carry a straight pull; the block's other face is on the post's long grain.
      return 2850 * gravity(into) ** 2 * 0.164 * (bites / 2) + toInches(drilled.width) * 1.5 * GLUE_POUNDS * 0.5;
    case 'lag screws':
    case 'bolts': {
      const shank = drillingOf(item.screw)?.shank ?? 0.375;
      return 1800 * gravity(endGrain ? drilled : into) ** 1.5 * shank ** 0.75 * bites * (endGrain ? 0.75 : 1);
    }
    case 'inserts':
      return 250 * shanks.length;
    case 'dowels': {
      const across = toInches(inchesOf(item.screw.split(' x ')[0]!));
      // A round hole bears on long grain over part of its wall only.
      const glued = 0.7 * Math.PI * across * bites * GLUE_POUNDS;
      return Math.min(glued, shanks.length * (Math.PI / 4) * across ** 2 * DOWEL_PSI) + sideGrain(item);
    }
    case 'biscuits':
      return shanks.length * 90 + sideGrain(item);
    case 'loose tenon': {
      const wide = toInches(inchesOf(item.screw.split(' x ')[1] ?? '1'));
      return shanks.length * 2 * wide * toInches(lengthOf(item.screw)) * 0.5 * GLUE_POUNDS + sideGrain(item);
    }
    case 'mortise and tenon': {
      const deep =
        drilled.cuts.filter(({ kind, for: name }) => kind === 'tenon' && name === into.tag).length > 0 ? 1.25 : 0;
      return 2 * deep * toInches(drilled.width) * 0.67 * GLUE_POUNDS;
    }
    case 'half lap':
    case 'glue':
    case 'brads':
      return endGrain && by !== 'half lap' ? 0 : (glue / 2) * GLUE_POUNDS * (joint.kind === 'dado' ? 0.3 : 0.5);
    default:
      return 0;
  }
}

/** What the glue between faces of long grain adds: nothing at the end of a rail. */
const sideGrain = ({ joint, glue }: Fastening): number => (joint.kind === 'rail end' ? 0 : (glue / 2) * GLUE_POUNDS);

/** Cents for one joint's fasteners and plugs, by the piece in the cheapest box. */
function centsFor(item: Fastening, offers: readonly HardwareOffer[]): number | null {
  const each = (kind: string, size: string) => {
    const prices = offers
      .filter((offer) => offer.kind === kind && offer.size === size)
      .map(({ price, count }) => price / count);
    return prices.length > 0 ? Math.min(...prices) : null;
  };
  let cents = 0;
  for (const need of [fastenerOf(item), plugsFor(item)]) {
    if (!need) continue;
    const price = each(need.kind, need.size);
    if (price === null) return null;
    cents += price * item.positions.length;
  }
  return Math.round(cents);
}

export const minutesFor = ({ by, positions }: Pick<Fastening, 'by' | 'positions'>): number =>
  by === 'hardware' ? 6 : by === 'nothing' ? 1 : METHOD_ABOUT[by].setUp + METHOD_ABOUT[by].each * positions.length;

/** Whether a part can be cut as a method wants: tenons and laps need square ends. */
const cutFits = (by: Method, joint: Joint, parts: ReadonlyMap<string, Part>): boolean =>
  (by !== 'mortise and tenon' && by !== 'half lap') ||
  tongueFits(by, joint, parts.get(joint.drilled)!, parts.get(joint.into)!);

/**
 * Every way to make one joint of a piece, each tried in the whole piece, as its screws must keep clear of the others.
 *
 * @param all for all joints of the kind, not this one alone: then the numbers are still of this one.
 */
export function waysOfJoint(
  job: Job,
  pieceId: string,
  jointId: string,
  topNominal: Nominal,
  all: boolean,
): readonly Way[] {
  const piece = job.pieces.find(({ id }) => id === pieceId);
  if (!piece) return [];
  const madeBy = (joins: Piece['joins']) => {
    const model = buildPiece({ ...piece, joins }, topNominal, job.shop, job.units, sizesOf(job.measured));
    return { model, made: fastenings(model.joints, model.parts, job.units, { joins }, job.shop) };
  };
  const now = madeBy(piece.joins);
  const item = now.made.find(({ joint }) => joint.id === jointId);
  if (!item) return [];
  const parts = new Map(now.model.parts.map((part) => [part.id, part]));
  // Also said of this one: what is said for all alike gives way where it does not work, and this is to be seen.
  const keys = [...(all ? [item.joint.kind] : []), pairKey(item.joint)];
  return WAYS_FOR[item.joint.kind].flatMap((by): readonly Way[] => {
    if (!cutFits(by, item.joint, parts)) return [];
    const said = { ...joinOf(piece, item.joint), by };
    const tried = by === item.by ? item : madeBy({ ...piece.joins, ...Object.fromEntries(keys.map((key) => [key, said])) }).made.find(({ joint }) => joint.id === jointId); // prettier-ignore
    if (!tried) return [];
    const about = METHOD_ABOUT[by];
    const lacking = about.tools.map((set) => set.filter((tool) => !job.shop.tools.includes(tool)));
    const least = lacking.reduce((a, b) => (b.length < a.length ? b : a));
    return [
      {
        by,
        name: about.name,
        when: about.when,
        pounds: Math.round(poundsFor(tried) / 5) * 5,
        look: about.look,
        minutes: Math.round(minutesFor(tried)),
        cents: centsFor(tried, job.yard.hardware),
        count: tried.positions.length,
        size: tried.screw,
        lacks: able(job.shop.tools, about.tools) ? [] : least,
        trouble: tried.troubles[0] ?? null,
        now: by === item.by,
      },
    ];
  });
}
