import { found } from '../../lists';
import { waysOf, type Part } from '../../piece';
import { add, dot, sub, times, type Vec } from '../../solid';
import { sizeOf } from '../../work';
import { CLIP_OFF, clips as laid, SLOT, SLOT_MIDDLE } from '../clips';
import type { Fastening } from '../fastening';
import { driving, slotting, type Site3 } from '../making';
import type { WayToJoin } from '../method';
import { bitesOf, screwPounds } from '../pounds';

/** The two far corners of a part's box in its own directions. */
function ends(part: Part) {
  const [u, v, w] = waysOf(part);
  const far = add(add(times(u, part.length), times(v, part.width)), times(w, part.thickness));
  return [part.frame.at, add(part.frame.at, far)] as const;
}

/** How far outside the rail's own extent a point lies along one of its directions; 0 within. */
function overhang(part: Part, axis: 0 | 1 | 2, point: Vec): number {
  const place = dot(waysOf(part)[axis], sub(point, part.frame.at));
  const size = sizeOf(part, axis);
  return place < 0 ? place : place > size ? place - size : 0;
}

/** The rail that a clip holds to, the face it stands beside, and the middle of its slot there. */
function slotsOf(item: Fastening): readonly Site3[] {
  const rail = item.drilled;
  return item.shanks.map(({ from, direction }) => {
    // Beside the rail, a half inch off its face: the face lies that far back towards the rail.
    const ways = waysOf(rail);
    const middle = sub(times(add(ends(rail)[0], ends(rail)[1]), 1 / 2), from);
    const flat = ([0, 1, 2] as const).filter((axis) => Math.abs(dot(ways[axis], direction)) < 0.7);
    const across = flat.reduce((best, axis) =>
      Math.abs(overhang(rail, axis, from)) > Math.abs(overhang(rail, best, from)) ? axis : best,
    );
    const into = times(ways[across], Math.sign(dot(ways[across], middle)) || 1);
    const at = add(add(from, times(into, CLIP_OFF)), times(direction, -SLOT_MIDDLE));
    // Along the edge under the top, also of a rail that is higher than it is long.
    const along = ways[found(flat, (axis) => axis !== across)];
    return { part: rail, other: item.into, at, direction: into, joint: item.joint.id, along };
  });
}

export const clips: WayToJoin = {
  name: 'Clips in a slot',
  look: 'hidden',
  tools: [['router'], ['table saw'], ['biscuit joiner'], ['drill']],
  setUp: 2,
  each: 3,
  holds: 'fasteners',
  glued: false,
  clamped: false,
  apart: true,
  straight: false,
  countersunk: false,
  when: 'A solid top moves; the clips slide with it.',
  fits: () => true,
  lays: laid,
  buys: ({ shanks }) => (shanks.length > 0 ? [{ kind: 'clip', size: '', count: shanks.length }] : []),
  strength: (item) => screwPounds(item.into, item.fastener?.shank ?? 0, bitesOf(item)),
  prepares: (joints, bench) => {
    const tool =
      (['router', 'biscuit joiner', 'table saw'] as const).find((one) => bench.tools.includes(one)) ?? 'drill';
    return slotting(joints.flatMap(slotsOf), { what: 'clip slot', ...SLOT }, joints, bench, { minutes: 1, tool });
  },
  makes: (joints, bench) => driving(joints, bench, { snug: joints.some(({ moves }) => moves) }),
};
