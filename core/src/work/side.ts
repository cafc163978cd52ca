import { found, nth } from '../lists';
import { PER_INCH, PER_MM, type Length, type Units } from '../length';
import { boxOf, waysOf, type Axis, type Part } from '../piece';
import { add, dot, into, sub, times, type Vec } from '../solid';

/** A side of a part: the end, edge or face that looks along one of its own directions, or against it. */
export type PartSide = { readonly axis: Axis; readonly sign: 1 | -1 };
/** A side as a person finds it on the wood: `left end`, `top edge`, `inside face`. */
export type Named = PartSide & { readonly name: string };

/** What is told of a piece is told in these units, with inside and outside seen from its middle. */
export type Teller = { readonly units: Units; readonly middle: Vec };

/** What a rule shows: 1/64 in or half a millimetre. What is printed is what is meant, to the last digit. */
export const told = (length: number, units: Units): Length => {
  const step = units === 'in' ? PER_INCH / 64 : PER_MM / 2;
  return Math.round(length / step) * step;
};

const UPRIGHT = 0.7;
/** Nearer to the middle than this there is no inside and no outside. */
const CENTRAL: Length = PER_INCH;
const ACROSS: readonly (readonly [plus: string, minus: string])[] = [
  ['right', 'left'],
  ['back', 'front'],
];

export const sizeOf = (part: Pick<Part, 'length' | 'width' | 'thickness'>, axis: Axis): Length =>
  nth([part.length, part.width, part.thickness], axis);

/** Ends are ends; of the four sides the narrow ones are edges, where two are narrow. */
function nounOf({ width, thickness }: Part, axis: Axis): 'end' | 'edge' | 'face' {
  if (axis === 0) return 'end';
  const [own, other] = axis === 1 ? [width, thickness] : [thickness, width];
  return own > 1.1 * other ? 'edge' : 'face';
}

/**
 * What a side is called. It looks up, down, left, right, to the front or the back in the finished piece; of the faces
 * of what stands, those that look at the middle and away from it are inside and outside, so that parts that are each
 * other's mirror image are told alike.
 */
export function named(part: Part, { axis, sign }: PartSide, { middle }: Teller): Named {
  const way = times(waysOf(part)[axis], sign);
  const noun = nounOf(part, axis);
  const call = (name: string): Named => ({ axis, sign, name: `${name} ${noun}` });
  if (Math.abs(way[2]) >= UPRIGHT)
    return way[2] > 0 ? call('top') : noun === 'face' ? { axis, sign, name: 'underside' } : call('bottom');
  const box = boxOf(part);
  const out = dot(way, sub(times(add(box.min, box.max), 1 / 2), middle));
  const lies = ([1, 2] as const).some(
    (other) => nounOf(part, other) === 'face' && Math.abs(waysOf(part)[other][2]) >= UPRIGHT,
  );
  if (noun !== 'end' && !lies && Math.abs(out) > CENTRAL) return call(out > 0 ? 'outside' : 'inside');
  const along = Math.abs(way[0]) >= Math.abs(way[1]) ? 0 : 1;
  return call(nth(ACROSS, along)[way[along] > 0 ? 0 : 1]);
}

/** A place on a side of a part: so far from one end or edge, and from another where it is not told by the tool. */
export type Spot = {
  readonly part: string;
  readonly tag: string;
  readonly side: Named;
  readonly from: Named;
  readonly at: Length;
  readonly across: Named | null;
  readonly off: Length;
  /** The joint it is for. */
  readonly joint: string;
};

/** How a part measures while it is worked on: still so much too long at each end. */
export type Worked = { readonly part: Part; readonly over: Length };

/**
 * The side along a direction that places are measured from: the one that all are nearer to, else the same for all
 * parts; the top of what stands; of a slanted end the long point.
 */
