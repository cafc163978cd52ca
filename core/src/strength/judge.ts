import { nth } from '../lists';
import type { Fastening } from '../joinery';
import type { Part } from '../piece';
import { dot, sub } from '../solid';
import { casesOf, PUSH, type Purpose, type CaseKind, type LoadCase } from './cases';
import { given, motionOf, type Mode } from './frame';
import { modelOf, type Model } from './model';
import { lastingFor, shows, type Sag } from './sag';
import type { Hold } from './springs';

/** A push of so many pounds tells whether a piece feels loose. */
const FELT = 20;
/**
 * How long a load stays: wood and its joints bear more for minutes, less for years (National Design Specification,
 * 2.3.2).
 */
const BEARS: Readonly<Record<CaseKind, number>> = {
  'push along': 1.6,
  'push across': 1.6,
  someone: 1.6,
  seated: 1.6,
  standing: 1.6,
  drag: 1.6,
  'drawn out': 1.6,
  weight: 0.9,
  books: 0.9,
  load: 0.9,
  drawers: 0.9,
};
/** What stays for years: wood goes on bending under it. */
const STAYS: readonly CaseKind[] = ['weight', 'books', 'load', 'drawers'];
/** A stick shorter than this, in, hardly bends, and one that leans more than this share does not lie. */
const [SHORT, LEANING] = [18, 0.1] as const;

type Tie = Model['ties'][number];
/** The share of their stiffness that modes have left. */
type Left = Map<Mode, number>;

/** Of what a hold bears for good, the share that is asked of it. */
function shareOf({ hold, modes }: Tie, moved: Float64Array, left?: Left): number {
  const pulls = modes.map((mode) => mode.stiffness * (left?.get(mode) ?? 1) * given(mode, moved));
  const [pull, slide] = [nth(pulls, 0), Math.hypot(nth(pulls, 1), nth(pulls, 2))];
  const [twist, ...bend] = [3, 4, 5].map((at) => Math.abs(nth(pulls, at)) / nth(hold.bears.turn, at - 3));
  // What presses the two together closes what a bend opens.
  const apart = Math.max(0, pull / hold.bears.pull + bend.reduce((sum, by) => sum + by, 0));
  return Math.hypot(apart, slide / hold.bears.slide + (twist ?? 0));
}

/** A joint and how much is asked of it: over 1 is more than what it may bear for as long as the load stays. */
type JointAsked = { readonly hold: Hold; readonly share: number; readonly kind: CaseKind };
export type Judged = {
  /** Inches that the top moves under a push of 20 lb along and across; null where its legs are bought. */
  readonly sway: readonly [number, number] | null;
  /** The joint that is nearest to what it bears once all have given that can. */
  readonly weakest: JointAsked | null;
  /** What nothing holds: a load under which some part comes away. */
  readonly falls: LoadCase | null;
  /** The stick that dips most between its ends, for what would show, under what stays for years. */
  readonly droops: Droop | null;
};
type Droop = Sag & { readonly part: Part; readonly kind: CaseKind };

/** How each stick that lies dips between its ends, own weight included, once it has crept for years. */
function droopsOf({ laid }: Model, kind: CaseKind, moved: Float64Array): readonly Droop[] {
  return laid.flatMap(({ body, places, gripAt }): readonly Droop[] => {
    const [span] = body.size;
    const [part] = body.parts;
    if (!part || body.kind !== 'stick' || span < SHORT || Math.abs(body.ways[0][2]) > LEANING) return [];
    const sinks = places.map((place) => -motionOf(gripAt(place), moved)[2]);
    const [low, high] = [nth(sinks, 0), nth(sinks, sinks.length - 1)];
    const along = places.map((place) => dot(sub(place, nth(places, 0)), body.ways[0]) / span);
    const dips = sinks.map((by, at) => by - low - (high - low) * nth(along, at));
    const lasting = lastingFor(body, { aFoot: 0 });
    return [{ part, kind, span, sag: lasting * Math.max(...dips) }];
  });
}

/** Joints that are asked too much give so often before what is left is taken to be asked of them. */
const GIVES = 5;
/** They give a little more than what they are over by, as others then lean on them again. */
const EAGER = 1.5;
/** So little over what it bears is nothing. */
const NEARLY = 1.05;

/** Of joints that lie alike the first is told: that the sums of one are rounded otherwise makes it no worse. */
const isMore = (a: { readonly share: number }, b: { readonly share: number }): boolean =>
  a.share > b.share * (1 + ROUNDED);
const ROUNDED = 1e-6;

