import { first, last } from '../lists';
import { gravityOf, screwPounds } from '../joinery';
import { inches, toInches } from '../length';
import {
  boxOf,
  extent,
  hingePlaces,
  ON_EDGE,
  SWINGS,
  weightOf,
  type Motion,
  type Part,
  type PieceModel,
} from '../piece';
import { dot, type Vec } from '../solid';
import { aside } from './springs';

/** What is in a drawer where nothing else is said, lb. */
export const IN_DRAWER = 25;
/** A pair of slides beside a drawer bears so much, drawn out; what its own sheet says comes first. */
const SLIDES_BEAR = 75;
/** An arm that leans on the handle of an open door, lb. */
const LEANS = 20;
/** A butt hinge has so many screws in what it hangs on, so thick and biting so deep, in. */
const HINGE = { screws: 3, shank: inches(0.138), bite: 0.6 } as const;

/** A stay is held by so many screws at each end. It stands at 45 degrees, as far along the front as up the side. */
const STAY = { screws: 2, shank: 0.138 } as const;
/**
 * Boards of the second grade bend to this, psi, under what leans on them for minutes: 875 by their size and by the time
 * it lasts (National Design Specification, supplement, table 4A).
 */
const BENDS_TO = 2000;

/** What opens, what it hangs by, and what is asked of that against what it bears, lb. */
export type Hung = {
  readonly part: Part;
  readonly by: 'slides' | 'hinges' | 'runners' | 'stays';
  readonly asks: number;
  readonly bears: number;
  /** How far from what holds it the load is, in: of a leaf from the apron that its runners lie on. */
  readonly arm: number;
};

type Opens = Pick<PieceModel, 'joints' | 'motions' | 'needs'>;
type Open = { readonly own: readonly Part[]; readonly part: Part; readonly weight: number };

/** A leaf on runners that reach out over what they slide through: bent there by who leans on its edge. */
function onRunners(parts: readonly Part[], { own, part, weight }: Open, { how }: Motion): readonly Hung[] {
  if (how.kind !== 'slide') return [];
  const runners = own.filter(({ role }) => role === 'runner');
  const far = (one: Part, way: Vec): number => {
    const { min, max } = boxOf(one);
    return toInches(Math.max(dot(min, way), dot(max, way)));
  };
  const out = how.along as Vec;
  const through = parts.filter(({ cuts }) => cuts.some(({ for: tag }) => runners.some((one) => one.tag === tag)));
  if (runners.length === 0 || through.length === 0) return [];
  const rest = Math.max(...through.map((one) => far(one, out)));
  const arm = toInches(how.travel) + far(part, out) - rest;
  const moduli = runners.map((one) => {
    const box = boxOf(one);
    const wide = Math.abs(out[0]) > 0.5 ? extent(box, 1) : extent(box, 0);
    return (toInches(wide) * toInches(extent(box, 2)) ** 2) / 6;
  });
  const bears = (BENDS_TO * moduli.reduce((sum, one) => sum + one, 0)) / arm;
  return [{ part, by: 'runners', asks: ON_EDGE + weight / 2, bears, arm }];
}

/** A drop front on its two stays: who leans on its edge pulls at their screws. */
function onStays({ part, weight }: Open, on: Part, { needs }: Opens): readonly Hung[] {
  const stay = needs.find(({ kind }) => kind === 'stay');
  if (!stay) return [];
  const high = toInches(extent(boxOf(part), 2));
  const lever = Number(stay.size) / 2;
  const held = Math.min(gravityOf(part), gravityOf(on));
  const bears = (2 * STAY.screws * aside(STAY.shank, held) * lever) / high;
  return [{ part, by: 'stays', asks: ON_EDGE + weight / 2, bears, arm: high }];
}

/** A door on its hinges: the upper one is pulled off by its weight and an arm on its far edge. */
function onHinges({ part, weight }: Open, on: Part): Hung {
  const box = boxOf(part);
  const wide = toInches(Math.max(extent(box, 0), extent(box, 1)));
  const places = hingePlaces(extent(box, 2));
  const apart = toInches(last(places) - first(places));
  const bears = screwPounds(on, HINGE.shank, HINGE.screws * HINGE.bite);
  return { part, by: 'hinges', asks: (weight * wide) / 2 / apart + (LEANS * wide) / apart, bears, arm: wide };
}

/**
 * What opens, with what is asked of that it hangs by: drawers on their slides with what is in them, leaves on their
 * runners and drop fronts on their stays with someone who leans on their edge, doors on their hinges.
 *
 * @param inDrawer lb in each drawer.
 */
export function hungOf(parts: readonly Part[], model: Opens, inDrawer: number): readonly Hung[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  return model.motions.flatMap((motion): readonly Hung[] => {
    const { how, parts: ids } = motion;
    const own = ids.flatMap((id) => byId.get(id) ?? []);
    const weight = own.reduce((sum, part) => sum + weightOf(part), 0);
    const [part] = own;
    if (!part) return [];
    const open = { own, part, weight };
    if (how.kind === 'slide')
      return model.joints.some(({ kind, drilled }) => kind === 'slide' && ids.includes(drilled))
        ? [{ part, by: 'slides', asks: weight + inDrawer, bears: SLIDES_BEAR, arm: toInches(how.travel) }]
        : onRunners(parts, open, motion);
    const joint = model.joints.find(({ kind, drilled }) => SWINGS.includes(kind) && ids.includes(drilled));
    const on = joint && byId.get(joint.into);
    if (!joint || !on) return [];
    return Math.abs(how.axis[2]) < 0.9 ? onStays(open, on, model) : [onHinges(open, on)];
  });
}