function reference({ part, over }: Worked, run: Axis, places: readonly number[], teller: Teller): Named {
  const size = sizeOf(part, run) + (run === 0 ? 2 * over : 0);
  const up = waysOf(part)[run][2];
  const far = Math.min(...places) > size / 2 + PER_INCH / 64;
  const sign = run !== 0 && Math.abs(up) >= UPRIGHT ? (up > 0 ? 1 : -1) : far ? 1 : -1;
  const side = named(part, { axis: run, sign }, teller);
  const { mitre, bevel } = run === 0 ? part.ends[sign < 0 ? 'left' : 'right'] : { mitre: 0, bevel: 0 };
  return mitre === 0 && bevel === 0 ? side : { ...side, name: `long point of the ${side.name}` };
}

/**
 * Points of the piece as places on a side of a part, all measured from the same end and the same edge.
 *
 * @param points each with the joint it is for.
 * @param run the direction of the part that they are lined up along.
 * @param single the tool tells how far across: a jig, a collar.
 */
export function spotsOn(
  worked: Worked,
  side: PartSide,
  run: Axis,
  points: readonly { readonly at: Vec; readonly joint: string }[],
  teller: Teller,
  single = false,
): readonly Spot[] {
  const { part, over } = worked;
  const cross = found([0, 1, 2] as const, (axis) => axis !== side.axis && axis !== run);
  const shift = (axis: Axis) => (axis === 0 ? over : 0);
  const local = points.map(({ at }) => into(part.frame, at));
  const of = (axis: Axis) => local.map((point) => point[axis] + shift(axis));
  const [alongs, acrosses] = [of(run), of(cross)];
  const [from, across] = [reference(worked, run, alongs, teller), reference(worked, cross, acrosses, teller)];
  const measured = (axis: Axis, { sign }: PartSide, place: number) =>
    told(sign < 0 ? place : sizeOf(part, axis) + 2 * shift(axis) - place, teller.units);
  return points.map(({ joint }, at) => ({
    joint,
    part: part.id,
    tag: part.tag,
    side: named(part, side, teller),
    from,
    at: measured(run, from, nth(alongs, at)),
    across: single ? null : across,
    off: single ? 0 : measured(cross, across, nth(acrosses, at)),
  }));
}

/** Nearer than this to the plane of a side a point lies on it. */
const ON: Length = 24;

/** The side of a part that a hole begins at: the one that its beginning lies on, else the one that it looks against. */
export function sideAt(part: Part, at: Vec, direction: Vec): PartSide {
  const local = into(part.frame, at);
  const ways = waysOf(part);
  const sides = ([0, 1, 2] as const).flatMap((axis) =>
    ([-1, 1] as const).map((sign) => ({
      axis,
      sign,
      off: Math.abs(local[axis] - (sign < 0 ? 0 : sizeOf(part, axis))),
      lean: -sign * dot(ways[axis], direction),
    })),
  );
  const on = sides.filter(({ off, lean }) => off <= ON && lean > 0.1).sort((a, b) => b.lean - a.lean)[0];
  return on
    ? { axis: on.axis, sign: on.sign }
    : (slantedAt(part, local[0], dot(ways[0], direction)) ?? sideAgainst(part, direction));
}

/** The slanted end that a hole begins in, which lies behind the plane of that end; null where it begins in none. */
function slantedAt(part: Part, along: number, lean: number): PartSide | null {
  const sign = lean > 0 ? -1 : 1;
  const { mitre, bevel } = part.ends[sign < 0 ? 'left' : 'right'];
  const tan = (degrees: number) => Math.abs(Math.tan((degrees * Math.PI) / 180));
  const back = part.width * tan(mitre) + part.thickness * tan(bevel);
  const from = sign < 0 ? along : part.length - along;
  return Math.abs(lean) > 0.3 && back > ON && from < back + ON ? { axis: 0, sign } : null;
}

/** Of a part's sides the one that a direction comes in by. */
export function sideAgainst(part: Part, direction: Vec): PartSide {
  const leans = waysOf(part).map((way) => dot(way, direction));
  const axis = ([0, 1, 2] as const).reduce((best, next) =>
    Math.abs(nth(leans, next)) > Math.abs(nth(leans, best)) ? next : best,
  );
  return { axis, sign: nth(leans, axis) > 0 ? -1 : 1 };
}