/** Each joint with what a load asks of it, and the one that is asked most. */
export function askedOf({ ties }: Model, kind: CaseKind, moved: Float64Array, left?: Left) {
  const all = ties.map((tie) => ({ tie, share: shareOf(tie, moved, left) / BEARS[kind] }));
  const worst = all.reduce<(typeof all)[number] | null>((most, one) => (!most || isMore(one, most) ? one : most), null);
  return { all, worst };
}

/**
 * Joints under a load once those that are asked too much have given: screws and glue pull out slowly, and what else
 * holds takes over. What is in balance with no joint over what it bears holds (lower bound theorem of plasticity,
 * Drucker, Prager and Greenberg 1952). What presses two parts together does not give.
 */
function settledUnder(model: Model, { kind, forces, off }: LoadCase, moved: Float64Array): JointAsked | null {
  const left: Left = new Map();
  const shares: number[] = [];
  for (let now = moved, gave = 0; ; gave++) {
    const { all, worst } = askedOf(model, kind, now, left);
    if (!worst) return null;
    shares.push(worst.share);
    // What two rounds did not ease is asked for by the load itself, not by how stiff it is.
    const isStuck = gave >= 2 && worst.share > 0.95 * nth(shares, gave - 2);
    if (worst.share <= NEARLY || gave === GIVES || isStuck) return { hold: worst.tie.hold, share: worst.share, kind };
    for (const { tie, share } of all) {
      if (share <= 1) continue;
      for (const [at, mode] of tie.modes.entries())
        if (at > 0 || given(mode, now) > 0) left.set(mode, (left.get(mode) ?? 1) / share ** EAGER);
    }
    const next = model.answer([...model.weight, ...forces], { isHeld: true, off, left });
    if (!next) return { hold: worst.tie.hold, share: Infinity, kind };
    now = next.moved;
  }
}

/** A piece under all loads of its use. Feet are held down: what tips is told apart. */
export function judged(model: Model, cases: readonly LoadCase[]): Judged {
  const rest = model.answer(model.weight, { isHeld: true })?.moved;
  const under = cases.map((one) => ({
    one,
    moved: model.answer([...model.weight, ...one.forces], { isHeld: true, off: one.off })?.moved,
  }));
  // How stiff bought legs are nobody knows here.
  const isKnown = model.laid.every(({ body }) => body.parts.every(({ material }) => material !== 'bought'));
  const sway = under.flatMap(({ one: { kind, forces }, moved }) => {
    const [push] = forces;
    if (!push || !moved || !rest || !isKnown || !kind.startsWith('push')) return [];
    const way = kind === 'push along' ? 0 : 1;
    return [((motionOf(push.at, moved)[way] - motionOf(push.at, rest)[way]) * FELT) / PUSH];
  });
  // The worst first: one that asks less before anything gives is not worse after.
  const sorted = under
    .flatMap(({ one, moved }) =>
      moved ? [{ one, moved, share: askedOf(model, one.kind, moved).worst?.share ?? 0 }] : [],
    )
    .sort((a, b) => b.share - a.share);
  const weakest = sorted.reduce<JointAsked | null>((most, { one, moved, share }) => {
    if (most && share <= most.share) return most;
    const asked = settledUnder(model, one, moved);
    return asked && (!most || isMore(asked, most)) ? asked : most;
  }, null);
  return {
    sway: sway.length === 2 ? [nth(sway, 0), nth(sway, 1)] : null,
    weakest,
    falls: under.find(({ moved }) => !moved)?.one ?? null,
    droops: under
      .flatMap(({ one: { kind }, moved }) => (moved && STAYS.includes(kind) ? droopsOf(model, kind, moved) : []))
      .reduce<Droop | null>((most, one) => (most && shows(most) >= shows(one) ? most : one), null),
  };
}

/** So much moved by a push of 20 lb at the top feels loose, in. */
export const LOOSE = 1 / 8;
/** More than this asked of a joint, for what it may bear, is told: the estimate is no finer. */
export const OVERASKED = 1.25;

const known = new WeakMap<readonly Fastening[], Judged>();

/** A piece as it is fastened under all loads of its use. Kept with the fastenings. */
export function judgedFor(parts: readonly Part[], made: readonly Fastening[], asked: Purpose): Judged {
  const before = known.get(made);
  if (before) return before;
  const model = modelOf(parts, made);
  const joints = made.map(({ joint }) => joint);
  const now = judged(model, casesOf(model, parts, joints, asked));
  known.set(made, now);
  return now;
}
