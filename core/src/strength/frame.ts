import { addAt, nth } from '../lists';
import { add, cross, norm, sub, times, unit, type Vec } from '../solid';
import { envelope, factored, narrowOrder, solved, type Envelope } from './envelope';

/**
 * Beams and springs in space, small bends, everything elastic. Inches, pounds, radians. A node moves three ways and
 * turns about three axes: its unknowns are 6 n to 6 n + 5.
 */

/** What a point of a body moves with: nodes, the share of each, and how far the point lies from each. */
export type Grip = readonly { readonly node: number; readonly share: number; readonly arm: Vec }[];

/** A way to give: a sum of unknowns that stretches something of this stiffness. Its energy is k (b u)^2 / 2. */
export type Mode = { readonly stiffness: number; readonly on: readonly (readonly [number, number])[] };

/** Stiffnesses of a beam's section; both ways across it in the order `across`, then the third. Shear null: none. */
export type BeamSection = {
  /** E A, lb. */
  readonly axial: number;
  /** G J, lb in^2. */
  readonly torsion: number;
  /** E I of bending along each way across, lb in^2. */
  readonly bending: readonly [number, number];
  /** G A of shearing along each, lb. */
  readonly shear: readonly [number, number] | null;
};

const terms = (node: number, move: Vec, turn: Vec): readonly (readonly [number, number])[] =>
  [...move, ...turn].map((by, at) => [6 * node + at, by] as const).filter(([, by]) => by !== 0);
const NONE: Vec = [0, 0, 0];

/**
 * The six ways that a straight beam between two nodes gives: stretch, twist, and for each way across a pure bend of
 * E I / L and a sway of 3 E I / L less what shear adds (the natural modes of Argyris; the same as the usual twelve by
 * twelve). `across` is the first way across, and need not be square to the beam.
 */
export function beam([a, b]: readonly [number, number], from: Vec, to: Vec, across: Vec, section: BeamSection): Mode[] {
  const along = sub(to, from);
  const length = norm(along);
  const x = unit(along);
  const z = unit(cross(x, across));
  const ways = [cross(z, x), z] as const;
  const bends = ways.flatMap((way, at) => {
    const stiff = nth(section.bending, at);
    const about = cross(x, way);
    const soft = section.shear ? (12 * stiff) / (nth(section.shear, at) * length ** 2) : 0;
    const lean = times(way, 2 / length);
    return [
      { stiffness: stiff / length, on: [...terms(a, NONE, times(about, -1)), ...terms(b, NONE, about)] },
      {
        stiffness: (3 * stiff) / length / (1 + soft),
        on: [...terms(a, lean, about), ...terms(b, times(lean, -1), about)],
      },
    ];
  });
  return [
    rod([a, b], from, to, section.axial),
    { stiffness: section.torsion / length, on: [...terms(a, NONE, times(x, -1)), ...terms(b, NONE, x)] },
    ...bends,
  ];
}

/** A rod between two nodes that only stretches: E A in lb. */
export function rod([a, b]: readonly [number, number], from: Vec, to: Vec, axial: number): Mode {
  const x = unit(sub(to, from));
  return { stiffness: axial / norm(sub(to, from)), on: [...terms(a, times(x, -1), NONE), ...terms(b, x, NONE)] };
}

/** How far a point moves along a direction, or turns about it, as a sum of unknowns. */
const moves = (grip: Grip, way: Vec, sign: 1 | -1) =>
  grip.flatMap(({ node, share, arm }) => terms(node, times(way, share * sign), times(cross(arm, way), share * sign)));
const turns = (grip: Grip, about: Vec, sign: 1 | -1) =>
  grip.flatMap(({ node, share }) => terms(node, NONE, times(about, share * sign)));

/** What holds two points together, or one to the ground: lb/in along three ways, and lb in/rad about them. */
export type Spring = {
  readonly a: Grip;
  readonly b: Grip | null;
  readonly ways: readonly [Vec, Vec, Vec];
  readonly along: readonly [number, number, number];
  readonly about: readonly [number, number, number];
};

/** The six ways a spring gives: three along, three about. It pulls where what it comes to is over 0. */
export const spring = ({ a, b, ways, along, about }: Spring): readonly Mode[] => [
  ...ways.map((way, at) => ({
    stiffness: nth(along, at),
    on: [...moves(a, way, -1), ...(b ? moves(b, way, 1) : [])],
  })),
  ...ways.map((way, at) => ({
    stiffness: nth(about, at),
    on: [...turns(a, way, -1), ...(b ? turns(b, way, 1) : [])],
  })),
];

const X: Vec = [1, 0, 0];
const Y: Vec = [0, 1, 0];
const Z: Vec = [0, 0, 1];
/** A point held to the ground as stiffly along all three axes, lb/in, free to turn: along x, y and z. */
export function fastToGround(grip: Grip, stiffness: number): readonly [Mode, Mode, Mode] {
  const modes = spring({
    a: [],
    b: grip,
    ways: [X, Y, Z],
    along: [stiffness, stiffness, stiffness],
    about: [0, 0, 0],
  });
  return [nth(modes, 0), nth(modes, 1), nth(modes, 2)];
}

/** A force at a point, lb. */
export type Force = { readonly at: Grip; readonly force: Vec };

/** Where something stands: it presses, and does not pull. `down` comes to more than 0 where it is lifted. */
export type Foot = { readonly down: Mode; readonly sideways: readonly Mode[] };

export type Structure = {
  readonly nodes: number;
  readonly modes: readonly Mode[];
  readonly feet: readonly Foot[];
};

