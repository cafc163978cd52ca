import { nth } from '../lists';
import type { Fastening } from '../joinery';
import { inches } from '../length';
import { solidOf, type Part } from '../piece';
import { add, dot, edgesOf, norm, sub, times, type Vec } from '../solid';
import { inInches } from './bodies';
import { askedOf } from './judge';
import { motionOf, type Force } from './frame';
import { modelOf } from './model';

/** A load that a person puts on a piece: on which part, where (in length units), lb along each way of the piece. */
export type Lean = { readonly part: string; readonly at: Vec; readonly force: Vec };

/** What comes of it. Inches; an estimate for home use. */
export type Leaned = {
  /** How far the place moves the way it is pushed, own weight not counted. */
  readonly moves: number;
  /** Its feet stay where they are, some lift, or it tips over. */
  readonly stands: 'firm' | 'lifts' | 'tips';
  /** The joint that is asked most for what it may bear for a short while, and by how much. */
  readonly weakest: { readonly drilled: string; readonly into: string; readonly share: number } | null;
  /** Edges of the parts, cut into short stretches: pairs of points in length units, and how far each moves, in. */
  readonly edges: readonly { readonly points: readonly Vec[]; readonly by: readonly Vec[] }[];
};

/** Edges are drawn bent in stretches of this length at most. */
const STRETCH = inches(6);

/** Both ends of an edge and what lies between, as pairs. */
function stretches([from, to]: readonly [Vec, Vec]): readonly Vec[] {
  const count = Math.max(1, Math.ceil(norm(sub(to, from)) / STRETCH));
  const point = (k: number) => add(from, times(sub(to, from), k / count));
  return Array.from({ length: count }, (_, k) => [point(k), point(k + 1)]).flat();
}

/**
 * Leans on a piece: how far it gives, whether it stands, and how all of it bends. Null where the part is none that
 * carries, as a drawer or a door.
 */
export function leanOn(parts: readonly Part[], made: readonly Fastening[], { part, at, force }: Lean): Leaned | null {
  const model = modelOf(parts, made);
  const laid = model.of.get(part);
  if (!laid) return null;
  const load: Force = { at: laid.gripAt(inInches(at)), force };
  const free = model.answer([...model.weight, load]);
  const response = free ?? model.answer([...model.weight, load], { isHeld: true });
  const rest = model.answer(model.weight, { isHeld: true });
  if (!response || !rest) return { moves: Infinity, stands: 'tips', weakest: null, edges: [] };
  const moved = response.moved.map((value, k) => value - nth(rest.moved, k));
  const { worst } = askedOf(model, 'someone', response.moved);
  return {
    moves: dot(motionOf(load.at, moved), times(force, 1 / Math.max(1e-9, norm(force)))),
    stands: !free ? 'tips' : free.lifted.length > 0 ? 'lifts' : 'firm',
    weakest: worst && {
      drilled: worst.tie.hold.item.drilled.tag,
      into: worst.tie.hold.item.into.tag,
      share: worst.share,
    },
    edges: parts.flatMap((one) => {
      const body = model.of.get(one.id);
      if (!body) return [];
      const points = edgesOf(solidOf(one)).flatMap(stretches);
      return [{ points, by: points.map((point) => motionOf(body.gripAt(inInches(point)), moved)) }];
    }),
  };
}
