import { held } from '../lists';
import { able, type Job, type Method, type Piece } from '../job';
import { buildPiece, knownOf, joinOf, pairKey, type Joint, type Part } from '../piece';
import { sizesOf, type HardwareOffer, type Nominal } from '../stock';
import type { Fastening } from './fastening';
import { fastenings } from './fasten-all';
import type { Trouble } from './placing';
import { WAYS_FOR } from './kinds';
import type { Look } from './method';
import { WAYS_TO_JOIN } from './methods';
import { boughtFor, weathered } from './needs';

/** One way to make a joint, or all alike, with what it comes to. */
export type WayCompared = {
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

/** Straight pull that a joint should bear, lb: as its way says; hardware and what only rests are not told. */
export const poundsFor = (item: Fastening): number =>
  item.by === 'hardware' || item.by === 'nothing' ? 0 : WAYS_TO_JOIN[item.by].strength(item);

/** Cents for one joint's fasteners and plugs, by the piece in the cheapest box. */
function centsFor(item: Fastening, offers: readonly HardwareOffer[]): number | null {
  const each = (kind: string, size: string) => {
    const prices = offers
      .filter((offer) => offer.kind === kind && offer.size === size)
      .map(({ price, count }) => price / count);
    return prices.length > 0 ? Math.min(...prices) : null;
  };
  let cents = 0;
  for (const { kind, size, count } of boughtFor(item)) {
    const price = each(kind, size);
    if (price === null) return null;
    cents += price * count;
  }
  return Math.round(cents);
}

const minutesFor = ({ by, positions }: Pick<Fastening, 'by' | 'positions'>): number =>
  by === 'hardware' ? 6 : by === 'nothing' ? 1 : WAYS_TO_JOIN[by].setUp + WAYS_TO_JOIN[by].each * positions.length;

/** Whether the parts can be cut as a method wants. */
const cutFits = (by: Method, joint: Joint, parts: ReadonlyMap<string, Part>): boolean =>
  WAYS_TO_JOIN[by].fits({ joint, drilled: held(parts, joint.drilled), into: held(parts, joint.into) });

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
): readonly WayCompared[] {
  const piece = job.pieces.find(({ id }) => id === pieceId);
  if (!piece) return [];
  const madeBy = (joins: Piece['joins']) => {
    const tried = { ...piece, joins };
    const model = buildPiece(tried, topNominal, job.shop, job.units, sizesOf(job.measured), knownOf(piece, job));
    return { model, made: weathered(fastenings(model.joints, model.parts, job.units, { joins }, job.shop), piece) };
  };
  const now = madeBy(piece.joins);
  const item = now.made.find(({ joint }) => joint.id === jointId);
  if (!item) return [];
  const parts = new Map(now.model.parts.map((part) => [part.id, part]));
  // Also said of this one: what is said for all alike gives way where it does not work, and this is to be seen.
  const keys = [...(all ? [item.joint.kind] : []), pairKey(item.joint)];
  return WAYS_FOR[item.joint.kind].flatMap((by): readonly WayCompared[] => {
    if (!cutFits(by, item.joint, parts)) return [];
    const said = { ...joinOf(piece, item.joint), by };
    const tried =
      by === item.by
        ? item
        : madeBy({ ...piece.joins, ...Object.fromEntries(keys.map((key) => [key, said])) }).made.find(
            ({ joint }) => joint.id === jointId,
          );
    if (!tried) return [];
    const about = WAYS_TO_JOIN[by];
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
