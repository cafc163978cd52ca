import { held } from '../lists';
import type { Fastening } from '../joinery';
import { toInches } from '../length';
import { boxOf, weightOf, type Joint, type Part } from '../piece';
import { add, sub, times, type Vec } from '../solid';
import { bodiesOf, cornersIn, inInches, type GluedBody } from './bodies';
import { fastToGround, solver, spring, type LoadAnswer, type Foot, type Force, type Grip, type Mode } from './frame';
import { lay, type LaidBody } from './laying';
import { holdsOf, type Hold } from './springs';

/** A hold between two bodies of the model: how it gives, six ways. */
type Tie = { readonly hold: Hold; readonly modes: readonly Mode[] };

/** The whole piece as beams, plates and springs on its feet. */
export type Model = {
  readonly laid: readonly LaidBody[];
  /** The body that a part belongs to; none for what is loose, or hangs on what opens. */
  readonly of: ReadonlyMap<string, LaidBody>;
  readonly ties: readonly Tie[];
  readonly feet: readonly { readonly of: LaidBody; readonly point: Vec; readonly grip: Grip }[];
  /** Its own weight. */
  readonly weight: readonly Force[];
  readonly answer: LoadAnswer;
};

/** Springs under the feet, lb/in: a hard floor that they do not slide on. */
const FLOOR = 20_000;
/** As near to the floor as this, in, a body stands on it. */
const STANDS = 1 / 16;
/** Of what stands, corners so near to each other are one foot. */
const APART = 1.25;

/** Where a body stands on the floor: the outermost corners of its low end. */
function standing({ parts }: GluedBody): readonly Vec[] {
  const low = parts.flatMap(cornersIn).filter(([, , z]) => z < STANDS);
  if (low.length === 0) return [];
  const [xs, ys] = [0, 1].map((at) => low.map((point) => point[at as 0 | 1]));
  const ends = (values: readonly number[] = []): readonly number[] => {
    const [least, most] = [Math.min(...values), Math.max(...values)];
    return most - least < APART * 3 ? [(least + most) / 2] : [least + APART / 2, most - APART / 2];
  };
  return ends(xs).flatMap((x) => ends(ys).map((y): Vec => [x, y, 0]));
}

/** Roles that are no part of what carries: they weigh on what they hang on. */
const HUNG: readonly Part['role'][] = ['door', 'drawer', 'edging', 'runner'];

/** An edging that hangs so far below what it goes round is a rib of it, in. */
const HANGS = 1 / 4;

/** Edgings that are glued to a top and hang below it: they carry with it, each as a stick on its glue. */
function ribsOf(parts: readonly Part[], joints: readonly Joint[]): ReadonlySet<string> {
  const tops = new Map(parts.flatMap((part) => (part.role === 'top' ? [[part.id, boxOf(part).min[2]] as const] : [])));
  const under = Math.min(...tops.values());
  const glued = new Set(
    joints.flatMap(({ kind, drilled, into }) =>
      kind !== 'glue' ? [] : tops.has(into) ? [drilled] : tops.has(drilled) ? [into] : [],
    ),
  );
  const isRib = (part: Part) =>
    part.role === 'edging' && glued.has(part.id) && toInches(under - boxOf(part).min[2]) > HANGS;
  return new Set(parts.filter(isRib).map(({ id }) => id));
}

/** Bodies that hang together with some that stand. */
function grounded(
  bodies: readonly GluedBody[],
  holds: readonly Hold[],
  of: ReadonlyMap<string, GluedBody>,
): ReadonlySet<GluedBody> {
  const reached = new Set(bodies.filter((body) => standing(body).length > 0));
  for (let before = -1; before !== reached.size;) {
    before = reached.size;
    for (const { item } of holds) {
      const [a, b] = [held(of, item.drilled.id), held(of, item.into.id)];
      if (reached.has(a) !== reached.has(b)) reached.add(a).add(b);
    }
  }
  return reached;
}