/** What comes of a load. */
type Response = {
  /** Six for each node. */
  readonly moved: Float64Array;
  /** Feet that are off the ground, by index. */
  readonly lifted: readonly number[];
};

/** What a mode comes to under a response: inches or radians. */
export const given = ({ on }: Mode, moved: Float64Array): number =>
  on.reduce((sum, [at, by]) => sum + nth(moved, at) * by, 0);

/** Where a point goes. */
export const motionOf = (grip: Grip, moved: Float64Array): Vec =>
  grip.reduce<Vec>((sum, { node, share, arm }) => {
    const [move, turn] = [0, 3].map((at) => [0, 1, 2].map((k) => nth(moved, 6 * node + at + k)) as unknown as Vec) as [
      Vec,
      Vec,
    ];
    return add(sum, times(add(move, cross(turn, arm)), share));
  }, NONE);

/** Feet are let go and set down again at most so often. */
const TRIES = 12;
/** What moves farther than this, in, is not held by anything: it falls. */
const FALLS = 100;

type HowLoaded = {
  /** The feet are held down, as of a piece that is heavy; but these, by index, are in the air. */
  readonly isHeld?: boolean;
  readonly off?: readonly number[];
  /** Modes that have given way in part: the share of their stiffness that is left. */
  readonly left?: ReadonlyMap<Mode, number>;
  /** Modes that are at rest not at 0 but at so much, in or rad: parts cut so far from what they should be. */
  readonly misfits?: readonly (readonly [Mode, number])[];
};
export type LoadAnswer = (forces: readonly Force[], asking?: HowLoaded) => Response | null;

/** A mode with its unknowns where they stand in the matrix. */
type Placed = { readonly mode: Mode; readonly on: Mode['on'] };

/** Adds what a mode resists: its stiffness times each of its unknowns by each. */
function addMode({ values, base }: Envelope, on: Mode['on'], stiffness: number): void {
  for (const [row, by] of on) {
    const own = nth(base, row);
    for (const [column, other] of on) if (column <= row) addAt(values, own + column, stiffness * by * other);
  }
}

/**
 * Answers loads on a structure: matrices are worked out once for each set of feet that stand. A load that nothing
 * holds (it tips over) comes back as null.
 */
export function solver({ nodes, modes, feet }: Structure): LoadAnswer {
  const place = orderOf(nodes, [...modes, ...feet.flatMap(({ down, sideways }) => [down, ...sideways])]);
  const spot = (unknown: number) => 6 * nth(place, Math.floor(unknown / 6)) + (unknown % 6);
  const onSpots = (mode: Mode): Placed => ({ mode, on: mode.on.map(([at, by]) => [spot(at), by]) });
  const always = modes.map(onSpots);
  const ofFeet = feet.map(({ down, sideways }) => [down, ...sideways].map(onSpots));
  const first = Int32Array.from({ length: 6 * nodes }, (_, at) => at);
  for (const { on } of [...always, ...ofFeet.flat()]) {
    const least = Math.min(...on.map(([at]) => at));
    for (const [at] of on) first[at] = Math.min(nth(first, at), least);
  }
  const made = (lifted: ReadonlySet<number>, left?: HowLoaded['left']): Envelope | null => {
    const matrix = envelope(first);
    const down = ofFeet.flatMap((foot, at) => (lifted.has(at) ? [] : foot));
    for (const { mode, on } of [...always, ...down]) addMode(matrix, on, mode.stiffness * (left?.get(mode) ?? 1));
    return factored(matrix);
  };
  const known = new Map<string, Envelope | null>();
  const standing = (lifted: ReadonlySet<number>): Envelope | null => {
    const key = [...lifted].sort((a, b) => a - b).join();
    const before = known.get(key);
    if (before !== undefined) return before;
    const anew = made(lifted);
    known.set(key, anew);
    return anew;
  };
  return (forces, { isHeld = false, off = [], left, misfits = [] } = {}) => {
    const load = new Float64Array(6 * nodes);
    for (const { at, force } of forces)
      for (const { node, share, arm } of at)
        for (const [unknown, by] of terms(node, times(force, share), times(cross(arm, force), share)))
          addAt(load, spot(unknown), by);
    for (const [{ stiffness, on }, rest] of misfits)
      for (const [unknown, by] of on) addAt(load, spot(unknown), stiffness * rest * by);
    let lifted = new Set(off);
    for (let tried = 0; tried < TRIES; tried++) {
      const matrixed = left ? made(lifted, left) : standing(lifted);
      if (!matrixed) return null;
      const x = solved(matrixed, load);
      const moved = Float64Array.from({ length: 6 * nodes }, (_, at) => nth(x, spot(at)));
      if (moved.some((by) => Math.abs(by) > FALLS)) return null;
      if (isHeld) return { moved, lifted: [...off] };
      const next = new Set(feet.flatMap(({ down }, at) => (given(down, moved) > 0 ? [at] : [])));
      if (next.size === lifted.size && [...next].every((at) => lifted.has(at)))
        return { moved, lifted: [...lifted].sort((a, b) => a - b) };
      lifted = next;
    }
    return null;
  };
}

/** The order of nodes that keeps the matrix narrow. */
function orderOf(nodes: number, modes: readonly Mode[]): readonly number[] {
  const neighbours = Array.from({ length: nodes }, () => new Set<number>());
  for (const { on } of modes) {
    const own = [...new Set(on.map(([at]) => Math.floor(at / 6)))];
    for (const a of own) for (const b of own) if (a !== b) nth(neighbours, a).add(b);
  }
  return narrowOrder(neighbours.map((own) => [...own]));
}