function modelled(parts: readonly Part[], fastenings: readonly Fastening[]): Model {
  const joints: readonly Joint[] = fastenings.map(({ joint }) => joint);
  const ribs = ribsOf(parts, joints);
  const carrying = parts.filter(({ id, loose, role }) => !loose && (!HUNG.includes(role) || ribs.has(id)));
  const all = bodiesOf(
    carrying,
    joints.filter(({ drilled, into }) => !ribs.has(drilled) && !ribs.has(into)),
  );
  const body = new Map(all.flatMap((one) => one.parts.map(({ id }) => [id, one] as const)));
  const between = fastenings
    .filter(
      ({ drilled, into }) => body.has(drilled.id) && body.has(into.id) && body.get(drilled.id) !== body.get(into.id),
    )
    .flatMap(holdsOf);
  const kept = grounded(all, between, body);
  const bodies = all.filter((one) => kept.has(one));
  const holds = between.filter(({ item }) => kept.has(held(body, item.drilled.id)));
  const feet = bodies.map(standing);
  const laid: LaidBody[] = [];
  let nodes = 0;
  bodies.forEach((one, at) => {
    const own = new Set(one.parts.map(({ id }) => id));
    const points = holds
      .filter(({ item }) => own.has(item.drilled.id) || own.has(item.into.id))
      .map(({ at: point }) => point);
    const made = lay(one, [...points, ...(feet[at] ?? [])], nodes);
    nodes += made.places.length;
    laid.push(made);
  });
  const of = new Map(laid.flatMap((one) => one.body.parts.map(({ id }) => [id, one] as const)));
  const ties = holds.map((hold): Tie => {
    const gripOn = ({ id }: Part) => held(of, id).gripAt(hold.at);
    const { item, ways, along, about } = hold;
    return { hold, modes: spring({ a: gripOn(item.drilled), b: gripOn(item.into), ways, along, about }) };
  });
  const stands = laid.flatMap((one, at) =>
    (feet[at] ?? []).map((point) => ({ of: one, point, grip: one.gripAt(point) })),
  );
  const answer = solver({
    nodes,
    modes: [...laid.flatMap(({ modes }) => modes), ...ties.flatMap(({ modes }) => modes)],
    feet: stands.map(({ grip }): Foot => {
      const [x, y, z] = fastToGround(grip, FLOOR);
      return { down: z, sideways: [x, y] };
    }),
  });
  const weight = parts.flatMap((part): readonly Force[] => {
    if (part.loose) return [];
    const box = boxOf(part);
    const middle = inInches(times(add(box.min, box.max), 1 / 2));
    const on = of.get(part.id) ?? nearest(laid, middle);
    return on ? [{ at: on.gripAt(middle), force: [0, 0, -weightOf(part)] }] : [];
  });
  return { laid, of, ties, feet: stands, weight, answer };
}

/** The body whose nodes are nearest to a point. */
function nearest(laid: readonly LaidBody[], point: Vec): LaidBody | null {
  const off = ({ places }: LaidBody) =>
    Math.min(...places.map((place) => sub(place, point).reduce((sum, by) => sum + by ** 2, 0)));
  return laid.reduce<LaidBody | null>((best, one) => (best === null || off(one) < off(best) ? one : best), null);
}

const known = new WeakMap<readonly Fastening[], Model>();

/** The model of a piece as it is fastened. Kept with the fastenings. */
export function modelOf(parts: readonly Part[], fastenings: readonly Fastening[]): Model {
  const before = known.get(fastenings);
  if (before) return before;
  const model = modelled(parts, fastenings);
  known.set(fastenings, model);
  return model;
}

/** Height of the highest point, in. */
export const heightOf = (parts: readonly Part[]): number =>
  Math.max(...parts.filter(({ loose }) => !loose).map((part) => toInches(boxOf(part).max[2])));
